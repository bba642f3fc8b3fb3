<script setup lang="ts" generic="T extends string">
/** One of a few, all in sight. */
import { RadioButton as ARadioButton, RadioGroup as ARadioGroup } from 'ant-design-vue'
import { useId } from 'vue'

defineProps<{
  modelValue: T
  label: string
  options: readonly { readonly value: T; readonly label: string; readonly hint?: string | undefined }[]
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const id = useId()
</script>

<template>
  <div class="choice">
    <span :id="id" class="label">{{ label }}</span>
    <a-radio-group
      :value="modelValue"
      :name="id"
      button-style="solid"
      role="radiogroup"
      :aria-labelledby="id"
      @update:value="(v: unknown) => emit('update:modelValue', v as T)"
    >
      <a-radio-button v-for="o in options" :key="o.value" :value="o.value" :title="o.hint">{{ o.label }}</a-radio-button>
    </a-radio-group>
  </div>
</template>

<style scoped>
.choice {
  min-width: 0;
}
.label {
  display: block;
  font-size: 13px;
  color: var(--ink-2);
  margin-bottom: 2px;
}
.choice :deep(.ant-radio-group) {
  display: flex;
  flex-wrap: wrap;
  width: fit-content;
  max-width: 100%;
}
.choice :deep(.ant-radio-button-wrapper) {
  padding-inline: 9px;
  text-align: center;
  white-space: nowrap;
}
</style>
