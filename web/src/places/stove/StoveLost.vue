<script setup lang="ts">
/** It fell, it burnt, or it was lit by mistake: another like it with what that costs the table, or on without it. */
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { ref, shallowRef, watch } from 'vue'
import type { CookRecord } from '#core/book/record'
import { showDuration, shownText } from '#core/quantity/format'
import { DELAY_LIMITS_S } from '#core/session/events'
import { progressOf } from '#core/session/progress'
import type { PlanAnswer } from '#core/usecase/plan'
import { useCook } from '../../stores/cook'
import { usePass } from '../../stores/pass'
import { resultOf, type PlanResult } from '../../stores/plan'
import { nameOf, useStove } from '../../stores/stove'
import { timeWritten } from '../../ui/moments'
import { tell } from '../../ui/tell'
import { askEngine } from '../../workers/engine'
import { useLaterTable } from './useLaterTable'

const props = defineProps<{ record: CookRecord }>()
const emit = defineEmits<{ close: [] }>()
const cook = useCook()
const pass = usePass()
const stove = useStove()
const { putOff } = useLaterTable()

const fresh = shallowRef<PlanResult | null>(null)
const refused = ref('')
watch(
  () => props.record.id,
  async id => {
    fresh.value = null
    refused.value = ''
    const { request } = props.record
    const answer = await askEngine(async engine => (await engine.plan(request)) as PlanAnswer).catch(() => null)
    if (id !== props.record.id) return
    if (answer && !('refused' in answer)) fresh.value = resultOf(request, answer)
    else refused.value = answer?.refused ?? 'What another one would take could not be worked out.'
  },
  { immediate: true }
)

/** Its fire is as hot as it was lit for. */
const litAt = (): number | null => progressOf(props.record.events).litAt
/** When another one would be cut, epoch ms: hot by now, or yet to be lit. */
function cutAt({ plan, preheatS }: PlanResult): number {
  const lit = litAt() ?? stove.now
  return Math.max(stove.now, lit + preheatS * 1000) + plan.carve.time * 1000
}
/** How much later than the one that is lost, s; what is made up on the board is not counted, and what was not in yet is no later. */
function laterS(of: PlanResult): number {
  if (progressOf(props.record.events).laidAt === null) return 0
  const by = (cutAt(of) - stove.carveAt(props.record)) / 1000
  return by < DELAY_LIMITS_S[0] ? 0 : Math.min(DELAY_LIMITS_S[1], Math.round(by / 60) * 60)
}
const others = (): string[] => cook.cooks.filter(c => c.id !== props.record.id && progressOf(c.events).state !== 'carved').map(c => c.id)
const long = (s: number): string => shownText(showDuration(s))
const price = (of: PlanResult): string => {
  const by = laterS(of)
  const waits = others().length > 0 ? ': all that is on waits for it' : ''
  return `cut at ${dayjs(cutAt(of)).format(timeWritten)}${by === 0 ? ', as this was to be' : `, ${long(by)} later than this${waits}`}.`
}

function another(): void {
  const of = fresh.value
  if (!of) return
  const { record } = props
  const seconds = laterS(of)
  const lit = litAt()
  const waiting = others()
  const back = cook.throwAway(record.id)
  const id = cook.begin(record.title, of, null, record.service && { ...record.service, after: null })
  if (lit !== null) cook.say({ kind: 'lit' }, lit, [id])
  const said = seconds > 0 && waiting.length > 0 ? [cook.say({ kind: 'delayed', seconds }, stove.now, waiting)] : []
  const undo = (): void => {
    cook.throwAway(id)
    back()
  }
  if (seconds > 0) putOff(seconds, said, undo)
  else tell(`Another one in place of ${nameOf(record)}.`, undo)
  emit('close')
}
function without(): void {
  const { record } = props
  const back = cook.throwAway(record.id)
  const before = pass.ticket
  const piece = record.service?.id === pass.serviceId ? record.service.piece : undefined
  const alone = piece !== undefined && !cook.cooks.some(c => c.service?.piece === piece)
  if (alone) pass.remove(piece)
  tell(`${nameOf(record)} is off the stove and out of the book.`, () => {
    back()
    if (alone) pass.change(before)
  })
  emit('close')
}
</script>

<template>
  <section class="lost ways-out said" aria-label="It is lost">
    <p>
      <b>{{ nameOf(record) }}</b>: fallen, burnt, or lit by mistake.
    </p>
    <p class="way">
      <a-button :disabled="!fresh" :loading="!fresh && refused === ''" @click="another">Another like it</a-button>
      <span v-if="fresh">{{ price(fresh) }}</span>
      <span v-else-if="refused" role="status">{{ refused }}</span>
    </p>
    <p class="way"><a-button @click="without">On without it</a-button> <span>off the stove, off the ticket and out of the book.</span></p>
    <a-button @click="emit('close')">It is still there</a-button>
  </section>
</template>
