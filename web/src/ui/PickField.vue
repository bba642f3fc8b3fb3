<script setup lang="ts">
/** One of several by name. */
import { Select as ASelect } from 'ant-design-vue'
import { computed, useId, useTemplateRef } from 'vue'
import { sameList, type Option } from './sameList'
import { useMendedList } from './useMendedList'

const props = defineProps<{
  modelValue: string
  label: string
  options: readonly Option[]
  title?: string | undefined
  /** Whether its list is long enough to be searched by typing. */
  long?: boolean | undefined
  /** As a word in a sentence: its label before it, or kept for those who cannot see the sentence. */
  inline?: 'label seen' | 'label hidden' | undefined
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const open = useMendedList(box, id)
const listed = computed<Option[]>(before => sameList(props.options, before))
</script>

<template>
  <div ref="box" class="pick" :class="{ inline }" :title="title">
    <label :for="id" :class="{ hidden: inline === 'label hidden' }">{{ label }}</label>
    <a-select
      :id="id"
      :value="modelValue"
      :options="listed"
      :show-search="long ?? false"
      option-filter-prop="label"
      :bordered="inline === undefined"
      :virtual="false"
      :dropdown-match-select-width="false"
      @dropdown-visible-change="(is: boolean) => (open = is)"
      @update:value="v => emit('update:modelValue', String(v))"
    />
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
.inline {
  flex-direction: row;
  align-items: baseline;
  gap: 5px;
  max-width: 100%;
}
.inline label {
  font-size: inherit;
}
.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.inline :deep(.ant-select) {
  height: 34px;
  border-bottom: 2px solid var(--oxblood);
  font-size: inherit;
}
.inline :deep(.ant-select .ant-select-selector) {
  font-size: inherit;
  min-height: 0;
  height: 32px;
  padding: 0 18px 0 2px;
}
.inline :deep(.ant-select-selector .ant-select-selection-item) {
  font-size: inherit;
  line-height: 32px;
  font-weight: 600;
}
.inline :deep(.ant-select-arrow) {
  inset-inline-end: 3px;
}
</style>
