<script setup lang="ts" generic="T extends string">
/** What is shown below, by name: a row of words with a rule under the chosen one. Takes the colours of where it stands. */
defineProps<{ modelValue: T; label: string; options: readonly { readonly value: T; readonly label: string }[] }>()
defineEmits<{ 'update:modelValue': [value: T] }>()
</script>

<template>
  <div class="tabs" role="group" :aria-label="label">
    <button
      v-for="o in options"
      :key="o.value"
      type="button"
      :aria-pressed="o.value === modelValue"
      @click="$emit('update:modelValue', o.value)"
    >
      {{ o.label }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 20px;
  margin: 12px 0 12px;
  border-bottom: 1px solid var(--tab-rule, var(--rule));
}
button {
  font: inherit;
  border: 0;
  background: none;
  color: var(--tab-quiet, var(--ink-2));
  padding: 6px 0 8px;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
button[aria-pressed='true'] {
  color: inherit;
  font-weight: 600;
  border-bottom-color: var(--tab-mark, var(--oxblood));
}
</style>
