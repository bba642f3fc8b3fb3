<script setup lang="ts">
/** What do I do now, and how long: one action at a time, readable from across the kitchen. */
import OnSlate from '../../ui/OnSlate.vue'
import { Button as AButton } from 'ant-design-vue'
import { onKeyStroke, useWakeLock } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { callFor, callsAfter, probedRangeFromNow, pullRangeFromNow } from '#core/session/call'
import { ALLOWED, atTheHeat, spentUntil, standsLeft } from '#core/session/progress'
import { showClock, showDuration, shownText } from '#core/quantity/format'
import { useCook, type Said } from '../../stores/cook'
import { usePass } from '../../stores/pass'
import { nameOf, useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import OutcomeForm from '../book/OutcomeForm.vue'
import ReadingEntry from './ReadingEntry.vue'
import StoveCall, { LATE_S } from './StoveCall.vue'
import StoveDish from './StoveDish.vue'
import StoveLate from './StoveLate.vue'
import StoveLeft from './StoveLeft.vue'
import StoveSide from './StoveSide.vue'
import StoveTiles from './StoveTiles.vue'
import { SPOKEN } from './spoken'
import { useAgainst } from './useAgainst'
import { tell } from '../../ui/tell'
import { useSingleKeys } from '../../ui/useSingleKeys'

const cook = useCook()
const units = useUnits()
const stove = useStove()
const pass = usePass()
const router = useRouter()
const now = computed(() => stove.now)

const record = computed(() => cook.cook)
const mine = computed(() => (record.value ? (stove.forecasts.get(record.value.id) ?? null) : null))
const forecast = computed(() => mine.value?.forecast.value ?? null)
const heard = computed(() => mine.value?.heard.value ?? null)
const reckoning = computed(() => mine.value?.reckoning.value ?? false)
const progress = computed(() => mine.value?.progress.value ?? null)
const action = computed(() => mine.value?.action.value ?? null)
const trouble = computed(() => mine.value?.trouble.value ?? null)
const state = computed(() => progress.value?.state ?? 'ready')
/** The ticket's next call, where that is what stands large. */
const dish = computed(() => stove.first?.dish ?? null)
const elapsed = computed(() =>
  progress.value?.laidAt ? (Math.min(now.value, progress.value.carvedAt ?? Infinity) - progress.value.laidAt) / 1000 : 0
)
const left = computed(() => (action.value?.due != null ? (action.value.due - now.value) / 1000 : null))
const late = computed(() => left.value !== null && left.value < LATE_S)

const stand = computed(() => (record.value ? stove.standOf(record.value) : null))
const call = computed(() => (action.value && stand.value ? callFor(action.value, stand.value, units.system) : null))
const headline = computed(() => {
  if (!call.value) return waits.value ?? (trouble.value ? 'Go by the probe' : 'Reckoning…')
  if (andWho.value !== '') return `${call.value.says}${andWho.value} ${left.value === null || late.value ? 'now' : 'in'}`
  return left.value === null ? call.value.says : `${call.value.says} ${late.value ? 'now' : 'in'}`
})
/** Done in the same breath. */
const also = computed(() => (stove.first?.id === record.value?.id ? stove.together.slice(1) : []))
const inASentence = (name: string): string => name.replace(/^The /, 'the ')
const andWho = computed(() => {
  // What is lit is lit for all.
  const named = action.value?.does === 'lit' ? [] : also.value
  return named.map((c, i, all) => `${i === all.length - 1 ? ' and ' : ', '}${inASentence(c.of)}`).join('')
})
/** Nothing is done with it before another is in. */
const waits = computed(() => {
  const after = record.value?.service?.after
  const first = after && cook.cooks.find(c => c.id === after.cookId)
  if (!first || action.value !== null || state.value !== 'heating') return null
  return `It goes in ${showClock(after.seconds)} after ${inASentence(nameOf(first))}`
})
const then = computed(() => {
  if (!action.value || !stand.value || !record.value) return []
  if (state.value !== 'on the heat' && state.value !== 'lifted') return []
  const { pullS, pullRangeS } = record.value.planned
  const range = heard.value
    ? probedRangeFromNow(stand.value.forecast, heard.value, elapsed.value)
    : pullRangeFromNow(stand.value.forecast, pullS, pullRangeS, elapsed.value)
  return callsAfter(action.value, stand.value, range, elapsed.value, units.system)
})

const against = useAgainst(() => ({
  record: record.value!,
  forecast: record.value ? forecast.value : null,
  heard: heard.value,
  reckoning: reckoning.value,
  progress: progress.value
}))

function say(said: Said, at?: number): void {
  earlier.value = false
  cook.say(said, at)
}
function act(at?: number): void {
  if (dish.value) pass.tick(dish.value.id)
  else {
    const does = action.value?.does ?? plain.value.at(0)?.kind
    if (!does || !record.value || state.value === 'carved') return
    earlier.value = false
    const others = does === 'lit' && state.value === 'ready' ? stove.atItsFire(record.value) : also.value.map(c => c.id)
    cook.say({ kind: does }, at, [record.value.id, ...others])
  }
  stove.goOn()
}
/** Where no forecast can be made the buttons still say what is done, in no more words than their own. */
const plain = computed(() =>
  trouble.value && !action.value
    ? ALLOWED[state.value].flatMap(kind =>
        kind !== 'reading' && kind !== 'undone' && kind !== 'delayed' ? [{ kind, words: PLAINLY[kind] }] : []
      )
    : []
)
const PLAINLY = {
  lit: 'It is lit',
  laid: 'It is in',
  turned: 'Turned',
  edged: 'On its edge',
  moved: 'On to the next',
  lifted: 'Lifted out',
  returned: 'Back at the heat',
  pulled: 'Off the heat',
  carved: 'Carved'
} as const
/** So long before its time nothing is taken off without a word, s. */
const EARLY_S = 5 * 60
function pull(): void {
  const before = forecast.value && state.value === 'on the heat' ? forecast.value.pull.time - elapsed.value : 0
  earlier.value = false
  const said = cook.say({ kind: 'pulled' })
  if (before > EARLY_S) tell(`Taken off ${shownText(showDuration(before))} before its time.`, () => cook.takeBack(said))
}
/** Left by itself, and found again. */
const carriedOn = ref<string | null>(null)
const found = computed(() => (record.value ? standsLeft(record.value.events, now.value, action.value?.due ?? null) : null))

/** "I did it, but did not say so": when it may have been. */
const earlier = ref(false)
const moments = computed(() => {
  const ago = [15, 30, 60, 120].map(s => ({ label: s < 60 ? `${s} s ago` : `${s / 60} min ago`, at: now.value - s * 1000 }))
  const due = action.value?.due
  return due != null && due < now.value - 2000 ? [{ label: `on time, ${showClock((now.value - due) / 1000)} ago`, at: due }, ...ago] : ago
})

const guestsLate = ref(false)
const reading = ref(false)
const entry = useTemplateRef<{ focus(): void }>('entry')
function openReading(): void {
  if (state.value === 'ready' || state.value === 'heating' || state.value === 'carved') return
  reading.value = true
  void nextTick(() => entry.value?.focus())
}
function read(coreC: number): void {
  say({ kind: 'reading', coreC })
  reading.value = false
}

const undone = ref('')
function undo(): void {
  const event = cook.undo()
  if (event) undone.value = `Undone: ${SPOKEN[event.kind] ?? event.kind}.`
}
watch(
  () => record.value?.events.length,
  () => {
    if (!record.value?.events.length || record.value.events[record.value.events.length - 1].kind !== 'undone') undone.value = ''
  }
)

const { caller } = stove
const lock = useWakeLock()
watch(
  state,
  p => {
    if (p !== 'ready' && p !== 'carved' && lock.isSupported.value && !lock.isActive.value) void lock.request('screen')
  },
  { immediate: true }
)

useSingleKeys({
  ' ': () => act(),
  r: openReading,
  p: () => dish.value || pull(),
  l: lift,
  e: () => (earlier.value = !earlier.value),
  u: undo,
  g: () => (guestsLate.value = !guestsLate.value),
  m: () => caller.toggle()
})
onKeyStroke('Escape', () => {
  reading.value = false
  earlier.value = guestsLate.value = false
})
function lift(): void {
  if (state.value === 'on the heat') say({ kind: 'lifted' })
  else if (state.value === 'lifted' || state.value === 'resting') say({ kind: 'returned' })
}
const onHeat = computed(() => (record.value ? atTheHeat(spentUntil(record.value.events, now.value)) : 0))

function finish(): void {
  const id = record.value?.id
  if (!id) return
  void router.push(`/book/${id}`).then(() => cook.clear(id))
}
</script>

<template>
  <on-slate service>
    <div v-if="!record && !dish" class="stove empty">
      <main>
        <h1>Nothing on the stove</h1>
        <p>Make a plan at the <router-link to="/fire">fire</router-link> and light the stove from there.</p>
      </main>
    </div>
    <div v-else class="stove" :class="{ alone: !record }">
      <main>
        <stove-tiles />
        <template v-if="stove.first?.dish">
          <stove-dish :call="stove.first" />
          <div class="foot">
            <div class="actions">
              <a-button class="act" @click="act()">Done<kbd>space</kbd></a-button>
              <a-button @click="router.push('/pass')">The pass</a-button>
            </div>
          </div>
        </template>
        <stove-left v-else-if="record && found && carriedOn !== record.id" :record="record" :left="found" @on="carriedOn = record.id" />
        <template v-else-if="record && state === 'carved'">
          <h1>{{ record.title }}: carved</h1>
          <p class="advice">Look at the cut face before it is eaten, and write it down: nobody remembers.</p>
          <outcome-form class="outcome" dark :outcome="record.outcome" @change="o => record && cook.judge(record.id, o)" />
          <div class="actions">
            <a-button class="act" @click="finish">To the book</a-button>
            <a-button @click="undo">Not carved yet<kbd>undo</kbd></a-button>
          </div>
        </template>
        <template v-else-if="record">
          <stove-call :headline="headline" :left="left" :advice="call?.advice ?? ''" :against="against" :trouble="trouble" />

          <div class="foot">
            <p class="then">
              <span v-for="t in then" :key="t.what"
                ><span class="dim">then</span> <b>{{ t.what }}</b> <span class="dim">{{ t.when }}</span></span
              >
              <span v-if="reckoning" class="dim" role="status">reckoning…</span>
              <span v-if="undone" role="status">{{ undone }}</span>
            </p>
            <reading-entry v-if="reading" ref="entry" @read="read" @close="reading = false" />
            <stove-late v-if="guestsLate" @close="guestsLate = false" />
            <div v-if="earlier" class="earlier" role="group" aria-label="When it was done">
              <a-button v-for="m in moments" :key="m.label" @click="act(m.at)">{{ call?.done }}, {{ m.label }}</a-button>
            </div>
            <div class="actions">
              <a-button v-for="(p, i) in plain" :key="p.kind" :class="{ act: i === 0 }" @click="say({ kind: p.kind })">{{
                p.words
              }}</a-button>
              <a-button v-if="plain.length === 0" class="act" :disabled="!action" @click="act()"
                >{{ call?.done ?? '…' }}<kbd>space</kbd></a-button
              >
              <a-button v-if="state !== 'ready' && state !== 'heating'" @click="openReading">Reading<kbd>R</kbd></a-button>
              <a-button v-if="(state === 'on the heat' && action?.does !== 'pulled') || state === 'lifted'" @click="pull">
                Off the heat<kbd>P</kbd>
              </a-button>
              <a-button v-if="state === 'on the heat' || state === 'resting'" @click="lift">
                {{ state === 'resting' ? 'Back to the heat' : 'Pause: lift out' }}<kbd>L</kbd>
              </a-button>
            </div>
            <div class="actions tools">
              <a-button :aria-expanded="earlier" @click="earlier = !earlier">I’m late<kbd>E</kbd></a-button>
              <a-button :aria-expanded="guestsLate" @click="guestsLate = !guestsLate">Guests are late<kbd>G</kbd></a-button>
              <a-button :disabled="!cook.canUndo" @click="undo">Undo<kbd>U</kbd></a-button>
              <a-button :aria-pressed="caller.muted" @click="caller.toggle()">
                {{ caller.muted ? 'Sound is off' : 'Sound is on' }}<kbd>M</kbd>
              </a-button>
            </div>
          </div>
        </template>
      </main>
      <stove-side
        v-if="record"
        :record="record"
        :forecast="forecast"
        :heard="heard"
        :reckoning="reckoning"
        :elapsed="elapsed"
        :on-heat="onHeat"
        :progress="progress"
      />
    </div>
  </on-slate>
</template>

<style scoped>
.stove {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 392px;
  min-height: calc(100vh - var(--header));
  background: var(--service);
  color: var(--chalk);
}
.stove.alone {
  grid-template-columns: 1fr;
}
.stove.empty {
  grid-template-columns: 1fr;
  font-size: 19px;
}
.empty a {
  color: var(--hot);
  text-decoration: underline;
}
main {
  display: flex;
  flex-direction: column;
  padding: 22px 40px 28px;
  min-width: 0;
}
h1 {
  font-size: clamp(34px, 5.2vw, 66px);
  line-height: 1.12;
}
.advice {
  font-size: 21px;
  line-height: 1.4;
  color: #b5bab6;
  margin-top: 12px;
}
.foot {
  margin-top: auto;
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding-top: 16px;
}
.then {
  font-size: 20px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 34px;
  min-height: 30px;
}
.dim {
  color: #a0a6a2;
}
.actions,
.earlier {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.ant-btn {
  position: relative;
  height: auto;
  white-space: normal;
  line-height: 1.25;
  min-height: 84px;
  min-width: 84px;
  padding: 8px 22px 16px;
  background: #20262a;
  color: var(--chalk);
  border: 1px solid #30383c;
  border-radius: 4px;
  font-size: 21px;
  font-weight: 600;
}
.ant-btn:hover:not(:disabled) {
  background: #2b3338;
  color: var(--chalk);
}
.ant-btn:disabled {
  background: #20262a;
  color: #858c8a;
}
.earlier .ant-btn {
  min-height: 60px;
  padding: 8px 16px;
  font-size: 17px;
}
.act.ant-btn {
  flex: 1 1 240px;
  max-width: 320px;
  background: #e69f3c;
  border-color: #e69f3c;
  color: #17120a;
  font-size: 27px;
}
.act.ant-btn:hover:not(:disabled) {
  background: var(--hot);
  color: #17120a;
}
.tools .ant-btn {
  min-height: 56px;
  padding: 4px 34px 6px 18px;
  font-size: 17px;
  font-weight: 500;
}
kbd {
  position: absolute;
  right: 8px;
  bottom: 4px;
  font: 500 13px var(--sans);
  opacity: 0.75;
}
.outcome {
  margin: 24px 0;
  max-width: 640px;
}
@media (hover: none) {
  kbd {
    display: none;
  }
}
@media (max-width: 900px) {
  .stove {
    grid-template-columns: 1fr;
  }
  main {
    padding: 14px 16px 16px;
    min-height: calc(100svh - var(--header) - var(--foot, 0px));
  }
  .advice,
  .then {
    font-size: 18px;
  }
  .actions,
  .earlier {
    display: grid;
    grid-template-columns: repeat(2, 1fr);
    gap: 8px;
  }
  .tools {
    grid-template-columns: repeat(4, 1fr);
  }
  .tools .ant-btn {
    padding: 4px 4px 10px;
    font-size: 15px;
  }
  .ant-btn {
    min-height: 62px;
    padding: 6px 10px 14px;
    font-size: 18px;
  }
  .act.ant-btn {
    grid-column: 1 / -1;
    max-width: none;
    min-height: 92px;
    font-size: 27px;
  }
}
</style>
