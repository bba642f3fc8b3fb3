<script setup lang="ts">
/** One step of a recipe: what is done, where, for how long by what measure, with whose hands, and how long it keeps. */
import { Checkbox as ACheckbox, FormItem as AFormItem, Input as AInput } from 'ant-design-vue'
import { computed, useId } from 'vue'
import { RECIPE_LIMITS } from '#core/formats/recipeSchema'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import { LOAD_LIMITS, TIMINGS } from '#core/service/recipe'
import { TOOLS } from '#core/service/dish'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import type { StepDraft } from './recipeDraft'
import { WHERE } from './recipeText'

const props = defineProps<{ step: StepDraft; number: number; item: (key: string) => object }>()
const emit = defineEmits<{ problem: [key: string, message: string | null] }>()
const id = useId()
// The draft is the form’s; a step is a part of it.
const s = computed(() => props.step)

const PLACES = (['board', ...TOOLS] as const).map(value => ({ value, label: WHERE[value] }))
const HOW_LONG = {
  clock: 'the same for any',
  guests: 'longer for more',
  boil: 'until it boils',
  reduce: 'until reduced'
}
const TIMES = TIMINGS.map(value => ({ value, label: HOW_LONG[value] }))
const LOADS = { ring: 'a pan', oven: 'a tray', grill: 'the bars', bath: 'the bath', board: 'the board' }
function setWhere(value: string): void {
  s.value.where = PLACES.find(p => p.value === value)?.value ?? 'board'
}
function setBy(value: string): void {
  s.value.by = TIMINGS.find(t => t === value) ?? 'clock'
  if (s.value.by === 'clock' || s.value.by === 'guests') s.value.seconds = Math.max(60, s.value.seconds)
}
</script>

<template>
  <div class="step" role="group" :aria-labelledby="`${id}-step`">
    <span :id="`${id}-step`" class="quiet number">Step {{ number }}</span>
    <a-form-item class="text" label="What is done" :html-for="`${id}-what`" v-bind="item('what')">
      <a-input :id="`${id}-what`" v-model:value="s.what" :maxlength="RECIPE_LIMITS.text" placeholder="Roll the dumplings" />
    </a-form-item>
    <a-form-item class="text" label="And as it ends" :html-for="`${id}-then`" v-bind="item('then')">
      <a-input :id="`${id}-then`" v-model:value="s.then" :maxlength="RECIPE_LIMITS.text" placeholder="nothing more" />
    </a-form-item>
    <pick-field label="Where" :model-value="s.where" :options="PLACES" @update:model-value="setWhere" />
    <template v-if="s.where === 'oven'">
      <quantity-field
        v-model="s.ovenLow"
        label="Oven from"
        dimension="temperature"
        :range="OVEN_LIMITS_C"
        @problem="m => emit('problem', 'low', m)"
      />
      <a-form-item v-bind="item('ovenC')">
        <quantity-field
          v-model="s.ovenHigh"
          label="to"
          dimension="temperature"
          :range="OVEN_LIMITS_C"
          @problem="m => emit('problem', 'high', m)"
        />
      </a-form-item>
    </template>
    <pick-field label="How long" :model-value="s.by" :options="TIMES" @update:model-value="setBy" />
    <template v-if="s.by === 'boil' || s.by === 'reduce'">
      <quantity-field
        v-model="s.mlEach"
        label="Of it, for each guest"
        dimension="volume"
        :range="RECIPE_LIMITS.each"
        @problem="m => emit('problem', 'ml', m)"
      />
      <quantity-field
        v-if="s.by === 'boil'"
        v-model="s.leastMl"
        label="Never less than"
        dimension="volume"
        :range="RECIPE_LIMITS.each"
        @problem="m => emit('problem', 'least', m)"
      />
      <count-field
        v-else
        label="To"
        unit="%"
        :range="[2, 98]"
        :step="1"
        :model-value="Math.round(100 * s.leaves)"
        @update:model-value="v => (s.leaves = v / 100)"
      />
    </template>
    <quantity-field
      v-if="s.by !== 'reduce'"
      v-model="s.seconds"
      :label="s.by === 'boil' ? 'And then' : s.by === 'guests' ? 'For four' : 'Time'"
      dimension="duration"
      :range="[s.by === 'boil' ? 0 : 30, RECIPE_LIMITS.seconds[1]]"
      @problem="m => emit('problem', 'time', m)"
    />
    <quantity-field
      v-model="s.well"
      label="As good for"
      dimension="duration"
      :range="RECIPE_LIMITS.seconds"
      @problem="m => emit('problem', 'well', m)"
    />
    <a-form-item v-bind="item('holds')">
      <quantity-field
        v-model="s.most"
        label="Keeps at most"
        dimension="duration"
        :range="RECIPE_LIMITS.seconds"
        @problem="m => emit('problem', 'most', m)"
      />
    </a-form-item>
    <div class="ticks">
      <a-checkbox v-model:checked="s.busy">keeps me at it</a-checkbox>
      <template v-if="!s.busy">
        <quantity-field
          v-model="s.first"
          label="Hands at first"
          dimension="duration"
          :range="RECIPE_LIMITS.seconds"
          @problem="m => emit('problem', 'first', m)"
        />
        <quantity-field
          v-model="s.last"
          label="and at its end"
          dimension="duration"
          :range="RECIPE_LIMITS.seconds"
          @problem="m => emit('problem', 'last', m)"
        />
      </template>
      <template v-if="s.where !== 'board'">
        <a-checkbox v-model:checked="s.loaded">{{ LOADS[s.where] }} takes only so many</a-checkbox>
        <count-field v-if="s.loaded" v-model="s.load" label="At once for" unit="guests" :range="LOAD_LIMITS" :step="1" />
      </template>
    </div>
  </div>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 14px;
  align-items: end;
  min-width: 0;
}
.number {
  grid-column: 1 / -1;
  font-size: 13px;
}
.step :deep(.ant-form-item) {
  margin: 0;
}
.text {
  grid-column: span 2;
}
.ticks {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 18px;
}
.ticks > :not(.ant-checkbox-wrapper) {
  width: 150px;
}
.ticks > :deep(.ant-checkbox-wrapper) {
  min-height: 32px;
  align-items: center;
}
@media (max-width: 500px) {
  .text {
    grid-column: 1 / -1;
  }
}
</style>
