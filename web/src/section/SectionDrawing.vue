<script setup lang="ts">
/**
 * The piece cut open, to scale, in the colours that its heat has given it: ruler on
 * the left, isotherms and bands named on the right, the probe at the coldest point.
 */
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import { cookedColour } from '#core/doneness/colour'
import { GREY_FROM, isotherm } from '#core/doneness/section'
import type { Field } from '#core/heat/history'
import { showLength, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../stores/units'
import { fatPath, marbling, outlinePath } from './outline'
import { rulerTicks } from './ruler'

const props = defineProps<{
  widthMm: number
  thicknessMm: number
  fatEdge: boolean
  fatShare: number
  /** None draws the piece raw. */
  field: Pick<Field, 'hottest'> | null
  edgesMm: readonly number[]
  /** Reading at the coldest point, °C. */
  core: number | null
  /** The core in words, "medium rare". */
  word?: string | undefined
  height?: number
  plain?: boolean
}>()

const units = useUnits()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)

const LEFT = 64
const RIGHT = 176
/** Narrower than this there is room for the core alone beside the drawing. */
const NARROW = 520
const RIGHT_NARROW = 96
const narrow = computed(() => width.value < NARROW)
const frame = computed(() =>
  props.plain ? { left: 2, right: 2, top: 3 } : { left: LEFT, right: narrow.value ? RIGHT_NARROW : RIGHT, top: 14 }
)
const scale = computed(() => {
  const { left, right, top } = frame.value
  const across = ((props.plain ? width.value : Math.max(width.value, 120)) - left - right) / props.widthMm
  return Math.max(0.1, Math.min(across, ((props.height ?? 230) - 2 * top) / props.thicknessMm))
})
/** No taller than what is drawn, on a narrow screen. */
const height = computed(() => (narrow.value ? Math.ceil(props.thicknessMm * scale.value + 2 * frame.value.top) : (props.height ?? 230)))
const shape = computed(() => ({ widthMm: props.widthMm, thicknessMm: props.thicknessMm, fatEdge: props.fatEdge }))
const fat = computed(() => fatPath(shape.value))
const flecks = computed(() => marbling(shape.value, props.fatShare, Math.round(props.widthMm * 7 + props.thicknessMm)))
const bottom = computed(() => frame.value.top + props.thicknessMm * scale.value)

/** The first face lies below: depth z from it is drawn upward. */
const stops = computed(() => {
  const t = props.thicknessMm
  if (!props.field)
    return [
      { at: 0, colour: cookedColour(0) },
      { at: 1, colour: cookedColour(0) }
    ]
  return props.field.hottest
    .map((T, i) => ({ at: 1 - (props.edgesMm[i] + props.edgesMm[i + 1]) / 2 / t, colour: cookedColour(T) }))
    .reverse()
})

interface Mark {
  readonly y: number
  readonly labelY: number
  readonly text: string
  readonly strong: boolean
}

const LABEL_STEP = 19

/** Labels from the top face to the middle, pushed apart where they would touch. */
const marks = computed((): Mark[] => {
  const { field } = props
  if (!field || props.plain || narrow.value) return []
  const px = (depth: number): number => frame.value.top + (props.thicknessMm - depth) * scale.value
  const top = (celsius: number): number | undefined => {
    const depths = isotherm({ ...field, time: 0, temperature: [], wetness: [] }, props.edgesMm, celsius).filter(
      d => d > props.thicknessMm / 2
    )
    return depths[depths.length - 1]
  }
  const found: { depth: number; text: string; strong: boolean }[] = []
  const crust = top(104)
  if (crust !== undefined)
    found.push({ depth: crust, text: `crust ${shownText(showLength(props.thicknessMm - crust, units.system, true))}`, strong: false })
  const grey = top(GREY_FROM)
  if (grey !== undefined)
    found.push({ depth: grey, text: `grey to here, past ${shownText(showTemperature(GREY_FROM, units.system))}`, strong: false })
  const pink = top(58)
  if (pink !== undefined && grey !== undefined && props.core !== null && props.core < 56)
    found.push({ depth: pink, text: `pink below ${shownText(showTemperature(58, units.system))}`, strong: false })
  let last = -Infinity
  const middle = px(props.thicknessMm / 2)
  return found.map(f => {
    const y = px(f.depth)
    const labelY = Math.max(Math.min(y, middle - LABEL_STEP), last + LABEL_STEP)
    last = labelY
    return { y, labelY, text: f.text, strong: f.strong }
  })
})

const right = computed(() => frame.value.left + props.widthMm * scale.value)
const probeY = computed(() => {
  const half = frame.value.top + (props.thicknessMm / 2) * scale.value
  const last = marks.value[marks.value.length - 1] as Mark | undefined
  return { tip: tipY.value ?? half, label: Math.max(tipY.value ?? half, (last?.labelY ?? -Infinity) + LABEL_STEP) }
})
/** The least cooked depth inside the heart of the piece. */
const tipY = computed(() => {
  if (!props.field) return null
  let best = -1
  props.field.hottest.forEach((T, i) => {
    const z = (props.edgesMm[i] + props.edgesMm[i + 1]) / 2
    if (z < props.thicknessMm / 4 || z > (3 * props.thicknessMm) / 4) return
    if (best < 0 || T < (props.field?.hottest[best] ?? 0)) best = i
  })
  if (best < 0) return null
  return frame.value.top + (props.thicknessMm - (props.edgesMm[best] + props.edgesMm[best + 1]) / 2) * scale.value
})

const ticks = computed(() => rulerTicks(props.thicknessMm, units.system, scale.value))
const coreText = computed(() => (props.core === null ? '' : shownText(showTemperature(props.core, units.system))))
const said = computed(() =>
  props.field
    ? `The piece cut open, ${shownText(showLength(props.thicknessMm, units.system))} thick: ${coreText.value} at the coldest point${props.word ? `, ${props.word}` : ''}. ${marks.value.map(m => m.text).join(', ')}.`
    : `The raw piece cut open: ${shownText(showLength(props.thicknessMm, units.system))} thick, ${shownText(showLength(props.widthMm, units.system))} across.`
)
</script>

<template>
  <div ref="box" class="section" :style="{ height: `${height}px` }">
    <svg v-if="width > 0" :width="width" :height="height" role="img" :aria-label="said" :aria-hidden="plain && core === null">
      <defs>
        <linearGradient :id="`${id}-heat`" x1="0" y1="0" x2="0" :y2="thicknessMm" gradientUnits="userSpaceOnUse">
          <stop v-for="(s, i) in stops" :key="i" :offset="s.at" :stop-color="s.colour" />
        </linearGradient>
        <clipPath :id="`${id}-clip`"><path :d="outlinePath(shape)" /></clipPath>
      </defs>

      <g v-if="!plain" class="ruler">
        <line
          v-for="t in ticks"
          :key="t.mm"
          :x1="LEFT - 6 - t.length"
          :x2="LEFT - 6"
          :y1="bottom - t.mm * scale"
          :y2="bottom - t.mm * scale"
        />
        <text v-for="t in ticks.filter(k => k.label)" :key="`l${t.mm}`" :x="LEFT - 26" :y="bottom - t.mm * scale + 4.5" text-anchor="end">
          {{ t.label }}
        </text>
        <text :x="LEFT - 26" :y="10" text-anchor="end" class="unit">{{ units.system === 'metric' ? 'mm' : 'in' }}</text>
      </g>

      <g :transform="`translate(${frame.left} ${frame.top}) scale(${scale})`">
        <g :clip-path="`url(#${id}-clip)`">
          <rect x="-2" y="-2" :width="widthMm + 4" :height="thicknessMm + 4" :fill="`url(#${id}-heat)`" />
          <path v-for="(m, i) in flecks" :key="i" :d="m" class="fleck" />
          <path v-if="fat" :d="fat" class="fat" />
          <path v-if="fat && field" :d="fat" :fill="`url(#${id}-heat)`" opacity="0.22" />
        </g>
        <path :d="outlinePath(shape)" class="rim" :class="{ raw: !field }" vector-effect="non-scaling-stroke" />
      </g>

      <g v-if="!plain" class="marks">
        <template v-for="m in marks" :key="m.text">
          <line :x1="frame.left + 0.16 * widthMm * scale" :x2="right - 4" :y1="m.y" :y2="m.y" class="iso" />
          <polyline :points="`${right - 4},${m.y} ${right + 10},${m.labelY} ${right + 16},${m.labelY}`" class="lead" />
          <text :x="right + 20" :y="m.labelY + 4.5">{{ m.text }}</text>
        </template>
        <template v-if="core !== null">
          <line :x1="frame.left + 0.52 * widthMm * scale" :x2="right + 10" :y1="probeY.tip" :y2="probeY.tip" class="probe" />
          <circle :cx="frame.left + 0.52 * widthMm * scale" :cy="probeY.tip" r="4.5" class="tip" />
          <polyline :points="`${right + 10},${probeY.tip} ${right + 16},${probeY.label}`" class="lead" />
          <text :x="right + 20" :y="probeY.label + 5" class="core">{{ coreText }}</text>
          <text v-if="word" :x="right + 20" :y="probeY.label + 22" class="word">{{ word }}</text>
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.section {
  width: 100%;
  overflow: hidden;
}
.ruler line {
  stroke: currentColor;
  stroke-width: 1;
  opacity: 0.75;
}
text {
  font-size: 13px;
  fill: currentColor;
}
.unit {
  font-size: 12px;
  opacity: 0.8;
}
.fleck {
  fill: none;
  stroke: #f4e3c8;
  stroke-width: 0.34;
  stroke-linecap: round;
  opacity: 0.55;
}
.fat {
  fill: #ead9ae;
}
.rim {
  fill: none;
  stroke: #3a2115;
  stroke-width: 1.5;
}
.rim.raw {
  stroke: #5f1830;
}
.iso {
  stroke: #1d2224;
  stroke-width: 1;
  stroke-dasharray: 2 4;
  opacity: 0.55;
}
.lead {
  fill: none;
  stroke: currentColor;
  opacity: 0.45;
}
.probe {
  stroke: #d9dedb;
  stroke-width: 3;
  paint-order: stroke;
  filter: drop-shadow(0 0 1px #1d2224);
}
.tip {
  fill: #1d2224;
  stroke: #fff;
  stroke-width: 1.5;
}
.core {
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 600;
}
.word {
  opacity: 0.85;
}
</style>
