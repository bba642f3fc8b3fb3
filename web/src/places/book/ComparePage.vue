<script setup lang="ts">
/** Two cooks beside one another: what was different about them, and what came of it. */
import { Button as AButton, Skeleton as ASkeleton, Table as ATable } from 'ant-design-vue'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { CookRecord } from '#core/book/record'
import { api } from '../../api/client'
import { useUnits } from '../../stores/units'
import { begunWith, figuresOf, verdictOf } from './figures'

const CookChart = defineAsyncComponent(() => import('./CookChart.vue'))
const route = useRoute()
const units = useUnits()
const pair = ref<readonly [CookRecord, CookRecord] | null>(null)
const trouble = ref<string | null>(null)
const ids = computed(() => [String(route.params['one']), String(route.params['other'])] as const)
async function load(): Promise<void> {
  try {
    pair.value = await Promise.all([api.cook(ids.value[0]), api.cook(ids.value[1])])
    trouble.value = null
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
watch(ids, load, { immediate: true })

interface Row {
  readonly what: string
  readonly one: string
  readonly other: string
}
const row = (what: string, one: string | undefined, other: string | undefined): Row => ({ what, one: one ?? '—', other: other ?? '—' })
/** Of what they were begun with, only what was not alike. */
const different = computed((): Row[] => {
  if (!pair.value) return []
  const [one, other] = pair.value.map(c => begunWith(c, units.system))
  return one.map((l, i) => row(l.what, l.is, other[i].is)).filter(r => r.one !== r.other)
})
const came = computed((): Row[] => {
  if (!pair.value) return []
  const [one, other] = pair.value.map(c => new Map(figuresOf(c, units.system).map(f => [f.what, f])))
  const what = [...new Set([...one.keys(), ...other.keys()])]
  const both = (of: Map<string, { planned: string; seen: string }>, key: string): string | undefined => {
    const f = of.get(key)
    return f && (f.seen === '—' ? `planned ${f.planned}` : `${f.seen}, planned ${f.planned}`)
  }
  const [a, b] = pair.value
  return [
    ...what.map(w => row(w, both(one, w), both(other, w))),
    row('Doneness', verdictOf(a), verdictOf(b)),
    row('Crust', a.outcome.crust ?? 'not judged', b.outcome.crust ?? 'not judged'),
    row('Notes', a.outcome.notes || '—', b.outcome.notes || '—')
  ]
})
const columns = computed(() => [
  { title: '', dataIndex: 'what', rowScope: 'row' as const, width: '27%' },
  { title: pair.value?.[0].title ?? '', dataIndex: 'one' },
  { title: pair.value?.[1].title ?? '', dataIndex: 'other' }
])
</script>

<template>
  <main class="compare">
    <p class="back"><router-link to="/book">The book</router-link></p>
    <h1>Side by side</h1>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <a-button @click="load">Try again</a-button></p>
    <a-skeleton v-else-if="!pair" active :paragraph="{ rows: 8 }" role="status" aria-label="Opening" />
    <template v-else>
      <h2>What was different</h2>
      <p v-if="different.length === 0" class="quiet">Nothing that was written down: the same piece, the same way.</p>
      <a-table v-else size="small" table-layout="fixed" row-key="what" :columns="columns" :data-source="different" :pagination="false" />
      <h2>What came of it</h2>
      <a-table size="small" table-layout="fixed" row-key="what" :columns="columns" :data-source="came" :pagination="false" />
      <div class="charts">
        <section v-for="c in pair" :key="c.id" :aria-label="c.title">
          <h3>
            <router-link :to="`/book/${c.id}`">{{ c.title }}</router-link>
          </h3>
          <cook-chart :record="c" />
        </section>
      </div>
    </template>
  </main>
</template>

<style scoped>
.compare {
  padding: 14px 28px 40px;
  max-width: 1180px;
}
.back {
  margin-bottom: 6px;
}
h2 {
  margin: 18px 0 8px;
}
a {
  color: var(--oxblood);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.compare :deep(td + td) {
  overflow-wrap: anywhere;
}
.trouble {
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 0 32px;
  margin-top: 22px;
}
@media (max-width: 900px) {
  .compare {
    padding: 14px 16px;
  }
}
</style>
