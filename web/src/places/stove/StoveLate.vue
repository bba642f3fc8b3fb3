<script setup lang="ts">
/** The guests are late: what that does to each piece that is on, by the engine, before it is taken. */
import { Button as AButton, Skeleton as ASkeleton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, ref, watch } from 'vue'
import type { CookRecord } from '#core/book/record'
import { progressOf } from '#core/session/progress'
import { showDuration, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import type { Forecast } from '#core/usecase/forecast'
import type { Refused } from '#core/usecase/plan'
import { useCook } from '../../stores/cook'
import { asked } from '../../stores/forecast'
import { usePass } from '../../stores/pass'
import { nameOf, useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { MOMENT } from '../../ui/moments'
import { tell } from '../../ui/tell'
import { askEngine } from '../../workers/engine'

const emit = defineEmits<{ close: [] }>()
const cook = useCook()
const stove = useStove()
const pass = usePass()
const units = useUnits()
const LATE_MIN = [5, 10, 20, 30] as const
const minutes = ref<number | null>(null)
const seconds = computed(() => 60 * (minutes.value ?? 0))
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const long = (s: number): string => shownText(showDuration(s))
/** A piece so much cooler than it would have been is noticed at the table, K. */
const NOTICED_K = 3

/** What may still be moved. */
const open = computed(() => cook.cooks.filter(c => progressOf(c.events).state !== 'carved'))
/** Another day's ticket has nothing to do with these guests. */
const TONIGHT_MS = 6 * 3600_000
const tonight = computed(() => pass.dishes.length > 0 && (pass.begun || Math.abs(pass.servedAt - stove.now) < TONIGHT_MS))
interface Way {
  readonly id: string
  readonly of: string
  readonly says: string
}
const ways = ref<readonly Way[] | null>(null)
let round = 0
watch(seconds, async longer => {
  round += 1
  const mine = round
  ways.value = null
  if (longer === 0) return
  const found = await Promise.all(open.value.map(c => wayFor(c, longer)))
  if (mine === round) ways.value = found
})

async function wayFor(of: CookRecord, longer: number): Promise<Way> {
  const way = (says: string): Way => ({ id: of.id, of: nameOf(of), says })
  const { laidAt } = progressOf(of.events)
  if (laidAt === null) return way(`goes in ${long(longer)} later; nothing is lost. Turn its fire down until then.`)
  const now = stove.forecasts.get(of.id)?.forecast.value
  const question = asked({ cook: of, now: stove.now }, longer)
  const answer = await askEngine(async engine => (await engine.forecast(question)) as Forecast | Refused)
  if ('refused' in answer || !now) return way('rests longer; what that costs could not be worked out.')
  const cooler = now.carve.core - answer.plan.carve.core
  const cost =
    cooler < 0.5
      ? 'as warm as it would have been'
      : `${shownText(showTemperatureRise(cooler, units.system))} cooler than it would have been`
  const mend = cooler > NOTICED_K ? ' A minute a face in a hot pan before it is cut warms the outside; a hot plate does the rest.' : ''
  return way(
    `comes off as planned and rests ${long(longer)} longer: ${degrees(answer.plan.carve.core)} in the middle when it is cut, ${cost}; its crust softens.${mend}`
  )
}

function take(): void {
  const before = pass.ticket.serveAt
  const said = cook.say(
    { kind: 'delayed', seconds: seconds.value },
    Date.now(),
    open.value.map(c => c.id)
  )
  if (tonight.value) pass.change({ serveAt: dayjs(before).add(seconds.value, 'second').format(MOMENT) })
  tell(`The table is ${long(seconds.value)} later, for everything that is on.`, () => {
    cook.takeBack(said)
    if (tonight.value) pass.change({ serveAt: before })
  })
  emit('close')
}
</script>

<template>
  <section class="late" aria-label="The guests are late">
    <div class="row" role="group" aria-label="By how much">
      <a-button v-for="m in LATE_MIN" :key="m" :aria-pressed="minutes === m" @click="minutes = m">{{ m }} min late</a-button>
    </div>
    <template v-if="minutes !== null">
      <a-skeleton v-if="ways === null" active :title="false" :paragraph="{ rows: 2 }" />
      <ul v-else>
        <li v-for="w in ways" :key="w.id">
          <b>{{ w.of }}</b> {{ w.says }}
        </li>
        <li v-if="tonight"><b>What is on the pass</b> and not begun is called {{ long(seconds) }} later.</li>
      </ul>
      <a-button class="do" :disabled="ways === null" @click="take">Do that</a-button>
      <a-button @click="emit('close')">Leave it as it was</a-button>
    </template>
  </section>
</template>

<style scoped>
.late {
  border-left: 3px solid var(--hot);
  padding-left: 14px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
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
.ant-btn {
  min-height: 56px;
  height: auto;
  padding: 8px 18px;
  background: #20262a;
  color: var(--chalk);
  border-color: #30383c;
  font-size: 17px;
  font-weight: 600;
  white-space: normal;
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
