<script setup lang="ts">
/** How do I cook it: the plan as Section, Line and call sheet. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { bandOf, scaleOf } from '#core/doneness/scale'
import { valueAt } from '#core/heat/history'
import { shownC } from '#core/kit/thermometer'
import { SURFACES } from '#core/meat/piece'
import { callSheet, remarks } from '#core/plan/callSheet'
import { showLength, showMass, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { cautionsFor } from '#core/safety/cautions'
import { dangersOf } from '#core/safety/dangers'
import LineDrawing from '../../line/LineDrawing.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useKit } from '../../stores/kit'
import { usePlanner } from '../../stores/planner'
import { useUnits } from '../../stores/units'
import { askWorker } from '../../workers/planner'
import CarveBoard from './CarveBoard.vue'
import FireSettings from './FireSettings.vue'
import FireTabs from './FireTabs.vue'
import SafetyGate from './SafetyGate.vue'
import SafetyLines from './SafetyLines.vue'
import SheetLines from './SheetLines.vue'
import TableBoard from './TableBoard.vue'
import WhatIf from './WhatIf.vue'

const draft = useDraft()
const planner = usePlanner()
const units = useUnits()
const cook = useCook()
const guests = useGuests()
const kit = useKit()
const router = useRouter()

/** The last plan there was: shown faint, and never as current, while the next is worked out. */
const shown = computed(() => planner.current ?? planner.result)
const stale = computed(() => planner.current === null)
const lines = computed(() =>
  shown.value
    ? callSheet(shown.value.request, shown.value.plan, stale.value ? null : planner.spread, units.system).map(l =>
        l.id === 'pull' ? { ...l, why: l.why + onProbe(shown.value!.plan.pull.core) } : l
      )
    : []
)
/** What a thermometer that is off will show at the pull. */
function onProbe(pullC: number): string {
  const reads = shownC(kit.thermometer, pullC)
  return Math.abs(reads - pullC) < 0.25 ? '' : ` ${kit.thermometer.name} will show ${shownText(showTemperature(reads, units.system))} then.`
}
const said = computed(() => (planner.current ? remarks(planner.current.request, planner.current.plan, units.system) : []))
const cautions = computed(() => cautionsFor(draft.request.targetC, draft.request.panC, units.system, draft.table, kit.oil))
const dangers = computed(() => dangersOf(draft.request.targetC, draft.table, planner.current?.plan ?? null, guests.reference))
/** A yes holds for exactly this plan. */
const agreedTo = shallowRef<object | null>(null)
const agreed = computed(() => agreedTo.value !== null && agreedTo.value === planner.current)
const comesOut = computed(() => {
  const plan = shown.value?.plan
  if (!plan) return []
  const { crustMm, greyMm, evenness } = plan.section
  const both = ([a, b]: readonly [number, number]): string => {
    const [low, high] = [Math.min(a, b), Math.max(a, b)].map(v => showLength(v, units.system))
    return low.figure === high.figure ? shownText(high) : `${low.figure}–${shownText(high)}`
  }
  return [
    { what: 'Crust', value: both(crustMm) },
    { what: 'Grey edge', value: both(greyMm) },
    { what: `Even to ±${shownText(showTemperatureRise(3, units.system))}`, value: `${Math.round(evenness * 100)} %` },
    { what: 'Cook loss', value: `${Math.round(plan.loss * 100)} %` }
  ]
})

const moment = ref(0)
watch(
  shown,
  s => {
    if (s) moment.value = s.plan.carve.time
  },
  { immediate: true }
)
const field = computed(() => {
  const plan = shown.value?.plan
  if (!plan) return null
  return plan.fields.reduce(
    (found, f) => (Math.abs(f.time - moment.value) < Math.abs(found.time - moment.value) ? f : found),
    plan.fields[0]
  )
})
const coreAt = computed(() => {
  const history = shown.value?.plan.history
  return history ? valueAt(history.time, history.core, moment.value) : null
})
/** What the section has come to by then: the word for the hottest the core has been. */
const word = computed(() => {
  const plan = shown.value?.plan
  if (!plan || !shown.value) return undefined
  const reached = moment.value >= plan.peak.time ? plan.peak.core : (coreAt.value ?? 0)
  if (reached < 40) return moment.value < plan.pull.time ? 'still raw' : undefined
  return bandOf(scaleOf(shown.value.request), reached).word
})

const piece = computed(() => draft.request.piece)
const title = computed(
  () =>
    `${piece.value.count > 1 ? `${piece.value.count} × ` : ''}${draft.cut.name}, ${shownText(showLength(piece.value.thicknessMm, units.system))}`
)
const subtitle = computed(() => {
  const { weightG, startC, surface } = piece.value
  return `${shownText(showMass(weightG, units.system))}${piece.value.count > 1 ? ' each' : ''}, from ${shownText(showTemperature(startC, units.system))}, ${SURFACES[surface].label.toLowerCase()}.`
})

function light(): void {
  if (!planner.current) return
  cook.begin(title.value, planner.current, planner.spread)
  void router.push('/stove')
}
</script>

<template>
  <div class="place">
    <main>
      <fire-tabs />
      <div class="head">
        <div>
          <h1>{{ title }}</h1>
          <p class="quiet">
            {{ subtitle }} <router-link to="/bench">Change the piece</router-link> · <router-link to="/counter">another cut</router-link>
          </p>
        </div>
        <p v-if="!draft.touched" class="example">A ready example: change anything, or light the stove.</p>
      </div>

      <fire-settings />

      <section v-if="shown" class="drawings" :class="{ stale }" aria-label="The plan">
        <div class="cut">
          <section-drawing
            :width-mm="shown.request.piece.widthMm"
            :thickness-mm="shown.request.piece.thicknessMm"
            :fat-edge="draft.cut.fatEdge"
            :fat-share="draft.cut.composition.fat"
            :field="field"
            :edges-mm="shown.plan.edgesMm"
            :core="coreAt"
            :word="word"
            :height="182"
          />
          <dl aria-label="What comes out">
            <div v-for="c in comesOut" :key="c.what">
              <dt>{{ c.what }}</dt>
              <dd>{{ c.value }}</dd>
            </div>
          </dl>
        </div>
        <line-drawing
          v-model:moment="moment"
          :plan="shown.plan"
          :spread="stale ? null : planner.spread"
          :preheat-s="shown.preheatS ?? 240"
          :turns="shown.plan.turns"
        />
      </section>
      <template v-if="shown && planner.state !== 'refused'">
        <what-if
          :of="planner.current"
          :scale="scaleOf(draft.request)"
          :ask="() => askWorker(w => w.whatIf(planner.current!.request, planner.current!.plan))"
        />
        <table-board :request="draft.request" kind="pan sear" :turned="{}" :plan="planner.current?.plan ?? null" />
        <carve-board
          :class="{ stale }"
          :piece="shown.request.piece"
          :cut="draft.cut"
          :loss="shown.plan.loss"
          :peak-c="shown.plan.peak.core"
          :guests="Math.max(1, guests.guests.length)"
        />
      </template>
    </main>

    <aside class="slate" aria-label="Call sheet">
      <div class="top">
        <h2>Call sheet</h2>
        <span class="quiet" role="status" aria-live="polite">{{
          planner.state === 'working' ? 'working it out…' : planner.state === 'ready' ? '' : 'no plan'
        }}</span>
      </div>
      <p v-if="planner.state === 'wrong input'" class="refused" role="alert">
        <strong>{{ draft.firstProblem?.[0] }}.</strong> {{ draft.firstProblem?.[1] }}
      </p>
      <p v-else-if="planner.refused" class="refused" role="alert">
        {{ planner.refused.message }} <router-link to="/fire/methods">See every way to cook it</router-link>
      </p>
      <sheet-lines v-if="shown && (planner.state === 'ready' || planner.state === 'working')" :lines="lines" :stale="stale" />
      <p v-for="r in said" :key="r" class="remark">{{ r }}</p>
      <safety-gate
        :dangers="planner.current ? dangers : []"
        :agreed="agreed"
        @agree="yes => (agreedTo = yes ? planner.current : null)"
        @safer="targetC => draft.change({ targetC })"
      />
      <safety-lines v-if="shown" :plan="shown.plan" />
      <p v-for="c in cautions" :key="c.id" class="remark">{{ c.text }}</p>
      <p v-if="draft.contradiction" class="remark">
        Weight and size of the piece disagree. <router-link to="/bench">See the bench</router-link>
      </p>
      <a-button class="go" :disabled="planner.state !== 'ready' || (dangers.length > 0 && !agreed)" block @click="light">{{
        cook.underWay ? 'Light the stove for this one' : 'Light the stove'
      }}</a-button>
    </aside>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 20px;
  margin-bottom: 8px;
}
.example {
  font-size: 14px;
  background: var(--tile);
  border-left: 3px solid var(--brass);
  padding: 6px 12px;
  max-width: 300px;
}
main > .head a,
.refused a,
.remark a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.drawings {
  margin-top: 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.cut {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 10px;
  align-items: center;
}
dl {
  margin: 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  border-top: 1px solid var(--rule);
  padding: 5px 0;
  font-size: 13.5px;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 600;
  white-space: nowrap;
}
@media (max-width: 760px) {
  .cut {
    grid-template-columns: 1fr;
  }
}
.drawings.stale {
  opacity: 0.35;
  filter: grayscale(0.6);
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding-bottom: 12px;
}
.refused {
  border-left: 3px solid var(--hot);
  padding: 4px 0 4px 12px;
  margin: 8px 0 16px;
  color: var(--chalk);
  font-size: 16px;
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
  margin-top: auto;
}
aside .remark:last-of-type {
  padding-bottom: 20px;
}
aside > .go {
  position: sticky;
  bottom: 20px;
}
@media (max-width: 900px) {
  aside > .go {
    position: static;
    margin-top: 14px;
  }
}
</style>
