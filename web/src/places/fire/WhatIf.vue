<script setup lang="ts">
/** One thing not as said, and the cook still going by the clock: what is found inside. */
import { computed, shallowRef, watch } from 'vue'
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { COOLER_PAN_K, LATE_S, MISJUDGED_MM, type Consequence, type WhatIfId } from '#core/plan/whatIf'
import { usePlanner, type PlanResult } from '../../stores/planner'
import { useUnits } from '../../stores/units'
import { askWorker } from '../../workers/planner'

const planner = usePlanner()
const units = useUnits()
const found = shallowRef<{ readonly of: PlanResult; readonly answers: readonly Consequence[] } | null>(null)
let waiting: ReturnType<typeof setTimeout> | undefined
watch(
  () => planner.current,
  current => {
    clearTimeout(waiting)
    if (!current) return
    // Once the hand is still: it is the plan itself that must not wait.
    waiting = setTimeout(() => {
      void askWorker(w => w.whatIf(current.request, current.plan)).then(answers => {
        if (planner.current === current) found.value = { of: current, answers }
      })
    }, 400)
  },
  { immediate: true }
)
const shown = computed(() => (found.value && found.value.of === planner.current ? found.value : null))
const length = (mm: number): string => shownText(showLength(mm, units.system))
const WORDS: Record<WhatIfId, () => string> = {
  thicker: () => `${length(MISJUDGED_MM)} thicker`,
  thinner: () => `${length(MISJUDGED_MM)} thinner`,
  colder: () => 'straight from the fridge',
  'cooler pan': () => `pan ${shownText(showTemperatureRise(COOLER_PAN_K, units.system))} cooler`,
  'turned once': () => 'turned only once',
  late: () => `off ${shownText(showDuration(LATE_S))} late`,
  foil: () => 'rested under foil',
  'no rest': () => 'cut at once'
}
const rows = computed(() =>
  (shown.value?.answers ?? []).map(a => ({
    id: a.id,
    what: WORDS[a.id](),
    core: shownText(showTemperature(a.coreC, units.system)),
    off: Math.abs(a.offK) < 0.5 ? 'the same' : `${a.offK > 0 ? '+' : '−'}${showTemperatureRise(Math.abs(a.offK), units.system).figure}`,
    word: bandOf(scaleById(shown.value?.of.request.scaleId ?? '') ?? SCALES[0], a.coreC).word
  }))
)
</script>

<template>
  <section class="what" :aria-busy="!shown">
    <h2>What if, and you went by the clock?</h2>
    <p v-if="!shown" class="quiet">{{ planner.state === 'ready' ? 'Cooking it eight ways…' : '' }}</p>
    <ul v-else>
      <li v-for="r in rows" :key="r.id">
        <span class="quiet">{{ r.what }}</span>
        <strong>{{ r.core }}</strong>
        <span>{{ r.off }}, {{ r.word }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.what {
  margin-top: 16px;
  min-height: 118px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 0;
  border-top: 1px solid var(--rule);
}
li {
  display: flex;
  flex-direction: column;
  padding: 7px 12px 8px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13.5px;
}
strong {
  font-family: var(--serif);
  font-size: 21px;
  font-weight: 600;
}
</style>
