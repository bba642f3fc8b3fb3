<script setup lang="ts">
/** Any of several by name. */
import { Select as ASelect } from 'ant-design-vue'
import { computed, useId, useTemplateRef } from 'vue'
import { sameList, type Option } from './sameList'
import { useMendedList } from './useMendedList'

const props = defineProps<{
  modelValue: readonly string[]
  label: string
  /** What it says while none is picked. */
  none: string
  options: readonly Option[]
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string[]] }>()
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const open = useMendedList(box, id)
const listed = computed<Option[]>(before => sameList(props.options, before))
// The library's list is its own to change.
const picked = computed(() => [...props.modelValue])
</script>

<template>
  <div ref="box" class="pick">
    <label :for="id">{{ label }}</label>
    <a-select
      :id="id"
      mode="multiple"
      :placeholder="none"
      :value="picked"
      :options="listed"
      :virtual="false"
      :dropdown-match-select-width="false"
      @dropdown-visible-change="(is: boolean) => (open = is)"
      @update:value="v => emit('update:modelValue', v as string[])"
    />
  </div>
</template>

<style scoped>
.pick {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 150px;
}
label {
  font-size: 13px;
  color: var(--ink-2);
}
</style>
