<script setup lang="ts">
/** How do I cook it: the plan by one method, everything that can be set, what comes of it, and the sheet to cook by. */
import FirstVisit from './FirstVisit.vue'
import OnSlate from '../../ui/OnSlate.vue'
import { useLasting } from '../../ui/useLasting'
import PiecesRow from '../../ui/PiecesRow.vue'
import { Button as AButton, Collapse as ACollapse, CollapsePanel as ACollapsePanel } from 'ant-design-vue'
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { scaleOf } from '#core/doneness/scale'
import { pieceName, piecesName, SURFACES } from '#core/meat/piece'
import { cutById } from '#core/meat/cuts'
import { METHODS } from '#core/method/methods'
import type { InPot } from '#core/method/pot'
import { wrappedPiece, type Wrapped } from '#core/method/wrapped'
import { showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import type { PlanRequest } from '#core/request/request'
import { hotMetal, settingsOf } from '#core/request/setup'
import { WHEN } from '#core/request/suits'
import { inWords } from '#core/service/onePan'
import { panHotAfter } from '#core/session/warmUp'
import { callSheet } from '#core/words/callSheet'
import { caveats } from '#core/words/caveats'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import { useDinner } from '../../stores/dinner'
import { usePass } from '../../stores/pass'
import { usePieces } from '../../stores/pieces'
import { usePlan, type PlanResult } from '../../stores/plan'
import { useTable, type Lit } from '../../stores/table'
import { useUnits } from '../../stores/units'
import CarveBoard from './CarveBoard.vue'
import DonenessRow from './DonenessRow.vue'
import FireTabs from './FireTabs.vue'
import KeepBoard from './KeepBoard.vue'
import { methodAt, methodPath } from './methodPath'
import PanMates from './PanMates.vue'
import PlanOut from './PlanOut.vue'
import PlanPicture from './PlanPicture.vue'
import PlanSettings from './PlanSettings.vue'
import PotBoard from './PotBoard.vue'
import SafetyGate from './SafetyGate.vue'
import SafetyLines from './SafetyLines.vue'
import SheetLines from './SheetLines.vue'
import TableBoard from './TableBoard.vue'
import WhatIf from './WhatIf.vue'
import { useOnProbe, useSafety } from './safety'
import { sectionOf } from './sectionOf'
const PlanChart = defineAsyncComponent(() => import('./PlanChart.vue'))

const props = defineProps<{ method: string }>()
const draft = useDraft()
const plan = usePlan()
const cook = useCook()
const onProbe = useOnProbe()
const units = useUnits()
const kit = useKit()
const pass = usePass()
const pieces = usePieces()
const dinner = useDinner()
const table = useTable()
const router = useRouter()

// The address names the method: what is opened by it is planned by it.
watch(
  () => props.method,
  slug => {
    const kind = methodAt(slug)
    if (kind) draft.choose(kind)
    draft.forgive()
  },
  { immediate: true }
)

const kind = computed(() => draft.request.method.kind)
const piece = computed(() => draft.request.piece)
const settings = computed(() => settingsOf(draft.request))
const scale = computed(() => scaleOf(draft.request.target))
const stale = computed(() => plan.current === null)
/** Only what is not there at once is shown faint; what is pressed meanwhile is done with the plan that comes. */
const faint = useLasting(() => stale.value)
const there = computed(() => (plan.state === 'ready' || plan.state === 'working' ? plan.shown : null))

const lines = computed(() => {
  if (!there.value) return []
  const { request, plan: of, lateS } = there.value
  return callSheet(request, of, lateS, plan.spread, units.system, kit.shows).map(l =>
    l.id === 'pull' ? { ...l, why: l.why + onProbe(of.pull.probe) } : l
  )
})
const said = computed(() => (there.value ? caveats(there.value.request, there.value.plan, units.system) : []))
const { cautions, dangers, agreed, held, agree } = useSafety({
  now: () => plan.current,
  plan: () => plan.current?.plan ?? null,
  metalC: () => (kind.value === 'in pastry' ? 0 : (hotMetal(draft.request)?.panC ?? 0))
})

const title = computed(() => nameOf(draft.request, '', ''))
const subtitle = computed(() => {
  const { weightG, startC, surface, count, cookedC } = piece.value
  const before = cookedC === undefined ? '' : `, cooked to ${shownText(showTemperature(cookedC, units.system))} before`
  return `${shownText(showMass(weightG, units.system))}${count > 1 ? ' each' : ''}, from ${shownText(showTemperature(startC, units.system))}${before}, ${SURFACES[surface].label.toLowerCase()}.`
})
/** Once for a plan, so that the board is not drawn anew with everything else. */
const carved = computed(() => {
  if (!plan.shown) return null
  const { request, plan: of } = plan.shown
  return {
    piece: of.kind === 'in pastry' ? wrappedPiece(request.piece, settingsOf(request) as Wrapped) : request.piece,
    loss: of.loss,
    peakC: of.peak.core,
    section: sectionOf(of, request.piece, of.carve.time)
  }
})
const preheatS = computed(() => (plan.shown?.plan.marks[0].phase === 'sear' ? panHotAfter(plan.shown.request) : 0))
/** A chart nobody looks at is not drawn. */
const unfolded = ref<string[]>([])
const bagged = computed(() => plan.shown?.plan.phases.some(p => p.phase === 'bath' || p.phase === 'pot') ?? false)

const toItsMethod = (): void => void router.replace(methodPath(draft.request.method.kind))
// The yes that was said here holds for the ticket too.
watch(agreed, yes => {
  if (yes && plan.current) pieces.follow(plan.current)
})

/** Others on the ticket that go in the same pan with it, and are not lit yet. */
const withIt = computed(() =>
  pass.mates.filter(m => m.shares && pass.atTheFire !== null && !cook.cooks.some(c => c.service?.piece === m.id))
)
const notLit = ref('')
let left = false
onBeforeUnmount(() => (left = true))
/** Pressed twice it is lit once. */
let lighting: Promise<void> | null = null
const light = (): void => {
  lighting ??= lit().finally(() => (lighting = null))
}
async function lit(): Promise<void> {
  const of = await plan.soon()
  if (!of || held.value || left) return
  notLit.value = ''
  const mine = table.loadsFor(of).map(load => ({ ...load, piece: draft.pieceId }))
  try {
    const loads = withIt.value.length === 0 ? mine : await table.withMates(mine, withIt.value)
    if (!left) begin(of, loads)
  } catch (error) {
    notLit.value = error instanceof Error ? error.message : 'What goes in the pan with it could not be worked out.'
  }
}
function begin(of: PlanResult, loads: readonly Lit[]): void {
  const { serviceId: id } = pass
  let first: string | null = null
  for (const { inAt, result, called, guests: whose, piece: which } of loads) {
    const after = first === null ? null : { cookId: first, seconds: Math.round(inAt) }
    const spread = result.plan === of.plan ? plan.spread : null
    const begun = cook.begin(nameOf(result.request, called, whose), result, spread, { id, after, called, piece: which })
    first ??= begun
  }
  if (first !== null) cook.show(first)
  left = true
  void router.push('/stove')
}
function nameOf(request: PlanRequest, called: string, whose: string): string {
  const cut = cutById(request.piece.cutId) ?? draft.cut
  const thick = shownText(showLength(request.piece.thicknessMm, units.system))
  return called === '' || called === inWords(request)
    ? `${piecesName(request.piece, cut)}, ${thick}: ${request.method.kind}`
    : `${pieceName(request.piece, cut)}, ${thick}: the ${called}${whose ? ` for ${whose}` : ''}`
}
</script>

<template>
  <div class="place sheet-early">
    <main>
      <fire-tabs />
      <pieces-row @chosen="toItsMethod" />
      <div class="head">
        <div>
          <h1>{{ title }}</h1>
          <p class="quiet">
            {{ subtitle }} <span class="when">{{ units.say(WHEN[kind]) }}</span> <router-link to="/bench">Change the piece</router-link> ·
            <router-link to="/counter">another cut</router-link>
          </p>
        </div>
      </div>
      <first-visit v-if="!draft.touched" />
      <doneness-row class="after" />
      <plan-settings class="settings after" :free="METHODS[kind].free" />
      <pan-mates class="after" />

      <!-- Faded from here: what is drawn is not drawn anew for that. -->
      <div v-if="plan.shown" class="after" :class="{ stale: faint }">
        <plan-picture
          :plan="plan.shown.plan"
          :piece="plan.shown.request.piece"
          :cut="draft.cut"
          :scale="scale"
          :spread="plan.spread"
          :preheat-s="preheatS"
          :thicker-k="plan.misjudged?.thickerK ?? null"
        />
      </div>
      <div v-if="plan.shown" class="later">
        <pot-board
          v-if="kind === 'pot'"
          :class="{ stale: faint }"
          :settings="settings as InPot"
          :room="draft.request.room"
          :plan="plan.shown.plan"
        />
        <template v-if="there">
          <what-if :of="plan.current" :kind="kind" :scale="scale" />
          <table-board :of="plan.current" />
          <keep-board v-if="bagged && piece.cookedC === undefined" :of="plan.current" />
        </template>
        <div v-if="carved" :class="{ stale: faint }"><carve-board v-bind="carved" :cut="draft.cut" :guests="dinner.diners ?? 1" /></div>
        <a-collapse v-model:active-key="unfolded" class="curves" ghost>
          <a-collapse-panel key="curves" header="The curves in full">
            <plan-chart v-if="unfolded.length > 0" :plan="plan.shown.plan" :beside="null" />
          </a-collapse-panel>
        </a-collapse>
      </div>
    </main>

    <on-slate>
      <aside class="slate" aria-label="Call sheet">
        <div class="top">
          <h2>
            Call sheet<span class="only-print">: {{ title }}</span>
          </h2>
          <span class="quiet" role="status" aria-live="polite">{{
            plan.state === 'working' ? (faint ? 'working it out…' : '') : plan.state === 'ready' ? '' : 'no plan'
          }}</span>
        </div>
        <p v-if="plan.state === 'wrong input'" class="refused" role="alert">
          <strong>{{ draft.firstProblem?.[0] }}.</strong> {{ units.say(draft.firstProblem?.[1] ?? '') }}
        </p>
        <p v-else-if="plan.refused" class="refused" role="alert">
          {{ units.say(plan.refused.refused) }} <router-link to="/fire/methods">See every way to cook it</router-link>
        </p>
        <sheet-lines v-if="there" :lines="lines" :stale="stale" :faint="faint" />
        <p v-for="s in said" :key="s" class="remark" :class="{ stale: faint }">{{ s }}</p>
        <p v-if="notLit" class="refused" role="alert">{{ units.say(notLit) }}</p>
        <safety-gate
          :dangers="plan.current ? dangers : []"
          :agreed="agreed"
          :by-name="!draft.request.guests.atRisk"
          @agree="agree"
          @safer="draft.makeSafe"
        />
        <a-button
          class="go"
          :disabled="!(plan.state === 'ready' || (plan.state === 'working' && !faint)) || held || table.working"
          block
          @click="light"
          >{{ cook.underWay ? 'Light the stove for this one too' : 'Light the stove' }}</a-button
        >
        <plan-out :of="there" :title="title" :faint="faint" :lines="lines" :cautions="cautions" :held="held" />
        <p class="rehearse"><router-link to="/rehearse">Rehearse it first</router-link>, on a piece that costs nothing.</p>
        <safety-lines v-if="plan.shown" :plan="plan.shown.plan" />
        <p v-for="c in cautions" :key="c.id" class="remark">{{ units.say(c.text) }}</p>
        <p v-if="draft.contradiction" class="remark">
          Weight and size of the piece disagree. <router-link to="/bench">See the bench</router-link>
        </p>
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  align-items: flex-start;
  margin-bottom: 8px;
}
.settings {
  margin-top: 10px;
}
main a,
.refused a,
.remark a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.curves {
  margin-top: 18px;
}
.curves :deep(.ant-collapse-header-text) {
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 600;
}
.curves :deep(.ant-collapse-header) {
  padding-inline: 0;
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
  flex: none;
  margin: 14px 0 16px;
}
.rehearse {
  margin: 0 0 14px;
  font-size: 14.5px;
}
.rehearse a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
aside .remark:last-of-type {
  padding-bottom: 20px;
}
@media (max-width: 760px) {
  .head {
    flex-direction: column;
    gap: 8px;
  }
  h1 {
    font-size: 22px;
  }
  .when {
    display: none;
  }
}
</style>
