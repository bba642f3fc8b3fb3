<script setup lang="ts">
/** One way to cook the piece, in full: everything that can be set, what comes of it, and the sheet to cook by. */
import { computed, defineAsyncComponent, onMounted, onUnmounted, reactive, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { Button as AButton } from 'ant-design-vue'
import { scaleOf } from '#core/doneness/scale'
import { begunBy } from '#core/session/way'
import { dialsOf, dialValues, type DialKey, type DialValues } from '#core/method/dials'
import { METHOD_KINDS, METHODS, type MethodKind } from '#core/method/methods'
import { pieceName } from '#core/meat/piece'
import type { InPot } from '#core/method/pot'
import { wrappedPiece, type Wrapped } from '#core/method/wrapped'
import { methodSheet, settingsFor, WHEN } from '#core/plan/everyMethod'
import type { Misjudged } from '#core/plan/compare'
import { planDoubts } from '#core/plan/doubts'
import type { Spread } from '#core/plan/spread'
import { showDurationRange, showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useMethods } from '../../stores/methods'
import { useUnits } from '../../stores/units'
import DialBoard from '../../ui/DialBoard.vue'
import PickField from '../../ui/PickField.vue'
import { aside } from '../../workers/aside'
import { AFTER_PLAN } from '../../workers/planner'
import CarveBoard from './CarveBoard.vue'
import DonenessRow from './DonenessRow.vue'
import FireTabs from './FireTabs.vue'
import KeepBoard from './KeepBoard.vue'
import MethodOut from './MethodOut.vue'
import PlanPicture from './PlanPicture.vue'
import PotBoard from './PotBoard.vue'
import SafetyGate from './SafetyGate.vue'
import SafetyLines from './SafetyLines.vue'
import SheetLines from './SheetLines.vue'
import TableBoard from './TableBoard.vue'
import WhatIf from './WhatIf.vue'
import { planned } from './planned'
import { useOnProbe, useSafety } from './safety'
import { sectionOf } from './sectionOf'

const PlanChart = defineAsyncComponent(() => import('./PlanChart.vue'))
const draft = useDraft()
const cook = useCook()
const methods = useMethods()
const guests = useGuests()
const onProbe = useOnProbe()
const units = useUnits()
const route = useRoute()
const router = useRouter()

const kind = computed((): MethodKind => METHOD_KINDS.find(k => k === route.params['kind']) ?? 'sear then oven')
const go = (to: string): void => void router.push(`/fire/way/${encodeURIComponent(to)}`)
onMounted(() => methods.follow(kind.value))
onUnmounted(() => methods.follow(null))
watch(kind, k => methods.follow(k))

const turned = computed(() => methods.turned[kind.value] ?? {})
const settings = computed(() => settingsFor(draft.request, kind.value, turned.value))
const values = computed(() => dialValues(kind.value, settings.value, turned.value.byClockS ?? 0))
const problems = reactive<Record<string, string>>({})
function complain(key: DialKey, message: string | null): void {
  if (message === null) delete problems[key]
  else problems[key] = message
}
watch(kind, () => Object.keys(problems).forEach(k => delete problems[k]))
function turn(key: DialKey, value: DialValues[DialKey]): void {
  methods.turn(kind.value, key, value)
}

const wrong = computed(() => Object.values(problems).at(0) ?? draft.firstProblem?.[1] ?? null)
const answer = computed(() => methods.current(kind.value))
const now = computed(() => (wrong.value ? null : planned(answer.value)))
const shown = computed(() => now.value ?? planned(methods.stale(kind.value)))
const unsuited = computed(() => (answer.value && 'unsuited' in answer.value ? answer.value.unsuited : null))

/** Worked out after the plan, and let go with it. */
const misjudged = shallowRef<Misjudged | null>(null)
const sure = shallowRef<Spread | null>(null)
watch(
  now,
  (current, _, onCleanup) => {
    misjudged.value = current?.misjudged ?? null
    sure.value = null
    if (!current) return
    const [request, k, t] = [draft.request, kind.value, turned.value]
    onCleanup(
      aside(
        async (remote, ticket) => {
          if (misjudged.value === null) {
            const found = await remote.misjudged(request, k, t, current.plan.free, ticket)
            if (now.value === current) misjudged.value = found
          }
          const spread = await remote.methodSpread(request, k, t, current.plan, ticket)
          if (now.value === current) sure.value = spread
        },
        AFTER_PLAN,
        // Without them the plan stands all the same.
        () => undefined
      )
    )
  },
  { immediate: true }
)

const lines = computed(() => {
  if (!shown.value) return []
  const sheet = methodSheet(shown.value.plan, units.system)
  const { plan, lateS } = shown.value
  const range = sure.value
  const clock = {
    id: 'after',
    label: 'which is after',
    shown: range ? showDurationRange(range.pull[0], range.pull[2]) : showDurationRange(plan.pull.time, plan.pull.time),
    why: range
      ? `${shownText(showDurationRange(plan.pull.time, plan.pull.time))} if everything is as said; 8 cooks in 10 end inside the range. By the clock alone it would peak between ${showTemperature(range.peakByClock[0], units.system).figure} and ${shownText(showTemperature(range.peakByClock[2], units.system))}. ${lateS === null ? 'Being late does not spoil it.' : `You may be ${shownText(showDurationRange(lateS, lateS))} late before it leaves its band.`}`
      : 'Working out how sure that is…'
  }
  return sheet.flatMap(l => (l.id === 'pull' ? [{ ...l, why: l.why + onProbe(plan.pull.core) }, clock] : [l]))
})

/** A chart nobody looks at is not drawn. */
const curves = ref(false)
const piece = computed(() => draft.request.piece)
const title = computed(
  () =>
    `${piece.value.count > 1 ? `${piece.value.count} × ` : ''}${pieceName(piece.value, draft.cut)}, ${shownText(showLength(piece.value.thicknessMm, units.system))}: ${kind.value}`
)
const said = computed(() => (shown.value && !unsuited.value && !wrong.value ? planDoubts(shown.value.plan, units.system) : []))

const metalC = computed(() =>
  'panC' in settings.value && (values.value.searS ?? 1) > 0 && kind.value !== 'in pastry' ? settings.value.panC : 0
)
/** By the clock it may come to less than was wanted. */
const comesTo = computed(() => Math.min(draft.request.targetC, (now.value?.plan.peak.core ?? Infinity) + 0.6))
const { cautions, dangers, agreed, held, agree } = useSafety({
  now: () => now.value,
  plan: () => shown.value?.plan ?? null,
  comesToC: () => comesTo.value,
  metalC: () => metalC.value
})
function light(): void {
  if (!now.value || kind.value === 'pan sear') return
  const { way, ...begun } = begunBy(draft.request, kind.value, turned.value, now.value.plan)
  cook.begin(title.value, begun, sure.value, way)
  void router.push('/stove')
}
const ways = computed(() => METHOD_KINDS.map(k => ({ value: k, label: k })))
</script>

<template>
  <div class="place sheet-early">
    <main>
      <fire-tabs />
      <div class="head">
        <div>
          <h1>{{ title }}</h1>
          <p class="quiet">
            {{ shownText(showMass(piece.weightG, units.system)) }}{{ piece.count > 1 ? ' each' : '' }}, from
            {{ shownText(showTemperature(piece.startC, units.system)) }}. {{ WHEN[kind] }}
            <router-link to="/bench">Change the piece</router-link>
          </p>
        </div>
        <pick-field class="ways" label="Another way" :model-value="kind" :options="ways" @update:model-value="go" />
      </div>
      <doneness-row />
      <dial-board
        class="dials"
        :dials="dialsOf(kind)"
        :values="values"
        :free="METHODS[kind].free"
        :round="piece.form === 'roast'"
        @turn="turn"
        @problem="complain"
      />
      <p class="usual">
        <button v-if="Object.keys(turned).length > 0" type="button" @click="methods.asUsual(kind)">As it is usually set</button>
        <router-link v-if="kind === 'pan sear'" to="/fire">Cook it by the stove, step by step</router-link>
      </p>

      <plan-picture
        v-if="shown"
        :plan="shown.plan"
        :piece="piece"
        :cut="draft.cut"
        :scale="scaleOf(draft.request)"
        :spread="sure"
        :preheat-s="null"
        :thicker-k="misjudged?.thickerK ?? null"
        :stale="!now"
      />
      <div class="later">
        <pot-board
          v-if="shown && kind === 'pot'"
          :class="{ stale: !now }"
          :settings="settings as InPot"
          :room="draft.request.room"
          :plan="shown.plan"
        />
        <what-if
          v-if="shown && !unsuited"
          :of="now"
          :scale="scaleOf(draft.request)"
          :ask="(remote, ticket) => remote.methodWhatIf(draft.request, kind, turned, now!.plan, ticket)"
        />
        <table-board v-if="shown && !unsuited" :request="draft.request" :kind="kind" :turned="turned" :plan="now?.plan ?? null" />
        <keep-board
          v-if="shown && !unsuited && shown.plan.phases.some(p => p.phase === 'bath' || p.phase === 'pot')"
          :request="draft.request"
          :kind="kind"
          :turned="turned"
          :plan="now?.plan ?? null"
        />
        <carve-board
          v-if="shown"
          :class="{ stale: !now }"
          :piece="kind === 'in pastry' ? wrappedPiece(piece, settings as Wrapped) : piece"
          :cut="draft.cut"
          :loss="shown.plan.loss"
          :peak-c="shown.plan.peak.core"
          :section="sectionOf(shown.plan, piece, shown.plan.carve.time)"
          :guests="Math.max(1, guests.guests.length)"
        />
        <details v-if="shown" class="curves" @toggle="e => (curves = (e.target as HTMLDetailsElement).open)">
          <summary>The curves in full</summary>
          <plan-chart v-if="curves" :plan="shown.plan" :beside="null" />
        </details>
      </div>
    </main>

    <aside class="slate" aria-label="Call sheet">
      <div class="top">
        <h2>
          Call sheet<span class="only-print">: {{ title }}</span>
        </h2>
        <span class="quiet" role="status">{{ now ? '' : unsuited || wrong ? 'no plan' : 'working it out…' }}</span>
      </div>
      <p v-if="wrong" class="refused" role="alert">{{ wrong }}</p>
      <p v-else-if="unsuited" class="refused" role="alert">{{ unsuited }} <router-link to="/fire/methods">See every way</router-link></p>
      <sheet-lines v-if="shown && !unsuited && !wrong" :lines="lines" :stale="!now" />
      <p v-for="s in said" :key="s" class="remark" :class="{ stale: !now }">{{ s }}</p>
      <safety-gate :dangers="now ? dangers : []" :agreed="agreed" @agree="agree" @safer="targetC => draft.change({ targetC })" />
      <a-button v-if="kind !== 'pan sear'" class="go" :disabled="!now || held" block @click="light">{{
        cook.underWay ? 'Begin this one at the stove' : 'Begin at the stove'
      }}</a-button>
      <p v-else class="remark"><router-link to="/fire">On the pan’s own page</router-link> the stove is lit for this.</p>
      <method-out
        :kind="kind"
        :plan="unsuited || wrong ? null : (shown?.plan ?? null)"
        :stale="!now"
        :lines="lines"
        :cautions="cautions"
        :held="held"
        @opened="go"
      />
      <safety-lines v-if="shown" :plan="shown.plan" />
      <p v-for="c in cautions" :key="c.id" class="remark">{{ c.text }}</p>
    </aside>
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
.ways {
  flex: none;
  width: 170px;
}
.dials {
  margin-top: 10px;
}
.usual {
  display: flex;
  gap: 18px;
  font-size: 14px;
  margin-top: 6px;
  min-height: 20px;
}
.usual button {
  font: inherit;
  border: 0;
  padding: 0;
  background: none;
  color: inherit;
  cursor: pointer;
}
.usual button,
main a,
.refused a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.stale {
  opacity: 0.35;
  filter: grayscale(0.6);
}
.curves {
  margin-top: 18px;
}
summary {
  cursor: pointer;
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 600;
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
  line-height: 1.45;
}
.remark {
  border-top: 1px solid #454b4d;
  padding: 9px 0;
  font-size: 13.5px;
  line-height: 1.42;
  color: #e9d3ac;
}
@media (max-width: 760px) {
  .head {
    flex-direction: column;
    gap: 8px;
  }
}
.go:disabled {
  color: #2b200c;
  opacity: 0.65;
}
.go {
  margin: 14px 0 16px;
}
.remark a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
