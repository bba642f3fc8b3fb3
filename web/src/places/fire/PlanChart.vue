<script setup lang="ts">
/** The core, the faces and what heats them, over the whole of one plan; with another plan's core beside it. */
import VueApexCharts from 'vue3-apexcharts'
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import { plateInUse, type Plan } from '#core/plan/plan'
import { fromBase, shownUnit } from '#core/quantity/units'
import { useUnits } from '../../stores/units'

const props = defineProps<{ plan: Plan; beside: { readonly name: string; readonly plan: Plan } | null }>()
const units = useUnits()
const unit = computed(() => shownUnit('temperature', units.system))
const shown = (celsius: number): number => Math.round(fromBase(celsius, unit.value) * 10) / 10
const line = ({ history }: Plan, of: readonly (number | null)[]) =>
  history.time.flatMap((t, i) => (of[i] === null ? [] : [{ x: t / 60, y: shown(of[i]) }]))

const series = computed(() => [
  { name: 'core', data: line(props.plan, props.plan.history.probe) },
  { name: 'first face', data: line(props.plan, props.plan.history.first) },
  { name: 'pan or water', data: line(props.plan, plateInUse(props.plan)) },
  ...(props.beside ? [{ name: `core, ${props.beside.name}`, data: line(props.beside.plan, props.beside.plan.history.probe) }] : [])
])
/** Round minutes on the axis, ten of them at most. */
const span = computed(() => {
  // A night in the fridge has nothing to see.
  const ends = [props.plan, props.beside?.plan].map(p => (p ? Math.min(p.carve.time, p.peak.time + 2 * 3600) / 60 : 0))
  const total = Math.max(...ends) * 1.04
  const step = [2, 5, 10, 15, 30, 60, 120, 240].find(s => total / s <= 10) ?? 480
  return { step, max: Math.ceil(total / step) * step }
})
const mark = (seconds: number, text: string) => ({
  x: seconds / 60,
  borderColor: '#7c1f24',
  strokeDashArray: 3,
  label: { text, orientation: 'vertical' as const, style: { background: '#eef0ec', color: '#7c1f24' } }
})
const options = computed((): ApexOptions => ({
  chart: {
    animations: { enabled: false },
    toolbar: { show: false },
    zoom: { enabled: false },
    fontFamily: 'inherit',
    background: 'transparent'
  },
  colors: ['#7c1f24', '#b8863b', '#505a5c', '#2f6f77'],
  stroke: { width: [3, 1.6, 1.6, 2.4], curve: 'straight', dashArray: [0, 0, 4, 6] },
  legend: { position: 'top', horizontalAlign: 'left', fontSize: '13px' },
  grid: { borderColor: '#c8cfca' },
  xaxis: {
    type: 'numeric',
    min: 0,
    max: span.value.max,
    tickAmount: span.value.max / span.value.step,
    title: { text: 'minutes since it met the heat', style: { fontWeight: 400 } },
    labels: { formatter: v => String(Math.round(Number(v))) }
  },
  yaxis: { min: 0, title: { text: unit.value.symbol, style: { fontWeight: 400 } }, labels: { formatter: v => String(Math.round(v)) } },
  tooltip: { x: { formatter: v => `${v.toFixed(1)} min` }, y: { formatter: v => `${v.toFixed(1)} ${unit.value.symbol}` } },
  annotations: {
    yaxis: [{ y: shown(props.plan.target), borderColor: '#7c1f24', strokeDashArray: 5 }],
    xaxis: [mark(props.plan.pull.time, 'out'), mark(props.plan.carve.time, 'carve')]
  }
}))
</script>

<template>
  <div
    role="img"
    :aria-label="`Core over time: out at ${shown(plan.pull.probe)} ${unit.symbol} after ${Math.round(plan.pull.time / 60)} minutes, peak ${shown(plan.peak.core)} ${unit.symbol}.`"
  >
    <vue-apex-charts height="270" :options="options" :series="series" />
  </div>
</template>
