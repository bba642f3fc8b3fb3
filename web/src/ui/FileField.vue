<script setup lang="ts">
/** A file of ours brought back: chosen, or dropped here. */
import { UploadDragger as AUploadDragger } from 'ant-design-vue'

withDefaults(defineProps<{ label: string; accept?: string }>(), { accept: 'application/json,.json' })
const emit = defineEmits<{ file: [file: File] }>()
/** It is read here; nothing is sent. */
function taken(file: File): boolean {
  emit('file', file)
  return false
}
</script>

<template>
  <a-upload-dragger class="file" :accept="accept" :show-upload-list="false" :before-upload="taken">
    {{ label }}, or drop it here
  </a-upload-dragger>
</template>

<style scoped>
.file :deep(.ant-upload.ant-upload-btn) {
  padding: 9px 12px;
}
.file :deep(.ant-upload-drag) {
  height: auto;
}
</style>
