<script setup lang="ts">
/** Where there is nothing yet: an empty board, and what would come onto it. */
import { Empty as AEmpty } from 'ant-design-vue'
</script>

<template>
  <a-empty class="nothing">
    <template #image>
      <svg viewBox="0 0 120 56" aria-hidden="true">
        <rect x="6" y="30" width="94" height="9" rx="2" />
        <path d="M100 34.5h14" />
        <path class="knife" d="M24 26h40c8 0 13-3 15-7H24z" />
        <path d="M24 22.500h-14" />
      </svg>
    </template>
    <template #description><slot /></template>
  </a-empty>
</template>

<style scoped>
.nothing {
  margin: 26px 0;
  max-width: 560px;
  text-align: start;
}
.nothing :deep(.ant-empty-image) {
  height: 56px;
  margin-bottom: 6px;
}
.nothing :deep(.ant-empty-description) {
  color: inherit;
}
svg {
  width: 120px;
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
