<script setup lang="ts">
/** Three cuts side by side on one scale: what the cook weighs against each other. */
import { Button as AButton, InputNumber as AInputNumber } from 'ant-design-vue'
import { computed } from 'vue'
import { costOf, USUAL_LOSS } from '#core/shop/cost'
import { tendernessWord, type Cut } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { purchaseOf } from '#core/shop/choose'
import { showLength, showMass, shownText } from '#core/quantity/format'
import CutDrawing from '../../section/CutDrawing.vue'
import { tenderness } from '../../section/tint'
import { useCounter } from '../../stores/counter'
import { useUnits } from '../../stores/units'
import { money, perMass } from './money'

const counter = useCounter()
const units = useUnits()
const cuts = computed(() => counter.compared.flatMap(id => cutById(id) ?? []))
/** Half of mm to px at most; smaller where a long cut is among them. */
const scale = computed(() => Math.min(0.7, ...cuts.value.map(c => 240 / ((c.shape.lengthMm[0] + c.shape.lengthMm[1]) / 2))))

const rows = (cut: Cut): { label: string; value: string; share?: number }[] => {
  const buy = purchaseOf(cut, counter.eating)
  const choice = counter.choices.find(c => c.cut.id === cut.id)
  const [thin, thick] = cut.shape.thicknessMm.map(t => showLength(t, units.system))
  return [
    { label: 'Tender', value: tendernessWord(cut), share: tenderness(cut) },
    { label: 'Fat', value: `${Math.round(100 * cut.fat[0])}–${Math.round(100 * cut.fat[1])} %`, share: cut.fat[1] / 0.28 },
    { label: 'Thick', value: `${thin.figure}–${shownText(thick)}` },
    { label: 'Buy', value: `${buy.pieces > 1 ? `${buy.pieces} × ` : ''}${shownText(showMass(buy.pieceG, units.system))}` },
    { label: 'Cost', value: plate(cut, buy.totalG) },
    { label: 'Heat', value: choice ? `${choice.heat}, about ${choice.minutes} min` : cut.suits.map(s => s.heat).join(', ') }
  ]
}
const PRICES = ['cheap', 'fairly cheap', 'middling', 'dear', 'very dear'] as const
/** What each diner's share costs, and what a kilogram or a pound of it comes to as eaten; without a price, how dear it usually is. */
function plate(cut: Cut, boughtG: number): string {
  const price = counter.ask.prices[cut.id] as number | undefined
  if (price === undefined) return PRICES[cut.price - 1]
  const { perDiner, perEatenKg, eatenG } = costOf(price, boughtG, counter.eating.guests, cut.trim, USUAL_LOSS)
  const { words, factor } = perMass(units.system)
  return `${money(perDiner)} for ${shownText(showMass(eatenG, units.system))}, ${money(perEatenKg / factor)} ${words} as eaten`
}
const because = (cut: Cut): string => {
  const choice = counter.choices.find(c => c.cut.id === cut.id)
  return choice ? (choice.reasons[0] ?? '') : (cut.braise?.because ?? cut.suits[0].because)
}
/** A comma will do. */
const pointed = (written: string | undefined): string => (written ?? '').replace(',', '.')
function priced(cut: Cut, value: unknown): void {
  counter.price(cut.id, typeof value === 'number' && value > 0 ? value * perMass(units.system).factor : null)
}
const priceOf = (cut: Cut): number | null => {
  const price = counter.ask.prices[cut.id] as number | undefined
  return price === undefined ? null : Number((price / perMass(units.system).factor).toFixed(2))
}
</script>

<template>
  <div class="three">
    <article v-for="cut in cuts" :key="cut.id" :class="{ on: cut.id === counter.chosenId }">
      <header>
        <h3>
          <a-button class="card" @click="counter.choose(cut.id)">{{ cut.name }}</a-button>
        </h3>
        <a-button
          class="pin"
          :aria-pressed="counter.pinned.includes(cut.id)"
          :title="counter.pinned.includes(cut.id) ? 'Let it go' : 'Keep it here to compare'"
          @click="counter.pin(cut.id)"
        >
          {{ counter.pinned.includes(cut.id) ? 'kept' : 'keep' }}
        </a-button>
      </header>
      <cut-drawing :cut="cut" :scale="scale" :width="250" :height="92" />
      <p class="because">{{ units.say(because(cut)) }}</p>
      <dl>
        <div v-for="r in rows(cut)" :key="r.label">
          <dt>{{ r.label }}</dt>
          <dd>
            <span v-if="r.share !== undefined" class="bar" aria-hidden="true"
              ><i :style="{ width: `${Math.round(Math.min(1, r.share) * 100)}%` }"></i
            ></span>
            {{ r.value }}
          </dd>
        </div>
      </dl>
      <label class="price">
        Its price {{ perMass(units.system).words }}
        <a-input-number
          v-bind="priceOf(cut) === null ? {} : { value: priceOf(cut) as number }"
          :min="0"
          :controls="false"
          :parser="pointed"
          size="small"
          placeholder="–"
          @change="value => priced(cut, value)"
        />
      </label>
    </article>
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  border-top: 1px solid var(--rule);
  margin: 6px -28px 0;
}
article {
  padding: 12px 18px 14px;
  border-left: 1px solid var(--rule);
  min-width: 0;
}
article.on {
  background: var(--tile);
}
header {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
h3 {
  flex: 1;
  font-size: 20px;
}
.pin.ant-btn {
  height: 26px;
  font-size: 13px;
  border-radius: 13px;
  padding: 0 10px;
  color: var(--ink-2);
}
.pin.ant-btn[aria-pressed='true'] {
  background: var(--ink);
  color: var(--chalk);
}
svg {
  display: block;
  max-width: 100%;
  margin: 6px 0 4px;
}
.because {
  font-size: 14px;
  line-height: 1.4;
  min-height: 3.9em;
}
dl {
  margin: 6px 0 0;
}
dl > div {
  display: grid;
  grid-template-columns: 62px 1fr;
  gap: 8px;
  padding: 2px 0;
  font-size: 14px;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
}
.bar {
  display: inline-block;
  width: 58px;
  height: 8px;
  background: #ccd3ce;
  margin-right: 8px;
  vertical-align: 1px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--oxblood);
}
.price {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 8px;
  font-size: 13.5px;
  color: var(--ink-2);
}
.price :deep(.ant-input-number) {
  width: 76px;
}
@media (max-width: 760px) {
  .three {
    margin: 6px -16px 0;
  }
}
</style>
