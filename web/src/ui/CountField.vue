<script setup lang="ts">
/** A plain number of something: parts, spells, litres. */
import { ref, watch } from 'vue'
import TypedField from './TypedField.vue'

const props = defineProps<{
  modelValue: number
  label: string
  unit: string
  range: readonly [number, number]
  step: number
  /** As a figure in a sentence. */
  inline?: boolean | undefined
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
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
function nudge(direction: 1 | -1, event: KeyboardEvent): void {
  event.preventDefault()
  const next = props.modelValue + direction * props.step
  typed(written(Math.min(props.range[1], Math.max(props.range[0], next))))
}
</script>

<template>
  <typed-field :label="label" :text="text" :unit="unit" :problem="problem" :inline="inline" @typed="typed" @step="nudge" />
</template>
