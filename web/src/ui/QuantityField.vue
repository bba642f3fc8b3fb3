<script setup lang="ts">
/** A quantity typed in any unit. What cannot be read stays in the field, with the reason. */
import { computed, ref, watch } from 'vue'
import { editable } from '#core/quantity/format'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { shownUnit, fromBase, type Dimension } from '#core/quantity/units'
import { useUnits } from '../stores/units'
import TypedField from './TypedField.vue'

const props = defineProps<{
  modelValue: number
  dimension: Dimension
  label: string
  /** In base units. */
  range: readonly [number, number]
  hint?: string | undefined
  /** As a figure in a sentence. */
  inline?: boolean | undefined
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number]; problem: [message: string | null] }>()

const units = useUnits()
const unit = computed(() => shownUnit(props.dimension, units.system))
const text = ref(editable(props.modelValue, props.dimension, units.system))
const problem = ref<string | null>(null)

watch([() => props.modelValue, () => units.system], () => {
  if (problem.value === null && read(text.value) === props.modelValue) return
  text.value = editable(props.modelValue, props.dimension, units.system)
  say(null)
})

function read(written: string): number | null {
  try {
    return parseQuantity(written, props.dimension, unit.value)
  } catch (error) {
    if (error instanceof QuantityError) return null
    throw error
  }
}

function say(message: string | null): void {
  problem.value = message
  emit('problem', message)
}

function typed(written: string): void {
  text.value = written
  try {
    const value = parseQuantity(written, props.dimension, unit.value)
    if (value < props.range[0] || value > props.range[1]) {
      const [low, high] = props.range.map(r => editable(r, props.dimension, units.system))
      say(`This may be from ${low} to ${high} ${unit.value.symbol}.`)
      return
    }
    say(null)
    emit('update:modelValue', value)
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error
    say(error.message)
  }
}

/** Arrow keys step by a unit a cook would. */
function step(direction: 1 | -1, event: KeyboardEvent): void {
  const value = read(text.value)
  if (value === null) return
  event.preventDefault()
  const by =
    props.dimension === 'length' && units.system === 'us' ? 0.125 : props.dimension === 'mass' ? (units.system === 'us' ? 0.5 : 10) : 1
  typed(String(Number((fromBase(value, unit.value) + direction * by).toFixed(3))))
}
</script>

<template>
  <typed-field
    :label="label"
    :text="text"
    :unit="unit.symbol"
    :problem="problem"
    :inline="inline"
    :hint="hint"
    @typed="typed"
    @step="step"
  />
</template>
