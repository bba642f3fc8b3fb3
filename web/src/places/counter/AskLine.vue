<script setup lang="ts">
/** What the cook is after, in one sentence to fill in. */
import PickField from '../../ui/PickField.vue'
import { Checkbox as ACheckbox, InputNumber as AInputNumber } from 'ant-design-vue'
import { computed } from 'vue'
import type { Appetite, Table } from '#core/shop/choose'
import type { Heat } from '#core/meat/cut'
import { perMass } from './money'
import { DINERS_LIMITS } from '#core/service/ticket'
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
  value: String(m),
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
  if (typeof value === 'number' && value >= 1 && value <= DINERS_LIMITS[1]) counter.change({ guests: Math.round(value) })
}
</script>

<template>
  <div class="ask" role="group" aria-label="What you are after">
    <label
      >for
      <a-input-number :value="counter.ask.guests" :min="1" :max="DINERS_LIMITS[1]" :precision="0" aria-label="Guests" @change="setGuests"
    /></label>
    <span v-if="counter.ask.guests > counter.eating.guests" class="quiet">meat for {{ counter.eating.guests }} of them</span>
    <pick-field
      inline="label hidden"
      label="Appetite"
      :model-value="counter.ask.appetite"
      :options="appetites"
      @update:model-value="v => counter.change({ appetite: v as Appetite })"
    />
    <pick-field
      inline="label seen"
      label="done"
      :model-value="counter.ask.table"
      :options="tables"
      @update:model-value="v => counter.change({ table: v as Table })"
    />
    <pick-field
      inline="label seen"
      label="within"
      :model-value="String(counter.ask.minutes)"
      :options="times"
      @update:model-value="v => counter.change({ minutes: Number(v) })"
    />
    <label class="money">
      up to
      <a-input-number
        v-bind="budget === undefined ? {} : { value: budget }"
        :min="0"
        :controls="false"
        :parser="(written: string | undefined) => (written ?? '').replace(',', '.')"
        :aria-label="`Most ${perMass(units.system).words} may cost`"
        placeholder="any price"
        @change="setBudget"
      />
      {{ perMass(units.system).words }}
    </label>
    <span class="part" role="group" aria-label="On">
      on
      <a-checkbox v-for="k in kit" :key="k.heat" :checked="has(k.heat)" @update:checked="toggle(k.heat)">{{ k.label }}</a-checkbox>
    </span>
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
.ask > label,
.part {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  color: var(--ink-2);
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
.ask :deep(.ant-checkbox-wrapper) {
  color: var(--ink);
  margin: 0 4px 0 0;
}
</style>
