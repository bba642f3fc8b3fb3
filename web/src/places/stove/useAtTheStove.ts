/** The cook shown at the stove: what is to be done with it now, in words, and what may be said of it. */
import { computed, reactive, ref, watch } from 'vue'
import { callFor, callsAfter, lookAfter, probedRangeFromNow, pullRangeFromNow } from '#core/session/call'
import { ALLOWED, atTheHeat, spentUntil, standsLeft } from '#core/session/progress'
import { IN_THE_PAN } from '#core/session/warmUp'
import type { PassCall } from '#core/service/calls'
import { showClock, showDuration, shownText } from '#core/quantity/format'
import { useClock } from '../../stores/clock'
import { useCook, type Said } from '../../stores/cook'
import { usePass } from '../../stores/pass'
import { useRehearsal } from '../../stores/rehearsal'
import { nameOf, useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { tell } from '../../ui/tell'
import { LATE_S } from './StoveCall.vue'
import { SPOKEN } from './spoken'
import { useAgainst } from './useAgainst'

const PLAINLY = {
  lit: 'It is lit',
  laid: 'It is in',
  turned: 'Turned',
  edged: 'On its edge',
  moved: 'On to the next',
  lifted: 'Lifted out',
  returned: 'Back at the heat',
  pulled: 'Off the heat',
  halved: 'Half is carved',
  looked: 'Looked at',
  carved: 'Carved'
} as const
/** So long before its time nothing is taken off without a word, s. */
const EARLY_S = 5 * 60

export type AtTheStove = ReturnType<typeof useAtTheStove>

export function useAtTheStove() {
  const clock = useClock()
  const rehearsal = useRehearsal()
  const cook = useCook()
  const units = useUnits()
  const stove = useStove()
  const pass = usePass()
  const now = computed(() => stove.now)

  const record = computed(() => cook.cook)
  const mine = computed(() => (record.value ? (stove.forecasts.get(record.value.id) ?? null) : null))
  const forecast = computed(() => mine.value?.forecast.value ?? null)
  const heard = computed(() => mine.value?.heard.value ?? null)
  const reckoning = computed(() => mine.value?.reckoning.value ?? false)
  const progress = computed(() => mine.value?.progress.value ?? null)
  /** In a rehearsal without calls the cook goes by what he sees, hears and feels. */
  const bySigns = computed(() => clock.rehearsing?.calls === false)
  const action = computed(() => (bySigns.value ? null : (mine.value?.action.value ?? null)))
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
    if (bySigns.value) return record.value ? nameOf(record.value) : ''
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
    if (!first || action.value !== null || !(state.value === 'heating' || state.value === 'ready')) return null
    return `It goes in ${showClock(after.seconds)} after ${inASentence(nameOf(first))}`
  })
  const then = computed(() => {
    if (!action.value || !stand.value || !record.value) return []
    if (state.value !== 'on the heat' && state.value !== 'lifted' && state.value !== 'resting') return []
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
    if (dish.value && clock.rehearsing) done(dish.value)
    else if (dish.value) pass.tick(dish.value.id)
    else {
      const does = action.value?.does ?? plain.value.at(0)?.kind
      if (!does || !record.value || state.value === 'carved') return
      earlier.value = false
      const others = does === 'lit' && state.value === 'ready' ? stove.atItsFire(record.value) : also.value.map(c => c.id)
      cook.say({ kind: does }, at, [record.value.id, ...others])
    }
    stove.goOn()
  }
  /** Of a side that is rehearsed. */
  function done({ id, text }: PassCall): void {
    void rehearsal.did(id)
    tell(`Done: ${text}.`, () => void rehearsal.did(id, false))
  }
  /** Where no forecast can be made the buttons still say what is done, in no more words than their own. */
  const plain = computed(() =>
    (trouble.value || bySigns.value) && !action.value
      ? ALLOWED[state.value].flatMap(kind =>
          kind !== 'reading' && kind !== 'undone' && kind !== 'delayed' && kind !== 'parted' && meant(kind)
            ? [{ kind, words: PLAINLY[kind] }]
            : []
        )
      : []
  )
  /** By signs alone only what this way of cooking has. */
  function meant(kind: keyof typeof PLAINLY): boolean {
    const marks = forecast.value?.marks
    if (kind === 'looked') return cook.cook !== null && lookAfter(cook.cook.request) !== null && progress.value?.looked === false
    if (kind === 'halved') return progress.value?.inWaves === true && progress.value.halvedAt === null
    // After the rest only what this plan still has.
    if (state.value === 'resting' && (kind === 'lit' || kind === 'moved' || kind === 'turned')) {
      const left = forecast.value?.afterRest.slice(progress.value?.onward.length ?? 0) ?? []
      return kind === 'moved' ? left.length > 0 : left.some(m => IN_THE_PAN.has(m.phase))
    }
    if (!bySigns.value || !marks) return true
    if (kind === 'edged') return marks.some(m => m.phase === 'fat edge')
    if (kind === 'moved') return marks.some(m => m.stage > 0 && m.phase !== 'fat edge')
    return kind !== 'lit' || state.value === 'ready' || marks.some(m => m.phase !== marks[0].phase)
  }
  /** Where nothing is called. */
  const unsaid = computed((): string => {
    if (state.value === 'ready') return 'Nobody calls. Light it when you are ready, and go by what you see and hear.'
    if (state.value === 'heating') return 'Lay it in when the heat is right for it.'
    return state.value === 'resting' || state.value === 'carved'
      ? `${showClock(elapsed.value - onHeat.value)} off the heat. Cut it when it is ready.`
      : `${showClock(elapsed.value)} since it went in.`
  })
  function pull(): void {
    const before = forecast.value && state.value === 'on the heat' ? forecast.value.pull.time - elapsed.value : 0
    earlier.value = false
    const said = cook.say({ kind: 'pulled' })
    if (before > EARLY_S) tell(`Taken off ${shownText(showDuration(before))} before its time.`, () => cook.takeBack(said))
  }
  /** Left by itself, and found again. */
  const carriedOn = ref<string | null>(null)
  const carryOn = (): void => void (carriedOn.value = record.value?.id ?? null)
  const found = computed(() => (record.value ? standsLeft(record.value.events, now.value, action.value?.due ?? null) : null))

  /** "I did it, but did not say so": when it may have been. */
  const earlier = ref(false)
  const moments = computed(() => {
    const ago = [15, 30, 60, 120].map(s => ({ label: s < 60 ? `${s} s ago` : `${s / 60} min ago`, at: now.value - s * 1000 }))
    const due = action.value?.due
    return due != null && due < now.value - 2000 ? [{ label: `on time, ${showClock((now.value - due) / 1000)} ago`, at: due }, ...ago] : ago
  })

  /** What is open beside the keys. */
  const guestsLate = ref(false)
  const lost = ref(false)
  watch(
    () => record.value?.id,
    () => (lost.value = false)
  )
  const reading = ref(false)
  const readable = computed(() => state.value !== 'ready' && state.value !== 'heating' && state.value !== 'carved')
  /** Typed; in a rehearsal there is one to be put in. */
  const typed = computed(() => readable.value && clock.rehearsing === null)
  function openReading(): void {
    if (typed.value) reading.value = true
    else if (readable.value && clock.rehearsing?.probe && record.value) void rehearsal.probe(record.value.id)
  }
  function read(coreC: number): void {
    say({ kind: 'reading', coreC })
    reading.value = false
  }
  function show(panels: Partial<Record<'reading' | 'earlier' | 'guestsLate' | 'lost', boolean>>): void {
    reading.value = panels.reading ?? reading.value
    earlier.value = panels.earlier ?? earlier.value
    guestsLate.value = panels.guestsLate ?? guestsLate.value
    lost.value = panels.lost ?? lost.value
  }
  function lift(): void {
    if (state.value === 'on the heat') say({ kind: 'lifted' })
    else if (state.value === 'lifted' || state.value === 'resting') say({ kind: 'returned' })
  }
  const onHeat = computed(() => (record.value ? atTheHeat(spentUntil(record.value.events, now.value)) : 0))

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

  return reactive({
    record,
    forecast,
    heard,
    reckoning,
    progress,
    action,
    trouble,
    state,
    dish,
    elapsed,
    left,
    call,
    headline,
    then,
    against,
    plain,
    found,
    carriedOn,
    carryOn,
    earlier,
    moments,
    guestsLate,
    lost,
    reading,
    readable,
    typed,
    bySigns,
    unsaid,
    undone,
    onHeat,
    say,
    act,
    pull,
    lift,
    undo,
    openReading,
    read,
    show
  })
}
