<script setup lang="ts">
/** What happens when, from top to bottom. */
import { Timeline as ATimeline, TimelineItem as ATimelineItem } from 'ant-design-vue'

defineProps<{
  items: readonly { readonly key: string; readonly when: string; readonly what: string; readonly note?: string | undefined }[]
}>()
</script>

<template>
  <a-timeline class="times" role="list">
    <a-timeline-item v-for="i in items" :key="i.key" role="listitem">
      <time>{{ i.when }}</time> {{ i.what }} <span v-if="i.note" class="quiet">{{ i.note }}</span>
    </a-timeline-item>
  </a-timeline>
</template>

<style scoped>
.times {
  margin: 0;
  padding-top: 4px;
  color: inherit;
  font-size: inherit;
}
.times :deep(.ant-timeline-item) {
  padding-bottom: 9px;
}
.times :deep(.ant-timeline-item-content) {
  min-height: 0;
  margin-inline-start: 20px;
  line-height: 1.45;
}
.times :deep(.ant-timeline-item-tail) {
  border-inline-start: 1px solid currentcolor;
  opacity: 0.35;
}
.times :deep(.ant-timeline-item-head) {
  width: 9px;
  height: 9px;
  background: currentcolor;
  border: 0;
  opacity: 0.75;
}
time {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
  margin-right: 6px;
}
</style>
