<script setup lang="ts">
/** What the cut face showed. */
import { Form as AForm, FormItem as AFormItem, Textarea as ATextarea } from 'ant-design-vue'
import { onBeforeUnmount, ref, useId, watch } from 'vue'
import { CRUSTS, VERDICTS, type Crust, type Outcome, type Verdict } from '#core/book/record'
import { NOTES_LENGTH, parseOutcome } from '#core/book/cookSchema'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import { useSchema } from '../../ui/useSchema'

const props = defineProps<{ outcome: Outcome; dark?: boolean }>()
const emit = defineEmits<{ change: [outcome: Outcome] }>()
const id = useId()
const notes = ref(props.outcome.notes)
watch(
  () => props.outcome.notes,
  n => {
    if (!waiting) notes.value = n
  }
)

let waiting: ReturnType<typeof setTimeout> | undefined
function flush(): void {
  if (waiting === undefined) return
  clearTimeout(waiting)
  waiting = undefined
  const written = form.submit()
  if (written) emit('change', written)
}
function typed(): void {
  clearTimeout(waiting)
  waiting = setTimeout(flush, 600)
}
function choose(part: Partial<Outcome>): void {
  clearTimeout(waiting)
  waiting = undefined
  emit('change', { ...props.outcome, notes: notes.value, ...part })
}
onBeforeUnmount(flush)

const form = useSchema(parseOutcome, () => ({ ...props.outcome, notes: notes.value }))

const NOT_SAID = 'not said'
const WORDS: Record<Verdict, string> = { under: 'underdone', 'as wanted': 'as wanted', over: 'overdone' }
const donenesses = [...VERDICTS.map(v => ({ value: v as string, label: WORDS[v] })), { value: NOT_SAID, label: NOT_SAID }]
const crusts = [...CRUSTS.map(c => ({ value: c as string, label: c as string })), { value: NOT_SAID, label: NOT_SAID }]
const said = <T extends string>(chosen: string): T | null => (chosen === NOT_SAID ? null : (chosen as T))
</script>

<template>
  <a-form class="form" :class="{ dark }" layout="vertical" @submit="flush">
    <choice-row
      label="Doneness"
      :options="donenesses"
      :model-value="outcome.doneness ?? NOT_SAID"
      @update:model-value="v => choose({ doneness: said<Verdict>(v) })"
    />
    <choice-row
      label="Crust"
      :options="crusts"
      :model-value="outcome.crust ?? NOT_SAID"
      @update:model-value="v => choose({ crust: said<Crust>(v) })"
    />
    <a-form-item label="Notes" :html-for="`${id}-n`" v-bind="form.item('notes')">
      <a-textarea
        :id="`${id}-n`"
        v-model:value="notes"
        :rows="3"
        :maxlength="NOTES_LENGTH"
        placeholder="Juices, colour, what to do differently"
        @input="typed"
        @blur="flush"
      />
    </a-form-item>
  </a-form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.form .ant-form-item {
  margin: 0;
}
.dark :deep(.label),
.dark :deep(label:not(.ant-radio-button-wrapper)) {
  color: #b5bab6;
  font-size: 17px;
}
.dark :deep(.ant-radio-button-wrapper) {
  display: inline-flex;
  align-items: center;
  min-height: 60px;
  padding: 0 20px;
  font-size: 19px;
}
</style>
