<script setup lang="ts" generic="T extends string">
/** One of several sheets, by name; each is the slot of its value. */
import { TabPane as ATabPane, Tabs as ATabs } from 'ant-design-vue'

defineProps<{ modelValue: T; label: string; options: readonly { readonly value: T; readonly label: string }[] }>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
</script>

<template>
  <a-tabs
    class="tabs"
    :active-key="modelValue"
    :aria-label="label"
    :animated="false"
    destroy-inactive-tab-pane
    @update:active-key="key => emit('update:modelValue', key as T)"
  >
    <a-tab-pane v-for="o in options" :key="o.value" :tab="o.label"><slot :name="o.value" /></a-tab-pane>
  </a-tabs>
</template>

<style scoped>
.tabs {
  overflow: visible;
}
.tabs :deep(.ant-tabs-nav) {
  margin-bottom: 12px;
}
.tabs :deep(.ant-tabs-tab + .ant-tabs-tab) {
  margin-inline-start: 22px;
}
</style>
