<script setup lang="ts">
/** A figure as it is typed, stepped with the arrow keys; what is wrong with it stays under it. */
import { Input as AInput } from 'ant-design-vue'
import { useId } from 'vue'

defineProps<{
  label: string
  text: string
  unit: string
  problem: string | null
  hint?: string | undefined
  /** As a figure in a sentence, which says what it is: its label is for those who cannot see that. */
  inline?: boolean | undefined
}>()
const emit = defineEmits<{ typed: [written: string]; step: [direction: 1 | -1, event: KeyboardEvent] }>()
const id = useId()
// One listener: the library's input takes no list of them.
function stepped(e: KeyboardEvent): void {
  if (e.key === 'ArrowUp') emit('step', 1, e)
  if (e.key === 'ArrowDown') emit('step', -1, e)
}
</script>

<template>
  <div class="typed" :class="{ inline }">
    <label :for="id">{{ label }}</label>
    <a-input
      :id="id"
      :value="text"
      :status="problem ? 'error' : ''"
      :suffix="unit"
      inputmode="decimal"
      autocomplete="off"
      :aria-invalid="problem !== null"
      :aria-describedby="problem || hint ? `${id}-says` : undefined"
      @update:value="(written: string) => emit('typed', written)"
      @keydown="stepped"
    />
    <p v-if="problem" :id="`${id}-says`" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-says`" class="quiet hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.typed {
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
  display: inline-flex;
  max-width: 260px;
}
.inline label {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.inline :deep(.ant-input-affix-wrapper) {
  width: fit-content;
  height: 34px;
  min-height: 0;
  padding: 0 2px;
  border-width: 0 0 2px;
  border-radius: 0;
  border-color: var(--oxblood);
  background: none;
  box-shadow: none;
  font-weight: 600;
}
.inline :deep(.ant-input) {
  width: 6ch;
  min-width: 2ch;
  min-height: 0;
  field-sizing: content;
  background: none;
  font-weight: 600;
}
@supports (field-sizing: content) {
  .inline :deep(.ant-input) {
    width: auto;
  }
}
.problem {
  color: #9a211b;
  font-size: 13.5px;
}
.hint {
  font-size: 13px;
}
</style>
