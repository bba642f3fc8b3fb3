<script setup lang="ts">
/** The guests are late: what that does to each piece that is on, by the engine, before it is taken. */
import {
  Button as AButton,
  CheckboxGroup as ACheckboxGroup,
  Radio as ARadio,
  RadioGroup as ARadioGroup,
  Skeleton as ASkeleton
} from 'ant-design-vue'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CookRecord } from '#core/book/record'
import { HOLDING_C } from '#core/kit/air'
import { dialsOf } from '#core/method/dials'
import { servedCold } from '#core/request/setup'
import { progressOf } from '#core/session/progress'
import { listed, showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import type { Forecast } from '#core/usecase/forecast'
import type { Refused } from '#core/usecase/plan'
import { useCook } from '../../stores/cook'
import { asked } from '../../stores/forecast'
import { useKit } from '../../stores/kit'
import { nameOf, useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { tell } from '../../ui/tell'
import { askEngine } from '../../workers/engine'
import { useLaterTable } from './useLaterTable'
import { moreLost } from './moreLost'
import { useTurnedOven, type Turned } from './useTurnedOven'

const emit = defineEmits<{ close: [] }>()
const cook = useCook()
const stove = useStove()
const units = useUnits()
const kit = useKit()
const LATE_MIN = [5, 10, 20, 30] as const
const minutes = ref<number | null>(null)
const seconds = computed(() => 60 * (minutes.value ?? 0))
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const long = (s: number): string => shownText(showDuration(s))
/** A piece so much cooler than it would have been is noticed at the table, K. */
const NOTICED_K = 3

/** What may still be moved. */
const open = computed(() => cook.cooks.filter(c => progressOf(c.events).state !== 'carved'))
const { tonight, putOff } = useLaterTable()
const { turnedBy } = useTurnedOven()
/** Late guests can be waited for on the board, or in a low oven where there is one. */
const MEANWHILE = [
  { value: 'rest', says: 'Let it rest longer' },
  { value: 'flash', says: 'Rest it, then flash it hot' },
  { value: 'hold', says: `Keep it warm at ${degrees(HOLDING_C)}` },
  { value: 'oven', says: 'Turn its oven down' },
  { value: 'waves', says: 'Serve in two waves' }
] as const
type Meanwhile = (typeof MEANWHILE)[number]['value']
const meanwhile = ref<Meanwhile>('rest')
const ovens = computed(() => kit.kit.ovens.length > 0)
/** What the oven would have to be turned to, and what comes of that for each piece in it; null where that is no way out. */
const cooler = shallowRef<Turned | null>(null)
const turnedOf = (id: string): Forecast | undefined => cooler.value?.pieces.get(id)
/** By piece, how long a face it can be put back in a pan for before it is cut, s: a minute, where there is that much time. */
function flashS({ events, request }: CookRecord): number {
  const { laidAt, onward } = progressOf(events)
  const goesOnFromItsRest = laidAt !== null && onward.length === 0 && !servedCold(request)
  return goesOnFromItsRest && dialsOf(request.method.kind).some(d => d.key === 'rewarmS') ? Math.min(FLASH_S, seconds.value / 4) : 0
}
const FLASH_S = 60
/** The only one that is on: half of it is carved when it was to be. */
const halved = computed(() => {
  const [one] = open.value
  if (open.value.length !== 1) return null
  const { laidAt, inWaves } = progressOf(one.events)
  const { count, form } = one.request.piece
  return laidAt !== null && !inWaves && (count > 1 || form === 'roast') && !servedCold(one.request) ? one : null
})
const OFFERED: Record<Meanwhile, () => boolean> = {
  rest: () => true,
  flash: () => open.value.some(c => flashS(c) > 0),
  hold: () => ovens.value,
  oven: () => cooler.value !== null,
  waves: () => open.value.length > 1 || halved.value !== null
}
const offered = computed(() => MEANWHILE.filter(m => OFFERED[m.value]()))

interface Cost {
  readonly id: string
  readonly of: string
  readonly says: string
  /** In the middle when it is cut, °C; null where it is not in yet, or could not be worked out. */
  readonly cutC: number | null
}
const costs = ref<Readonly<Partial<Record<Meanwhile, readonly Cost[]>>> | null>(null)
let round = 0
watch(seconds, async longer => {
  round += 1
  const mine = round
  costs.value = null
  if (longer === 0) return
  cooler.value = null
  meanwhile.value = 'rest'
  second.value = lastToBeCut()
  const turned = await turnedBy(longer)
  if (mine !== round) return
  cooler.value = turned
  const found: Partial<Record<Meanwhile, readonly Cost[]>> = {}
  for (const { value } of offered.value)
    if (value !== 'waves') found[value] = await Promise.all(open.value.map(c => costOf(c, longer, value)))
  if (mine === round) costs.value = found
})
const chosen = computed(() => costsOf(meanwhile.value))
function costsOf(way: Meanwhile): readonly Cost[] | null {
  if (way !== 'waves') return costs.value?.[way] ?? null
  if (halved.value) return costs.value?.rest ? halves(halved.value, costs.value.rest) : null
  // Who is late gets what waited; who is there, what comes as it was to come.
  return costs.value?.rest?.map((c, i) => (second.value.includes(c.id) ? inSecond(open.value[i], c) : asItWas(open.value[i]))) ?? null
}
function halves(of: CookRecord, rested: readonly Cost[]): readonly Cost[] {
  const first = asItWas(of)
  return [
    { ...first, of: 'Half of it' },
    ...rested.map(({ cutC }) => ({
      id: `${of.id} second`,
      of: 'The other half',
      says: `stays whole under foil, ${long(seconds.value)} longer${cutC === null ? '' : `: ${degrees(cutC)} in the middle when it is cut`}; its crust softens.`,
      cutC
    }))
  ]
}
/** Its fire is still wanted by the first. */
function inSecond(of: CookRecord, rested: Cost): Cost {
  return progressOf(of.events).laidAt === null ? { ...rested, says: `goes in ${long(seconds.value)} later; nothing is lost.` } : rested
}
function asItWas(of: CookRecord): Cost {
  const cutC = stove.forecasts.get(of.id)?.forecast.value?.carve.core ?? null
  return { id: of.id, of: nameOf(of), says: `is served first, as it was to be${cutC === null ? '' : `: cut at ${degrees(cutC)}`}.`, cutC }
}

/** Ids of the pieces that come with the second wave. */
const second = ref<string[]>([])
/** What is not in yet; or where all is, or nothing, the half that is cut last. */
function lastToBeCut(): string[] {
  const waits = open.value.filter(c => progressOf(c.events).laidAt === null)
  if (waits.length > 0 && waits.length < open.value.length) return waits.map(c => c.id)
  const byTime = [...open.value].sort((a, b) => stove.carveAt(a) - stove.carveAt(b))
  return byTime.slice(Math.ceil(byTime.length / 2)).map(c => c.id)
}
/** A wave of none, or of all, is no second one. */
const twoWaves = computed(() => second.value.length > 0 && second.value.length < open.value.length)
/** What stands beside the choice: the coldest of them when they are cut. */
function beside(way: Meanwhile): string {
  const cut = costsOf(way)?.flatMap(c => c.cutC ?? []) ?? []
  return cut.length > 0 ? `: cut at ${degrees(Math.min(...cut))}` : ''
}

async function costOf(of: CookRecord, longer: number, way: Meanwhile): Promise<Cost> {
  const cost = (says: string, cutC: number | null = null): Cost => ({ id: of.id, of: nameOf(of), says, cutC })
  const { laidAt } = progressOf(of.events)
  if (laidAt === null) return cost(`goes in ${long(longer)} later; nothing is lost. Turn its fire down until then.`)
  const now = stove.forecasts.get(of.id)?.forecast.value
  const turned = way === 'oven' ? turnedOf(of.id) : undefined
  if (turned && cooler.value && now) {
    const { plan } = turned
    const by = plan.carve.time - now.carve.time
    const even = plan.peak.core - now.peak.core
    return cost(
      `its oven goes to ${degrees(cooler.value.ovenC)} now: it comes out at ${degrees(plan.pull.probe)}, and is cut ${long(by)} later at ${degrees(plan.carve.core)}${Math.abs(even) < 1 ? '' : `, its highest ${degrees(plan.peak.core)}`}${moreLost(plan, now)}; gentler, and its crust paler.`,
      plan.carve.core
    )
  }
  const flashed = way === 'flash' ? flashS(of) : 0
  const question = asked({ cook: of, now: stove.now }, { seconds: longer, held: way === 'hold', flashS: flashed })
  const answer = await askEngine(async engine => (await engine.forecast(question)) as Forecast | Refused)
  if ('refused' in answer || !now) return cost('waits longer; what that costs could not be worked out.')
  const cutC = answer.plan.carve.core
  const less = now.carve.core - cutC
  const apart = shownText(showTemperatureRise(Math.abs(less), units.system))
  const than = Math.abs(less) < 0.5 ? 'as warm as it would have been' : `${apart} ${less > 0 ? 'cooler' : 'warmer'} than it would have been`
  const middle = `${degrees(cutC)} in the middle when it is cut, ${than}${moreLost(answer.plan, now)}`
  if (way === 'hold')
    return cost(
      `comes off as planned, rests, and goes under foil into an oven at ${degrees(HOLDING_C)} for ${long(longer)}: ${middle}; its crust goes soft.`,
      cutC
    )
  if (flashed > 0) {
    const wider = Math.max(...answer.plan.section.greyMm) - Math.max(...now.section.greyMm)
    const grey = wider < 0.3 ? 'no more of it grey' : `its grey edge ${shownText(showLength(wider, units.system, true))} wider`
    return cost(
      `comes off as planned, rests ${long(longer - 2 * flashed)} longer, and goes ${long(flashed)} a face into the hot pan before it is cut: ${middle}; hot and crisp outside, ${grey}.`,
      cutC
    )
  }
  const mend = less > NOTICED_K ? ' A minute a face in a hot pan before it is cut warms the outside; a hot plate does the rest.' : ''
  return cost(`comes off as planned and rests ${long(longer)} longer: ${middle}; its crust softens.${mend}`, cutC)
}

function take(): void {
  if (meanwhile.value === 'waves' && halved.value) {
    const said = cook.say({ kind: 'parted', seconds: seconds.value }, stove.now, [halved.value.id])
    tell(`Half of it is carved as it was to be, the other ${long(seconds.value)} later.`, () => cook.takeBack(said))
    emit('close')
    return
  }
  const waits = meanwhile.value === 'waves' ? open.value.filter(c => second.value.includes(c.id)) : open.value
  const turned = meanwhile.value === 'oven' ? cooler.value : null
  const rest = waits.filter(c => !turned?.pieces.has(c.id))
  const flashed = meanwhile.value === 'flash' ? rest.filter(c => flashS(c) > 0) : []
  const late = { kind: 'delayed', seconds: seconds.value, ...(meanwhile.value === 'hold' ? { held: true } : {}) } as const
  const said = [
    ...flashed.map(c => cook.say({ ...late, flashS: flashS(c) }, stove.now, [c.id])),
    cook.say(
      late,
      stove.now,
      rest.filter(c => !flashed.includes(c)).map(c => c.id)
    ),
    ...(turned ? [cook.say({ kind: 'delayed', seconds: seconds.value, ovenC: turned.ovenC }, stove.now, [...turned.pieces.keys()])] : [])
  ]
  // Whoever is there eats with the first: what stands beside it comes when it was to come.
  if (meanwhile.value === 'waves') tell(`The second wave is ${long(seconds.value)} later.`, () => said.forEach(at => cook.takeBack(at)))
  else putOff(seconds.value, said)
  emit('close')
}
</script>

<template>
  <section class="late ways-out" aria-label="The guests are late">
    <div class="row" role="group" aria-label="By how much">
      <a-button v-for="m in LATE_MIN" :key="m" :aria-pressed="minutes === m" @click="minutes = m">{{ m }} min late</a-button>
    </div>
    <template v-if="minutes !== null">
      <a-skeleton v-if="chosen === null" active :title="false" :paragraph="{ rows: 2 }" />
      <a-radio-group
        v-if="chosen && offered.length > 1"
        v-model:value="meanwhile"
        class="ways"
        name="meanwhile"
        aria-label="Meanwhile"
        role="radiogroup"
      >
        <a-radio v-for="m in offered" :key="m.value" :value="m.value">{{ m.says }}{{ beside(m.value) }}</a-radio>
      </a-radio-group>
      <a-checkbox-group
        v-if="chosen && meanwhile === 'waves' && halved === null"
        v-model:value="second"
        class="ways"
        aria-label="In the second wave"
        role="group"
        :options="open.map(c => ({ value: c.id, label: `${nameOf(c)} in the second wave` }))"
      />
      <ul v-if="chosen">
        <li v-for="w in chosen" :key="w.id">
          <b>{{ w.of }}</b> {{ w.says }}
        </li>
        <li v-if="meanwhile === 'oven' && cooler && cooler.dishes.length > 0">
          <b>{{ listed(cooler.dishes) }}</b> in the same oven can bear that, and takes longer.
        </li>
        <li v-if="meanwhile === 'waves'"><b>What stands beside it</b> comes with the first wave: keep the rest of it warm.</li>
        <li v-else-if="tonight"><b>What is on the pass</b> and not begun is called {{ long(seconds) }} later.</li>
      </ul>
      <a-button class="do" :disabled="chosen === null || (meanwhile === 'waves' && halved === null && !twoWaves)" @click="take"
        >Do that</a-button
      >
      <a-button @click="emit('close')">Leave it as it was</a-button>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin-top: 10px;
}
.ways :deep(.ant-checkbox-wrapper),
.ways .ant-radio-wrapper {
  min-height: 56px;
  align-items: center;
  font-size: 18px;
  color: var(--chalk);
}
ul {
  margin: 12px 0;
  padding: 0;
  list-style: none;
  font-size: 18px;
  line-height: 1.45;
  max-width: 820px;
}
li {
  margin-bottom: 6px;
}
.ant-btn[aria-pressed='true'] {
  border-color: var(--hot);
  color: var(--hot);
}
.do.ant-btn {
  background: #e69f3c;
  border-color: #e69f3c;
  color: #17120a;
  margin-right: 8px;
}
</style>
