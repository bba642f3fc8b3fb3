<script setup lang="ts">
/** A probe reading typed: digits only, big keys, either unit. */
import { Button as AButton, Input as AInput } from 'ant-design-vue'
import { computed, ref, useTemplateRef } from 'vue'
import { READING_LIMITS } from '#core/session/events'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { editable } from '#core/quantity/format'
import { shownUnit } from '#core/quantity/units'
import { trueC } from '#core/kit/thermometer'
import { showTemperatureRise, shownText } from '#core/quantity/format'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'

const emit = defineEmits<{ read: [coreC: number]; close: [] }>()
const units = useUnits()
const kit = useKit()
/** Where the thermometer is known to be off, what is kept is what is really there. */
const off = computed(() => Math.round(10 * (trueC(kit.thermometer, 55) - 55)) / 10)
const unit = computed(() => shownUnit('temperature', units.system))
const text = ref('')
const problem = ref<string | null>(null)
const input = useTemplateRef<{ focus(): void }>('input')

function keep(): void {
  try {
    const celsius = parseQuantity(text.value, 'temperature', unit.value)
    const [low, high] = READING_LIMITS
    if (celsius < low || celsius > high) {
      problem.value = `A reading may be from ${editable(low, 'temperature', units.system)} to ${editable(high, 'temperature', units.system)} ${unit.value.symbol}.`
      return
    }
    emit('read', Math.round(trueC(kit.thermometer, celsius) * 100) / 100)
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error
    problem.value = error.message
  }
}
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <form class="reading" @submit.prevent="keep" @keydown.esc="emit('close')">
    <label>
      The probe reads
      <a-input ref="input" v-model:value="text" inputmode="decimal" autocomplete="off" :aria-invalid="problem !== null" />
      {{ unit.symbol }}
    </label>
    <a-button class="keep" type="primary" html-type="submit">Keep it</a-button>
    <a-button class="no" @click="emit('close')">Cancel</a-button>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="off !== 0" class="off">
      {{ kit.thermometer.name }} reads {{ shownText(showTemperatureRise(Math.abs(off), units.system, 1)) }} too
      {{ off > 0 ? 'low' : 'high' }} there: it is put right.
    </p>
  </form>
</template>

<style scoped>
.reading {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  font-size: 21px;
}
.ant-input {
  width: 120px;
  height: 62px;
  margin: 0 6px;
  font: 500 34px var(--serif);
  text-align: right;
  padding: 0 10px;
  color: var(--chalk);
  background: #0b0d0e;
  border: 2px solid #e69f3c;
  border-radius: 4px;
}
.ant-btn {
  height: 62px;
  padding: 0 22px;
  font-weight: 600;
  font-size: 19px;
}
p.off {
  color: #c9cbc5;
}
p {
  flex-basis: 100%;
  color: var(--hot);
  font-size: 18px;
}
</style>
