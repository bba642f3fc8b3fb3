<script setup lang="ts">
/** The probe says that it will be late: its oven turned up, or the table told, each with what it costs. */
import { Button as AButton } from 'ant-design-vue'
import { computed, shallowRef, watch } from 'vue'
import type { CookRecord } from '#core/book/record'
import { listed, showDuration, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { settingsOf } from '#core/request/setup'
import { behindBy, happenedUntil, progressOf } from '#core/session/progress'
import type { Plan } from '#core/plan/plan'
import { useCook } from '../../stores/cook'
import { nameOf, useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { tell } from '../../ui/tell'
import { useLaterTable } from './useLaterTable'
import { moreLost } from './moreLost'
import { useTurnedOven, type Turned } from './useTurnedOven'

const props = defineProps<{ record: CookRecord; forecast: Plan }>()
const cook = useCook()
const { putOff } = useLaterTable()
const { turnedBy } = useTurnedOven()
const stove = useStove()
const units = useUnits()
/** Less is made up for on the board, s. */
const WORTH_S = 4 * 60

const inOven = computed(() => {
  const { state } = progressOf(props.record.events)
  const stage = happenedUntil(props.record.events, stove.now).past.at(-1)?.stage
  return state === 'on the heat' && props.forecast.marks.some(m => m.stage === stage && m.phase === 'oven')
})
const behindS = computed(() => Math.round(behindBy(props.record.events, props.record.planned.pullS, props.forecast.pull.time) / 60) * 60)
const behind = computed(() => inOven.value && behindS.value >= WORTH_S)

const turned = shallowRef<Turned | null>(null)
let round = 0
watch(
  [behind, () => props.record.events.length],
  async ([is]) => {
    round += 1
    const mine = round
    turned.value = null
    if (!is) return
    const found = await turnedBy(-behindS.value, props.record)
    if (mine === round) turned.value = found
  },
  { immediate: true }
)

const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const long = (s: number): string => shownText(showDuration(s))
const price = computed(() => {
  const plan = turned.value?.pieces.get(props.record.id)?.plan
  if (!plan) return ''
  const sooner = props.forecast.carve.time - plan.carve.time
  const climbs = plan.peak.core - plan.pull.core - (props.forecast.peak.core - props.forecast.pull.core)
  const more =
    climbs < 0.5 ? 'it climbs no more for that' : `it climbs ${shownText(showTemperatureRise(climbs, units.system))} more by itself`
  return `carved ${long(sooner)} sooner, off at ${degrees(plan.pull.probe)}: ${more}${moreLost(plan, props.forecast)}, and its outside is done further.`
})
/** What else is in it. */
const besides = computed(() =>
  cook.cooks.flatMap(c => {
    const plan = turned.value?.pieces.get(c.id)?.plan
    const now = stove.forecasts.get(c.id)?.forecast.value
    if (c.id === props.record.id || !plan || !now) return []
    return [`${nameOf(c)} goes along: carved ${long(now.carve.time - plan.carve.time)} sooner, off at ${degrees(plan.pull.probe)}.`]
  })
)
function turnUp(): void {
  if (!turned.value) return
  const { ovenC, pieces } = turned.value
  const said = cook.say({ kind: 'delayed', seconds: 0, ovenC }, stove.now, [...pieces.keys()])
  tell(`Turn its oven to ${degrees(ovenC)}.`, () => cook.takeBack(said))
}
/** Everything else comes so much later too. */
function letWait(): void {
  const seconds = behindS.value
  const { ovenC } = settingsOf(props.record.request) as { readonly ovenC: number }
  const dial = happenedUntil(props.record.events, stove.now).past.at(-1)?.set?.ovenC ?? ovenC
  const others = cook.cooks.filter(c => c.id !== props.record.id && progressOf(c.events).state !== 'carved').map(c => c.id)
  const said = [
    cook.say({ kind: 'delayed', seconds, ovenC: dial }, stove.now, [props.record.id]),
    ...(others.length > 0 ? [cook.say({ kind: 'delayed', seconds }, stove.now, others)] : [])
  ]
  putOff(seconds, said)
}
</script>

<template>
  <section v-if="behind" class="behind ways-out said" aria-label="It is behind its time">
    <p role="status">
      By what was read it comes out <b>{{ long(behindS) }} late</b>.
    </p>
    <p v-if="turned" class="way">
      <a-button @click="turnUp">Turn its oven up to {{ degrees(turned.ovenC) }}</a-button>
      <span>
        {{ price }} <template v-for="other in besides" :key="other">{{ other }} </template>
        <template v-if="turned.dishes.length > 0">{{ listed(turned.dishes) }} in the same oven can bear that; look sooner.</template>
      </span>
    </p>
    <p class="way">
      <a-button @click="letWait">Let the table wait {{ long(behindS) }}</a-button> <span>it stays as gentle as it was planned.</span>
    </p>
  </section>
</template>
