<script setup lang="ts">
/** What happened: every cook, newest first, planned beside seen. */
import { momentWritten } from '../../ui/moments'
import NothingHere from '../../ui/NothingHere.vue'
import { Button as AButton, Input as AInput, Skeleton as ASkeleton, Table as ATable } from 'ant-design-vue'
import { useDebounceFn } from '@vueuse/core'
import dayjs from 'dayjs'
import { onMounted, onUpdated, ref, shallowRef, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import type { CookSummary } from '#core/book/record'
import type { CookState } from '#core/session/progress'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { showDuration, showLength, showTemperature, shownText } from '#core/quantity/format'
import { api } from '../../api/client'
import { useUnits } from '../../stores/units'
import LessonBoard from './LessonBoard.vue'
import SaveEverything from './SaveEverything.vue'

const units = useUnits()
const search = ref('')
const cooks = ref<readonly CookSummary[] | null>(null)
const trouble = ref<string | null>(null)
let asked = 0

/** Kept, and not to be read any more. */
const unreadable = shallowRef<readonly { readonly id: string; readonly title: string; readonly createdAt: number }[]>([])
async function load(): Promise<void> {
  const mine = ++asked
  try {
    const found = await api.cooks(search.value)
    if (mine !== asked) return
    cooks.value = found.cooks
    unreadable.value = found.unreadable ?? []
    trouble.value = null
  } catch (error) {
    if (mine === asked) trouble.value = error instanceof Error ? error.message : String(error)
  }
}
const later = useDebounceFn(load, 200)
onMounted(load)
/** What is there to be seen alone has no name to be read. */
const book = useTemplateRef<HTMLElement>('book')
onUpdated(() => book.value?.querySelectorAll('[role=presentation]').forEach(icon => icon.removeAttribute('aria-label')))

const degrees = (c: number | null): string => (c === null ? '—' : shownText(showTemperature(c, units.system)))
const duration = (s: number | null): string => (s === null ? '—' : shownText(showDuration(s)))
const STATE: Record<CookState, string> = {
  ready: 'not begun',
  heating: 'under way',
  'on the heat': 'under way',
  lifted: 'under way',
  resting: 'resting',
  carved: ''
}
const nameOf = ({ request: { piece } }: CookSummary): string => {
  const cut = cutById(piece.cutId)
  return cut ? pieceName(piece, cut) : ''
}
function verdict(c: CookSummary): string {
  if (c.state !== 'carved') return STATE[c.state]
  const doneness =
    c.outcome.doneness === null ? 'not judged yet' : c.outcome.doneness === 'as wanted' ? 'as wanted' : `${c.outcome.doneness}done`
  return c.outcome.crust ? `${doneness}, crust ${c.outcome.crust}` : doneness
}

interface Column {
  readonly key: string
  readonly title: string
  /** What the two figures are. */
  readonly of?: string
  readonly align?: 'right'
  readonly says?: (c: CookSummary) => string
  readonly sorter: (a: CookSummary, b: CookSummary) => number
}
const COLUMNS: Column[] = [
  { key: 'cook', title: 'Cook', sorter: (a, b) => a.createdAt - b.createdAt },
  {
    key: 'to',
    title: 'To',
    align: 'right',
    says: c => degrees(c.request.target.coreC),
    sorter: (a, b) => a.request.target.coreC - b.request.target.coreC
  },
  {
    key: 'time',
    title: 'Time on the heat',
    of: 'planned · seen',
    align: 'right',
    says: c => `${duration(c.planned.pullS)} · ${duration(c.seen.pullS)}`,
    sorter: (a, b) => a.planned.pullS - b.planned.pullS
  },
  {
    key: 'off',
    title: 'Off the heat',
    of: 'planned · read',
    align: 'right',
    says: c => `${degrees(c.planned.pullC)} · ${degrees(c.seen.pullC)}`,
    sorter: (a, b) => a.planned.pullC - b.planned.pullC
  },
  {
    key: 'highest',
    title: 'Highest',
    of: 'planned · read',
    align: 'right',
    says: c => `${degrees(c.planned.peakC)} · ${degrees(c.seen.highestC)}`,
    sorter: (a, b) => a.planned.peakC - b.planned.peakC
  },
  { key: 'board', title: 'On the board', says: verdict, sorter: (a, b) => verdict(a).localeCompare(verdict(b)) }
]
/** Two at most: the third takes the place of the first. */
const chosen = ref<string[]>([])
const choose = (keys: readonly (string | number)[]): void => void (chosen.value = keys.slice(-2).map(String))
const nameBox = (c: CookSummary): object => ({ 'aria-label': `Choose ${c.title}, to lay it beside another` })
const ofColumn = (key: unknown): Column | undefined => COLUMNS.find(c => c.key === key)
</script>

<template>
  <main ref="book" class="book">
    <h1>The book</h1>
    <div class="search">
      <a-input
        v-model:value="search"
        size="large"
        allow-clear
        placeholder="A cut, a name, a word of the notes"
        aria-label="Search the book"
        @update:value="later"
      />
    </div>
    <p v-if="unreadable.length > 0" class="trouble" role="alert">
      {{ new Intl.ListFormat('en').format(unreadable.map(u => `“${u.title}”`)) }} cannot be read any more. What is there of
      {{ unreadable.length === 1 ? 'it' : 'them' }} is kept; a copy of an earlier day may have
      {{ unreadable.length === 1 ? 'it' : 'them' }} whole.
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <a-button @click="load">Try again</a-button></p>
    <a-skeleton v-else-if="cooks === null" active :title="false" :paragraph="{ rows: 6 }" aria-label="Opening the book" role="status" />
    <nothing-here v-else-if="cooks.length === 0" role="status">
      <template v-if="search">Nothing in the book matches “{{ search }}”.</template>
      <template v-else>Nothing yet. The first cook you light at the <router-link to="/fire">fire</router-link> is written here.</template>
    </nothing-here>
    <a-table
      v-if="cooks && cooks.length > 0"
      class="cooks"
      :class="{ stale: trouble }"
      row-key="id"
      :columns="COLUMNS"
      :data-source="[...cooks]"
      :pagination="{ pageSize: 25, hideOnSinglePage: true, showSizeChanger: false }"
      :scroll="{}"
      :row-selection="{ selectedRowKeys: chosen, onChange: choose, hideSelectAll: true, getCheckboxProps: nameBox }"
    >
      <template #headerCell="{ column }">
        <span>{{ column.title }}</span>
        <template v-if="ofColumn(column.key)?.of"
          ><br /><small>{{ ofColumn(column.key)?.of }}</small></template
        >
      </template>
      <template #bodyCell="{ column, record: c }">
        <template v-if="column.key === 'cook'">
          <router-link :to="`/book/${c.id}`" class="title">{{ c.title }}</router-link>
          <span class="quiet"
            >{{ dayjs(c.createdAt).format(momentWritten) }} · {{ nameOf(c as CookSummary) }},
            {{ shownText(showLength(c.request.piece.thicknessMm, units.system)) }}</span
          >
        </template>
        <template v-else>
          <small class="on-phone">{{ column.title }}{{ ofColumn(column.key)?.of ? `, ${ofColumn(column.key)?.of}` : '' }}</small>
          {{ ofColumn(column.key)?.says?.(c as CookSummary) }}
        </template>
      </template>
    </a-table>
    <p v-if="chosen.length > 0" class="beside" role="status">
      <router-link v-if="chosen.length === 2" :to="`/book/${chosen[0]}/beside/${chosen[1]}`">Lay the two side by side</router-link>
      <template v-else>Tick another to lay the two side by side.</template>
    </p>
    <lesson-board v-if="cooks !== null && cooks.length > 0 && !search" />
    <save-everything v-if="!search" @taken="load" />
  </main>
</template>

<style scoped>
.book {
  padding: 18px 28px 40px;
  max-width: 1240px;
}
.search {
  max-width: 480px;
  margin: 12px 0 16px;
}
.trouble {
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
}
.cooks :deep(th) {
  vertical-align: bottom;
}
.cooks :deep(tr.ant-table-row-selected) {
  background: var(--tile);
}
.cooks :deep(tr.ant-table-row-selected > td) {
  background: transparent !important;
}
.beside {
  position: sticky;
  bottom: calc(var(--foot, 0px) + 8px);
  z-index: 2;
  width: fit-content;
  margin: 10px 0;
  padding: 10px 16px;
  background: var(--ink);
  color: var(--chalk);
  border-radius: 3px;
}
small {
  font-size: 12.5px;
  font-weight: 400;
}
.on-phone {
  display: none;
}
.title {
  display: block;
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 600;
  color: var(--ink);
}
.title:hover {
  color: var(--oxblood);
  text-decoration: underline;
}
.cooks .quiet {
  font-size: 13.5px;
}
main a:not(.title) {
  color: inherit;
  text-decoration: underline;
}
@media (max-width: 760px) {
  .book {
    padding: 14px 16px;
  }
  .cooks :deep(thead) {
    display: none;
  }
  .cooks :deep(tr.ant-table-row) {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-bottom: 1px solid var(--rule);
    padding: 8px 0;
  }
  .cooks :deep(tr.ant-table-row > td) {
    border: 0 !important;
    padding: 3px 0;
    text-align: start !important;
  }
  .cooks :deep(tr.ant-table-row) {
    position: relative;
  }
  .cooks :deep(tr.ant-table-row > td.ant-table-selection-column) {
    position: absolute;
    right: 0;
    top: 2px;
    z-index: 1;
  }
  .cooks :deep(td.ant-table-selection-column .ant-checkbox-wrapper) {
    padding: 12px;
  }
  .cooks :deep(tr.ant-table-row > td:nth-child(2)) {
    grid-column: 1 / -1;
    padding-right: 52px;
  }
  .on-phone {
    display: block;
    color: var(--ink-2);
  }
}
</style>
