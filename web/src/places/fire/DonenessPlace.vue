<script setup lang="ts">
/** What the words mean: every school beside the others on one thermometer, coloured as the cut face is; a scale of one's own; who wants what. */
import OnSlate from '../../ui/OnSlate.vue'
import { useElementSize } from '@vueuse/core'
import { Button as AButton, Checkbox as ACheckbox, Input as AInput } from 'ant-design-vue'
import { computed, ref, useId, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import { cookedColour } from '#core/doneness/colour'
import { bandEnd, bandOf, PUBLIC_HEALTH, scaleOf, type Scale } from '#core/doneness/scale'
import { MOST_NAMED, TARGET_LIMITS } from '#core/request/schema'
import { showTemperature, shownText } from '#core/quantity/format'
import { eats } from '#core/request/guests'
import type { Guest } from '#core/request/request'
import { guardedC, NOT_INTACT_C } from '#core/safety/cautions'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useUnits } from '../../stores/units'
import PickField from '../../ui/PickField.vue'
import { tell } from '../../ui/tell'
import QuantityField from '../../ui/QuantityField.vue'
import FireTabs from './FireTabs.vue'

const draft = useDraft()
const guests = useGuests()
const units = useUnits()
const id = useId()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const figure = (c: number): string => showTemperature(c, units.system).figure

const FROM = 42
const TO = 76
const TOP = 34
const H = 452
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const y = (c: number): number => TOP + ((TO - c) / (TO - FROM)) * (H - TOP - 16)
const AXIS = 96
const columns = computed(() => {
  const w = Math.max(128, (width.value - AXIS - 6) / guests.scales.length)
  return guests.scales.map((scale, i) => ({
    scale,
    x: AXIS + i * w,
    w: w - 8,
    bands: scale.bands.flatMap((band, k) => {
      const low = Math.max(FROM, k === 0 ? FROM : band.from)
      const high = Math.min(TO, bandEnd(scale, band))
      return high <= low ? [] : [{ band, top: y(high), bottom: y(low), aim: y(Math.min(TO, Math.max(FROM, band.aim))) }]
    })
  }))
})
const textY = (b: { top: number; bottom: number }): number => Math.min(b.bottom - 6, Math.max(b.top + 15, (b.top + b.bottom) / 2 + 5))
const whole = computed(() => Math.max(width.value, ...columns.value.map(c => c.x + c.w + 8)))
const ticks = computed(() => {
  const step = units.system === 'metric' ? 5 : 25 / 9
  const first = units.system === 'metric' ? 45 : (110 - 32) / 1.8
  return Array.from({ length: 12 }, (_, i) => first + i * step).filter(c => c <= TO)
})
const stops = Array.from({ length: 35 }, (_, i) => ({ at: i / 34, colour: cookedColour(TO - ((TO - FROM) * i) / 34) }))
const targetY = computed(() => y(draft.request.target.coreC))
/** Chalk on dark bands, ink on pale ones. */
const pale = (c: number): boolean => c > 57

function choose(scale: Scale, aim: number): void {
  guests.goTo(scale.id, aim)
}
const isChosen = (scale: Scale, aim: number): boolean =>
  scaleOf(draft.request.target).id === scale.id && bandOf(scale, draft.request.target.coreC).aim === aim

const wrong = ref<string | null>(null)
function edit(index: number, part: { from?: number; aim?: number }): void {
  const bands = guests.own.bands.map((b, i) => (i === index ? { ...b, ...part } : b))
  wrong.value = guests.setOwn({ ...guests.own, bands })
}
const LIMITS = [0, 90] as const

const seatAs = (word: string): number => scaleOf(draft.request.target).bands.find(b => b.word === word)?.aim ?? draft.request.target.coreC
const NO_MEAT = 'no meat'
const words = computed(() => [
  ...scaleOf(draft.request.target).bands.map(b => ({ value: b.word, label: `${b.word} ${figure(b.aim)}` })),
  { value: NO_MEAT, label: NO_MEAT }
])
const called = ({ name }: Guest, i: number): string => name || `guest ${i + 1}`
/** What somebody at risk should have. */
const safe = computed(() => Math.ceil(guardedC(draft.table)))

function dismiss(id: string): void {
  const before = guests.guests
  const at = before.findIndex(g => g.id === id)
  guests.dismiss(id)
  tell(`${before[at].name || `Guest ${at + 1}`} is off the table.`, () => draft.seat({ named: before }))
}
</script>

<template>
  <div class="place">
    <main>
      <fire-tabs />
      <h1>What the words mean</h1>
      <p class="quiet">
        The figure is the centre at its hottest. Cooks differ by up to {{ units.say('eight degrees') }} over one word: choose the scale you
        go by.
      </p>
      <div ref="box" class="scales">
        <svg v-if="width > 0" :width="whole" :height="H">
          <defs>
            <linearGradient :id="id" x1="0" x2="0" y1="0" y2="1">
              <stop v-for="s in stops" :key="s.at" :offset="s.at" :stop-color="s.colour" />
            </linearGradient>
          </defs>
          <g aria-hidden="true">
            <rect :x="AXIS - 44" :y="y(TO)" width="26" :height="y(FROM) - y(TO)" rx="13" :fill="`url(#${id})`" />
            <template v-for="c in ticks" :key="c">
              <line class="tick" :x1="AXIS - 50" :x2="whole" :y1="y(c)" :y2="y(c)" />
              <text :x="AXIS - 54" :y="y(c) + 4" text-anchor="end">{{ figure(c) }}</text>
            </template>
            <text x="0" :y="TOP - 16">{{ units.system === 'metric' ? '°C' : '°F' }}</text>
          </g>
          <g v-for="col in columns" :key="col.scale.id">
            <text class="school" :x="col.x + col.w / 2" :y="TOP - 16" text-anchor="middle">
              {{ col.scale.name.replace(' school', '') }}
            </text>
            <g
              v-for="b in col.bands"
              :key="b.band.word"
              class="band"
              :class="{ on: isChosen(col.scale, b.band.aim) }"
              role="button"
              tabindex="0"
              :aria-pressed="isChosen(col.scale, b.band.aim)"
              :aria-label="`${col.scale.name}: ${b.band.word}, ${degrees(b.band.aim)}`"
              @click="choose(col.scale, b.band.aim)"
              @keydown.enter="choose(col.scale, b.band.aim)"
              @keydown.space.prevent="choose(col.scale, b.band.aim)"
            >
              <rect :x="col.x" :y="b.top + 1" :width="col.w" :height="Math.max(2, b.bottom - b.top - 2)" :fill="cookedColour(b.band.aim)" />
            </g>
          </g>
          <g class="health" aria-hidden="true">
            <line :x1="AXIS - 50" :x2="whole" :y1="y(PUBLIC_HEALTH.celsius)" :y2="y(PUBLIC_HEALTH.celsius)" />
            <line :x1="AXIS - 50" :x2="whole" :y1="y(NOT_INTACT_C)" :y2="y(NOT_INTACT_C)" />
          </g>
          <g v-for="col in columns" :key="`t${col.scale.id}`" class="words-in" aria-hidden="true">
            <g v-for="b in col.bands" :key="b.band.word" :class="{ pale: pale(b.band.aim) }" :style="{ stroke: cookedColour(b.band.aim) }">
              <text :x="col.x + 8" :y="textY(b)">{{ b.band.word }}</text>
              <text class="aim" :x="col.x + col.w - 8" :y="textY(b)" text-anchor="end">{{ figure(b.band.aim) }}</text>
            </g>
          </g>
          <g class="target" aria-hidden="true">
            <path :d="`M ${AXIS - 14} ${targetY} l -10 -7 v 14 z`" />
          </g>
        </svg>
      </div>
      <p class="legend">
        <span class="dash"></span> {{ degrees(PUBLIC_HEALTH.celsius) }} and 3 min of rest: public-health advice for whole cuts (USDA, from
        memory). {{ degrees(NOT_INTACT_C) }}: needled, rolled or minced meat. Local codes come first.
      </p>

      <section class="own">
        <h2>My own words</h2>
        <p class="quiet">Where each word begins, and what to aim at.</p>
        <div class="words">
          <div v-for="(b, i) in guests.own.bands" :key="b.word" class="word">
            <span class="swatch" :style="{ background: cookedColour(b.aim) }"></span>
            <strong>{{ b.word }}</strong>
            <quantity-field
              v-if="i > 0"
              label="from"
              dimension="temperature"
              :range="LIMITS"
              :model-value="b.from"
              @update:model-value="v => edit(i, { from: v })"
            />
            <span v-else class="quiet from">below that</span>
            <quantity-field
              label="aim at"
              dimension="temperature"
              :range="TARGET_LIMITS"
              :model-value="b.aim"
              @update:model-value="v => edit(i, { aim: v })"
            />
          </div>
        </div>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }} It is not kept.</p>
      </section>
    </main>

    <on-slate>
      <aside class="slate" aria-label="At the table">
        <h2>At the table</h2>
        <p class="quiet lead">Who wants it otherwise. The plans then say whose comes out when, or what goes back to the heat.</p>
        <ol>
          <li v-for="(g, i) in guests.guests" :key="g.id">
            <span class="swatch" :style="eats(g) ? { background: cookedColour(g.targetC) } : {}"></span>
            <a-input
              :value="g.name"
              :placeholder="`guest ${i + 1}`"
              :aria-label="`Name of guest ${i + 1}`"
              :maxlength="40"
              @update:value="(name: string) => guests.change(g.id, { name })"
            />
            <pick-field
              label="wants it"
              :model-value="eats(g) ? bandOf(scaleOf(draft.request.target), g.targetC).word : NO_MEAT"
              :options="words"
              @update:model-value="w => guests.change(g.id, w === NO_MEAT ? { noMeat: true } : { targetC: seatAs(w), noMeat: false })"
            />
            <a-button class="off" type="text" :aria-label="`Take ${called(g, i)} off the table`" @click="dismiss(g.id)"> × </a-button>
            <p v-if="eats(g)" class="risk">
              <a-checkbox
                :checked="g.atRisk === true"
                :aria-label="`${called(g, i)} is at risk`"
                @update:checked="(atRisk: boolean) => guests.change(g.id, { atRisk })"
                >pregnant, very young, old or weak</a-checkbox
              >
              <a-button v-if="g.atRisk && g.targetC < safe" class="link" @click="guests.change(g.id, { targetC: safe })"
                >Theirs to {{ degrees(safe) }}</a-button
              >
            </p>
          </li>
        </ol>
        <a-button class="seat" :disabled="guests.guests.length >= MOST_NAMED" @click="guests.seat(draft.request.target.coreC)"
          >Seat a guest</a-button
        >
        <p v-if="guests.guests.length === 0" class="quiet lead">Nobody named: everyone gets {{ degrees(draft.request.target.coreC) }}.</p>
        <a-checkbox class="vulnerable" :checked="draft.request.guests.atRisk" @update:checked="(atRisk: boolean) => draft.seat({ atRisk })">
          Someone is pregnant, very young, old or immune-suppressed
        </a-checkbox>
        <p class="next">
          <router-link to="/fire/methods">Every way to cook it</router-link>
        </p>
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
.scales {
  margin-top: 10px;
  overflow-x: auto;
}
text {
  font-size: 13px;
  fill: var(--ink-2);
}
.school {
  font-weight: 600;
  fill: var(--ink);
  font-size: 14.5px;
}
.tick {
  stroke: var(--rule);
}
.band {
  cursor: pointer;
}
.words-in {
  pointer-events: none;
}
.words-in text {
  fill: var(--chalk);
  paint-order: stroke;
  stroke: inherit;
  stroke-width: 5px;
}
.words-in .pale text {
  fill: #241512;
}
.aim {
  font-weight: 600;
}
.band.on rect {
  stroke: var(--ink);
  stroke-width: 3.5;
}
.band:focus-visible {
  outline: none;
}
.band:focus-visible rect {
  stroke: var(--brass);
  stroke-width: 4;
}
.health line {
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 7 5;
}
.target path {
  fill: var(--ink);
}
.legend {
  font-size: 13.5px;
  color: var(--ink-2);
  margin-top: 4px;
}
.dash {
  display: inline-block;
  width: 34px;
  border-top: 2px dashed var(--ink);
  vertical-align: 4px;
  margin-right: 6px;
}
.own {
  margin-top: 18px;
}
.words {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 8px 24px;
  margin-top: 6px;
}
.word {
  display: grid;
  grid-template-columns: 14px 1fr 92px 92px;
  gap: 8px;
  align-items: end;
  border-top: 1px solid var(--rule);
  padding-top: 6px;
}
.word strong,
.from {
  line-height: 32px;
}
.from {
  font-size: 13px;
}
.swatch {
  width: 14px;
  height: 32px;
  border-radius: 2px;
}
.wrong {
  color: #9a211b;
  margin-top: 6px;
}
.lead {
  margin: 6px 0 12px;
  line-height: 1.45;
  font-size: 14px;
}
ol {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 14px 86px minmax(0, 1fr) 34px;
  gap: 8px;
  align-items: end;
  border-top: 1px solid #454b4d;
  padding: 8px 0;
}
li :deep(label) {
  color: var(--chalk-2);
}
.risk {
  grid-column: 2 / -1;
  margin: 0;
  font-size: 13.5px;
}
.seat {
  height: 40px;
  align-self: flex-start;
}
.off.ant-btn {
  font-size: 20px;
  padding: 0;
}
.vulnerable {
  margin-top: 16px;
  font-size: 14.5px;
}
.next {
  margin-top: 18px;
}
.next a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
