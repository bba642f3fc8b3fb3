<script setup lang="ts">
/** One thing after another, numbered. */
import { Step as AStep, Steps as ASteps } from 'ant-design-vue'

defineProps<{ steps: readonly string[] }>()
</script>

<template>
  <a-steps class="steps" direction="vertical" size="small" :current="-1" role="list">
    <a-step v-for="s in steps" :key="s" :title="s" role="listitem" />
  </a-steps>
</template>

<style scoped>
.steps {
  margin-top: 8px;
}
.steps :deep(.ant-steps-item-title) {
  font-size: 14.5px;
  line-height: 1.45;
  color: var(--ink);
  padding-inline-end: 0;
}
.steps :deep(.ant-steps-item-content) {
  min-height: 34px;
}
.steps :deep(.ant-steps-item-icon) {
  background: none;
  border-color: var(--ink-2);
}
.steps :deep(.ant-steps-item-icon .ant-steps-icon) {
  color: var(--ink-2);
}
</style>
