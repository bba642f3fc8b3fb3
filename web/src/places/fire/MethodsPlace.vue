<script setup lang="ts">
/** Every way to cook this piece, compared on one scale; one of them in full, with what can be turned. */
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { dialsOf } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import type { Compared } from '#core/plan/compare'
import { methodSheet, phaseName, settingsFor, WHEN } from '#core/plan/everyMethod'
import { showDuration, showLength, showMass, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { readPlanCase, writePlanCase } from '#core/formats/planCase'
import { REFERENCES } from '#core/safety/lethality'
import { cautionsFor } from '#core/safety/cautions'
import SectionDrawing from '../../section/SectionDrawing.vue'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { kept } from '../../stores/kept'
import { useDraft } from '../../stores/draft'
import { useMethods } from '../../stores/methods'
import { useUnits } from '../../stores/units'
import SheetLines from './SheetLines.vue'
import { api } from '../../api/client'
import { saveFile } from '../../ui/saveFile'

const PlanChart = defineAsyncComponent(() => import('./PlanChart.vue'))
const draft = useDraft()
const methods = useMethods()
const units = useUnits()
onMounted(() => (methods.watched = true))
onUnmounted(() => (methods.watched = false))

const chosen = kept<MethodKind>(
  'macellaio.method',
  () => 'pan sear',
  stored => METHOD_KINDS.find(k => k === stored) ?? 'pan sear'
)
const beside = ref<MethodKind | ''>('')
const SORTS = ['total', 'hands-on', 'evenness', 'forgives'] as const
type Sort = (typeof SORTS)[number]
const sort = ref<Sort>('total')

type Planned = Extract<Compared, { plan: unknown }>
const planned = (c: Compared | null): Planned | null => (c && 'plan' in c ? c : null)
const order = (c: Planned): number => {
  switch (sort.value) {
    case 'total':
      return c.plan.carve.time
    case 'hands-on':
      return c.plan.handsOn
    case 'evenness':
      return -c.plan.section.evenness
    case 'forgives':
      return -(c.tolerance.lateS ?? Infinity)
  }
}
/** What suits first; then what is still worked out; then what does not suit, with the reason. */
const rows = computed(() =>
  [...methods.rows].sort((a, b) => {
    const rank = (c: Compared | null): number => (c === null ? 1 : 'plan' in c ? 0 : 2)
    const [p, q] = [planned(a.compared), planned(b.compared)]
    return rank(a.compared) - rank(b.compared) || (p && q ? order(p) - order(q) : 0)
  })
)
/** A piece no pan suits should not open on the pan. */
watch(
  () => methods.working,
  working => {
    if (working || planned(methods.current(chosen.value))) return
    const best = rows.value.find(r => planned(r.compared))
    if (best) chosen.value = best.kind
  }
)
const now = computed(() => planned(methods.current(chosen.value)))
const shown = computed(() => now.value ?? planned(methods.rows.find(r => r.kind === chosen.value)?.stale ?? null))
const unsuited = computed(() => {
  const found = methods.current(chosen.value)
  return found && 'unsuited' in found ? found.unsuited : null
})
const lines = computed(() => (shown.value ? methodSheet(shown.value.plan, units.system) : []))
const dials = computed(() => {
  const settings = settingsFor(draft.request, chosen.value, methods.turned[chosen.value] ?? {}) as object as Record<string, number>
  return dialsOf(chosen.value).map(d => ({ ...d, value: settings[d.key] }))
})
const target = computed(() => shownText(showTemperature(draft.request.targetC, units.system)))
const scale = computed(() => scaleById(draft.request.scaleId) ?? SCALES[0])
const bands = computed(() => scale.value.bands.map(b => ({ value: String(b.aim), label: b.word })))
const band = computed(() => String(bandOf(scale.value, draft.request.targetC).aim))

/** Hours without the word for minutes: the columns are narrow. */
const span = (seconds: number): string =>
  seconds < 3570 ? shownText(showDuration(seconds)) : showDuration(seconds).figure + (seconds % 3600 < 30 ? ' h' : '')
/** Of a joint its side, all round, says more than its ends. */
const depth = (c: Planned, of: 'greyMm' | 'crustMm'): string => {
  const { section: read } = c.plan
  const mm = piece.value.form === 'roast' && read.side ? read.side[of] : (read[of][0] + read[of][1]) / 2
  return shownText(showLength(mm, units.system, true))
}
const off = (kelvin: number): string =>
  Math.abs(kelvin) < 0.5 ? 'the same' : `${kelvin > 0 ? '+' : '−'}${shownText(showTemperatureRise(Math.abs(kelvin), units.system))}`
const section = (c: Planned) => {
  const { fields, carve, geometry } = c.plan
  const field = fields.reduce((found, f) => (Math.abs(f.time - carve.time) < Math.abs(found.time - carve.time) ? f : found), fields[0])
  if (!geometry.mirrored) return { field, edgesMm: geometry.edgesMm }
  // Half of it was reckoned; the other half is alike.
  const last = geometry.edgesMm[geometry.edgesMm.length - 1]
  return {
    field: { hottest: [...field.hottest, ...[...field.hottest].reverse()] },
    edgesMm: [
      ...geometry.edgesMm,
      ...geometry.edgesMm
        .slice(0, -1)
        .reverse()
        .map(e => 2 * last - e)
    ]
  }
}
const piece = computed(() => draft.request.piece)
const across = (c: Planned): { width: number; thick: number } => {
  const { edgesMm, mirrored } = c.plan.geometry
  const thick = edgesMm[edgesMm.length - 1] * (mirrored ? 2 : 1)
  return { width: mirrored ? piece.value.thicknessMm : piece.value.widthMm, thick }
}

/** Counted back from the table. */
const serveAt = ref(dayjs().add(3, 'hour').startOf('hour').format('YYYY-MM-DDTHH:mm'))
const schedule = computed(() => {
  if (!now.value) return []
  const { plan } = now.value
  const end = dayjs(serveAt.value)
  if (!end.isValid()) return []
  const at = (seconds: number): dayjs.Dayjs => end.subtract(plan.carve.time - seconds, 'second')
  const spans = [
    ...plan.phases.map(p => ({ from: at(p.from), to: at(p.to), what: phaseName(p) })),
    { from: end, to: end.add(15, 'minute'), what: 'carve and serve' }
  ]
  return spans.map(s => ({ ...s, at: s.from.format('HH:mm') }))
})
const out = ref('')
const fileName = computed(() => `${draft.cut.id}-${chosen.value.replace(/ /g, '-')}`)
async function asPdf(): Promise<void> {
  out.value = 'Making the page…'
  try {
    const sheet = await api.sheetPdf({
      title: `${draft.cut.name}: ${chosen.value}`,
      subtitle: `${shownText(showMass(piece.value.weightG, units.system))}, ${shownText(showLength(piece.value.thicknessMm, units.system))}, to ${target.value}; ${dials.value
        .map(
          d =>
            `${d.label.toLowerCase()} ${d.dimension === 'temperature' ? shownText(showTemperature(d.value, units.system)) : span(d.value)}`
        )
        .join(', ')}`,
      lines: lines.value.map(l => ({ label: l.label, figure: l.shown.figure, unit: l.shown.unit })),
      schedule: schedule.value.map(s => ({ at: s.at, what: s.what })),
      cautions: cautions.value.map(c => c.text),
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
  const calendar = ical({ name: `${draft.cut.name}: ${chosen.value}` })
  for (const s of schedule.value)
    calendar.createEvent({ start: s.from.toDate(), end: s.to.toDate(), summary: `${draft.cut.name}: ${s.what}` })
  saveFile(new Blob([calendar.toString()], { type: 'text/calendar;charset=utf-8' }), `${fileName.value}.ics`)
  out.value = 'Saved as a calendar file.'
}
function asJson(): void {
  const turned = Object.fromEntries(dials.value.map(d => [d.key, d.value]))
  const file = JSON.stringify(writePlanCase(draft.request, chosen.value, turned), null, 2)
  saveFile(new Blob([file], { type: 'application/json' }), `${fileName.value}.json`)
  out.value = 'Saved as a plan file.'
}
async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  try {
    const read = readPlanCase(JSON.parse(await file.text()))
    draft.put(read.piece)
    draft.change({ room: read.room, targetC: read.targetC })
    methods.set(read.kind, read.turned)
    chosen.value = read.kind
    out.value = 'Opened.'
  } catch (error) {
    out.value =
      error instanceof SyntaxError
        ? 'That is not a plan file: it is not JSON.'
        : `That file cannot be used. ${error instanceof Error ? error.message : ''}`
  }
  input.value = ''
}
const cautions = computed(() => cautionsFor(draft.request.targetC, 0, units.system, draft.table))
const safety = computed(() =>
  (shown.value?.plan.lethal ?? []).map(l => ({
    name: REFERENCES.find(r => r.id === l.reference)?.name ?? l.reference,
    core: l.core >= 1 ? 'reached at the core' : `${Math.round(100 * l.core)} % of it at the core`,
    surface: l.surface >= 1 ? 'reached outside' : `${Math.round(100 * l.surface)} % outside`
  }))
)
</script>

<template>
  <div class="place">
    <main>
      <h1>Every way to cook it</h1>
      <p class="quiet">
        {{ draft.cut.name }}, {{ shownText(showLength(piece.thicknessMm, units.system)) }}, to {{ target }} inside.
        <router-link to="/bench">Change the piece</router-link> · <router-link to="/fire">the pan in detail</router-link>
      </p>
      <div class="top">
        <choice-row label="Doneness" :options="bands" :model-value="band" @update:model-value="v => draft.change({ targetC: Number(v) })" />
        <choice-row v-model="sort" label="Sorted by" :options="SORTS.map(s => ({ value: s, label: s }))" />
      </div>
      <p v-if="methods.failed" class="wrong" role="alert">{{ methods.failed }}</p>

      <div class="table" role="radiogroup" aria-label="Methods" :aria-busy="methods.working">
        <div class="headings quiet" aria-hidden="true">
          <span></span><span>Method</span><span>In all</span><span>Hands on</span><span>Even</span><span>Grey</span><span>Crust</span
          ><span>Loss</span><span>May be late</span><span>3 mm thicker</span>
        </div>
        <label v-for="r in rows" :key="r.kind" class="row" :class="{ on: r.kind === chosen, off: r.compared && !planned(r.compared) }">
          <input type="radio" name="method" :checked="r.kind === chosen" @change="chosen = r.kind" />
          <template v-if="planned(r.compared)">
            <span class="cut">
              <section-drawing
                plain
                :class="{ lying: piece.form === 'roast' }"
                :width-mm="across(planned(r.compared)!).width"
                :thickness-mm="across(planned(r.compared)!).thick"
                :fat-edge="false"
                :fat-share="0"
                :field="section(planned(r.compared)!).field"
                :edges-mm="section(planned(r.compared)!).edgesMm"
                :core="null"
                :height="piece.form === 'roast' ? 112 : 46"
              />
            </span>
            <span class="name"
              >{{ r.kind }}<span class="quiet">{{ WHEN[r.kind] }}</span></span
            >
            <span>{{ span(planned(r.compared)!.plan.carve.time) }}</span>
            <span>{{ span(planned(r.compared)!.plan.handsOn) }}</span>
            <span>{{ Math.round(100 * planned(r.compared)!.plan.section.evenness) }}&nbsp;%</span>
            <span>{{ depth(planned(r.compared)!, 'greyMm') }}</span>
            <span>{{ depth(planned(r.compared)!, 'crustMm') }}</span>
            <span>{{ Math.round(100 * planned(r.compared)!.plan.loss) }}&nbsp;%</span>
            <span>{{ planned(r.compared)!.tolerance.lateS === null ? 'any' : span(planned(r.compared)!.tolerance.lateS ?? 0) }}</span>
            <span>{{ off(planned(r.compared)!.tolerance.thickerK) }}</span>
          </template>
          <template v-else>
            <span></span>
            <span class="name">{{ r.kind }}</span>
            <span class="reason">{{ r.compared && 'unsuited' in r.compared ? r.compared.unsuited : 'working it out…' }}</span>
          </template>
        </label>
      </div>

      <section v-if="shown" class="full" :class="{ stale: !now }">
        <div class="beside">
          <h2>{{ chosen }}</h2>
          <pick-field
            v-model="beside"
            label="Beside it"
            :options="[
              { value: '', label: 'nothing' },
              ...rows.filter(r => r.kind !== chosen && planned(r.compared)).map(r => ({ value: r.kind, label: r.kind }))
            ]"
          />
        </div>
        <plan-chart
          :plan="shown.plan"
          :beside="beside && planned(methods.current(beside)) ? { name: beside, plan: planned(methods.current(beside))!.plan } : null"
        />
      </section>
    </main>

    <aside class="slate" aria-label="Call sheet">
      <div class="title">
        <h2>{{ chosen }}</h2>
        <span class="quiet" role="status">{{ now ? '' : unsuited ? 'no plan' : 'working it out…' }}</span>
      </div>
      <p v-if="unsuited" class="refused" role="alert">{{ unsuited }}</p>
      <div class="dials">
        <quantity-field
          v-for="d in dials"
          :key="`${chosen}-${d.key}`"
          :label="d.label"
          :dimension="d.dimension"
          :range="d.range"
          :model-value="d.value"
          @update:model-value="v => methods.turn(chosen, d.key, v)"
        />
      </div>
      <button v-if="Object.keys(methods.turned[chosen] ?? {}).length > 0" type="button" class="usual" @click="methods.asUsual(chosen)">
        As it is usually set
      </button>
      <sheet-lines v-if="shown && !unsuited" :lines="lines" :stale="!now" />
      <div v-if="now" class="back">
        <label>On the table at <input v-model="serveAt" type="datetime-local" /></label>
        <ol>
          <li v-for="s in schedule" :key="s.at + s.what">
            <time>{{ s.at }}</time> {{ s.what }}
          </li>
        </ol>
        <div class="acts">
          <a-button @click="asPdf">PDF</a-button>
          <a-button @click="asCalendar">Calendar</a-button>
          <a-button @click="asJson">Plan file</a-button>
        </div>
      </div>
      <label class="open">Open a plan file <input type="file" accept="application/json,.json" @change="open" /></label>
      <p class="quiet said" role="status">{{ out }}</p>
      <p v-for="s in safety" :key="s.name" class="remark">{{ s.name }}: {{ s.core }}, {{ s.surface }}.</p>
      <p v-for="c in cautions" :key="c.id" class="remark">{{ c.text }}</p>
      <p class="remark">The stove follows the pan sear step by step; for the other ways keep this sheet and a probe at hand.</p>
    </aside>
  </div>
</template>

<style scoped>
main a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  margin: 10px 0 12px;
}
.headings,
.row {
  display: grid;
  grid-template-columns: 124px minmax(150px, 1fr) repeat(8, minmax(48px, auto));
  gap: 0 10px;
  align-items: center;
}
.headings {
  font-size: 12.5px;
  padding: 2px 8px;
  grid-template-columns: 124px minmax(150px, 1fr) repeat(8, 57px);
}
.row {
  position: relative;
  grid-template-columns: 124px minmax(150px, 1fr) repeat(8, 57px);
  border-top: 1px solid var(--rule);
  padding: 5px 8px;
  font-size: 14px;
  cursor: pointer;
  min-height: 58px;
}
.row.on {
  background: var(--tile);
  box-shadow: inset 4px 0 0 var(--oxblood);
}
.row:hover {
  background: #f6f7f4;
}
.row:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: -3px;
}
.row input {
  position: absolute;
  opacity: 0;
}
.row.off {
  color: var(--ink-2);
  min-height: 0;
}
.cut {
  display: block;
  width: 122px;
}
.lying {
  width: 46px;
  height: 112px;
  margin: -34px 0 -34px 34px;
  transform: rotate(90deg);
}
.name {
  font-family: var(--serif);
  font-size: 17px;
  font-weight: 600;
  display: flex;
  flex-direction: column;
}
.name::first-letter,
h2::first-letter {
  text-transform: uppercase;
}
.name .quiet {
  font-family: var(--sans);
  font-weight: 400;
  font-size: 12.5px;
  line-height: 1.3;
}
.reason {
  grid-column: 3 / -1;
  font-size: 13.5px;
  line-height: 1.35;
}
.full {
  margin-top: 18px;
}
.stale {
  opacity: 0.4;
}
.beside {
  display: flex;
  align-items: end;
  justify-content: space-between;
  gap: 20px;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.title h2 {
  font-size: 25px;
}
.dials {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  margin: 10px 0;
}
.dials :deep(label),
.dials :deep(.problem) {
  color: var(--chalk-2);
}
.dials :deep(.problem) {
  color: var(--hot);
}
.usual {
  font: inherit;
  font-size: 14px;
  align-self: start;
  border: 0;
  background: none;
  color: var(--chalk);
  text-decoration: underline;
  cursor: pointer;
  padding: 2px 0 8px;
}
.refused {
  border-left: 3px solid var(--hot);
  padding: 4px 0 4px 12px;
  margin: 10px 0;
  line-height: 1.45;
}
.back {
  border-top: 1px solid #454b4d;
  padding-top: 10px;
}
.back label {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  color: #cfd0c9;
}
.back input {
  font: inherit;
  background: var(--slate-2);
  color: var(--chalk);
  border: 1px solid #6b7173;
  border-radius: 3px;
  padding: 3px 6px;
  color-scheme: dark;
}
ol {
  list-style: none;
  padding: 0;
  margin: 8px 0;
  line-height: 1.6;
}
.open {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  font-size: 14px;
  color: #cfd0c9;
}
.open input {
  font: inherit;
  max-width: 220px;
  color: var(--chalk-2);
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
  background: var(--slate-2);
  color: var(--chalk);
  border-color: #6b7173;
  height: 40px;
}
time {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
  margin-right: 8px;
}
.remark {
  border-top: 1px solid #454b4d;
  padding: 9px 0;
  font-size: 13.5px;
  line-height: 1.42;
  color: #e9d3ac;
}
.wrong {
  color: #9a211b;
}
@media (max-width: 1100px) {
  .headings {
    display: none;
  }
  .row {
    grid-template-columns: 124px minmax(120px, 1fr) repeat(3, 62px);
  }
  .row > span:nth-of-type(n + 6) {
    display: none;
  }
}
@media (max-width: 600px) {
  .row {
    grid-template-columns: 72px minmax(0, 1fr) 62px;
  }
  .row > span:nth-of-type(n + 4) {
    display: none;
  }
  .cut {
    width: 70px;
  }
}
</style>
