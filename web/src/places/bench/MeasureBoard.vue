<script setup lang="ts">
/** The piece measured: its sizes on a drawing and in fields, what lies on it, and how wet it is. */
import { Checkbox as ACheckbox } from 'ant-design-vue'
import { computed, shallowRef, watch } from 'vue'
import { bandOf, scaleOf } from '#core/doneness/scale'
import {
  coatsFor,
  faceAreaM2,
  OUTSIDE_LIMITS_MM,
  outsideOf,
  PIECE_LIMITS,
  SURFACES,
  type Intact,
  type Outside,
  type SurfaceState
} from '#core/meat/piece'
import { USUAL_PREPARATION } from '#core/plan/preparation'
import { showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import { useDraft } from '../../stores/draft'
import { usePlan } from '../../stores/plan'
import { useUnits } from '../../stores/units'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import CountField from '../../ui/CountField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { askEngine } from '../../workers/engine'
import MeasuredPiece from './MeasuredPiece.vue'

const draft = useDraft()
const units = useUnits()
const plan = usePlan()

const piece = computed(() => draft.request.piece)
const log = computed(() => piece.value.form === 'roast')
const surfaces = (Object.keys(SURFACES) as SurfaceState[]).map(value => ({
  value,
  label: SURFACES[value].label,
  hint: SURFACES[value].means
}))

const usual = (range: readonly [number, number], show: (v: number) => string): string => `usually ${show(range[0])} to ${show(range[1])}`
const length = (mm: number): string => shownText(showLength(mm, units.system))
const mass = (g: number): string => shownText(showMass(g, units.system))

function wedge(on: boolean): void {
  if (on) {
    draft.measure({ thinEndMm: Math.round(0.7 * piece.value.thicknessMm) })
    return
  }
  const { thinEndMm: _, ...even } = piece.value
  draft.put(even)
}

const outside = computed(() => outsideOf(piece.value))
function cover(part: Partial<Outside>): void {
  const { coats: _, ...bare } = piece.value
  const coats = coatsFor({ ...outside.value, ...part }, piece.value.form)
  draft.change({ piece: coats.length > 0 ? { ...bare, coats } : bare })
}
const OUTSIDES: readonly { key: keyof Outside; label: string }[] = [
  { key: 'boneMm', label: 'Bone along it' },
  { key: 'fatMm', label: 'Cap of fat' },
  { key: 'pasteMm', label: 'Crust of paste' }
]

const intacts: { value: Intact; label: string }[] = [
  { value: 'yes', label: 'whole muscle' },
  { value: 'no', label: 'needled or rolled' },
  { value: 'unknown', label: 'not known' }
]
/** Where the thin end comes out, worked out off the page for the plan as it stands. */
const thinEnd = shallowRef<{ readonly of: unknown; readonly peak: number | null } | null>(null)
watch(
  () => plan.current,
  async current => {
    if (!current || current.request.piece.thinEndMm === undefined) return
    const peak = await askEngine(w => w.thinEnd(current.request, current.plan))
    if (plan.current === current) thinEnd.value = { of: current, peak }
  },
  { immediate: true }
)
const thinEndText = computed(() => {
  const found = thinEnd.value
  if (!found || found.of !== plan.current || found.peak === null || !plan.current) return null
  const { request } = plan.current
  const word = bandOf(scaleOf(request.target), found.peak).word
  return `${word}, ${shownText(showTemperature(found.peak, units.system))}`
})
const area = computed(() => faceAreaM2(piece.value, draft.cut))
const fridge = computed(
  () =>
    `a fridge is about ${shownText(showTemperature(USUAL_PREPARATION.fridgeC, units.system))}; “Get it ready” says what time out of it adds`
)
const filmText = computed(() => {
  const grams = SURFACES[piece.value.surface].filmKgM2 * 2 * area.value * 1000
  return units.system === 'metric' ? `${grams.toFixed(1)} g` : `${(grams / 28.35).toFixed(2)} oz`
})

type SizeKey = 'cookedC' | 'thicknessMm' | 'thinEndMm' | 'weightG' | 'lengthMm' | 'widthMm' | 'startC'
interface Size {
  readonly key: SizeKey
  readonly label: string
  readonly dimension: 'length' | 'mass' | 'temperature'
  readonly range: readonly [number, number]
  readonly value: number
  readonly hint: string
}
const sizes = computed((): Size[] => {
  const { thicknessMm, thinEndMm, weightG, lengthMm, widthMm, startC, cookedC } = piece.value
  const { shape } = draft.cut
  const size = (key: Exclude<SizeKey, 'thinEndMm'>, label: string, dimension: Size['dimension'], value: number, hint: string): Size => ({
    key,
    label,
    dimension,
    range: PIECE_LIMITS[key],
    value,
    hint
  })
  const wedged = thinEndMm !== undefined
  const thin: Size[] = wedged
    ? [
        {
          key: 'thinEndMm',
          label: 'Thin end',
          dimension: 'length',
          range: [PIECE_LIMITS.thicknessMm[0], thicknessMm],
          value: thinEndMm,
          hint: thinEndText.value ? `comes out ${thinEndText.value}` : 'working out how it comes out…'
        }
      ]
    : []
  return [
    size('thicknessMm', wedged ? 'Thick end' : 'Thickness', 'length', thicknessMm, usual(shape.thicknessMm, length)),
    ...thin,
    size('weightG', 'Weight of one', 'mass', weightG, usual(shape.weightG, mass)),
    size('lengthMm', draft.round ? 'Diameter' : 'Length', 'length', lengthMm, usual(shape.lengthMm, length)),
    ...(draft.round ? [] : [size('widthMm', 'Width', 'length', widthMm, usual(shape.widthMm, length))]),
    size('startC', 'Temperature inside', 'temperature', startC, fridge.value),
    ...(cookedC === undefined
      ? []
      : [size('cookedC', 'Cooked before to', 'temperature', cookedC, 'warmed to no more, it stays as done as it was')])
  ]
})
</script>

<template>
  <div>
    <measured-piece
      class="drawing"
      :length-mm="piece.lengthMm"
      :thickness-mm="piece.thicknessMm"
      :thin-end-mm="piece.thinEndMm"
      :fat-edge="draft.cut.fatEdge"
      :fat-share="draft.cut.composition.fat"
      @thickness="v => draft.measure({ thicknessMm: v })"
      @thin-end="v => draft.measure({ thinEndMm: v })"
    />

    <div class="fields">
      <quantity-field
        v-for="f in sizes"
        :key="f.key"
        :label="f.label"
        :dimension="f.dimension"
        :range="f.range"
        :model-value="f.value"
        :hint="f.hint"
        @update:model-value="v => (f.key === 'cookedC' ? draft.cookedBefore(v) : draft.measure({ [f.key]: v }))"
        @problem="m => draft.complain(f.key === 'thicknessMm' ? 'Thickness' : f.label, m)"
      />
      <count-field
        class="count"
        label="How many"
        unit=""
        :range="PIECE_LIMITS.count"
        :step="1"
        :model-value="piece.count"
        @update:model-value="count => draft.measure({ count })"
      />
    </div>
    <div class="also">
      <a-checkbox v-if="!log" :checked="piece.thinEndMm !== undefined" @update:checked="wedge"
        >It is a wedge: one end is thinner</a-checkbox
      >
      <a-checkbox
        :checked="piece.cookedC !== undefined"
        @update:checked="(is: boolean) => draft.cookedBefore(is ? draft.request.target.coreC : null)"
        >It was cooked before, and chilled</a-checkbox
      >
      <choice-row
        label="Is it intact"
        :model-value="piece.intact ?? 'yes'"
        :options="intacts"
        @update:model-value="v => draft.measure({ intact: v })"
      />
      <a-checkbox :checked="draft.request.guests.atRisk" @update:checked="(atRisk: boolean) => draft.seat({ atRisk })">
        A guest is pregnant, very young, old or ill
      </a-checkbox>
    </div>
    <div class="outside">
      <quantity-field
        v-for="o in OUTSIDES"
        :key="o.key"
        :label="o.label"
        dimension="length"
        :range="OUTSIDE_LIMITS_MM"
        :model-value="outside[o.key]"
        @update:model-value="v => cover({ [o.key]: v })"
        @problem="m => draft.complain(o.label, m)"
      />
      <p class="quiet">How thick each is on the outside; 0 for none. Weight and sizes are of the meat without them.</p>
    </div>
    <choice-row label="Surface" :model-value="piece.surface" :options="surfaces" @update:model-value="v => draft.measure({ surface: v })" />
    <p class="quiet surface">
      {{ SURFACES[piece.surface].means }}: about {{ filmText }} of water on both faces has to boil off before they brown.
    </p>
  </div>
</template>

<style scoped>
.drawing {
  margin: 16px 0 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(44%, 210px), 1fr));
  gap: 14px 16px;
  margin-bottom: 18px;
}
.also {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
  align-items: end;
  margin-bottom: 14px;
}
.outside {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
  margin-bottom: 14px;
}
.outside > * {
  width: 112px;
}
.outside > p {
  width: auto;
  max-width: 300px;
  font-size: 13.5px;
  padding-bottom: 2px;
}
.surface {
  margin-top: 6px;
  font-size: 14px;
}
</style>
