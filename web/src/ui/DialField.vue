<script setup lang="ts">
/** One setting that is a quantity, a number or one of a few: in a sentence, or by itself under its name. */
import { computed } from 'vue'
import type { Dial, SettingKey, Settings } from '#core/method/dials'
import { turningSaid, turningsBeside } from '#core/method/turning'
import CountField from './CountField.vue'
import PickField from './PickField.vue'
import QuantityField from './QuantityField.vue'

const props = defineProps<{
  dial: Dial
  /** As it stands. Of the others nothing: a field is drawn anew only when it is turned. */
  value: Settings[SettingKey] | undefined
  inline?: boolean
}>()
const emit = defineEmits<{ turn: [settings: Settings]; problem: [key: SettingKey, message: string | null] }>()
const options = computed(() =>
  props.dial.kind === 'choice'
    ? props.dial.options
    : turningsBeside(props.value as Settings['turning']).map(t => ({ value: t, label: turningSaid(t) }))
)
const set = (to: unknown): void => emit('turn', { [props.dial.key]: to })
</script>

<template>
  <quantity-field
    v-if="dial.kind === 'quantity'"
    class="field"
    :inline="inline"
    :label="dial.label"
    :dimension="dial.dimension"
    :range="dial.range"
    :model-value="Number(value ?? 0)"
    @update:model-value="set"
    @problem="m => emit('problem', dial.key, m)"
  />
  <count-field
    v-else-if="dial.kind === 'count'"
    class="field"
    :inline="inline"
    :label="dial.label"
    :unit="dial.unit"
    :range="dial.range"
    :step="dial.step"
    :model-value="Number(value ?? 0)"
    @update:model-value="set"
  />
  <pick-field
    v-else
    class="field wide"
    :inline="inline ? 'label hidden' : undefined"
    :label="dial.label"
    :options="options"
    :model-value="String(value)"
    @update:model-value="set"
  />
</template>
