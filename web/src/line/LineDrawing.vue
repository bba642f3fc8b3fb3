<script setup lang="ts">
/**
 * The whole job as one ribbon of time, and on the same axis under it the core with its
 * spread and the heat of pan and faces. Pointed at or moved by arrow keys, it tells
 * the moment, and the Section follows.
 */
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { valueAt } from '#core/heat/history'
import type { Phase } from '#core/method/method'
import { phaseName, shortName } from '#core/words/phases'
import { plateInUse, type Plan } from '#core/plan/plan'
import type { Spread } from '#core/estimate/spread'
import { capital, showClock, showDuration, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../stores/units'
import { bandPath, degreeTicks, linePath, minuteTicks, nightOf, scale } from './axes'

const props = defineProps<{
  plan: Plan
  spread: Spread | null
  /** Of the pan it begins in; null where it begins elsewhere. */
  preheatS: number
  moment: number
}>()
const emit = defineEmits<{ 'update:moment': [seconds: number] }>()

const units = useUnits()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)

const HEIGHT = 290
const LEFT = 8
const RIGHT = 54
const RIBBON = { top: 2, height: 30 }
const CORE = { top: 50, bottom: 182 }
const HEAT = { top: 200, bottom: 258 }
/** Shown beyond the carving, as a share of the whole. */
const AFTER = 0.06

const start = computed(() => -props.preheatS)
const end = computed(() => {
  const until = Math.max(props.plan.carve.time, Math.min(props.plan.peak.time, last(props.plan.history.time)))
  return until + AFTER * Math.min(until, MOST_AFTER_S)
})
const MOST_AFTER_S = 4 * 3600
const x = computed(() => scale(start.value, end.value, LEFT, Math.max(width.value - RIGHT, LEFT + 50), nightOf(props.plan)))
const topC = computed(() => Math.ceil((Math.max(props.plan.peak.core, props.plan.target, ...(props.spread?.high ?? [])) + 9) / 10) * 10)
const core = computed(() => scale(0, topC.value, CORE.bottom, CORE.top))
const heat = computed(() => scale(0, heatTop(), HEAT.bottom, HEAT.top))

function heatTop(): number {
  const { plate, first, second } = props.plan.history
  return Math.max(wetOnly.value ? 100 : 240, ...[plate, first, second].flatMap(s => s.map(v => v ?? 0)))
}
const wetOnly = computed(() => props.plan.phases.every(p => KIND[p.phase] === 'wet' || p.phase === 'rest'))
const times = computed(() => minuteTicks(x.value, width.value))
const coreTicks = computed(() => degreeTicks(0, topC.value, 5, units.system))
const heatTicks = computed(() => degreeTicks(50, heat.value.to, 3, units.system))

interface Part {
  readonly name: string
  readonly from: number
  readonly to: number
  /** Where the name does not fit. */
  readonly short?: string
  readonly kind: 'heat' | 'sear' | 'hot' | 'wet' | 'rest' | 'carve'
}
const KIND: Record<Phase, Part['kind']> = {
  sear: 'sear',
  'fat edge': 'sear',
  rewarm: 'sear',
  coals: 'sear',
  oven: 'hot',
  'under the lid': 'hot',
  bath: 'wet',
  pot: 'wet',
  cool: 'wet',
  rest: 'rest',
  hold: 'hot',
  chill: 'wet'
}
const parts = computed((): Part[] => {
  const { plan } = props
  return [
    ...(props.preheatS > 0 ? [{ name: 'Heat the pan', from: start.value, to: 0, kind: 'heat' as const }] : []),
    ...plan.phases.map(p => ({
      name: capital(p.phase === 'rest' ? 'rest' : phaseName(p)),
      short: capital(shortName(p)),
      from: p.from,
      to: p.to,
      kind: KIND[p.phase]
    })),
    { name: 'Carve', from: plan.carve.time, to: end.value, kind: 'carve' as const }
  ]
})
/** As much of its name as there is room for. */
function nameOf(p: Part): string | undefined {
  const room = x.value(p.to) - x.value(p.from)
  return [p.name, p.short ?? p.name].find(name => room > name.length * 7.4 + 14)
}

/** When it is turned where it lies. */
const turns = computed(() => {
  const { marks } = props.plan
  return marks.flatMap((m, i) => (i > 0 && m.stage === marks[i - 1].stage ? [m.from] : []))
})
const history = computed(() => props.plan.history)
const read = (series: readonly number[]): number => valueAt(history.value.time, series, props.moment)
const plateNow = computed(() => plateAt())
const now = computed(() => {
  const degrees = (c: number): string => shownText(showTemperature(c, units.system))
  const when = props.moment < 0 ? `${showClock(-props.moment)} before` : `${showClock(props.moment)} on`
  const parts = [when, `core ${degrees(read(history.value.core))}`]
  if (plateNow.value !== null) parts.push(`${wetNow.value ? 'water' : 'pan'} ${degrees(plateNow.value)}`)
  return parts.join(' · ')
})
/** What the piece lies in at the moment, where it lies in anything. */
function plateAt(): number | null {
  const index = history.value.time.findIndex(t => t >= props.moment)
  return props.moment < 0 || index < 0 ? null : plate.value[index]
}
const plate = computed(() => plateInUse(props.plan))
const metal = computed(() => plate.value.some(p => p !== null))
/** Of a joint the side says more than its other end. */
const otherFace = computed(() => (history.value.second.some(f => f !== null) ? history.value.second : history.value.side))
const inWater = (p: { phase: Phase }): boolean => p.phase === 'pot'
const wet = computed(() => props.plan.phases.some(inWater))
const wetNow = computed(() => props.plan.phases.some(p => inWater(p) && props.moment > p.from && props.moment <= p.to))
const pullX = computed(() => x.value(props.plan.pull.time))
const peakX = computed(() => x.value(props.plan.peak.time))
/** Too near each other for two labels. */
const close = computed(() => peakX.value - pullX.value < 100)
const pullText = computed(() => {
  const degrees = (c: number): string => shownText(showTemperature(c, units.system))
  return `off at ${degrees(props.plan.pull.probe)}${close.value ? `, peak ${degrees(props.plan.peak.core)}` : ''}`
})

function at(event: PointerEvent): number {
  const left = box.value?.getBoundingClientRect().left ?? 0
  return Math.max(start.value, Math.min(end.value, x.value.invert(event.clientX - left)))
}
function point(event: PointerEvent): void {
  if (event.pointerType === 'mouse' || event.buttons > 0) emit('update:moment', at(event))
}
function key(event: KeyboardEvent): void {
  const step = event.shiftKey ? 60 : 10
  const jumps: Record<string, number> = {
    ArrowLeft: props.moment - step,
    ArrowRight: props.moment + step,
    Home: start.value,
    End: end.value
  }
  const to = jumps[event.key]
  if (to === undefined) return
  event.preventDefault()
  emit('update:moment', Math.max(start.value, Math.min(end.value, to)))
}
function last(values: readonly number[]): number {
  return values[values.length - 1]
}
</script>

<template>
  <div
    ref="box"
    class="line"
    role="slider"
    tabindex="0"
    aria-label="Moment of the cook"
    :aria-valuemin="Math.round(start)"
    :aria-valuemax="Math.round(end)"
    :aria-valuenow="Math.round(moment)"
    :aria-valuetext="now"
    @pointermove="point"
    @pointerdown="(e: PointerEvent) => emit('update:moment', at(e))"
    @pointerleave="emit('update:moment', plan.carve.time)"
    @keydown="key"
  >
    <svg v-if="width > 0" :width="width" :height="HEIGHT" aria-hidden="true">
      <g class="ribbon">
        <g v-for="p in parts" :key="p.from" :class="p.kind">
          <rect :x="x(p.from)" :y="RIBBON.top" :width="Math.max(0, x(p.to) - x(p.from) - 1.5)" :height="RIBBON.height" />
          <title>{{ p.name }}</title>
        </g>
        <line v-for="t in turns" :key="t" class="turn" :x1="x(t)" :x2="x(t)" :y1="RIBBON.top + 19" :y2="RIBBON.top + RIBBON.height" />
        <g v-for="p in parts" :key="`t${p.from}`" :class="p.kind">
          <text v-if="nameOf(p)" :x="x(p.from) + 8" :y="RIBBON.top + 15">{{ nameOf(p) }}</text>
        </g>
      </g>

      <g class="grid">
        <template v-for="t in coreTicks" :key="t.celsius">
          <line :x1="LEFT" :x2="width - RIGHT" :y1="core(t.celsius)" :y2="core(t.celsius)" />
          <text v-if="Math.abs(core(t.celsius) - core(plan.target)) > 11" :x="width - RIGHT + 8" :y="core(t.celsius) + 4.5">
            {{ t.label }}
          </text>
        </template>
        <template v-for="t in heatTicks" :key="`h${t.celsius}`">
          <line :x1="LEFT" :x2="width - RIGHT" :y1="heat(t.celsius)" :y2="heat(t.celsius)" />
          <text :x="width - RIGHT + 8" :y="heat(t.celsius) + 4.5">{{ t.label }}</text>
        </template>
        <text v-for="t in times" :key="`m${t.seconds}`" :x="x(t.seconds)" :y="HEIGHT - 14" text-anchor="middle">{{ t.label }}</text>
        <text :x="width - 2" :y="HEIGHT - 14" text-anchor="end">min</text>
        <text :x="width - 2" :y="CORE.top - 3" text-anchor="end">{{ units.system === 'metric' ? '°C' : '°F' }}</text>
      </g>

      <g v-for="f in x.folds" :key="f.from" class="fold">
        <line :x1="x(f.from)" :x2="x(f.from)" :y1="RIBBON.top" :y2="HEAT.bottom" />
        <line :x1="x(f.to)" :x2="x(f.to)" :y1="RIBBON.top" :y2="HEAT.bottom" />
        <text :x="(x(f.from) + x(f.to)) / 2" :y="HEIGHT - 14" text-anchor="middle">{{ shownText(showDuration(f.to - f.from)) }}</text>
      </g>

      <line class="target" :x1="LEFT" :x2="width - RIGHT" :y1="core(plan.target)" :y2="core(plan.target)" />
      <text class="target" :x="width - RIGHT + 8" :y="core(plan.target) + 4.5">
        {{ showTemperature(plan.target, units.system).figure }}
      </text>

      <path v-if="spread" class="band" :d="bandPath(spread.time, spread.low, spread.high, x, core)" />
      <path class="core" :d="linePath(history.time, history.probe, x, core)" />
      <path class="pan" :d="linePath(history.time, plate, x, heat)" />
      <path class="face" :d="linePath(history.time, history.first, x, heat)" />
      <path class="face second" :d="linePath(history.time, otherFace, x, heat)" />
      <g class="names">
        <text :x="LEFT + 2" :y="CORE.top + 12">core{{ spread ? ', with what is not known' : '' }}</text>
        <text :x="LEFT + 2" :y="HEAT.top - 5">{{ wet ? 'water and outside' : metal ? 'pan and outside' : 'outside' }}</text>
      </g>

      <line class="pull" :x1="pullX" :x2="pullX" :y1="RIBBON.top + RIBBON.height" :y2="HEAT.bottom" />
      <circle class="pull" :cx="pullX" :cy="core(plan.pull.probe)" r="5" />
      <text class="strong" :x="pullX - 10" :y="core(plan.pull.probe) - 9" text-anchor="end">
        {{ pullText }}
      </text>
      <circle class="peak" :cx="peakX" :cy="core(plan.peak.core)" r="4.5" />
      <text v-if="!close" class="strong ox" :x="peakX" :y="core(plan.peak.core) - 11" text-anchor="middle">
        peak {{ shownText(showTemperature(plan.peak.core, units.system)) }}
      </text>

      <line class="moment" :x1="x(moment)" :x2="x(moment)" :y1="RIBBON.top" :y2="HEAT.bottom" />
      <!-- A hair lower, or its halo would bite into the ribbon. -->
      <text class="moment" :x="Math.min(Math.max(x(moment), 110), width - RIGHT - 70)" :y="CORE.top - 3" text-anchor="middle">
        {{ now }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.line {
  width: 100%;
  height: 290px;
  cursor: crosshair;
  touch-action: pan-y;
  border-radius: 2px;
}
text {
  font-size: 12.5px;
  fill: var(--ink-2);
}
.ribbon text {
  font-size: 13.5px;
  font-weight: 600;
  fill: var(--ink);
}
.heat rect {
  fill: #d9b27c;
}
.sear rect {
  fill: var(--oxblood);
}
.ribbon .sear text {
  fill: #fff;
}
.hot rect {
  fill: #a3502f;
}
.ribbon .hot text,
.ribbon .wet text {
  fill: #fff;
}
.wet rect {
  fill: #3f6670;
}
.rest rect {
  fill: #c9a35a;
}
.fold line {
  stroke: var(--ink-2);
  stroke-dasharray: 1 3;
}
.carve rect {
  fill: #d2d8d3;
}
.turn {
  stroke: #f0d9c0;
  stroke-width: 2;
}
.grid line {
  stroke: var(--rule);
}
.target {
  stroke: var(--oxblood);
  stroke-dasharray: 5 4;
}
text.target {
  stroke: none;
  fill: var(--oxblood);
  font-weight: 600;
}
.band {
  fill: #b3454d;
  opacity: 0.2;
}
.core {
  fill: none;
  stroke: var(--oxblood);
  stroke-width: 2.5;
}
.pan {
  fill: none;
  stroke: #6d5320;
  stroke-width: 2;
}
.face {
  fill: none;
  stroke: #a2452f;
  stroke-width: 1.25;
}
.face.second {
  stroke: #4a5a70;
}
.names text {
  font-size: 12.5px;
}
line.pull {
  stroke: var(--ink);
}
circle.pull {
  fill: var(--marble);
  stroke: var(--ink);
  stroke-width: 2;
}
circle.peak {
  fill: var(--oxblood);
}
.strong {
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--marble);
  stroke-width: 4px;
}
.strong.ox {
  fill: var(--oxblood);
}
line.moment {
  stroke: var(--ink);
  stroke-dasharray: 1 3;
}
text.moment {
  fill: var(--ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--marble);
  stroke-width: 4px;
}
</style>
