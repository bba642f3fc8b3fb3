<script setup lang="ts">
/** Half of it kept for another day: how it is chilled, how long it keeps, and how it is brought back. */
import { computed, shallowRef, watch } from 'vue'
import { COLD_C, CHILLED_WITHIN_S, KEEPS_DAYS, type Kept } from '#core/plan/keeping'
import { showDuration, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../../stores/units'
import type { PlanResult } from '../../stores/plan'
import { askEngine } from '../../workers/engine'

const props = defineProps<{ of: PlanResult | null }>()
const units = useUnits()
const found = shallowRef<{ readonly of: PlanResult; readonly kept: Kept } | null>(null)
let waiting: ReturnType<typeof setTimeout> | undefined
watch(
  () => props.of,
  of => {
    clearTimeout(waiting)
    if (!of) return
    waiting = setTimeout(() => {
      void askEngine(w => w.chilled(of.request, of.plan))
        .then(kept => {
          if (props.of === of) found.value = { of, kept }
        })
        .catch(() => (found.value = null))
    }, 600)
  },
  { immediate: true }
)
const kept = computed(() => (found.value && found.value.of === props.of ? found.value.kept : null))
const cold = computed(() => shownText(showTemperature(COLD_C, units.system)))
/** Held water can warm it again without cooking it further; hot water cannot. */
const again = computed(() =>
  props.of?.kind === 'bath then sear' || props.of?.kind === 'sear then bath'
    ? 'back in the bath at the same heat, then dried and seared'
    : 'sliced cold and thin, across the grain'
)
const time = (s: number): string => shownText(showDuration(s))
</script>

<template>
  <section class="keep" :aria-busy="!kept">
    <h2>Kept for another day</h2>
    <p v-if="!kept" class="quiet">{{ of ? 'Chilling it…' : '' }}</p>
    <p v-else>
      In its bag, straight from the water into ice and water for <strong>{{ time(kept.inIceS) }}</strong>: then its middle is at {{ cold }}.
      <template v-if="kept.inFridgeS > CHILLED_WITHIN_S">The fridge alone would need {{ time(kept.inFridgeS) }}: too long.</template>
      <template v-else>The fridge alone needs {{ time(kept.inFridgeS) }}, and warms what stands beside it.</template>
      It keeps {{ KEEPS_DAYS }} days, sealed and cold. On the day: {{ again }}. Local codes come first.
    </p>
  </section>
</template>

<style scoped>
.keep {
  margin-top: 16px;
  max-width: 820px;
  min-height: 72px;
}
p {
  margin-top: 4px;
  line-height: 1.5;
}
</style>
