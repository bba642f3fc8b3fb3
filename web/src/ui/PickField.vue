<script setup lang="ts">
/** One of several by name, with the browser's own list: large on a phone, known to every screen reader. */
import { useId } from 'vue'

defineProps<{
  modelValue: string
  label: string
  options: readonly { readonly value: string; readonly label: string }[]
  title?: string | undefined
}>()
defineEmits<{ 'update:modelValue': [value: string] }>()
const id = useId()
</script>

<template>
  <div class="pick">
    <label :for="id">{{ label }}</label>
    <select :id="id" :value="modelValue" :title="title" @change="e => $emit('update:modelValue', (e.target as HTMLSelectElement).value)">
      <option v-for="o in options" :key="o.value" :value="o.value">{{ o.label }}</option>
    </select>
  </div>
</template>

<style scoped>
.pick {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
label {
  font-size: 13px;
  color: var(--ink-2);
}
select {
  appearance: none;
  height: 32px;
  padding: 0 28px 0 11px;
  font: inherit;
  color: var(--ink);
  border: 1px solid #a9b2ad;
  border-radius: 3px;
  background: #f8f9f6
    url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='10' height='6' fill='none' stroke='%23505a5c' stroke-width='1.5'%3E%3Cpath d='M1 1l4 4 4-4'/%3E%3C/svg%3E")
    no-repeat right 10px center;
  text-overflow: ellipsis;
}
select:hover {
  border-color: var(--oxblood);
}
</style>
