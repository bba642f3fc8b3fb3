<script setup lang="ts">
/** The core as planned, and what the probe read. */
import VueApexCharts from 'vue3-apexcharts'
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import type { CookRecord } from '#core/book/record'
import { progressOf } from '#core/session/progress'
import { fromBase, shownUnit } from '#core/quantity/units'
import { useUnits } from '../../stores/units'

const props = defineProps<{ record: CookRecord }>()
const units = useUnits()
const unit = computed(() => shownUnit('temperature', units.system))
const shown = (celsius: number): number => Math.round(fromBase(celsius, unit.value) * 10) / 10
const progress = computed(() => progressOf(props.record.events))

const log = computed(() => props.record.log)
const series = computed(() => {
  const { curve } = props.record.planned
  return [
    { name: 'planned', type: 'line', data: curve.timeS.map((t, i) => ({ x: t / 60, y: shown(curve.coreC[i]) })) },
    { name: 'read', type: 'scatter', data: progress.value.readings.map(r => ({ x: r.time / 60, y: shown(r.coreC) })) },
    ...(log.value
      ? [{ name: log.value.name, type: 'line', data: log.value.seconds.map((t, i) => ({ x: t / 60, y: shown(log.value!.celsius[i]) })) }]
      : [])
  ]
})
const seenPull = computed(() => {
  const { laidAt, pulledAt } = progress.value
  return laidAt !== null && pulledAt !== null ? (pulledAt - laidAt) / 60000 : null
})
/** Whole minutes, so that no tick's label is rounded away from where it stands. */
const axis = computed(() => {
  const { timeS } = props.record.planned.curve
  const minutes = Math.max(timeS[timeS.length - 1], log.value?.seconds.at(-1) ?? 0, ...progress.value.readings.map(r => r.time)) / 60
  const step = [1, 2, 5, 10, 20].find(s => minutes / s <= 9) ?? 30
  const ticks = Math.max(1, Math.ceil(minutes / step))
  return { end: ticks * step, ticks }
})
const options = computed((): ApexOptions => ({
  chart: {
    animations: { enabled: false },
    toolbar: { show: false },
    zoom: { enabled: false },
    fontFamily: 'inherit',
    background: 'transparent'
  },
  colors: ['#7c1f24', '#1d2224', '#b06f10'],
  stroke: { width: [2.5, 0, 1.5], curve: 'straight' },
  markers: { size: [0, 6, 0], strokeColors: '#eef0ec' },
  legend: { position: 'top', horizontalAlign: 'left', fontSize: '13px' },
  grid: { borderColor: '#c8cfca' },
  xaxis: {
    type: 'numeric',
    min: 0,
    max: axis.value.end,
    tickAmount: axis.value.ticks,
    title: { text: 'minutes since it went in', style: { fontWeight: 400 } },
    labels: { formatter: v => String(Math.round(Number(v))) }
  },
  yaxis: {
    min: 0,
    title: { text: `core, ${unit.value.symbol}`, style: { fontWeight: 400 } },
    labels: { formatter: v => String(Math.round(v)) }
  },
  tooltip: {
    x: { formatter: v => `${v.toFixed(1)} min` },
    y: { formatter: v => `${v.toFixed(1)} ${unit.value.symbol}` },
    shared: false,
    intersect: false
  },
  annotations: {
    yaxis: [{ y: shown(props.record.request.target.coreC), borderColor: '#7c1f24', strokeDashArray: 5 }],
    xaxis: [
      {
        x: props.record.planned.pullS / 60,
        borderColor: '#7c1f24',
        strokeDashArray: 3,
        label: { text: 'off, planned', orientation: 'vertical', style: { background: '#eef0ec', color: '#7c1f24' } }
      },
      ...(seenPull.value === null
        ? []
        : [
            {
              x: seenPull.value,
              borderColor: '#1d2224',
              strokeDashArray: 0,
              label: {
                text: 'off, seen',
                orientation: 'vertical' as const,
                position: 'bottom' as const,
                style: { background: '#eef0ec', color: '#1d2224' }
              }
            }
          ])
    ]
  }
}))
</script>

<template>
  <div
    class="chart"
    role="img"
    :aria-label="`Core planned to peak at ${shown(record.planned.peakC)} ${unit.symbol}; ${progress.readings.length} readings.`"
  >
    <vue-apex-charts height="320" :options="options" :series="series" />
  </div>
</template>

<style scoped>
.chart {
  margin-top: 14px;
}
</style>
