<script setup lang="ts">
/** Half of it kept for another day: how it is chilled, how long it keeps, and how it is brought back. */
import { computed, shallowRef, watch } from 'vue'
import { COLD_C, CHILLED_WITHIN_S, KEEPS_DAYS, type Kept } from '#core/plan/keeping'
import type { Dialled } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import { showDuration, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../../stores/units'
import { askWorker } from '../../workers/planner'

const props = defineProps<{ request: PlanRequest; kind: MethodKind; turned: Dialled; plan: Plan | null }>()
const units = useUnits()
const found = shallowRef<{ readonly of: Plan; readonly kept: Kept } | null>(null)
let waiting: ReturnType<typeof setTimeout> | undefined
watch(
  () => props.plan,
  plan => {
    clearTimeout(waiting)
    if (!plan) return
    const { request, kind, turned } = props
    waiting = setTimeout(() => {
      void askWorker(w => w.chilled(request, kind, turned, plan))
        .then(kept => {
          if (props.plan === plan) found.value = { of: plan, kept }
        })
        .catch(() => (found.value = null))
    }, 600)
  },
  { immediate: true }
)
const kept = computed(() => (found.value && found.value.of === props.plan ? found.value.kept : null))
const cold = computed(() => shownText(showTemperature(COLD_C, units.system)))
/** Held water can warm it again without cooking it further; hot water cannot. */
const again = computed(() =>
  props.kind === 'bath then sear' || props.kind === 'sear then bath'
    ? 'back in the bath at the same heat, then dried and seared'
    : 'sliced cold and thin, across the grain'
)
const time = (s: number): string => shownText(showDuration(s))
</script>

<template>
  <section class="keep" :aria-busy="!kept">
    <h2>Kept for another day</h2>
    <p v-if="!kept" class="quiet">{{ plan ? 'Chilling it…' : '' }}</p>
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
