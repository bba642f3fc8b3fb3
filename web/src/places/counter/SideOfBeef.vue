<script setup lang="ts">
/**
 * The side of beef: muscles where they lie, lined along the grain, tinted by tenderness or
 * by what suits the question asked. One stop for the keyboard; arrows go from muscle to muscle.
 */
import { RadioButton as ARadioButton, RadioGroup as ARadioGroup } from 'ant-design-vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import { isTender, tendernessWord } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { SIDE, type PlacedMuscle, type Point } from '#core/meat/side'
import { smoothPath } from '../../section/cutOutline'
import { shade, tenderness } from '../../section/tint'
import ChoiceRow from '../../ui/ChoiceRow.vue'

const props = defineProps<{
  chosenId: string
  /** From 0 to 1 by cut, where the tint shows what suits; null tints by tenderness. */
  suits: Readonly<Record<string, number>> | null
  /** Cuts that the search has found; null when nothing is searched for. */
  found: readonly string[] | null
}>()
const emit = defineEmits<{ choose: [cutId: string] }>()
const layer = ref<PlacedMuscle['layer']>('outer')
const id = useId()
const drawing = useTemplateRef<SVGSVGElement>('drawing')

/** On a narrow screen a third of it at a time, large enough for a thumb: from the left edge of each, all as wide. */
const narrow = useMediaQuery('(max-width: 760px)')
const PARTS = [
  { id: 'front', says: 'Shoulder end', from: 0 },
  { id: 'middle', says: 'Middle', from: 290 },
  { id: 'back', says: 'Leg end', from: 590 }
] as const
const PART_WIDE = 400
type PartOfSide = (typeof PARTS)[number]
const part = ref<PartOfSide['id']>('middle')
const frame = computed(() => (narrow.value ? `${PARTS.find(p => p.id === part.value)?.from ?? 0} 56 ${PART_WIDE} 440` : '0 56 1000 440'))
/** Our own outline of the whole animal, behind the muscles. */
const BODY: readonly Point[] = [
  [2, 150],
  [50, 118],
  [96, 112],
  [168, 82],
  [222, 76],
  [320, 64],
  [454, 62],
  [612, 70],
  [720, 94],
  [806, 132],
  [884, 142],
  [930, 200],
  [940, 300],
  [912, 360],
  [898, 480],
  [852, 494],
  [832, 420],
  [800, 352],
  [720, 336],
  [640, 336],
  [500, 372],
  [420, 402],
  [330, 414],
  [272, 420],
  [264, 486],
  [222, 494],
  [204, 410],
  [150, 380],
  [116, 300],
  [86, 262],
  [40, 236],
  [2, 208]
]

const muscles = computed(() => SIDE.filter(m => m.layer === layer.value))
const ghosts = computed(() => SIDE.filter(m => m.layer !== layer.value))
const chosen = computed(() => SIDE.find(m => m.cuts[0] === props.chosenId) ?? SIDE.find(m => m.cuts.includes(props.chosenId)))
watch(
  () => props.chosenId,
  () => {
    if (!chosen.value) return
    if (!muscles.value.some(m => m.cuts.includes(props.chosenId))) layer.value = chosen.value.layer
    if (!whole(chosen.value, part.value)) part.value = partOf(chosen.value)
  },
  { immediate: true }
)
/** Whether all of it is in sight in a part. */
function whole({ outline }: PlacedMuscle, id: PartOfSide['id']): boolean {
  const from = PARTS.find(p => p.id === id)?.from ?? 0
  return outline.every(([x]) => x >= from && x <= from + PART_WIDE)
}
/** The part whose middle lies nearest to its own. */
function partOf({ outline }: PlacedMuscle): PartOfSide['id'] {
  const off = (p: PartOfSide): number => Math.abs(p.from + PART_WIDE / 2 - centre(outline)[0])
  return [...PARTS].sort((a, b) => off(a) - off(b))[0].id
}

const value = (m: PlacedMuscle): number =>
  Math.max(...m.cuts.map(c => (props.suits ? (props.suits[c] ?? 0) : tenderness(cutById(c) ?? never()))))
function never(): never {
  throw new Error('A muscle names a cut that is not in the catalogue.')
}
const dim = (m: PlacedMuscle): boolean => props.found !== null && !m.cuts.some(c => props.found?.includes(c))
const isChosen = (m: PlacedMuscle): boolean => m.cuts.includes(props.chosenId)
/** Middle of its area. */
function centre(points: readonly Point[]): Point {
  let area = 0
  let cx = 0
  let cy = 0
  points.forEach(([x, y], i) => {
    const [u, v] = points[(i + 1) % points.length]
    const cross = x * v - u * y
    area += cross
    cx += (x + u) * cross
    cy += (y + v) * cross
  })
  return [cx / (3 * area), cy / (3 * area)]
}
const extent = (points: readonly Point[], axis: 0 | 1): number =>
  Math.max(...points.map(p => p[axis])) - Math.min(...points.map(p => p[axis]))
const LETTER = 7.4

interface Label {
  readonly x: number
  readonly y: number
  /** One a line. */
  readonly lines: readonly string[]
  readonly upright: boolean
}
/** In one line where it fits, upright where the muscle is tall and narrow, else a word a line. */
function labelOf({ label, outline }: PlacedMuscle): Label {
  const [x, y] = centre(outline)
  const long = label.length * LETTER
  const [w, h] = [extent(outline, 0), extent(outline, 1)]
  if (long <= w) return { x, y, lines: [label], upright: false }
  if (h > 1.6 * w && long <= h) return { x, y, lines: [label], upright: true }
  return { x, y, lines: label.split(' '), upright: false }
}
const said = (m: PlacedMuscle): string => {
  const cut = cutById(m.cuts[0])
  return cut ? `${m.label}: ${tendernessWord(cut)}${isTender(cut) ? '' : ', for a braise'}` : m.label
}
const stop = computed(() => muscles.value.find(isChosen) ?? muscles.value[0])

function choose(m: PlacedMuscle): void {
  emit('choose', m.cuts.includes(props.chosenId) ? props.chosenId : m.cuts[0])
}

/** The nearest muscle in the direction of an arrow. */
function go(event: KeyboardEvent, from: PlacedMuscle, dx: number, dy: number): void {
  event.preventDefault()
  const [x, y] = centre(from.outline)
  let best: PlacedMuscle | null = null
  let least = Infinity
  for (const m of muscles.value) {
    const [mx, my] = centre(m.outline)
    const along = (mx - x) * dx + (my - y) * dy
    const aside = Math.abs((mx - x) * dy) + Math.abs((my - y) * dx)
    if (m === from || along <= 4) continue
    const far = along + 2.2 * aside
    if (far < least) {
      least = far
      best = m
    }
  }
  if (!best) return
  choose(best)
  void nextTick(() => drawing.value?.querySelector<SVGGElement>('[tabindex="0"]')?.focus())
}
</script>

<template>
  <div class="side">
    <a-radio-group v-model:value="layer" class="layers" button-style="solid" name="layer" aria-label="Layer shown" role="radiogroup">
      <a-radio-button value="outer">Outside</a-radio-button>
      <a-radio-button value="inner">Lifted off: inside</a-radio-button>
    </a-radio-group>
    <choice-row v-if="narrow" v-model="part" class="parts" label="Part of it" :options="PARTS.map(p => ({ value: p.id, label: p.says }))" />
    <div class="drawing">
      <svg ref="drawing" :viewBox="frame" role="group" aria-label="Side of beef. Arrow keys go from muscle to muscle.">
        <defs>
          <pattern
            v-for="m in SIDE"
            :id="`${id}-${m.id}`"
            :key="m.id"
            width="9"
            height="9"
            patternUnits="userSpaceOnUse"
            :patternTransform="`rotate(${-m.grainDeg})`"
          >
            <line x1="0" y1="4" x2="9" y2="4" stroke="#fff" stroke-width="1.3" opacity="0.4" />
          </pattern>
        </defs>
        <path :d="smoothPath(BODY)" class="body" />
        <path v-for="m in ghosts" :key="m.id" :d="smoothPath(m.outline)" class="ghost" />
        <g
          v-for="m in muscles"
          :key="m.id"
          role="button"
          class="muscle"
          :class="{ on: isChosen(m), dim: dim(m) }"
          :tabindex="m === stop ? 0 : -1"
          :aria-pressed="isChosen(m)"
          :aria-label="said(m)"
          @click="choose(m)"
          @keydown.enter.prevent="choose(m)"
          @keydown.space.prevent="choose(m)"
          @keydown.left="e => go(e, m, -1, 0)"
          @keydown.right="e => go(e, m, 1, 0)"
          @keydown.up="e => go(e, m, 0, -1)"
          @keydown.down="e => go(e, m, 0, 1)"
        >
          <path :d="smoothPath(m.outline)" :fill="shade(value(m))" class="flesh" />
          <path :d="smoothPath(m.outline)" :fill="`url(#${id}-${m.id})`" class="grain" />
          <text
            aria-hidden="true"
            :class="{ light: value(m) > 0.42 }"
            :transform="`translate(${labelOf(m).x} ${labelOf(m).y}) rotate(${labelOf(m).upright ? 82 : 0})`"
          >
            <tspan v-for="(w, i) in labelOf(m).lines" :key="w" x="0" :y="4.5 + 14 * (i - (labelOf(m).lines.length - 1) / 2)">
              {{ `${w} ` }}
            </tspan>
          </text>
        </g>
      </svg>
    </div>
    <p class="key quiet">
      <span>{{ suits ? 'suits you less' : 'tough' }}</span>
      <i v-for="n in 8" :key="n" :style="{ background: shade((n - 1) / 7) }"></i>
      <span>{{ suits ? 'suits you best' : 'tender' }}</span>
      <span class="lines">lines run with the grain</span>
    </p>
  </div>
</template>

<style scoped>
.side {
  position: relative;
}
svg {
  display: block;
  width: 100%;
  max-height: 360px;
}
.body {
  fill: #e3e6df;
}
.ghost {
  fill: none;
  stroke: #cdd2ca;
  stroke-dasharray: 3 4;
}
.muscle {
  cursor: pointer;
  outline: none;
}
.flesh {
  stroke: var(--marble);
  stroke-width: 2;
}
.grain {
  pointer-events: none;
}
.muscle:hover .flesh {
  stroke: #6b4a4a;
}
.muscle.on .flesh {
  stroke: var(--ink);
  stroke-width: 3.5;
}
.muscle:focus-visible .flesh {
  stroke: var(--brass);
  stroke-width: 5;
}
.dim {
  opacity: 0.28;
}
text {
  font-size: 13.5px;
  font-weight: 600;
  text-anchor: middle;
  fill: #33282a;
  pointer-events: none;
}
text.light {
  fill: #fff;
}
.layers {
  position: absolute;
  left: 0;
  bottom: 26px;
}
.key {
  display: flex;
  align-items: center;
  gap: 0;
  font-size: 13px;
  justify-content: flex-end;
}
.key i {
  width: 16px;
  height: 11px;
}
.key span {
  margin: 0 7px;
}
.lines {
  padding-left: 18px;
}
@media (max-width: 760px) {
  .side {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
  .layers {
    position: static;
    order: 2;
  }
  .key {
    order: 3;
  }
  .parts {
    order: 1;
  }
  .drawing {
    margin: 0 -16px;
    overflow: hidden;
  }
  svg {
    max-height: none;
  }
  .key .lines {
    display: none;
  }
}
</style>
