<script setup lang="ts">
/** How do I cook it: the plan as Section, Line and call sheet. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { scaleOf } from '#core/doneness/scale'
import { SURFACES } from '#core/meat/piece'
import { callSheet, remarks } from '#core/plan/callSheet'
import { showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { usePlanner } from '../../stores/planner'
import { useUnits } from '../../stores/units'
import CarveBoard from './CarveBoard.vue'
import FireSettings from './FireSettings.vue'
import FireTabs from './FireTabs.vue'
import MethodOut from './MethodOut.vue'
import PlanPicture from './PlanPicture.vue'
import SafetyGate from './SafetyGate.vue'
import SafetyLines from './SafetyLines.vue'
import SheetLines from './SheetLines.vue'
import { useOnProbe, useSafety } from './safety'
import { sectionOf } from './sectionOf'
import TableBoard from './TableBoard.vue'
import WhatIf from './WhatIf.vue'

const draft = useDraft()
const planner = usePlanner()
const units = useUnits()
const cook = useCook()
const guests = useGuests()
const onProbe = useOnProbe()
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
const said = computed(() =>
  shown.value && (planner.state === 'ready' || planner.state === 'working')
    ? remarks(shown.value.request, shown.value.plan, units.system)
    : []
)
const { cautions, dangers, agreed, held, agree } = useSafety({
  now: () => planner.current,
  plan: () => planner.current?.plan ?? null,
  comesToC: () => draft.request.targetC,
  metalC: () => draft.request.panC
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
  <div class="place sheet-early">
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

      <plan-picture
        v-if="shown"
        :plan="shown.plan"
        :piece="shown.request.piece"
        :cut="draft.cut"
        :scale="scaleOf(shown.request)"
        :spread="planner.spread"
        :preheat-s="shown.preheatS ?? 240"
        :turns="shown.plan.turns"
        :stale="stale"
      />
      <div v-if="shown && planner.state !== 'refused'" class="later">
        <what-if
          :of="planner.current"
          :scale="scaleOf(draft.request)"
          :ask="(remote, ticket) => remote.whatIf(planner.current!.request, planner.current!.plan, ticket)"
        />
        <table-board :request="draft.request" kind="pan sear" :turned="{}" :plan="planner.current?.plan ?? null" />
        <carve-board
          :class="{ stale }"
          :piece="shown.request.piece"
          :cut="draft.cut"
          :loss="shown.plan.loss"
          :peak-c="shown.plan.peak.core"
          :section="sectionOf(shown.plan, shown.request.piece, shown.plan.carve.time)"
          :guests="Math.max(1, guests.guests.length)"
        />
      </div>
    </main>

    <aside class="slate" aria-label="Call sheet">
      <div class="top">
        <h2>
          Call sheet<span class="only-print">: {{ title }}</span>
        </h2>
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
      <p v-for="r in said" :key="r" class="remark" :class="{ stale }">{{ r }}</p>
      <safety-gate
        :dangers="planner.current ? dangers : []"
        :agreed="agreed"
        @agree="agree"
        @safer="targetC => draft.change({ targetC })"
      />
      <a-button class="go" :disabled="planner.state !== 'ready' || held" block @click="light">{{
        cook.underWay ? 'Light the stove for this one' : 'Light the stove'
      }}</a-button>
      <method-out
        kind="pan sear"
        :plan="planner.state === 'ready' || planner.state === 'working' ? (shown?.plan ?? null) : null"
        :stale="stale"
        :lines="lines"
        :cautions="cautions"
        :held="held"
        :preheat-s="shown?.preheatS ?? 0"
        @opened="kind => kind !== 'pan sear' && router.push(`/fire/way/${encodeURIComponent(kind)}`)"
      />
      <safety-lines v-if="shown" :plan="shown.plan" />
      <p v-for="c in cautions" :key="c.id" class="remark">{{ c.text }}</p>
      <p v-if="draft.contradiction" class="remark">
        Weight and size of the piece disagree. <router-link to="/bench">See the bench</router-link>
      </p>
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
.stale {
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
.go:disabled {
  color: #2b200c;
  opacity: 0.65;
}
.go {
  flex: none;
  margin: 14px 0 16px;
}
aside .remark:last-of-type {
  padding-bottom: 20px;
}
</style>
