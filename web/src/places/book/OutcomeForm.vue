<script setup lang="ts">
/** What the cut face showed. */
import { Button as AButton, Textarea as ATextarea } from 'ant-design-vue'
import { onBeforeUnmount, ref, useId, watch } from 'vue'
import { CRUSTS, VERDICTS, type Crust, type Outcome, type Verdict } from '#core/book/record'
import { NOTES_LENGTH } from '#core/book/cookSchema'

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
  emit('change', { ...props.outcome, notes: notes.value })
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

const again = <T,>(now: T | null, chosen: T): T | null => (now === chosen ? null : chosen)
const WORDS: Record<Verdict, string> = { under: 'underdone', 'as wanted': 'as wanted', over: 'overdone' }
</script>

<template>
  <div class="form" :class="{ dark }">
    <div role="group" :aria-labelledby="`${id}-d`">
      <span :id="`${id}-d`">Doneness</span>
      <div class="bar">
        <a-button
          v-for="v in VERDICTS"
          :key="v"
          :aria-pressed="outcome.doneness === v"
          @click="choose({ doneness: again<Verdict>(outcome.doneness, v) })"
        >
          {{ WORDS[v] }}
        </a-button>
      </div>
    </div>
    <div role="group" :aria-labelledby="`${id}-c`">
      <span :id="`${id}-c`">Crust</span>
      <div class="bar">
        <a-button
          v-for="c in CRUSTS"
          :key="c"
          :aria-pressed="outcome.crust === c"
          @click="choose({ crust: again<Crust>(outcome.crust, c) })"
        >
          {{ c }}
        </a-button>
      </div>
    </div>
    <div>
      <label :for="`${id}-n`">Notes</label>
      <a-textarea
        :id="`${id}-n`"
        v-model:value="notes"
        :rows="3"
        :maxlength="NOTES_LENGTH"
        placeholder="Juices, colour, what to do differently"
        @input="typed"
        @blur="flush"
      />
    </div>
  </div>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
span,
label {
  display: block;
  font-size: 14px;
  color: var(--ink-2);
  margin-bottom: 4px;
}
.bar {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.bar .ant-btn {
  height: 40px;
}
.bar .ant-btn[aria-pressed='true'] {
  background: var(--ink);
  color: var(--chalk);
  border-color: var(--ink);
}
.dark span,
.dark label {
  color: #b5bab6;
  font-size: 17px;
}
.dark .ant-btn {
  height: 60px;
  padding: 0 24px;
  font-size: 19px;
}
.dark .ant-btn[aria-pressed='true'] {
  background: #e69f3c;
  border-color: #e69f3c;
  color: #17120a;
}
</style>
