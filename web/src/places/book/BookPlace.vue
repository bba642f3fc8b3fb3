<script setup lang="ts">
/** What happened: every cook, newest first, planned beside seen. */
import { momentWritten } from '../../ui/moments'
import NothingHere from '../../ui/NothingHere.vue'
import { Button as AButton, Input as AInput, Skeleton as ASkeleton, Table as ATable } from 'ant-design-vue'
import { watchDebounced } from '@vueuse/core'
import dayjs from 'dayjs'
import type { SorterResult, TablePaginationConfig } from 'ant-design-vue/es/table/interface'
import { computed, onMounted, onUpdated, ref, shallowRef, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import type { CookPage, CookSort } from '#core/book/cookSchema'
import type { CookSummary } from '#core/book/record'
import type { CookState } from '#core/session/progress'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { listed, showDuration, showLength, showTemperature, shownText } from '#core/quantity/format'
import { api, type BookPage } from '../../api/client'
import { useUnits } from '../../stores/units'
import LessonBoard from './LessonBoard.vue'
import SaveEverything from './SaveEverything.vue'

const units = useUnits()
const A_PAGE = 25
const search = ref('')
const page = ref(1)
const sorted = shallowRef<Pick<CookPage, 'sort' | 'order'>>({ order: 'down' })
const found = shallowRef<BookPage | null>(null)
const cooks = computed(() => found.value?.cooks ?? null)
/** Whether a page is being turned to. */
const turning = ref(false)
const trouble = ref<string | null>(null)
let asked = 0

async function load(): Promise<void> {
  const mine = ++asked
  turning.value = true
  try {
    const answer = await api.cooks({ search: search.value, skip: (page.value - 1) * A_PAGE, take: A_PAGE, ...sorted.value })
    if (mine !== asked) return
    found.value = answer
    trouble.value = null
  } catch (error) {
    if (mine === asked) trouble.value = error instanceof Error ? error.message : String(error)
  } finally {
    if (mine === asked) turning.value = false
  }
}
function first(): void {
  page.value = 1
  void load()
}
watchDebounced(search, first, { debounce: 200 })
/** Another page, or sorted otherwise, and then from the first. */
function turn({ current = 1 }: TablePaginationConfig, _: unknown, by: SorterResult | SorterResult[]): void {
  const { columnKey, order } = Array.isArray(by) ? by[0] : by
  const next = order
    ? { sort: columnKey as CookSort, order: order === 'ascend' ? ('up' as const) : ('down' as const) }
    : { order: 'down' as const }
  const same = next.sort === sorted.value.sort && next.order === sorted.value.order
  sorted.value = next
  page.value = same ? current : 1
  void load()
}
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
  readonly key: CookSort
  readonly title: string
  /** What the two figures are. */
  readonly of?: string
  readonly align?: 'right'
  readonly says?: (c: CookSummary) => string
  readonly sorter: true
}
const COLUMNS: Column[] = [
  { key: 'made', title: 'Cook', sorter: true },
  {
    key: 'to',
    title: 'To',
    align: 'right',
    says: c => degrees(c.request.target.coreC),
    sorter: true
  },
  {
    key: 'time',
    title: 'Time on the heat',
    of: 'planned · seen',
    align: 'right',
    says: c => `${duration(c.planned.pullS)} · ${duration(c.seen.pullS)}`,
    sorter: true
  },
  {
    key: 'off',
    title: 'Off the heat',
    of: 'planned · read',
    align: 'right',
    says: c => `${degrees(c.planned.pullC)} · ${degrees(c.seen.pullC)}`,
    sorter: true
  },
  {
    key: 'highest',
    title: 'Highest',
    of: 'planned · read',
    align: 'right',
    says: c => `${degrees(c.planned.peakC)} · ${degrees(c.seen.highestC)}`,
    sorter: true
  },
  { key: 'board', title: 'On the board', says: verdict, sorter: true }
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
    <p class="apart"><router-link to="/rehearse">Rehearsals</router-link> stand apart from what was cooked.</p>
    <div class="search">
      <a-input
        v-model:value="search"
        size="large"
        allow-clear
        placeholder="A cut, a name, a word of the notes"
        aria-label="Search the book"
      />
    </div>
    <p v-if="found && found.unreadable.length > 0" class="trouble" role="alert">
      {{ listed(found.unreadable.map(u => `“${u.title}”`)) }} cannot be read any more. What is there of
      {{ found.unreadable.length === 1 ? 'it' : 'them' }} is kept; a copy of an earlier day may have
      {{ found.unreadable.length === 1 ? 'it' : 'them' }} whole.
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
      :loading="{ spinning: turning, delay: 300 }"
      :pagination="{
        current: page,
        pageSize: A_PAGE,
        total: found?.total ?? 0,
        hideOnSinglePage: true,
        showSizeChanger: false,
        showTotal: many => `${many.toLocaleString('en')} cooks`
      }"
      :scroll="{}"
      :row-selection="{ selectedRowKeys: chosen, onChange: choose, hideSelectAll: true, getCheckboxProps: nameBox }"
      :show-sorter-tooltip="false"
      @change="turn"
    >
      <template #headerCell="{ column }">
        <span>{{ column.title }}</span>
        <template v-if="ofColumn(column.key)?.of"
          ><br /><small>{{ ofColumn(column.key)?.of }}</small></template
        >
      </template>
      <template #bodyCell="{ column, record: c }">
        <template v-if="column.key === 'made'">
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
