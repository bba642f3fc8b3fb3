<script setup lang="ts">
/** Water without a machine: how it is mixed, what it falls to with the lid and without, and what keeps it up. */
import { computed } from 'vue'
import type { Room } from '#core/kit/air'
import type { InPot } from '#core/method/pot'
import type { Plan } from '#core/plan/plan'
import { potAfter, potWater, topUpLitres } from '#core/plan/potWater'
import { showDuration, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { fromBase, shownUnit } from '#core/quantity/units'
import { useUnits } from '../../stores/units'

const props = defineProps<{ settings: InPot; room: Room; plan: Plan }>()
const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const litres = (l: number): string => (units.system === 'metric' ? `${l.toFixed(1)}\u00a0L` : `${(l * 1.0567).toFixed(1)}\u00a0qt`)

const water = computed(() => potWater(props.settings, props.room))
const span = computed(() => props.plan.phases.find(p => p.phase === 'pot'))
/** The water while the piece is in it. */
const inIt = computed(() => {
  const { time, plate } = props.plan.history
  const { from, to } = span.value ?? { from: 0, to: 0 }
  return time.flatMap((t, i) => (t > from && t <= to && plate[i] !== null ? [{ t: t - from, c: plate[i] }] : []))
})
/** Where it stands once the cold piece has taken its share: where the fall slows down to the pot's own. */
const LOOKED = 300
const soon = computed(() => inIt.value.find(w => w.t >= LOOKED) ?? inIt.value.at(-1))
const end = computed(() => inIt.value.at(-1))
const seconds = computed(() => (span.value ? span.value.to - span.value.from : 0))
const alone = computed(() => ({
  lid: potAfter({ pot: props.settings.pot, lid: true }, props.room, water.value.inPotC, seconds.value),
  open: potAfter({ pot: props.settings.pot, lid: false }, props.room, water.value.inPotC, seconds.value)
}))
const EVERY = 600
const hold = computed(() => {
  if (!soon.value) return null
  const from = potAfter(props.settings, props.room, soon.value.c, EVERY)
  const l = topUpLitres(props.settings, props.room, from, soon.value.c)
  return l === null ? null : { litres: l, at: soon.value.c, falls: soon.value.c - from }
})

const AFTER_THE_PEAK_S = 2 * 3600
const W = 620
const H = 190
const x = (s: number, whole: number): number => 34 + (s / Math.max(1, whole)) * (W - 60)
const y = (c: number): number => H - 26 - (c / 100) * (H - 40)
const path = (points: readonly { t: number; c: number }[], whole: number): string =>
  points.map((p, i) => `${i ? 'L' : 'M'}${x(p.t, whole).toFixed(1)} ${y(p.c).toFixed(1)}`).join('')
const curves = computed(() => {
  // A night in the fridge has nothing to see.
  const whole = Math.min(props.plan.carve.time, props.plan.peak.time + AFTER_THE_PEAK_S)
  const { time, core } = props.plan.history
  const steps = Array.from({ length: 25 }, (_, i) => (seconds.value * i) / 24)
  const from = span.value?.from ?? 0
  const other = steps.map(t => ({
    t: t + from,
    c: t === 0 ? water.value.inPotC : potAfter({ pot: props.settings.pot, lid: !props.settings.lid }, props.room, water.value.inPotC, t)
  }))
  return {
    whole,
    core: path(
      time.flatMap((t, i) => (t <= whole ? [{ t, c: core[i] }] : [])),
      whole
    ),
    water: path([{ t: from, c: water.value.inPotC }, ...inIt.value.map(w => ({ t: w.t + from, c: w.c }))], whole),
    other: path(other, whole),
    label: other[6]
  }
})
const minutes = computed(() => {
  const total = curves.value.whole / 60
  const step = [5, 10, 15, 30, 60, 120].find(s => total / s <= 8) ?? 240
  return Array.from({ length: Math.floor(total / step) + 1 }, (_, i) => i * step)
})
const tick = (c: number): string => String(Math.round(fromBase(c, shownUnit('temperature', units.system))))
</script>

<template>
  <section class="pot">
    <h2>The water</h2>
    <p>
      {{ litres(water.boilingL) }} boiling at {{ degrees(water.boilsC) }} and {{ litres(water.coldL) }} cold at
      {{ degrees(settings.coldC) }} make {{ degrees(water.mixedC) }}; the pot itself takes it to
      <strong>{{ degrees(water.inPotC) }}</strong><template v-if="soon && end"
        >, the cold piece to <strong>{{ degrees(soon.c) }}</strong> within {{ shownText(showDuration(soon.t)) }}, and when it comes out
        after {{ shownText(showDuration(seconds)) }} it stands at <strong>{{ degrees(end.c) }}</strong></template
      >. Left alone so long it would fall to {{ degrees(alone.lid) }} under a lid and to {{ degrees(alone.open) }} without one.
    </p>
    <p v-if="hold" class="quiet">
      To keep it near {{ degrees(hold.at) }}, pour in {{ litres(hold.litres) }} of boiling water every {{ shownText(showDuration(EVERY)) }}:
      it falls {{ shownText(showTemperatureRise(hold.falls, units.system, 1)) }} in that time. Pour beside the bag, never on it.
    </p>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      role="img"
      :aria-label="`Water from ${degrees(water.inPotC)} down, core up to ${degrees(plan.peak.core)}.`"
    >
      <g class="grid">
        <template v-for="c in [20, 40, 60, 80]" :key="c">
          <line x1="34" :x2="W - 26" :y1="y(c)" :y2="y(c)" />
          <text x="28" :y="y(c) + 4" text-anchor="end">{{ tick(c) }}</text>
        </template>
        <text v-for="m in minutes" :key="m" :x="x(m * 60, curves.whole)" :y="H - 8" text-anchor="middle">{{ m }}</text>
        <text :x="W" :y="H - 8" text-anchor="end">min</text>
      </g>
      <path class="other" :d="curves.other" />
      <path class="water" :d="curves.water" />
      <path class="core" :d="curves.core" />
      <text v-if="end" class="name" :x="x((span?.from ?? 0) + 8, curves.whole)" :y="y(water.inPotC) - 8">water</text>
      <text class="name dim" :x="x(curves.label.t, curves.whole)" :y="y(curves.label.c) + 17">
        {{ settings.lid ? 'without the lid' : 'with a lid' }}, nothing in it
      </text>
      <text class="name ox" :x="x(plan.pull.time, curves.whole) - 6" :y="y(plan.pull.probe) + 18" text-anchor="end">core</text>
    </svg>
  </section>
</template>

<style scoped>
.pot {
  margin-top: 16px;
  max-width: 820px;
}
p {
  margin-top: 4px;
  line-height: 1.5;
}
svg {
  width: 100%;
  max-width: 720px;
  display: block;
  margin-top: 6px;
}
.grid line {
  stroke: var(--rule);
}
text {
  font-size: 12px;
  fill: var(--ink-2);
}
path {
  fill: none;
  stroke-width: 2.2;
}
.water {
  stroke: #2f6f77;
}
.other {
  stroke: #2f6f77;
  stroke-width: 1.4;
  stroke-dasharray: 4 4;
}
.core {
  stroke: var(--oxblood);
}
.name {
  fill: #245158;
  font-weight: 600;
}
.name.dim {
  font-weight: 400;
}
.name.ox {
  fill: var(--oxblood);
}
</style>
