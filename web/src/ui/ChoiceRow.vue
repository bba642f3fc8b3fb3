<script setup lang="ts" generic="T extends string">
/** One of a few, all in sight: a labelled row of radio buttons in one bar. */
import { useId } from 'vue'

defineProps<{
  modelValue: T
  label: string
  options: readonly { readonly value: T; readonly label: string; readonly hint?: string | undefined }[]
}>()
defineEmits<{ 'update:modelValue': [value: T] }>()
const name = useId()
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <div class="bar">
      <label v-for="o in options" :key="o.value" :class="{ on: o.value === modelValue }" :title="o.hint">
        <input type="radio" :name="name" :value="o.value" :checked="o.value === modelValue" @change="$emit('update:modelValue', o.value)" />
        <span>{{ o.label }}</span>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font-size: 13px;
  color: var(--ink-2);
  padding: 0;
  margin-bottom: 2px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 1px;
  background: var(--rule);
  border: 1px solid #a9b2ad;
  border-radius: 3px;
  overflow: hidden;
  width: fit-content;
  max-width: 100%;
}
label {
  position: relative;
  flex: 1 1 auto;
  padding: 5px 9px;
  background: #f8f9f6;
  cursor: pointer;
  white-space: nowrap;
  text-align: center;
  line-height: 20px;
}
label:hover {
  background: #fff;
}
label.on {
  background: var(--ink);
  color: var(--chalk);
}
label:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: -3px;
}
input {
  position: absolute;
  opacity: 0;
  inset: 0;
  margin: 0;
  cursor: pointer;
}
</style>
