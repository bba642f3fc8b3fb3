<script setup lang="ts">
/** Every way to cook this piece, compared on one scale; one of them in full, with what can be turned. */
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { dialsOf } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import type { Compared } from '#core/plan/compare'
import { methodSheet, settingsFor } from '#core/plan/everyMethod'
import { showLength, showTemperature, shownText } from '#core/quantity/format'
import { REFERENCES } from '#core/safety/lethality'
import { cautionsFor } from '#core/safety/cautions'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { kept } from '../../stores/kept'
import { useDraft } from '../../stores/draft'
import { useMethods } from '../../stores/methods'
import { useUnits } from '../../stores/units'
import MethodOut from './MethodOut.vue'
import MethodRow from './MethodRow.vue'
import SheetLines from './SheetLines.vue'
import { planned, type Planned } from './planned'

const PlanChart = defineAsyncComponent(() => import('./PlanChart.vue'))
const draft = useDraft()
const methods = useMethods()
const units = useUnits()
onMounted(() => (methods.watched = true))
onUnmounted(() => (methods.watched = false))

const chosen = kept<MethodKind>(
  'macellaio.method',
  () => 'pan sear',
  stored => METHOD_KINDS.find(k => k === stored) ?? 'pan sear'
)
const beside = ref<MethodKind | ''>('')
const SORTS = ['total', 'hands-on', 'evenness', 'forgives'] as const
type Sort = (typeof SORTS)[number]
const sort = ref<Sort>('total')

const order = (c: Planned): number => {
  switch (sort.value) {
    case 'total':
      return c.plan.carve.time
    case 'hands-on':
      return c.plan.handsOn
    case 'evenness':
      return -c.plan.section.evenness
    case 'forgives':
      return -(c.tolerance.lateS ?? Infinity)
  }
}
/** What suits first; then what is still worked out; then what does not suit, with the reason. */
const rows = computed(() =>
  [...methods.rows].sort((a, b) => {
    const rank = (c: Compared | null): number => (c === null ? 1 : 'plan' in c ? 0 : 2)
    const [p, q] = [planned(a.compared), planned(b.compared)]
    return rank(a.compared) - rank(b.compared) || (p && q ? order(p) - order(q) : 0)
  })
)
/** A piece no pan suits should not open on the pan. */
watch(
  () => methods.working,
  working => {
    if (working || planned(methods.current(chosen.value))) return
    const best = rows.value.find(r => planned(r.compared))
    if (best) chosen.value = best.kind
  }
)
const now = computed(() => planned(methods.current(chosen.value)))
const shown = computed(() => now.value ?? planned(methods.rows.find(r => r.kind === chosen.value)?.stale ?? null))
const unsuited = computed(() => {
  const found = methods.current(chosen.value)
  return found && 'unsuited' in found ? found.unsuited : null
})
const lines = computed(() => (shown.value ? methodSheet(shown.value.plan, units.system) : []))
const dials = computed(() => {
  const settings = settingsFor(draft.request, chosen.value, methods.turned[chosen.value] ?? {}) as object as Record<string, number>
  return dialsOf(chosen.value).map(d => ({ ...d, value: settings[d.key] }))
})
const target = computed(() => shownText(showTemperature(draft.request.targetC, units.system)))
const scale = computed(() => scaleById(draft.request.scaleId) ?? SCALES[0])
const bands = computed(() => scale.value.bands.map(b => ({ value: String(b.aim), label: b.word })))
const band = computed(() => String(bandOf(scale.value, draft.request.targetC).aim))

const piece = computed(() => draft.request.piece)
/** The hottest metal that oil would meet. */
const metalC = computed(() => Math.max(0, ...dials.value.filter(d => d.key === 'panC').map(d => d.value)))
const cautions = computed(() => cautionsFor(draft.request.targetC, metalC.value, units.system, draft.table))
const safety = computed(() =>
  (shown.value?.plan.lethal ?? []).map(l => ({
    name: REFERENCES.find(r => r.id === l.reference)?.name ?? l.reference,
    core: l.core >= 1 ? 'reached at the core' : `${Math.round(100 * l.core)} % of it at the core`,
    surface: l.surface >= 1 ? 'reached outside' : `${Math.round(100 * l.surface)} % outside`
  }))
)
</script>

<template>
  <div class="place">
    <main>
      <h1>Every way to cook it</h1>
      <p class="quiet">
        {{ draft.cut.name }}, {{ shownText(showLength(piece.thicknessMm, units.system)) }}, to {{ target }} inside.
        <router-link to="/bench">Change the piece</router-link> · <router-link to="/fire">the pan in detail</router-link>
      </p>
      <div class="top">
        <choice-row label="Doneness" :options="bands" :model-value="band" @update:model-value="v => draft.change({ targetC: Number(v) })" />
        <choice-row v-model="sort" label="Sorted by" :options="SORTS.map(s => ({ value: s, label: s }))" />
      </div>
      <p v-if="methods.failed" class="wrong" role="alert">{{ methods.failed }}</p>

      <div class="table" role="radiogroup" aria-label="Methods" :aria-busy="methods.working">
        <div class="headings quiet" aria-hidden="true">
          <span></span><span>Method</span><span>In all</span><span>Hands on</span><span>Even</span><span>Grey</span><span>Crust</span
          ><span>Loss</span><span>May be late</span><span>{{ shownText(showLength(3, units.system)) }} thicker</span>
        </div>
        <method-row
          v-for="r in rows"
          :key="r.kind"
          :kind="r.kind"
          :compared="r.compared"
          :chosen="r.kind === chosen"
          @choose="chosen = r.kind"
        />
      </div>

      <section v-if="shown" class="full" :class="{ stale: !now }">
        <div class="beside">
          <h2>{{ chosen }}</h2>
          <pick-field
            v-model="beside"
            label="Beside it"
            :options="[
              { value: '', label: 'nothing' },
              ...rows.filter(r => r.kind !== chosen && planned(r.compared)).map(r => ({ value: r.kind, label: r.kind }))
            ]"
          />
        </div>
        <plan-chart
          :plan="shown.plan"
          :beside="beside && planned(methods.current(beside)) ? { name: beside, plan: planned(methods.current(beside))!.plan } : null"
        />
      </section>
    </main>

    <aside class="slate" aria-label="Call sheet">
      <div class="title">
        <h2>{{ chosen }}</h2>
        <span class="quiet" role="status">{{ now ? '' : unsuited ? 'no plan' : 'working it out…' }}</span>
      </div>
      <p v-if="unsuited" class="refused" role="alert">{{ unsuited }}</p>
      <div class="dials">
        <quantity-field
          v-for="d in dials"
          :key="`${chosen}-${d.key}`"
          :label="d.label"
          :dimension="d.dimension"
          :range="d.range"
          :model-value="d.value"
          @update:model-value="v => methods.turn(chosen, d.key, v)"
        />
      </div>
      <button v-if="Object.keys(methods.turned[chosen] ?? {}).length > 0" type="button" class="usual" @click="methods.asUsual(chosen)">
        As it is usually set
      </button>
      <sheet-lines v-if="shown && !unsuited" :lines="lines" :stale="!now" />
      <method-out
        :kind="chosen"
        :plan="now?.plan ?? null"
        :lines="lines"
        :dials="dials"
        :cautions="cautions"
        @opened="kind => (chosen = kind)"
      />
      <p v-for="s in safety" :key="s.name" class="remark">{{ s.name }}: {{ s.core }}, {{ s.surface }}.</p>
      <p v-for="c in cautions" :key="c.id" class="remark">{{ c.text }}</p>
      <p class="remark">The stove follows the pan sear step by step; for the other ways keep this sheet and a probe at hand.</p>
    </aside>
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
.stale {
  opacity: 0.4;
}
.beside {
  display: flex;
  align-items: end;
  justify-content: space-between;
  gap: 20px;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.title h2 {
  font-size: 25px;
}
.dials {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  margin: 10px 0;
}
.dials :deep(label),
.dials :deep(.problem) {
  color: var(--chalk-2);
}
.dials :deep(.problem) {
  color: var(--hot);
}
.usual {
  font: inherit;
  font-size: 14px;
  align-self: start;
  border: 0;
  background: none;
  color: var(--chalk);
  text-decoration: underline;
  cursor: pointer;
  padding: 2px 0 8px;
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
.wrong {
  color: #9a211b;
}
@media (max-width: 1100px) {
  .headings {
    display: none;
  }
}
</style>
