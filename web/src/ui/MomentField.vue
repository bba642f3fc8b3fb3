<script setup lang="ts">
/** A day, or a day and the time, written as the reader writes them. */
import { DatePicker as ADatePicker } from 'ant-design-vue'
import { computed, useId } from 'vue'
import { DAY, dayWritten, HOURS_OF_12, MOMENT, momentWritten, timeWritten } from './moments'

const props = defineProps<{
  /** As `MOMENT`, or `DAY` of a day alone; empty for none. */
  modelValue: string
  label: string
  day?: boolean
  /** Whether none is an answer. */
  optional?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()
const id = useId()
const time = computed(() => (props.day ? false : { format: timeWritten, use12Hours: HOURS_OF_12, minuteStep: 5 as const }))
</script>

<template>
  <div class="moment">
    <label :for="id">{{ label }}</label>
    <a-date-picker
      :id="id"
      v-bind="modelValue === '' ? {} : { value: modelValue }"
      :value-format="day ? DAY : MOMENT"
      :format="day ? [dayWritten, DAY] : [momentWritten, 'YYYY-MM-DD HH:mm', MOMENT]"
      :show-time="time"
      :allow-clear="optional ?? false"
      :placeholder="optional ? 'none' : ''"
      @update:value="value => emit('update:modelValue', typeof value === 'string' ? value : '')"
    />
  </div>
</template>

<style scoped>
.moment {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
label {
  font-size: 13px;
  color: var(--ink-2);
}
</style>
