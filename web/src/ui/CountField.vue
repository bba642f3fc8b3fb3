<script setup lang="ts">
/** A plain number of something: parts, spells, litres. */
import { Input as AInput } from 'ant-design-vue'
import { ref, useId, watch } from 'vue'

const props = defineProps<{ modelValue: number; label: string; unit: string; range: readonly [number, number]; step: number }>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const id = useId()
const written = (value: number): string => String(Math.round(value * 1000) / 1000)
const text = ref(written(props.modelValue))
const problem = ref<string | null>(null)
watch(
  () => props.modelValue,
  value => {
    if (Number(text.value.replace(',', '.')) !== value) text.value = written(value)
    problem.value = null
  }
)
function typed(given: string): void {
  text.value = given
  const value = Number(given.trim().replace(',', '.'))
  const whole = props.step >= 1
  if (
    given.trim() === '' ||
    !Number.isFinite(value) ||
    value < props.range[0] ||
    value > props.range[1] ||
    (whole && !Number.isInteger(value))
  ) {
    problem.value = `${whole ? 'A whole number' : 'A number'} from ${props.range[0]} to ${props.range[1]}.`
    return
  }
  problem.value = null
  emit('update:modelValue', value)
}
function nudge(event: KeyboardEvent, direction: 1 | -1): void {
  event.preventDefault()
  const next = props.modelValue + direction * props.step
  typed(written(Math.min(props.range[1], Math.max(props.range[0], next))))
}
</script>

<template>
  <div class="count">
    <label :for="id">{{ label }}</label>
    <a-input
      :id="id"
      :value="text"
      :suffix="unit"
      :status="problem ? 'error' : ''"
      inputmode="decimal"
      autocomplete="off"
      :aria-invalid="problem !== null"
      :aria-describedby="problem ? `${id}-says` : undefined"
      @update:value="typed"
      @keydown.up="(e: KeyboardEvent) => nudge(e, 1)"
      @keydown.down="(e: KeyboardEvent) => nudge(e, -1)"
    />
    <p v-if="problem" :id="`${id}-says`" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.count {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
label {
  font-size: 13px;
  color: var(--ink-2);
}
.problem {
  color: #9a211b;
  font-size: 13.5px;
}
</style>
