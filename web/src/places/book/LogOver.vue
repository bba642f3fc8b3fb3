<script setup lang="ts">
/** The log of any thermometer, laid over a cook: what is guessed of it is shown and can be put right before it is taken. */
import { Button as AButton, Table as ATable } from 'ant-design-vue'
import Papa from 'papaparse'
import { computed, ref, shallowRef } from 'vue'
import type { CookRecord, ProbeLog } from '#core/book/record'
import { guessed, readLog, tableOf, type LogReading, type LogTable, type TimeAs } from '#core/formats/thermometerLog'
import { progressOf } from '#core/session/progress'
import { showClock, showTemperature, shownText } from '#core/quantity/format'
import { useUnits } from '../../stores/units'
import FileField from '../../ui/FileField.vue'
import PickField from '../../ui/PickField.vue'

const props = defineProps<{ record: CookRecord }>()
const emit = defineEmits<{ keep: [log: ProbeLog]; drop: [] }>()
const units = useUnits()

const table = shallowRef<LogTable | null>(null)
const by = ref<LogReading | null>(null)
const name = ref('')
const wrong = ref<string | null>(null)

async function open(file: File): Promise<void> {
  wrong.value = by.value = null
  const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' })
  table.value = tableOf(data)
  by.value = table.value && guessed(table.value)
  name.value = file.name.replace(/\.\w+$/, '').slice(0, 80) || 'Log'
  if (by.value === null) {
    table.value = null
    wrong.value = `“${file.name}” is no log that can be read: it needs a column of times that rise and one of temperatures, as comma-separated values.`
  }
}

const columns = computed(() => (table.value?.names ?? []).map((label, i) => ({ value: String(i), label })))
const TIMES: readonly { readonly value: TimeAs; readonly label: string }[] = [
  { value: 'seconds', label: 'seconds since it began' },
  { value: 'minutes', label: 'minutes since it began' },
  { value: 'clock', label: 'the clock on the wall' },
  { value: 'epoch', label: 'a computer’s time, since 1970' }
]
const change = (part: Partial<LogReading>): void => void (by.value = by.value && { ...by.value, ...part })

const read = computed(() => {
  if (!table.value || !by.value) return null
  const { laidAt } = progressOf(props.record.events)
  return readLog(table.value, by.value, name.value, laidAt, laidAt === null ? 0 : -new Date(laidAt).getTimezoneOffset())
})
const HEAD = [
  { title: 'since it went in', dataIndex: 'when', align: 'right' as const },
  { title: 'shows', dataIndex: 'shows', align: 'right' as const }
]
/** The first, the last, and some between: enough to see that it is understood. */
const some = computed(() => {
  const log = read.value
  if (!log) return []
  const last = log.seconds.length - 1
  return [...new Set([0, 1, 2, Math.round(last / 2), last])]
    .filter(i => i <= last)
    .map(i => ({
      when: (log.seconds[i] < 0 ? '−' : '') + showClock(Math.abs(log.seconds[i])),
      shows: shownText(showTemperature(log.celsius[i], units.system, 1))
    }))
})
function keep(): void {
  if (read.value) emit('keep', read.value)
  leave()
}
function leave(): void {
  table.value = by.value = null
}
</script>

<template>
  <section aria-label="A thermometer’s log">
    <h2>A thermometer’s log</h2>
    <p v-if="record.log && !table" class="kept">
      “{{ record.log.name }}” is laid over it. <a-button class="link" @click="emit('drop')">Take it away</a-button>
    </p>
    <file-field
      v-if="!table"
      :label="record.log ? 'Lay another over it' : 'Lay a log over it (CSV)'"
      accept=".csv,.tsv,.txt,text/csv,text/plain"
      @file="open"
    />
    <p v-if="wrong" role="alert" class="wrong">{{ wrong }}</p>
    <template v-if="table && by">
      <p class="quiet">“{{ name }}”, {{ table.rows.length }} lines. This is how it is understood:</p>
      <div class="fields">
        <pick-field
          label="The time is in"
          :model-value="String(by.time)"
          :options="columns"
          @update:model-value="v => change({ time: Number(v) })"
        />
        <pick-field label="as" :model-value="by.timeAs" :options="TIMES" @update:model-value="v => change({ timeAs: v as TimeAs })" />
        <pick-field
          label="The core is in"
          :model-value="String(by.temperature)"
          :options="columns"
          @update:model-value="v => change({ temperature: Number(v) })"
        />
        <pick-field
          label="in"
          :model-value="by.unit"
          :options="[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' }
          ]"
          @update:model-value="v => change({ unit: v as 'C' | 'F' })"
        />
      </div>
      <a-table v-if="read" class="some" size="small" row-key="when" :columns="HEAD" :data-source="some" :pagination="false" />
      <p v-else role="alert" class="wrong">So it cannot be read: fewer than two lines have both.</p>
      <a-button type="primary" :disabled="!read" @click="keep">Lay it over</a-button>
      <a-button type="text" @click="leave">Leave it</a-button>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 8px;
}
.kept {
  margin-bottom: 8px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 14px;
  margin: 8px 0;
}
.some {
  max-width: 320px;
  margin: 8px 0 12px;
}
.wrong {
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
}
</style>
