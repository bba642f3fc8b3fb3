<script setup lang="ts">
/**
 * The raw piece on its side against a ruler: drag its top to the thickness, and for a
 * wedge the thin end too. The ruler keeps still under the hand.
 */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId, useTemplateRef, watch } from 'vue'
import { PIECE_LIMITS } from '#core/meat/piece'
import { showLength, shownText } from '#core/quantity/format'
import { marbling } from '../../section/outline'
import { rulerTicks } from '../../section/ruler'
import { useUnits } from '../../stores/units'

const props = defineProps<{ lengthMm: number; thicknessMm: number; thinEndMm: number | undefined; fatEdge: boolean; fatShare: number }>()
const emit = defineEmits<{ thickness: [mm: number]; thinEnd: [mm: number] }>()

const units = useUnits()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
/** Tallest it is drawn; on a narrow screen the length of the piece sets the scale, and less is enough. */
const TALLEST = 240
const LEFT = 66

/** Tallest that the ruler shows, mm: room to drag upward; kept while dragging. */
const top = ref(80)
const dragging = ref<'thick' | 'thin' | null>(null)
const fitTop = (): number => Math.max(60, Math.ceil((props.thicknessMm * 1.45) / 10) * 10)
watch(
  () => [props.thicknessMm, dragging.value],
  () => {
    if (!dragging.value) top.value = fitTop()
  },
  { immediate: true }
)
const scale = computed(() => Math.min((TALLEST - 30) / top.value, Math.max(0.2, (width.value - LEFT - 90) / props.lengthMm)))
const height = computed(() => Math.max(120, Math.round(top.value * scale.value) + 30))
const base = computed(() => height.value - 14)
const w = computed(() => props.lengthMm * scale.value)
const thick = computed(() => props.thicknessMm * scale.value)
const thin = computed(() => (props.thinEndMm ?? props.thicknessMm) * scale.value)
const shape = computed(() => {
  const l = LEFT + 8
  const r = l + w.value
  const round = Math.min(thin.value, thick.value) * 0.4
  return `M ${l + round} ${base.value - thick.value} L ${r - round} ${base.value - thin.value} Q ${r} ${base.value - thin.value} ${r} ${base.value - thin.value * 0.5} Q ${r} ${base.value} ${r - round} ${base.value} L ${l + round} ${base.value} Q ${l} ${base.value} ${l} ${base.value - thick.value * 0.5} Q ${l} ${base.value - thick.value} ${l + round} ${base.value - thick.value} Z`
})
const flecks = computed(() =>
  marbling(
    { widthMm: props.lengthMm, thicknessMm: Math.min(props.thicknessMm, props.thinEndMm ?? 1e9), fatEdge: props.fatEdge },
    props.fatShare,
    7
  )
)
const ticks = computed(() => rulerTicks((base.value - 24) / scale.value, units.system, scale.value))
const text = (mm: number): string => shownText(showLength(mm, units.system))

function start(what: 'thick' | 'thin', event: PointerEvent): void {
  dragging.value = what
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function move(event: PointerEvent): void {
  if (!dragging.value || !box.value) return
  const y = event.clientY - box.value.getBoundingClientRect().top
  set(dragging.value, (base.value - y) / scale.value)
}
function set(what: 'thick' | 'thin', mm: number): void {
  const step = units.system === 'metric' ? 1 : 25.4 / 8
  const [low, high] = PIECE_LIMITS.thicknessMm
  const rounded = Math.round(mm / step) * step
  const value = Number(Math.min(Math.max(rounded, low), what === 'thin' ? props.thicknessMm : Math.min(high, top.value)).toFixed(2))
  if (what === 'thick') emit('thickness', value)
  else emit('thinEnd', value)
}
function key(what: 'thick' | 'thin', event: KeyboardEvent): void {
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  const step = units.system === 'metric' ? 1 : 25.4 / 8
  set(what, (what === 'thick' ? props.thicknessMm : (props.thinEndMm ?? props.thicknessMm)) + by * step)
}
const handles = computed(() => [
  {
    what: 'thick' as const,
    x: LEFT + 8 + w.value * (props.thinEndMm === undefined ? 0.5 : 0.1),
    mm: props.thicknessMm,
    name: 'Top face against the ruler'
  },
  ...(props.thinEndMm === undefined
    ? []
    : [{ what: 'thin' as const, x: LEFT + 8 + w.value * 0.93, mm: props.thinEndMm, name: 'Top of the thinner end against the ruler' }])
])
const heightAt = (x: number): number => thick.value + ((thin.value - thick.value) * (x - LEFT - 8)) / w.value
</script>

<template>
  <div ref="box" class="measured">
    <svg v-if="width > 0" :width="width" :height="height" @pointermove="move" @pointerup="dragging = null" @pointercancel="dragging = null">
      <g class="ruler" aria-hidden="true">
        <line v-for="t in ticks" :key="t.mm" :x1="LEFT - 6 - t.length" :x2="LEFT - 6" :y1="base - t.mm * scale" :y2="base - t.mm * scale" />
        <text v-for="t in ticks.filter(k => k.label)" :key="`l${t.mm}`" :x="LEFT - 26" :y="base - t.mm * scale + 4.5" text-anchor="end">
          {{ t.label }}
        </text>
        <text :x="LEFT - 26" y="12" text-anchor="end">{{ units.system === 'metric' ? 'mm' : 'in' }}</text>
        <line :x1="LEFT - 20" :x2="width" :y1="base + 1" :y2="base + 1" class="board" />
      </g>
      <defs>
        <clipPath :id="id"><path :d="shape" /></clipPath>
      </defs>
      <path :d="shape" class="meat" aria-hidden="true" />
      <g :transform="`translate(${LEFT + 8} ${base - Math.min(thin, thick)}) scale(${scale})`" aria-hidden="true">
        <path v-for="(m, i) in flecks" :key="i" :d="m" class="fleck" />
      </g>
      <path
        v-if="fatEdge"
        :clip-path="`url(#${id})`"
        :d="`M ${LEFT + 9} ${base - thick} L ${LEFT + 9} ${base}`"
        class="fat"
        aria-hidden="true"
      />
      <g
        v-for="h in handles"
        :key="h.what"
        class="handle"
        role="slider"
        tabindex="0"
        :aria-label="h.name"
        :aria-valuenow="Math.round(h.mm)"
        :aria-valuemin="PIECE_LIMITS.thicknessMm[0]"
        :aria-valuemax="h.what === 'thin' ? Math.round(thicknessMm) : PIECE_LIMITS.thicknessMm[1]"
        :aria-valuetext="text(h.mm)"
        @pointerdown="e => start(h.what, e)"
        @keydown="e => key(h.what, e)"
      >
        <line :x1="LEFT - 6" :x2="h.x" :y1="base - heightAt(h.x)" :y2="base - heightAt(h.x)" class="level" />
        <rect :x="h.x - 46" :y="base - heightAt(h.x) - 22" width="92" height="44" fill="transparent" />
        <rect :x="h.x - 24" :y="base - heightAt(h.x) - 5" width="48" height="10" rx="5" class="grip" />
        <text :x="h.x" :y="base - heightAt(h.x) - 11" text-anchor="middle" class="value">{{ text(h.mm) }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.measured {
  width: 100%;
  touch-action: none;
}
.ruler line {
  stroke: currentColor;
  opacity: 0.75;
}
.ruler .board {
  stroke-width: 2;
}
text {
  font-size: 13px;
  fill: currentColor;
}
.meat {
  fill: #8c2a40;
  stroke: #5f1830;
  stroke-width: 1.5;
}
.fleck {
  fill: none;
  stroke: #f4e3c8;
  stroke-width: 0.34;
  opacity: 0.55;
}
.fat {
  stroke: #ead9ae;
  stroke-width: 20;
}
.handle {
  cursor: ns-resize;
  outline: none;
}
.level {
  stroke: var(--ink);
  stroke-dasharray: 2 4;
  opacity: 0.5;
}
.grip {
  fill: var(--brass);
  stroke: #fff;
  stroke-width: 2;
}
.handle:focus-visible .grip {
  stroke: var(--ink);
  stroke-width: 3;
}
.value {
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 600;
}
</style>
