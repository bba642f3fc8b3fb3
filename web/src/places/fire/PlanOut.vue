<script setup lang="ts">
/** A plan on its way out: counted back from the table, as a page, a calendar and a plan file; and one coming in. */
import { MOMENT, timeWritten } from '../../ui/moments'
import MomentField from '../../ui/MomentField.vue'
import TimeList from '../../ui/TimeList.vue'
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { readPlanCase, writePlanCase } from '#core/formats/caseFile'
import { pieceName } from '#core/meat/piece'
import { dialsOf } from '#core/method/dials'
import { showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import { servedCold, wholeSettings } from '#core/request/setup'
import { lighting } from '#core/session/call'
import type { Caution } from '#core/safety/cautions'
import type { CallLine } from '#core/words/callSheet'
import { missedTarget } from '#core/words/caveats'
import { phaseName } from '#core/words/phases'
import { api } from '../../api/client'
import { useDraft } from '../../stores/draft'
import { usePlan, type PlanResult } from '../../stores/plan'
import { usePass } from '../../stores/pass'
import { usePieces } from '../../stores/pieces'
import { useUnits } from '../../stores/units'
import { tell } from '../../ui/tell'
import { saveFile } from '../../ui/saveFile'
import { openFile } from '../../ui/openFile'
import { afterTheAnswer } from '../../offline/afterTheAnswer'
import { methodPath } from './methodPath'
import { spanText } from './spanText'

/** Seldom wanted: it comes with the other places. */
const FileField = defineAsyncComponent(() => afterTheAnswer.then(() => import('../../ui/FileField.vue')))

const props = defineProps<{
  /** Null where there is none. */
  of: PlanResult | null
  title: string
  /** A newer one has been worked out for a while: it stays where it is, faded, and nothing goes out. */
  faint: boolean
  lines: readonly CallLine[]
  cautions: readonly Caution[]
  /** Where a danger has not been agreed to, nothing goes out. */
  held: boolean
}>()
const draft = useDraft()
const units = useUnits()
const pass = usePass()
const pieces = usePieces()
const router = useRouter()
const plan = usePlan()
/** With the plan for what is on the screen, should it be a moment away. */
async function goesOut(how: () => unknown): Promise<void> {
  const of = await plan.soon()
  await nextTick()
  if (of && of === props.of && !props.held) await how()
}
const target = computed(() => shownText(showTemperature(draft.request.target.coreC, units.system)))
const kind = computed(() => draft.request.method.kind)
const name = computed(() => pieceName(draft.request.piece, draft.cut))

const out = ref('')
/** Counted back from the table: the service's own time, where there is one to come. */
const alone = ref(dayjs().add(3, 'hour').startOf('hour').format(MOMENT))
const served = computed(() => pass.touched && dayjs(pass.ticket.serveAt).isAfter(dayjs()))
const serveAt = computed({
  get: () => (served.value ? pass.ticket.serveAt : alone.value),
  set: at => {
    if (served.value) out.value = pass.change({ serveAt: at }) ?? ''
    else alone.value = at
  }
})
/** With others on the ticket the table does not wait for one. */
const mayStartNow = computed(() => !served.value || pass.ticket.lines.every(l => l.id === draft.pieceId))
const schedule = computed(() => {
  if (!props.of) return []
  const { plan, preheatS, leads } = props.of
  const end = dayjs(serveAt.value)
  if (!end.isValid()) return []
  const at = (seconds: number): dayjs.Dayjs => end.subtract(plan.carve.time - seconds, 'second')
  const heating = preheatS > 0 ? [{ from: at(-preheatS), to: at(0), what: lighting(leads).toLowerCase() }] : []
  const spans = [
    ...heating,
    ...plan.phases.map(p => ({ from: at(p.from), to: at(p.to), what: phaseName(p) })),
    { from: end, to: end.add(15, 'minute'), what: servedCold(props.of.request) ? 'slice it cold and serve' : 'carve and serve' }
  ]
  // With its day, where that is another.
  return spans.map(s => ({ ...s, at: s.from.format(s.from.isSame(end, 'day') ? timeWritten : `ddd ${timeWritten}`) }))
})
const times = computed(() => schedule.value.map(s => ({ key: s.at + s.what, when: s.at, what: s.what })))
/** As early as it can be. */
function fromNow(): void {
  if (props.of)
    serveAt.value = dayjs()
      .add(props.of.plan.carve.time + props.of.preheatS + 59, 'second')
      .format(MOMENT)
}
/** The heats, times and parts that are set, in a line. */
function inWords(): string {
  const values = wholeSettings(draft.request)
  return dialsOf(kind.value)
    .flatMap(d => {
      const value = values[d.key]
      if (typeof value !== 'number' || value === 0 || d.key === 'byClockS') return []
      if (d.kind === 'count') return [`${d.label.toLowerCase()} ${value} ${value === 1 ? d.unit.replace(/s$/, '') : d.unit}`]
      if (d.kind !== 'quantity') return []
      const text =
        d.dimension === 'temperature'
          ? shownText(showTemperature(value, units.system))
          : d.dimension === 'length'
            ? shownText(showLength(value, units.system))
            : spanText(value)
      return [`${d.label.toLowerCase()} ${text}`]
    })
    .join(', ')
}
const fileName = computed(() => `${draft.cut.id}-${kind.value.replace(/ /g, '-')}`)
function toThePass(): void {
  if (!props.of) return
  const wrong = pieces.putOn(props.of)
  if (wrong) {
    out.value = wrong
    return
  }
  const missed = missedTarget(props.of.plan, units.system)
  if (missed !== null) tell(`On the pass; ${missed}`)
  void router.push('/pass')
}
function print(): void {
  window.print()
}
async function asPdf(): Promise<void> {
  out.value = 'Making the page…'
  try {
    const sheet = await api.sheetPdf({
      title: props.title,
      subtitle: `${shownText(showMass(draft.request.piece.weightG, units.system))}, ${shownText(showLength(draft.request.piece.thicknessMm, units.system))}, to ${target.value}; ${inWords()}`,
      lines: props.lines.map(l => ({ label: l.label, figure: l.shown.figure, unit: l.shown.unit })),
      schedule: schedule.value.map(s => ({ at: s.at, what: s.what })),
      cautions: props.cautions.map(c => c.text),
      paper: units.system === 'metric' ? 'A4' : 'LETTER'
    })
    saveFile(sheet, `${fileName.value}.pdf`)
    out.value = 'Saved as PDF.'
  } catch (error) {
    out.value = error instanceof Error ? error.message : 'That failed.'
  }
}
async function asCalendar(): Promise<void> {
  const { default: ical } = await import('ical-generator')
  const calendar = ical({ name: props.title })
  for (const s of schedule.value) calendar.createEvent({ start: s.from.toDate(), end: s.to.toDate(), summary: `${name.value}: ${s.what}` })
  saveFile(new Blob([calendar.toString()], { type: 'text/calendar;charset=utf-8' }), `${fileName.value}.ics`)
  out.value = 'Saved as a calendar file.'
}
function asJson(): void {
  const file = JSON.stringify(writePlanCase(draft.request), null, 2)
  saveFile(new Blob([file], { type: 'application/json' }), `${fileName.value}.json`)
  out.value = 'Saved as a plan file.'
}
async function open(file: File): Promise<void> {
  out.value = await openFile(file, 'a plan file', json => {
    const { request } = readPlanCase(json)
    draft.open(request)
    void router.push(methodPath(request.method.kind))
  })
}
</script>

<template>
  <div>
    <div v-if="of" class="back" :aria-busy="faint">
      <moment-field v-model="serveAt" class="at" label="On the table at" />
      <a-button v-if="mayStartNow" class="link now no-print" @click="fromNow">Starting now</a-button>
      <div :class="{ stale: faint }"><time-list :items="times" /></div>
      <div class="acts no-print">
        <a-button :disabled="held || faint" @click="goesOut(toThePass)">On the pass</a-button>
        <a-button :disabled="held || faint" @click="goesOut(print)">Print</a-button>
        <a-button :disabled="held || faint" @click="goesOut(asPdf)">PDF</a-button>
        <a-button :disabled="held || faint" @click="goesOut(asCalendar)">Calendar</a-button>
        <a-button :disabled="held || faint" @click="goesOut(asJson)">Plan file</a-button>
      </div>
    </div>
    <file-field class="no-print" label="Open a plan file" @file="open" />
    <p class="quiet said no-print" role="status">{{ out }}</p>
  </div>
</template>

<style scoped>
.now {
  margin-top: 6px;
}
.back {
  border-top: 1px solid #454b4d;
  padding-top: 10px;
}

.times {
  margin-top: 10px;
}
.said {
  min-height: 22px;
  font-size: 14px;
}
.acts {
  flex-wrap: wrap;
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 8px 0 12px;
}
.acts .ant-btn {
  height: 40px;
}
</style>
