<script setup lang="ts">
/** One thing not as said, and the cook still going by the clock: what is found inside. */
import { computed, shallowRef, watch } from 'vue'
import { bandOf, type Scale } from '#core/doneness/scale'
import { showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { MISJUDGED_MM } from '#core/plan/misjudged'
import { LATE_S, OFF_K, type Consequence, type WhatIfId } from '#core/plan/whatIf'
import type { MethodKind } from '#core/method/methods'
import { useUnits } from '../../stores/units'
import type { PlanResult } from '../../stores/plan'
import { inBackground } from '../../workers/background'

const props = defineProps<{
  /** The plan it is about; null while there is none that is current. */
  of: PlanResult | null
  kind: MethodKind
  scale: Scale
}>()
const units = useUnits()
/** ms until the hand is still: it is the plan itself that must not wait. */
const STILL = 400
const found = shallowRef<{ readonly of: PlanResult; readonly answers: readonly Consequence[] } | null>(null)
const failed = shallowRef(false)
watch(
  () => props.of,
  (current, _, onCleanup) => {
    failed.value = false
    if (!current) return
    onCleanup(
      inBackground(
        async (remote, token) => {
          const answers = await remote.whatIf(current.request, current.plan, token)
          if (props.of === current) found.value = { of: current, answers }
        },
        STILL,
        () => (failed.value = true)
      )
    )
  },
  { immediate: true }
)
const shown = computed(() => (found.value && found.value.of === props.of ? found.value : null))
const length = (mm: number): string => shownText(showLength(mm, units.system))
const kelvin = (k: number): string => shownText(showTemperatureRise(k, units.system))
const WORDS: Record<WhatIfId, () => string> = {
  thicker: () => `${length(MISJUDGED_MM)} thicker`,
  thinner: () => `${length(MISJUDGED_MM)} thinner`,
  colder: () => 'straight from the fridge',
  'cooler pan': () => `pan ${kelvin(OFF_K.panC)} cooler`,
  'hotter oven': () => `oven ${kelvin(OFF_K.ovenC)} hotter`,
  'hotter coals': () => `coals ${kelvin(OFF_K.grateC)} hotter`,
  'cooler lid': () => `${kelvin(OFF_K.lidC)} less under the lid`,
  'warmer bath': () => `bath ${kelvin(OFF_K.bathC)} warmer`,
  'no lid': () => 'no lid on the pot',
  'turned once': () => 'turned only once',
  late: () => `out ${shownText(showDuration(LATE_S))} late`,
  foil: () => 'rested under foil',
  'tucked in': () => 'foil tucked in, crust gone soft',
  'no rest': () => 'cut at once',
  'fillet side': () => 'its fillet side'
}
/** Of the plan before they stay where they are, faded: what comes and goes moves all that is below it. */
const before = computed(() => (found.value && found.value.of.kind === props.kind ? found.value : null))
const rows = computed(() =>
  ((shown.value ?? before.value)?.answers ?? []).map(a => ({
    id: a.id,
    what: WORDS[a.id](),
    core: shownText(showTemperature(a.coreC, units.system)),
    off: Math.abs(a.offK) < 0.5 ? 'the same' : `${a.offK > 0 ? '+' : '−'}${showTemperatureRise(Math.abs(a.offK), units.system).figure}`,
    word: bandOf(props.scale, a.coreC).word
  }))
)
</script>

<template>
  <section class="what" :class="{ stale: !shown }" :aria-busy="!shown">
    <h2>What if, and you went by the clock?</h2>
    <p v-if="failed" class="quiet" role="alert">That could not be worked out. Change something and it tries again.</p>
    <p v-else-if="rows.length === 0" class="quiet">{{ of ? 'Cooking it several ways…' : '' }}</p>
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
