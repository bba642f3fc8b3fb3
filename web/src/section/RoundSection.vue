<script setup lang="ts">
/** A joint cut across at its middle, to scale: rings of the colours that its heat has given it, the figures where they change. */
import { computed, useId } from 'vue'
import { cookedColour } from '#core/doneness/colour'
import { GREY_FROM } from '#core/doneness/section'
import { showLength, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../stores/units'

const props = defineProps<{
  /** The hottest so far from the axis outward, °C, and the edges of those rings, mm. */
  hottest: readonly number[]
  radiiMm: readonly number[]
  core: number | null
  word?: string | undefined
  height: number
  /** Width over thickness; round where it is not said. */
  aspect?: number | undefined
  /** How thick it was measured, mm. */
  saidMm?: number
  plain?: boolean
}>()
const units = useUnits()
const id = useId()

const outer = computed(() => props.radiiMm[props.radiiMm.length - 1])
const PAD = 8
/** Times its height. */
const WIDEST = 1.8
const wider = computed(() => props.aspect ?? 1)
/** Half its thickness on the screen: all of the height, unless a plain one would be wider than that. */
const r = computed(() => (props.height / 2 - PAD) / (props.plain ? wider.value : Math.max(1, wider.value / WIDEST)))
const rx = computed(() => r.value * wider.value)
const cx = computed(() => (props.plain ? props.height / 2 : rx.value + 74))
const cy = computed(() => props.height / 2)
const middles = computed(() => props.hottest.map((_, i) => (props.radiiMm[i] + props.radiiMm[i + 1]) / 2))
const stops = computed(() => [
  { at: 0, colour: cookedColour(props.hottest[0]) },
  ...props.hottest.map((T, i) => ({ at: middles.value[i] / outer.value, colour: cookedColour(T) }))
])
/** Radius at which the hottest passes a temperature, mm. */
function ring(celsius: number): number | null {
  for (let i = props.hottest.length - 1; i > 0; i--) {
    const [a, b] = [props.hottest[i - 1] - celsius, props.hottest[i] - celsius]
    if (a < 0 && b >= 0) return middles.value[i - 1] + ((middles.value[i] - middles.value[i - 1]) * a) / (a - b)
  }
  return null
}
const marks = computed(() => {
  let last = -Infinity
  return [
    { at: ring(GREY_FROM), colour: 'grey', where: 'past', from: shownText(showTemperature(GREY_FROM, units.system)) },
    { at: ring(58), colour: 'pink', where: 'inside', from: shownText(showTemperature(58, units.system)) }
  ].flatMap(m => {
    if (m.at === null) return []
    const radius = (m.at / outer.value) * r.value
    const y = cy.value - radius * Math.SQRT1_2
    const label = Math.max(y, last + 19)
    last = label
    return [
      {
        radius,
        x: cx.value + radius * wider.value * Math.SQRT1_2,
        y,
        label,
        short: `${m.colour} ${m.from}`,
        text: `${m.colour} ${m.where} ${m.from}, ${shownText(showLength(outer.value - m.at, units.system))} deep`
      }
    ]
  })
})
/** A joint that tapers is reckoned a little thinner than it was measured: it is called as it was. */
const across = computed(() => {
  const { saidMm } = props
  const reckoned = 2 * outer.value
  return shownText(showLength(saidMm !== undefined && Math.abs(reckoned - saidMm) < AS_SAID * saidMm ? saidMm : reckoned, units.system))
})
const AS_SAID = 0.1
const labelX = computed(() => cx.value + rx.value + 26)
</script>

<template>
  <svg
    :width="plain ? height : '100%'"
    :height="height"
    :role="plain ? undefined : 'img'"
    :aria-hidden="plain ? true : undefined"
    :aria-label="
      plain
        ? undefined
        : `Cut across, ${across} thick, ${core === null ? '' : `the middle at ${shownText(showTemperature(core, units.system))}`}`
    "
  >
    <defs>
      <radialGradient :id="id">
        <stop v-for="(s, i) in stops" :key="i" :offset="s.at" :stop-color="s.colour" />
      </radialGradient>
    </defs>
    <ellipse :cx="cx" :cy="cy" :rx="rx" :ry="wider > 1.03 ? r : r * 0.97" :fill="`url(#${id})`" stroke="#2c1409" stroke-width="1.4" />
    <template v-if="!plain">
      <line class="ruler" :x1="30" :x2="30" :y1="cy - r" :y2="cy + r" />
      <line v-for="e in [cy - r, cy + r]" :key="e" class="ruler" :x1="24" :x2="36" :y1="e" :y2="e" />
      <text :x="24" :y="cy + 4" text-anchor="end" class="ruler-text" :transform="`rotate(-90 24 ${cy})`" dx="22" dy="-4">{{ across }}</text>
      <template v-for="m in marks" :key="m.short">
        <ellipse class="ring" :cx="cx" :cy="cy" :rx="m.radius * wider" :ry="m.radius" />
        <path class="lead" :d="`M${m.x} ${m.y}L${labelX - 8} ${m.label}`" />
        <text class="roomy" :x="labelX" :y="m.label + 4">{{ m.text }}</text>
        <text class="tight" :x="labelX" :y="m.label + 4">{{ m.short }}</text>
      </template>
      <template v-if="core !== null">
        <circle class="tip" :cx="cx" :cy="cy" r="4" />
        <path class="probe" :d="`M${cx} ${cy}H${labelX - 10}`" />
        <text class="core" :x="labelX" :y="cy + 8">{{ shownText(showTemperature(core, units.system)) }}</text>
        <text v-if="word" class="word" :x="labelX" :y="cy + 27">{{ word }}</text>
      </template>
    </template>
  </svg>
</template>

<style scoped>
text {
  font-size: 13px;
  fill: var(--ink);
}
.ruler {
  stroke: var(--ink);
}
.ring {
  fill: none;
  stroke: #fff;
  stroke-opacity: 0.55;
  stroke-dasharray: 2 4;
}
.lead {
  fill: none;
  stroke: var(--ink-2);
}
.tip {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.probe {
  stroke: #d9dcd8;
  stroke-width: 2.4;
}
.core {
  font-family: var(--serif);
  font-size: 22px;
  font-weight: 600;
}
.word {
  fill: var(--ink-2);
}
.tight {
  display: none;
}
@media (max-width: 520px) {
  .roomy {
    display: none;
  }
  .tight {
    display: block;
  }
}
</style>
