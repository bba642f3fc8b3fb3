<script setup lang="ts">
/** Every way to cook this piece, compared on one scale; one of them in full, with what can be turned. */
import OnSlate from '../../ui/OnSlate.vue'
import { Button as AButton } from 'ant-design-vue'
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { pieceName } from '#core/meat/piece'
import type { MethodKind } from '#core/method/methods'
import { callSheet } from '#core/words/callSheet'
import { showLength, showTemperature, shownText } from '#core/quantity/format'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import { useDraft } from '../../stores/draft'
import { useComparison, type Compared } from '../../stores/comparison'
import { useUnits } from '../../stores/units'
import DonenessRow from './DonenessRow.vue'
import FireTabs from './FireTabs.vue'
import MethodRow from './MethodRow.vue'
import SafetyLines from './SafetyLines.vue'
import SheetLines from './SheetLines.vue'
import { methodPath } from './methodPath'

const PlanChart = defineAsyncComponent(() => import('./PlanChart.vue'))
const draft = useDraft()
const comparison = useComparison()
const units = useUnits()
const router = useRouter()
function plan(): void {
  void router.push(methodPath(chosen.value))
}
onMounted(() => (comparison.watched = true))
onUnmounted(() => (comparison.watched = false))

/** Looked at here; it is planned by once it is gone to. */
const chosen = ref<MethodKind>(draft.request.method.kind)
type Suited = Extract<Compared, { readonly plan: unknown }>
const planned = (c: Compared | null): Suited | null => (c && 'plan' in c ? c : null)

const SORTS = ['total', 'hands-on', 'evenness', 'forgives'] as const
type Sort = (typeof SORTS)[number]
const sort = ref<Sort>('total')

const order = (c: Suited): number => {
  switch (sort.value) {
    case 'total':
      return c.plan.carve.time
    case 'hands-on':
      return c.plan.handsOn
    case 'evenness':
      return -c.plan.section.evenness
    case 'forgives':
      return -(c.lateS ?? Infinity)
  }
}
/** Two ways held beside each other, first in the table and overlaid in the chart. */
const pinned = ref<readonly MethodKind[]>([])
function pin(kind: MethodKind): void {
  pinned.value = pinned.value.includes(kind) ? pinned.value.filter(k => k !== kind) : [...pinned.value, kind].slice(-2)
}
/** What suits first; then what is still worked out; then what does not suit, with the reason. */
const rows = computed(() =>
  [...comparison.rows].sort((a, b) => {
    const rank = (c: Compared | null): number => (c === null ? 1 : 'plan' in c ? 0 : 2)
    const [p, q] = [planned(a.compared), planned(b.compared)]
    const held = (k: MethodKind): number => (pinned.value.includes(k) ? 0 : 1)
    return held(a.kind) - held(b.kind) || rank(a.compared) - rank(b.compared) || (p && q ? order(p) - order(q) : 0)
  })
)
/** A piece no pan suits should not open on the pan. */
watch(
  () => comparison.working,
  working => {
    if (working || planned(comparison.current(chosen.value))) return
    const best = rows.value.find(r => planned(r.compared))
    if (best) chosen.value = best.kind
  }
)
const now = computed(() => planned(comparison.current(chosen.value)))
const shown = computed(() => now.value ?? planned(comparison.stale(chosen.value)))
const unsuited = computed(() => {
  const found = comparison.current(chosen.value)
  return found && 'refused' in found ? found.refused : null
})
const lines = computed(() =>
  shown.value
    ? callSheet(draft.askedBy(chosen.value), shown.value.plan, shown.value.lateS, null, units.system).filter(l => l.id !== 'after')
    : []
)
const target = computed(() => shownText(showTemperature(draft.request.target.coreC, units.system)))

const piece = computed(() => draft.request.piece)

type Filter = 'all' | 'an hour' | 'forgiving' | 'no oven'
const filter = ref<Filter>('all')
const FILTERS: readonly { value: Filter; label: string }[] = [
  { value: 'all', label: 'every way' },
  { value: 'an hour', label: 'within an hour' },
  { value: 'forgiving', label: 'may be 5 min late' },
  { value: 'no oven', label: 'oven stays free' }
]
const FORGIVING_S = 300
const passes = (c: Suited): boolean => {
  switch (filter.value) {
    case 'all':
      return true
    case 'an hour':
      return c.plan.carve.time <= 3600
    case 'forgiving':
      return c.lateS === null || c.lateS >= FORGIVING_S
    case 'no oven':
      return !c.plan.phases.some(p => p.phase === 'oven')
  }
}
/** What the filter lets through; what suits not at all stays in sight with its reason. */
const visible = computed(() =>
  rows.value.filter(r => {
    const found = planned(r.compared)
    return !found || passes(found) || pinned.value.includes(r.kind)
  })
)

/** What the chart shows: the two pinned ways, or the chosen one with a pinned one beside it. */
const charted = computed((): MethodKind => (pinned.value.length === 2 ? pinned.value[0] : chosen.value))
const charting = computed(() => planned(comparison.current(charted.value)) ?? (charted.value === chosen.value ? shown.value : null))
const beside = computed(() => {
  const other = pinned.value.find(k => k !== charted.value)
  const found = other ? planned(comparison.current(other)) : null
  return other && found ? { name: other, plan: found.plan } : null
})
</script>

<template>
  <div class="place">
    <main>
      <fire-tabs />
      <h1>Every way to cook it</h1>
      <p class="quiet">
        {{ pieceName(piece, draft.cut) }}, {{ shownText(showLength(piece.thicknessMm, units.system)) }}, to {{ target }} inside.
        <router-link to="/bench">Change the piece</router-link>
      </p>
      <doneness-row />
      <div class="top">
        <choice-row v-model="sort" label="Sorted by" :options="SORTS.map(s => ({ value: s, label: s }))" />
        <choice-row v-model="filter" label="Show" :options="FILTERS" />
      </div>
      <p v-if="comparison.failed" class="wrong" role="alert">{{ comparison.failed }}</p>

      <div class="table" role="radiogroup" aria-label="Methods" :aria-busy="comparison.working">
        <div class="headings quiet" aria-hidden="true">
          <span></span><span>Method</span><span>In all</span><span>Hands on</span><span>Even</span><span>Grey</span><span>Crust</span
          ><span>Loss</span><span>May be late</span><span>{{ shownText(showLength(3, units.system)) }} thicker</span>
        </div>
        <method-row
          v-for="r in visible"
          :key="r.kind"
          :kind="r.kind"
          :compared="r.compared"
          :chosen="r.kind === chosen"
          :pinned="pinned.includes(r.kind)"
          @choose="chosen = r.kind"
          @pin="pin(r.kind)"
        />
      </div>

      <section v-if="charting" class="full" :class="{ stale: !now }">
        <h2>{{ charted }}{{ beside ? ` beside ${beside.name}` : '' }}</h2>
        <p v-if="!beside" class="quiet">Pin another way and its curve is laid over this one.</p>
        <plan-chart :plan="charting.plan" :beside="beside" />
      </section>
    </main>

    <on-slate>
      <aside class="slate" aria-label="Call sheet">
        <div class="title">
          <h2>{{ chosen }}</h2>
          <span class="quiet" role="status">{{ now ? '' : unsuited ? 'no plan' : 'working it out…' }}</span>
        </div>
        <p v-if="unsuited" class="refused" role="alert">{{ units.say(unsuited) }}</p>
        <sheet-lines v-if="shown && !unsuited" :lines="lines" :stale="!now" :faint="!now" />
        <safety-lines v-if="shown && !unsuited" :plan="shown.plan" />
        <a-button class="go" block @click="plan">Plan it so</a-button>
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
main a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  margin: 10px 0 12px;
}
.headings {
  display: grid;
  grid-template-columns: 124px minmax(150px, 1fr) repeat(8, 57px);
  gap: 0 10px;
  align-items: center;
  font-size: 12.5px;
  padding: 2px 8px;
}
h2::first-letter {
  text-transform: uppercase;
}
.full {
  margin-top: 18px;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.title h2 {
  font-size: 25px;
}
.refused {
  border-left: 3px solid var(--hot);
  padding: 4px 0 4px 12px;
  margin: 10px 0;
  line-height: 1.45;
}
.remark {
  border-top: 1px solid #454b4d;
  padding: 9px 0;
  font-size: 13.5px;
  line-height: 1.42;
  color: #e9d3ac;
}
.go {
  position: sticky;
  bottom: calc(20px + var(--foot, 0px));
  margin-top: auto;
}
.wrong {
  color: #9a211b;
}
@media (max-width: 1100px) {
  .headings {
    display: none;
  }
}
</style>
