<script setup lang="ts">
/** What the cook is after, in one sentence to fill in. */
import { InputNumber as AInputNumber } from 'ant-design-vue'
import { computed } from 'vue'
import type { Appetite, Table } from '#core/shop/choose'
import type { Heat } from '#core/meat/cut'
import { perMass } from './money'
import { useCounter } from '../../stores/counter'
import { useUnits } from '../../stores/units'

const counter = useCounter()
const units = useUnits()
const appetites: { value: Appetite; label: string }[] = [
  { value: 'light', label: 'with small appetites' },
  { value: 'ordinary', label: 'fairly hungry' },
  { value: 'hearty', label: 'very hungry' }
]
const tables: { value: Table; label: string }[] = [
  { value: 'alike', label: 'all alike, pink' },
  { value: 'mixed', label: 'some rare, some well done' },
  { value: 'well done', label: 'all well done' }
]
const times = [20, 30, 45, 60, 90, 120, 180, 240, 360].map(m => ({
  value: m,
  label: m < 90 ? `${m} min` : `${m / 60} h`.replace('.5', '½')
}))
const kit: { heat: Heat; label: string }[] = [
  { heat: 'pan', label: 'a pan' },
  { heat: 'oven', label: 'an oven' },
  { heat: 'coals', label: 'a barbecue' },
  { heat: 'water bath', label: 'a water bath' }
]
const has = (heat: Heat): boolean => counter.ask.heats.includes(heat)
function toggle(heat: Heat): void {
  const heats = has(heat) ? counter.ask.heats.filter(h => h !== heat) : [...counter.ask.heats, heat]
  const plain = heats.filter(h => h !== 'pan and oven')
  counter.change({ heats: plain.includes('pan') && plain.includes('oven') ? [...plain, 'pan and oven'] : plain })
}
const budget = computed(() =>
  counter.ask.budget === null ? undefined : Number((counter.ask.budget / perMass(units.system).factor).toFixed(2))
)
function setBudget(value: unknown): void {
  const typed = typeof value === 'number' && value > 0 ? value * perMass(units.system).factor : null
  counter.change({ budget: typed })
}
function setGuests(value: unknown): void {
  if (typeof value === 'number' && value >= 1 && value <= 60) counter.change({ guests: Math.round(value) })
}
const value = (e: Event): string => (e.target as HTMLSelectElement).value
</script>

<template>
  <div class="ask" role="group" aria-label="What you are after">
    <label
      >for <a-input-number :value="counter.ask.guests" :min="1" :max="60" :precision="0" aria-label="Guests" @change="setGuests"
    /></label>
    <label>
      <span class="hidden">Appetite</span>
      <select :value="counter.ask.appetite" @change="e => counter.change({ appetite: value(e) as Appetite })">
        <option v-for="a in appetites" :key="a.value" :value="a.value">{{ a.label }}</option>
      </select>
    </label>
    <label>
      done
      <select :value="counter.ask.table" @change="e => counter.change({ table: value(e) as Table })">
        <option v-for="t in tables" :key="t.value" :value="t.value">{{ t.label }}</option>
      </select>
    </label>
    <label>
      within
      <select :value="counter.ask.minutes" @change="e => counter.change({ minutes: Number(value(e)) })">
        <option v-for="t in times" :key="t.value" :value="t.value">{{ t.label }}</option>
      </select>
    </label>
    <label class="money">
      up to
      <a-input-number
        v-bind="budget === undefined ? {} : { value: budget }"
        :min="0"
        :controls="false"
        :aria-label="`Most ${perMass(units.system).words} may cost`"
        placeholder="any price"
        @change="setBudget"
      />
      {{ perMass(units.system).words }}
    </label>
    <fieldset>
      <legend>on</legend>
      <label v-for="k in kit" :key="k.heat" class="kit" :class="{ on: has(k.heat) }">
        <input type="checkbox" :checked="has(k.heat)" @change="toggle(k.heat)" />{{ k.label }}
      </label>
    </fieldset>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 8px 0 10px;
  font-size: 15.5px;
}
.ask > label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  color: var(--ink-2);
}
select {
  font: inherit;
  font-weight: 600;
  color: var(--ink);
  border: 0;
  border-bottom: 2px solid var(--oxblood);
  background: none;
  padding: 3px 2px;
  cursor: pointer;
  max-width: 100%;
}
.ask :deep(.ant-input-number) {
  width: 62px;
  border: 0;
  border-bottom: 2px solid var(--oxblood);
  border-radius: 0;
  background: none;
  box-shadow: none;
  font-weight: 600;
}
.money :deep(.ant-input-number) {
  width: 96px;
}
fieldset {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  float: left;
  width: auto;
  font-size: inherit;
  border: 0;
  color: var(--ink-2);
  padding: 0;
  margin-right: 2px;
}
.kit {
  position: relative;
  padding: 3px 10px;
  border: 1px solid #a9b2ad;
  border-radius: 15px;
  cursor: pointer;
  background: #f8f9f6;
}
.kit.on {
  background: var(--ink);
  color: var(--chalk);
  border-color: var(--ink);
}
.kit input {
  position: absolute;
  inset: 0;
  opacity: 0;
  margin: 0;
  cursor: pointer;
}
.kit:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: 2px;
}
.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
@media (max-width: 760px) {
  select,
  .kit {
    min-height: 40px;
  }
  .kit {
    display: inline-flex;
    align-items: center;
  }
}
</style>
