<script setup lang="ts">
/** The pass drawn: every dish a row of what is done to it, all of them ending at the serving; beneath, what of the kitchen they take. */
import { clockWritten, timeWritten } from '../ui/moments'
import { useElementSize } from '@vueuse/core'
import dayjs from 'dayjs'
import { computed, useTemplateRef } from 'vue'
import { beginsAt, type Placed } from '#core/service/placed'
import type { Service } from '#core/service/schedule'
import { said } from '#core/service/said'
import { showDuration, shownText } from '#core/quantity/format'
import { useUnits } from '../stores/units'
import { FOLDED_FROM_S, scale, type Fold } from './axes'

const props = defineProps<{
  service: Service
  serveAt: string
  /** s before serving; null where it is not within what is drawn. */
  now: number | null
  stale: boolean
  /** Ids of the dishes as they stand on the ticket. */
  order: readonly string[]
}>()
const units = useUnits()
const box = useTemplateRef<HTMLElement>('box')
const { width: measured } = useElementSize(box)
const width = computed(() => Math.max(measured.value, 560))
const narrow = computed(() => measured.value < 620)
const names = computed(() => (narrow.value ? 104 : 172))

const RIGHT = 26
const ROW = 38
const BAR = 26
const LANE = 22
const TOP = 26
const GAP = 22
const FEW_S = 15 * 60

const start = computed(() => Math.min(props.service.begins, -30 * 60) - 4 * 60)
/** From when to when something is done, one after the other: what only lies there is not. */
const busy = computed(() => {
  const spans = props.service.placed
    .flatMap(p => {
      const { tool, seconds, hands: held } = p.dish.steps[p.index]
      if (tool !== null) return [[beginsAt(p), p.to]]
      return [
        [p.from, p.from + Math.min(held[0], seconds)],
        [p.to - Math.min(held[1], seconds), p.to]
      ].filter(([from, to]) => to > from)
    })
    .sort((a, b) => a[0] - b[0])
  return [...spans, [0, 0]]
})
const folds = computed(() => {
  const found: Fold[] = []
  let until = start.value
  for (const [from, to] of busy.value) {
    if (from - until > FOLDED_FROM_S) found.push({ from: until + BESIDE_S, to: from - BESIDE_S })
    until = Math.max(until, to)
  }
  return found
})
/** Of what is folded away so much stays beside what is done, s. */
const BESIDE_S = 10 * 60
const x = computed(() => scale(start.value, 0, names.value, width.value - RIGHT, folds.value))
const drawnS = computed(() => folds.value.reduce((sum, f) => sum - (f.to - f.from), -start.value))
const dishes = computed(() => {
  const found = new Map<string, { id: string; name: string; kind: string; parts: Placed[] }>()
  for (const p of props.service.placed) {
    const { id, name, kind } = p.dish
    const row = found.get(id) ?? { id, name, kind, parts: [] }
    row.parts.push(p)
    found.set(id, row)
  }
  return [...found.values()].sort((a, b) => props.order.indexOf(a.id) - props.order.indexOf(b.id))
})
const late = computed(
  () => new Set(props.service.conflicts.flatMap(p => (p.kind === 'held too long' ? [`${p.dish.id} ${p.dish.steps.indexOf(p.step)}`] : [])))
)
const tools = computed(() => {
  const found = new Map<string, Placed[]>()
  for (const p of props.service.placed) if (p.on !== null) found.set(p.on, [...(found.get(p.on) ?? []), p])
  return [...found].map(([name, parts]) => ({ name, parts })).sort((a, b) => a.name.localeCompare(b.name))
})
interface Hands {
  readonly from: number
  readonly to: number
}
const hands = computed(() => {
  const found = new Map<number, Hands[]>()
  const note = (cook: number | null, from: number, to: number): void => {
    if (cook !== null) found.set(cook, [...(found.get(cook) ?? []), { from, to }])
  }
  for (const p of props.service.placed) {
    const { seconds, hands: held } = p.dish.steps[p.index]
    const first = Math.min(held[0], seconds)
    note(p.by[0], p.from, p.from + first)
    note(p.by[1], p.to - Math.min(held[1], seconds - first), p.to)
  }
  return [...found].sort((a, b) => a[0] - b[0]).map(([cook, parts]) => ({ name: found.size > 1 ? `Cook ${cook + 1}` : 'Hands', parts }))
})
const lanesTop = computed(() => TOP + dishes.value.length * ROW + GAP)
const height = computed(() => lanesTop.value + (tools.value.length + hands.value.length) * LANE + 12)

const ticks = computed(() => {
  const minutes = drawnS.value / 60
  const every = [5, 10, 15, 30, 60, 120, 240, 480].find(m => minutes / m <= width.value / 90) ?? 720
  const serve = dayjs(props.serveAt)
  const found: { at: number; label: string }[] = [{ at: 0, label: serve.format(clockWritten) }]
  // Round times by the clock, clear of the serving's own.
  const past = (serve.hour() * 60 + serve.minute()) % every
  for (let m = past < every / 2 ? past + every : past; m * 60 <= -start.value; m += every)
    if (!folds.value.some(f => -m * 60 > f.from - BESIDE_S && -m * 60 < f.to + BESIDE_S))
      found.push({ at: -m * 60, label: serve.subtract(m, 'minute').format(clockWritten) })
  return found
})

function look({ dish, index }: Placed): string {
  const { tool, hands: held } = dish.steps[index]
  if (tool === 'ring') return dish.kind === 'beef' ? 'sear' : 'ring'
  return tool ?? (held[0] > 0 ? 'by-hand' : 'wait')
}
/** The words of a bar, as far as there is room for them. */
function words(p: Placed): string {
  const room = Math.floor((x.value(p.to) - x.value(p.from) - 10) / 6.6)
  const what = said(p.dish.steps[p.index].what, units.system)
  if (room >= what.length) return what
  const cut = what.slice(0, Math.max(0, room - 1))
  const whole = cut.slice(0, cut.lastIndexOf(' ')).replace(/[,;]$/, '')
  return whole.length >= 4 ? `${whole}…` : ''
}
function shortName(name: string): string {
  const most = narrow.value ? 14 : 24
  return name.length > most ? `${name.slice(0, most - 1).trimEnd()}…` : name
}
const label = computed(
  () => `${dishes.value.length} dishes, from ${dayjs(props.serveAt).add(props.service.begins, 'second').format(timeWritten)} to the table`
)
</script>

<template>
  <div ref="box" class="scroll" tabindex="0" role="region" aria-label="The pass, drawn">
    <svg :width="width" :height="height" :class="{ stale }" role="img" :aria-label="label">
      <g class="grid">
        <template v-for="t in ticks" :key="t.at">
          <line :x1="x(t.at)" :x2="x(t.at)" :y1="TOP - 6" :y2="height - 8" />
          <text :x="x(t.at)" :y="TOP - 12" text-anchor="middle">{{ t.label }}</text>
        </template>
      </g>
      <g v-for="f in folds" :key="f.from" class="fold">
        <rect :x="x(f.from)" :width="x(f.to) - x(f.from)" :y="TOP - 6" :height="height - TOP" />
        <text :x="(x(f.from) + x(f.to)) / 2" :y="TOP - 12" text-anchor="middle">{{ shownText(showDuration(f.to - f.from)) }}</text>
      </g>
      <g v-for="(d, row) in dishes" :key="row" :transform="`translate(0 ${TOP + row * ROW})`">
        <text class="name" :class="d.kind" :x="0" :y="BAR / 2 + 5">
          {{ shortName(d.name) }}
          <title>{{ d.name }}</title>
        </text>
        <template v-for="p in d.parts" :key="p.index">
          <line
            v-if="p.held > 0"
            class="stands"
            :class="{ late: late.has(`${p.dish.id} ${p.index}`) }"
            :x1="x(p.to)"
            :x2="x(p.to + p.held)"
            :y1="BAR / 2"
            :y2="BAR / 2"
          />
          <rect
            v-if="p.dish.steps[p.index].setUp"
            class="set-up"
            :x="x(beginsAt(p))"
            :width="Math.max(2, x(p.from) - x(beginsAt(p)) - 1)"
            :y="4"
            :height="BAR - 8"
            rx="2"
          >
            <title>Heat the pan, {{ dayjs(serveAt).add(beginsAt(p), 'second').format(timeWritten) }}</title>
          </rect>
          <g class="bar" :class="look(p)">
            <rect :x="x(p.from)" :width="Math.max(2, x(p.to) - x(p.from) - 1)" :y="0" :height="BAR" rx="2">
              <title>
                {{ said(p.dish.steps[p.index].what, units.system) }}, {{ dayjs(serveAt).add(p.from, 'second').format(timeWritten) }}
              </title>
            </rect>
            <text :x="x(p.from) + 6" :y="BAR / 2 + 4.5">{{ words(p) }}</text>
          </g>
        </template>
      </g>
      <g class="taken">
        <line :x1="0" :x2="width - RIGHT" :y1="lanesTop - 10" :y2="lanesTop - 10" class="rule" />
        <g v-for="(t, i) in tools" :key="t.name" :transform="`translate(0 ${lanesTop + i * LANE})`">
          <text :x="0" :y="12">{{ shortName(t.name) }}</text>
          <rect
            v-for="p in t.parts"
            :key="`${p.dish.id} ${p.index}`"
            :class="look(p)"
            :x="x(beginsAt(p))"
            :width="Math.max(2, x(p.to) - x(beginsAt(p)) - 1)"
            :y="2"
            :height="12"
          />
        </g>
        <g v-for="(h, i) in hands" :key="h.name" :transform="`translate(0 ${lanesTop + (tools.length + i) * LANE})`">
          <text :x="0" :y="12">{{ h.name }}</text>
          <rect
            v-for="(p, k) in h.parts"
            :key="k"
            class="hand"
            :x="x(p.from)"
            :width="Math.max(1.5, x(p.to) - x(p.from) - 0.5)"
            :y="2"
            :height="12"
          />
        </g>
      </g>
      <g class="serve">
        <line :x1="x(0)" :x2="x(0)" :y1="TOP - 8" :y2="height - 8" />
        <text
          :x="x(0) + 18"
          :y="TOP + (dishes.length * ROW) / 2"
          :transform="`rotate(-90 ${x(0) + 18} ${TOP + (dishes.length * ROW) / 2})`"
          text-anchor="middle"
        >
          on the table
        </text>
      </g>
      <g v-if="now !== null && now > start && now < FEW_S" class="now">
        <line :x1="x(Math.min(0, now))" :x2="x(Math.min(0, now))" :y1="TOP - 8" :y2="height - 8" />
        <text :x="x(Math.min(0, now))" :y="height - 1" text-anchor="middle">now</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  overflow-y: hidden;
}
svg {
  display: block;
}
.stale {
  opacity: 0.35;
}
.fold rect {
  fill: var(--tile);
}
text {
  font-size: 12.5px;
  fill: var(--ink-2);
}
.name {
  font-size: 14px;
  font-weight: 600;
  fill: var(--ink);
}
.name.beef {
  fill: var(--oxblood);
}
.grid line,
.rule {
  stroke: var(--rule);
}
.bar text {
  fill: var(--ink);
  font-weight: 500;
  pointer-events: none;
}
.sear text,
.oven text,
.grill text,
.bath text {
  fill: #fff;
}
rect.sear,
.sear rect {
  fill: var(--oxblood);
}
rect.ring,
.ring rect {
  fill: #d9b27c;
}
rect.oven,
.oven rect {
  fill: #a3502f;
}
rect.grill,
.grill rect {
  fill: #5d4438;
}
rect.bath,
.bath rect {
  fill: #3f6670;
}
.set-up {
  fill: #e9c9b0;
}
.by-hand rect {
  fill: #c3ccc7;
}
.wait rect {
  fill: #e6d5ae;
}
rect.hand {
  fill: #4a5456;
}
.stands {
  stroke: #9aa39d;
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
.stands.late {
  stroke: var(--oxblood);
  stroke-width: 3;
}
.serve line {
  stroke: var(--ink);
  stroke-width: 2;
}
.serve text {
  fill: var(--ink);
  font-weight: 600;
}
.now line {
  stroke: #b25f00;
  stroke-width: 2;
}
.now text {
  fill: #8a4a00;
  font-weight: 600;
}
</style>
