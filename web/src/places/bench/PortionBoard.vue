<script setup lang="ts">
/** A whole muscle on the board, to scale, with its grain: where the knife goes, and what each portion weighs. */
import { Button as AButton, Table as ATable } from 'ant-design-vue'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId, useTemplateRef, watch } from 'vue'
import { PIECE_LIMITS } from '#core/meat/piece'
import {
  clearOfRibs,
  equalPortions,
  grainInWhole,
  portionsAt,
  ribsOf,
  slicesOf,
  usualMuscle,
  widthAt,
  type Muscle,
  type Portion
} from '#core/meat/portion'
import { showLength, showMass, shownText } from '#core/quantity/format'
import QuantityField from '../../ui/QuantityField.vue'
import { grainPath } from '../../section/cutOutline'
import { tint } from '../../section/tint'
import { useCounter } from '../../stores/counter'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'

const emit = defineEmits<{ taken: [] }>()
const draft = useDraft()
const counter = useCounter()
const units = useUnits()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)

const muscle = ref<Muscle>(usualMuscle(draft.cut) ?? { lengthMm: 300, widthMm: 120, thicknessMm: 50, weightG: 1500 })
const cuts = ref<number[]>([])
const steakMm = ref(38)
const chosen = ref(0)
watch(
  () => draft.cut.id,
  () => {
    const usual = usualMuscle(draft.cut)
    if (!usual) return
    muscle.value = usual
    cuts.value = draft.cut.portioning === 'slices' ? slicesOf(usual, draft.cut, steakMm.value) : equalPortions(usual, draft.cut, 2)
    chosen.value = 0
  },
  { immediate: true }
)
const portions = computed(() => portionsAt(muscle.value, draft.cut, cuts.value))
const scale = computed(() => Math.min((Math.max(width.value, 200) - 8) / muscle.value.lengthMm, 190 / muscle.value.widthMm))
const w = computed(() => muscle.value.lengthMm * scale.value)
const h = computed(() => muscle.value.widthMm * scale.value)
const outline = computed(() => {
  const points = Array.from({ length: 41 }, (_, i) => i / 40)
  const y = (at: number, side: 1 | -1): number => h.value / 2 + (side * widthAt(draft.cut.profile, at) * h.value) / 2
  return `M ${points.map(p => `${(p * w.value).toFixed(1)} ${y(p, -1).toFixed(1)}`).join(' L ')} L ${[...points]
    .reverse()
    .map(p => `${(p * w.value).toFixed(1)} ${y(p, 1).toFixed(1)}`)
    .join(' L ')} Z`
})
const ribs = computed(() => ribsOf(muscle.value, draft.cut))
/** No slice is thinner. */
const LEAST_MM = 5
const grain = computed(() => grainInWhole(draft.cut))
const runsWith = computed(() => draft.cut.portioning === 'slices' && grain.value === 'across')
const throughBone = computed(() => {
  if (ribs.value.length > 0) return 'It goes between the ribs: a line that would strike one comes out beside it.'
  return draft.cut.bone && draft.cut.portioning === 'slices'
    ? 'The bone is in every slice and takes a saw: have it cut to these lines where you buy it.'
    : ''
})
const mass = (g: number): string => shownText(showMass(g, units.system))
const length = (mm: number): string => shownText(showLength(mm, units.system))

function equal(count: number): void {
  cuts.value = equalPortions(muscle.value, draft.cut, Math.max(1, Math.min(24, count)))
  chosen.value = 0
}
function slice(mm: number): void {
  steakMm.value = mm
  cuts.value = slicesOf(muscle.value, draft.cut, mm)
  chosen.value = 0
}
const dragged = ref<number | null>(null)
function move(event: PointerEvent): void {
  if (dragged.value === null || !box.value) return
  place(dragged.value, (event.clientX - box.value.getBoundingClientRect().left) / scale.value)
}
/** @param toward which side of a rib it is to come out at */
function place(index: number, mm: number, toward: -1 | 0 | 1 = 0): void {
  const low = (cuts.value[index - 1] ?? 0) + LEAST_MM
  const high = (cuts.value[index + 1] ?? muscle.value.lengthMm) - LEAST_MM
  const wanted = clearOfRibs(ribs.value, Math.round(Math.min(Math.max(mm, low), high)), toward)
  if (wanted < low || wanted > high) return
  cuts.value = cuts.value.map((c, i) => (i === index ? wanted : c))
}
function key(index: number, event: KeyboardEvent): void {
  const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: 10, PageDown: -10 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  place(index, cuts.value[index] + by, by > 0 ? 1 : -1)
}
function size(part: Partial<Muscle>): void {
  const longer = part.lengthMm === undefined ? 1 : part.lengthMm / muscle.value.lengthMm
  muscle.value = { ...muscle.value, ...part }
  cuts.value = cuts.value.map(c => Math.round(c * longer)).filter(c => c < muscle.value.lengthMm)
}
function take(portion: Portion, count: number): void {
  const { piece } = draft.request
  const { weightG, thicknessMm, lengthMm, widthMm } = portion
  const { thinEndMm: _, ...kept } = piece
  draft.put({ ...kept, form: 'steak', count, weightG, thicknessMm, lengthMm, widthMm })
  emit('taken')
}
const COLUMNS = [
  { title: 'Portion', dataIndex: 'number' },
  { title: 'Weight', dataIndex: 'weight' },
  { title: 'Thick in the pan', dataIndex: 'thick' },
  { title: 'Face', dataIndex: 'face' }
]
const TAKE = { title: '', key: 'take' }
const columns = computed(() => [...COLUMNS, ...(ribs.value.length > 0 ? [{ title: 'On', dataIndex: 'on' }] : []), TAKE])
interface PortionRow {
  readonly number: number
  readonly weight: string
  readonly thick: string
  readonly face: string
  readonly on: string
}
const rows = computed(() =>
  portions.value.map((p, i): PortionRow => ({
    number: i + 1,
    weight: mass(p.weightG),
    thick: length(p.thicknessMm),
    face: `${length(p.lengthMm)} × ${length(p.widthMm)}`,
    on: p.ribs === 0 ? 'no bone' : p.ribs === 1 ? 'one rib' : `${p.ribs} ribs`
  }))
)

const alike = computed(() => {
  const one = portions.value[chosen.value] as Portion | undefined
  if (!one) return 1
  return portions.value.filter(
    p => Math.abs(p.weightG - one.weightG) < 0.08 * one.weightG && Math.abs(p.thicknessMm - one.thicknessMm) <= 2
  ).length
})
</script>

<template>
  <div>
    <div class="fields">
      <quantity-field
        label="Whole, trimmed"
        dimension="mass"
        :range="PIECE_LIMITS.weightG"
        :model-value="muscle.weightG"
        @update:model-value="v => size({ weightG: v })"
      />
      <quantity-field
        label="Long"
        dimension="length"
        :range="[60, 700]"
        :model-value="muscle.lengthMm"
        @update:model-value="v => size({ lengthMm: v })"
      />
      <quantity-field
        label="Wide"
        dimension="length"
        :range="[30, 400]"
        :model-value="muscle.widthMm"
        @update:model-value="v => size({ widthMm: v })"
      />
      <quantity-field
        label="Thick"
        dimension="length"
        :range="[5, 200]"
        :model-value="muscle.thicknessMm"
        @update:model-value="v => size({ thicknessMm: v })"
      />
    </div>
    <div class="how">
      <span class="quiet">Cut into</span>
      <a-button @click="equal(portions.length - 1)">−</a-button>
      <strong>{{ portions.length }}</strong>
      <a-button @click="equal(portions.length + 1)">+</a-button>
      <a-button @click="equal(portions.length)">all of one weight</a-button>
      <a-button @click="equal(counter.ask.guests)">one for each of {{ counter.ask.guests }}</a-button>
      <template v-if="draft.cut.portioning === 'slices'">
        <a-button v-for="mm in [25, 38, 50]" :key="mm" @click="slice(mm)">slices of {{ length(mm) }}</a-button>
      </template>
    </div>

    <div ref="box" class="board">
      <svg
        v-if="width > 0"
        :width="w + 4"
        :height="h + 34"
        :aria-label="`Whole ${draft.cut.name.toLowerCase()} in ${portions.length} portions; knife lines can be moved`"
        role="group"
        @pointermove="move"
        @pointerup="dragged = null"
        @pointercancel="dragged = null"
      >
        <defs>
          <clipPath :id="id"><path :d="outline" /></clipPath>
        </defs>
        <g transform="translate(2 26)">
          <path :d="outline" :fill="tint(draft.cut)" />
          <g :clip-path="`url(#${id})`">
            <rect
              v-if="portions[chosen]"
              :x="portions[chosen].fromMm * scale"
              y="0"
              :width="(portions[chosen].toMm - portions[chosen].fromMm) * scale"
              :height="h"
              fill="#fff"
              opacity="0.22"
            />
            <path :d="grainPath(grain, w, h, 7)" class="grain" />
            <rect
              v-for="r in ribs"
              :key="r.fromMm"
              class="rib"
              :x="r.fromMm * scale"
              :y="h * 0.28"
              :width="(r.toMm - r.fromMm) * scale"
              :height="h"
              rx="7"
            />
            <path v-if="draft.cut.fatEdge" :d="`M 0 1 H ${w}`" class="fat" />
          </g>
          <g v-for="(p, i) in portions" :key="i" class="portion" @click="chosen = i">
            <rect :x="p.fromMm * scale" y="-26" :width="(p.toMm - p.fromMm) * scale" :height="h + 26" fill="transparent" />
            <text v-if="(p.toMm - p.fromMm) * scale > 34" :x="((p.fromMm + p.toMm) / 2) * scale" y="-8">{{ mass(p.weightG) }}</text>
          </g>
          <g
            v-for="(c, i) in cuts"
            :key="i"
            class="knife"
            role="slider"
            tabindex="0"
            :aria-label="`Knife line ${i + 1}`"
            :aria-valuenow="Math.round(c)"
            :aria-valuemin="0"
            :aria-valuemax="Math.round(muscle.lengthMm)"
            :aria-valuetext="`${length(c)} from the thick end`"
            @pointerdown="
              e => {
                dragged = i
                ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
              }
            "
            @keydown="e => key(i, e)"
          >
            <rect :x="c * scale - 9" y="-4" width="18" :height="h + 8" fill="transparent" />
            <line :x1="c * scale" :x2="c * scale" y1="-4" :y2="h + 4" />
          </g>
        </g>
      </svg>
    </div>
    <p class="quiet">
      Lines run with the grain.
      {{
        runsWith
          ? 'The knife goes with it here, so that each diner’s slices go across.'
          : draft.cut.portioning === 'slices'
            ? 'The knife goes across it: each portion stands on the ends of its fibres.'
            : 'Thin as it is, it is divided into lengths and sliced when it is cooked.'
      }}
      {{ throughBone }}
    </p>

    <a-table
      class="portions"
      size="small"
      row-key="number"
      :columns="columns"
      :data-source="rows"
      :pagination="false"
      :row-class-name="(r: PortionRow) => (r.number === chosen + 1 ? 'on' : '')"
      :custom-row="(r: PortionRow) => ({ onClick: () => (chosen = r.number - 1) })"
    >
      <template #bodyCell="{ column, record }">
        <a-button v-if="column.key === 'take'" size="small" @click.stop="take(portions[record.number - 1], 1)">Measure this one</a-button>
      </template>
    </a-table>
    <a-button v-if="alike > 1" class="alike" @click="take(portions[chosen], Math.min(alike, PIECE_LIMITS.count[1]))">
      Cook {{ Math.min(alike, PIECE_LIMITS.count[1]) }} like number {{ chosen + 1 }} together
    </a-button>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px 18px;
  margin-bottom: 12px;
}
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 10px;
}
.how strong {
  min-width: 22px;
  text-align: center;
  font-size: 18px;
}
.board {
  width: 100%;
  touch-action: pan-y;
}
svg {
  display: block;
}
.grain {
  fill: none;
  stroke: #fff;
  opacity: 0.42;
}
.rib {
  fill: #efe8d6;
  stroke: #b9ad90;
  opacity: 0.9;
}
.fat {
  stroke: #ead9ae;
  stroke-width: 10;
}
.knife {
  cursor: ew-resize;
  outline: none;
}
.knife line {
  stroke: #1d2224;
  stroke-width: 2;
}
.knife:focus-visible line {
  stroke: var(--brass);
  stroke-width: 5;
}
.portion {
  cursor: pointer;
}
text {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--ink);
}
.portions {
  margin: 10px 0;
  max-width: 760px;
}
.portions :deep(tr.on td) {
  background: var(--tile);
}
@media (max-width: 600px) {
  .portions :deep(th:nth-child(4)),
  .portions :deep(td:nth-child(4)) {
    display: none;
  }
  th,
  td {
    padding-right: 8px;
  }
}
.alike {
  height: 42px;
}
</style>
