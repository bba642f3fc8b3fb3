<script setup lang="ts">
/** A quantity typed in any unit. What cannot be read stays in the field, with the reason. */
import { Input as AInput } from 'ant-design-vue'
import { computed, ref, useId, watch } from 'vue'
import { editable } from '#core/quantity/format'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { shownUnit, fromBase, type Dimension } from '#core/quantity/units'
import { useUnits } from '../stores/units'

const props = defineProps<{
  modelValue: number
  dimension: Dimension
  label: string
  /** In base units. */
  range: readonly [number, number]
  hint?: string | undefined
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number]; problem: [message: string | null] }>()

const units = useUnits()
const id = useId()
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
function step(event: KeyboardEvent, direction: 1 | -1): void {
  const value = read(text.value)
  if (value === null) return
  event.preventDefault()
  const by =
    props.dimension === 'length' && units.system === 'us' ? 0.125 : props.dimension === 'mass' ? (units.system === 'us' ? 0.5 : 10) : 1
  typed(String(Number((fromBase(value, unit.value) + direction * by).toFixed(3))))
}
</script>

<template>
  <div class="quantity">
    <label :for="id">{{ label }}</label>
    <a-input
      :id="id"
      :value="text"
      :status="problem ? 'error' : ''"
      :suffix="unit.symbol"
      inputmode="decimal"
      autocomplete="off"
      :aria-invalid="problem !== null"
      :aria-describedby="problem || hint ? `${id}-says` : undefined"
      @update:value="typed"
      @keydown.up="(e: KeyboardEvent) => step(e, 1)"
      @keydown.down="(e: KeyboardEvent) => step(e, -1)"
    />
    <p v-if="problem" :id="`${id}-says`" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-says`" class="quiet hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.quantity {
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
.hint {
  font-size: 13px;
}
</style>
