<script setup lang="ts">
/** What happened: every cook, newest first, planned beside seen. */
import { Input as AInput } from 'ant-design-vue'
import { useDebounceFn } from '@vueuse/core'
import dayjs from 'dayjs'
import { onMounted, ref } from 'vue'
import { RouterLink } from 'vue-router'
import type { CookSummary } from '#core/book/record'
import type { CookState } from '#core/session/progress'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { showDuration, showLength, showTemperature, shownText } from '#core/quantity/format'
import { api } from '../../api/client'
import { useUnits } from '../../stores/units'
import LessonBoard from './LessonBoard.vue'

const units = useUnits()
const search = ref('')
const cooks = ref<readonly CookSummary[] | null>(null)
const trouble = ref<string | null>(null)
let asked = 0

async function load(): Promise<void> {
  const mine = ++asked
  try {
    const found = await api.cooks(search.value)
    if (mine !== asked) return
    cooks.value = found.cooks
    trouble.value = null
  } catch (error) {
    if (mine === asked) trouble.value = error instanceof Error ? error.message : String(error)
  }
}
const later = useDebounceFn(load, 200)
onMounted(load)

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
</script>

<template>
  <main class="book">
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
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <button type="button" @click="load">Try again</button></p>
    <p v-else-if="cooks === null" class="quiet" role="status">Opening…</p>
    <p v-else-if="cooks.length === 0" class="quiet" role="status">
      <template v-if="search">Nothing in the book matches “{{ search }}”.</template>
      <template v-else>Nothing yet. The first cook you light at the <router-link to="/fire">fire</router-link> is written here.</template>
    </p>
    <table v-else :class="{ old: trouble }">
      <thead>
        <tr>
          <th>Cook</th>
          <th class="n">To</th>
          <th class="n">Time on the heat<br /><small>planned · seen</small></th>
          <th class="n">Off the heat<br /><small>planned · read</small></th>
          <th class="n">Highest<br /><small>planned · read</small></th>
          <th>On the board</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in cooks" :key="c.id">
          <td>
            <router-link :to="`/book/${c.id}`" class="title">{{ c.title }}</router-link>
            <span class="quiet"
              >{{ dayjs(c.createdAt).format('D MMM YYYY, HH:mm') }} · {{ nameOf(c) }},
              {{ shownText(showLength(c.request.piece.thicknessMm, units.system)) }}</span
            >
          </td>
          <td class="n">{{ degrees(c.request.target.coreC) }}</td>
          <td class="n">{{ duration(c.planned.pullS) }} · {{ duration(c.seen.pullS) }}</td>
          <td class="n">{{ degrees(c.planned.pullC) }} · {{ degrees(c.seen.pullC) }}</td>
          <td class="n">{{ degrees(c.planned.peakC) }} · {{ degrees(c.seen.highestC) }}</td>
          <td>{{ verdict(c) }}</td>
        </tr>
      </tbody>
    </table>
    <lesson-board v-if="cooks !== null && cooks.length > 0 && !search" />
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
.trouble button {
  font: inherit;
  background: none;
  border: 1px solid #a9b2ad;
  border-radius: 3px;
  padding: 4px 12px;
  margin-left: 8px;
  cursor: pointer;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 500;
  font-size: 13.5px;
  color: var(--ink-2);
  text-align: left;
  vertical-align: bottom;
  padding: 6px 14px 6px 0;
}
small {
  font-size: 12.5px;
}
td {
  border-top: 1px solid var(--rule);
  padding: 11px 14px 11px 0;
  vertical-align: top;
}
.n {
  text-align: right;
  white-space: nowrap;
  padding-right: 30px;
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
td .quiet {
  font-size: 13.5px;
}
main a:not(.title) {
  color: inherit;
  text-decoration: underline;
}
.old {
  opacity: 0.5;
}
@media (max-width: 760px) {
  .book {
    padding: 14px 16px;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
  td {
    border: 0;
    padding: 3px 0;
    text-align: left;
  }
  td:first-child {
    grid-column: 1 / -1;
  }
}
</style>
