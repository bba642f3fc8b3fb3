<script setup lang="ts">
/** A plan as it is seen: the piece cut open, what comes out, and the whole job along time; pointed at, the Section follows. */
import { Tooltip as ATooltip } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { bandOf, type Scale } from '#core/doneness/scale'
import { valueAt } from '#core/heat/history'
import type { Cut } from '#core/meat/cut'
import type { Piece } from '#core/meat/piece'
import type { Plan } from '#core/plan/plan'
import type { Spread } from '#core/estimate/spread'
import { showLength, showTemperatureRise, shownText } from '#core/quantity/format'
import LineDrawing from '../../line/LineDrawing.vue'
import RoundSection from '../../section/RoundSection.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useUnits } from '../../stores/units'
import { sectionOf } from './sectionOf'

const props = defineProps<{
  plan: Plan
  piece: Piece
  cut: Cut
  scale: Scale
  spread: Spread | null
  /** Of the pan it begins in, s; 0 where it begins in none. */
  preheatS: number
  /** What the peak would be off by if the piece were 3 mm thicker, K; null while that is worked out. */
  thickerK?: number | null
}>()
const units = useUnits()

const moment = ref(0)
watch(
  () => props.plan,
  plan => (moment.value = plan.carve.time),
  { immediate: true }
)
const section = computed(() => sectionOf(props.plan, props.piece, moment.value))
const core = computed(() => valueAt(props.plan.history.time, props.plan.history.probe, moment.value))
/** What the section has come to by then: the word for the hottest the core has been. */
const word = computed(() => {
  const { peak, pull } = props.plan
  const reached = moment.value >= peak.time ? peak.core : core.value
  const before = props.piece.cookedC === undefined ? 'still raw' : 'still cold'
  if (reached < 40) return moment.value < pull.time ? before : undefined
  return bandOf(props.scale, reached).word
})

const length = (mm: number): string => shownText(showLength(mm, units.system, true))
const kelvin = (k: number): string => shownText(showTemperatureRise(k, units.system))
const both = ([a, b]: readonly [number, number]): string => {
  const [low, high] = [Math.min(a, b), Math.max(a, b)].map(v => showLength(v, units.system, true))
  return low.figure === high.figure ? shownText(high) : `${low.figure}–${shownText(high)}`
}
const off = (k: number): string => (Math.abs(k) < 0.5 ? 'the same' : `${k < 0 ? '−' : '+'}${kelvin(Math.abs(k))}`)
const comesOut = computed(() => {
  const { section: read, loss } = props.plan
  const side = props.piece.form === 'roast' ? read.side : null
  return [
    { what: 'Crust', means: 'How deep the outside has dried and browned.', value: side ? length(side.crustMm) : both(read.crustMm) },
    { what: 'Grey edge', means: 'How deep it is cooked past pink.', value: side ? length(side.greyMm) : both(read.greyMm) },
    {
      what: `Within ${kelvin(3)} of the centre`,
      means: 'How much of the slice is as done as its middle: more is evener.',
      value: `${Math.round(read.evenness * 100)} %`
    },
    { what: 'Cook loss', means: 'Of its raw weight, what evaporates and drips until it is carved.', value: `${Math.round(loss * 100)} %` },
    ...(props.thickerK === undefined
      ? []
      : [
          {
            what: `${shownText(showLength(3, units.system))} thicker`,
            means: 'What the centre would be off by if it is so much thicker than measured and still cooked by the clock.',
            value: props.thickerK === null ? '…' : off(props.thickerK)
          }
        ])
  ]
})
</script>

<template>
  <section class="drawings" aria-label="The plan">
    <div class="cut">
      <round-section
        v-if="section.kind === 'round'"
        :hottest="section.hottest"
        :radii-mm="section.radiiMm"
        :aspect="section.aspect"
        :core="core"
        :word="word"
        :said-mm="piece.thicknessMm"
        :height="190"
      />
      <section-drawing
        v-else
        :width-mm="piece.widthMm"
        :thickness-mm="section.thicknessMm"
        :fat-edge="cut.fatEdge"
        :fat-share="cut.composition.fat"
        :field="section.field"
        :edges-mm="section.edgesMm"
        :core="core"
        :word="word"
        :height="182"
      />
      <dl aria-label="What comes out">
        <div v-for="c in comesOut" :key="c.what" v-memo="[c.means, c.value]">
          <a-tooltip :title="c.means" placement="left">
            <dt tabindex="0">{{ c.what }}</dt>
          </a-tooltip>
          <dd>{{ c.value }}</dd>
        </div>
      </dl>
    </div>
    <line-drawing v-model:moment="moment" :plan="plan" :spread="spread" :preheat-s="preheatS" />
  </section>
</template>

<style scoped>
.drawings {
  margin-top: 10px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.cut {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 10px;
  align-items: center;
}
dl {
  margin: 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  border-top: 1px solid var(--rule);
  padding: 5px 0;
  font-size: 13.5px;
}
dt {
  color: var(--ink-2);
  cursor: help;
  text-decoration: underline dotted var(--rule);
  text-underline-offset: 4px;
}
dd {
  margin: 0;
  font-weight: 600;
  white-space: nowrap;
}
@media (max-width: 760px) {
  .cut {
    grid-template-columns: 1fr;
  }
}
</style>
