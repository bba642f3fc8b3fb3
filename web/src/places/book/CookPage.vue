<script setup lang="ts">
/** One cook, planned against seen. */
import { momentWritten } from '../../ui/moments'
import {
  Button as AButton,
  Form as AForm,
  FormItem as AFormItem,
  Input as AInput,
  Skeleton as ASkeleton,
  Table as ATable
} from 'ant-design-vue'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import dayjs from 'dayjs'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { parseTitle } from '#core/book/cookSchema'
import { type CookRecord, type CookSummary, type Outcome, type ProbeLog } from '#core/book/record'
import { curvesOf } from '#core/formats/thermometerLog'
import { standing, type CookEvent } from '#core/session/events'
import { progressOf } from '#core/session/progress'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { capital, showClock, showDuration, showTemperature, shownText } from '#core/quantity/format'
import { api } from '../../api/client'
import RoundSection from '../../section/RoundSection.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useServices } from '../../stores/services'
import { useUnits } from '../../stores/units'
import { saveFile } from '../../ui/saveFile'
import { useSchema } from '../../ui/useSchema'
import { tell } from '../../ui/tell'
import TimeList from '../../ui/TimeList.vue'
import { afterRestOf, figuresOf, howOf, spellsOf } from './figures'
import OutcomeForm from './OutcomeForm.vue'

const CookChart = defineAsyncComponent(() => import('./CookChart.vue'))
const LogOver = defineAsyncComponent(() => import('./LogOver.vue'))

const route = useRoute()
const units = useUnits()
const store = useCook()
const services = useServices()
const draft = useDraft()
const router = useRouter()
const record = ref<CookRecord | null>(null)
const trouble = ref<string | null>(null)
const removed = ref(false)
const id = computed(() => String(route.params['id']))

async function load(): Promise<void> {
  try {
    record.value = await api.cook(id.value)
    trouble.value = null
  } catch (error) {
    // The server may not have heard of it yet; what is on this device is as good.
    const here = [...store.cooks, store.last].find(c => c?.id === id.value)
    if (here) record.value = here
    else trouble.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(load)
watch(id, load)
watch(
  () => store.unsent,
  n => n === 0 && void load()
)

/** What else was cooked for the same table. */
const beside = ref<readonly CookSummary[]>([])
watch(
  () => record.value?.service?.id,
  async service => {
    beside.value = []
    if (service === undefined) return
    try {
      beside.value = (await api.cooksOf(service)).cooks.filter(c => c.id !== id.value)
    } catch {
      // Without the server the page has its own cook all the same.
    }
  }
)
/** As it was asked for then, in the kitchen as it is now. */
function again(): void {
  if (!record.value) return
  draft.open(record.value.request)
  void router.push('/fire')
}

const title = ref<string | null>(null)
const naming = useSchema(parseTitle, () => ({ title: title.value?.trim() ?? '' }))
function rename(): void {
  const written = naming.submit()
  if (written === null || !record.value) return
  record.value = { ...record.value, title: written }
  store.rename(record.value.id, written)
  title.value = null
  naming.forget()
}

function judge(outcome: Outcome): void {
  if (!record.value) return
  record.value = { ...record.value, outcome }
  store.judge(record.value.id, outcome)
}
async function changeLog(work: () => Promise<CookRecord>): Promise<void> {
  try {
    record.value = await work()
    trouble.value = null
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
const keepLog = (log: ProbeLog): Promise<void> => changeLog(() => api.keepLog(id.value, log))
const dropLog = (): Promise<void> => changeLog(() => api.dropLog(id.value))
async function saveCurves(): Promise<void> {
  if (!record.value) return
  const { default: Papa } = await import('papaparse')
  saveFile(new Blob([Papa.unparse(curvesOf(record.value))], { type: 'text/csv' }), `macellaio-${record.value.id}.csv`)
}
async function remove(): Promise<void> {
  await attempt(() => api.remove(id.value), true)
}
async function restore(): Promise<void> {
  await attempt(() => api.restore(id.value), false)
}
async function attempt(work: () => Promise<unknown>, then: boolean): Promise<void> {
  try {
    await work()
    removed.value = then
    trouble.value = null
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}

const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const cut = computed(() => cutById(record.value?.request.piece.cutId ?? ''))
const spells = computed(() => (record.value ? spellsOf(record.value) : []))
const rows = computed(() => (record.value ? figuresOf(record.value, units.system) : []))
const COLUMNS = [
  { title: '', dataIndex: 'what', rowScope: 'row' as const },
  { title: 'planned', dataIndex: 'planned', align: 'right' as const },
  { title: 'seen', dataIndex: 'seen', align: 'right' as const }
]
const how = computed(() => (record.value ? howOf(record.value, units.system) : ''))
const WORDS: Record<string, string> = {
  lit: 'Ring lit',
  laid: 'Into the pan',
  turned: 'Turned',
  edged: 'On its fat edge',
  moved: 'On to the next',
  lifted: 'Lifted out',
  returned: 'Back in',
  pulled: 'Off the heat',
  halved: 'Half of it carved',
  looked: 'Looked at',
  carved: 'Carved'
}
const log = computed(() => {
  const events = standing(record.value?.events ?? [])
  const stages = spells.value.map(s => s.name)
  const panOnly = spells.value.every(s => s.phase === 'sear' || s.phase === 'fat edge')
  const rested = (record.value ? afterRestOf(record.value) : []).map(m => (m.phase === 'rewarm' ? 'back in the hot pan' : m.name))
  let stage = 0
  let onward: number | null = null
  /** By a method of several places: which it went to. */
  const where = ({ kind }: CookEvent): string | null => {
    if (kind === 'pulled' || kind === 'returned') onward = kind === 'pulled' ? 0 : null
    if (onward === 0 && kind === 'turned') return null
    if (onward !== null && (kind === 'turned' || kind === 'moved')) {
      const to = rested.at(onward)
      onward += 1
      return kind === 'turned' || to === undefined ? null : capital(to)
    }
    if (kind === 'turned' || kind === 'edged' || kind === 'moved') stage += 1
    if (!panOnly && kind === 'lit') return 'Lit'
    const name = !panOnly && (kind === 'laid' || kind === 'moved') ? stages.at(stage) : undefined
    return name === undefined ? null : capital(name)
  }
  const { laidAt } = progressOf(events)
  return events.map(e => {
    const t = laidAt === null ? 0 : (e.at - laidAt) / 1000
    const entered = (e.entered - e.at) / 1000
    return {
      id: e.id,
      when: laidAt === null ? dayjs(e.at).format('HH:mm:ss') : t < 0 ? `−${showClock(-t)}` : showClock(t),
      what:
        e.kind === 'delayed'
          ? e.seconds === 0 && e.ovenC !== undefined
            ? `Its oven turned to ${degrees(e.ovenC)}`
            : `The table is ${shownText(showDuration(e.seconds))} later${e.held === true ? ', kept warm' : ''}${e.flashS === undefined ? '' : ', then back in the hot pan'}${e.ovenC === undefined ? '' : `, its oven turned to ${degrees(e.ovenC)}`}`
          : e.kind === 'parted'
            ? `In two waves: the other half ${shownText(showDuration(e.seconds))} later`
            : e.kind === 'reading'
              ? `Read ${shownText(showTemperature(e.coreC, units.system, 1))}${e.probe === undefined ? '' : ` by ${e.probe}`}`
              : (where(e) ?? WORDS[e.kind] ?? e.kind),
      late: entered > 3 ? `written down ${showClock(entered)} later` : ''
    }
  })
})
async function toItsTicket(service: string): Promise<void> {
  try {
    await services.open(service)
    await router.push('/pass')
  } catch {
    tell('The ticket of that evening was not kept.')
  }
}
const file = computed(() =>
  record.value ? `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(record.value, null, 2))}` : ''
)
</script>

<template>
  <main class="cook">
    <p class="back"><router-link to="/book">The book</router-link></p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <a-button @click="load">Try again</a-button></p>
    <a-skeleton v-if="!record && !trouble" active :paragraph="{ rows: 8 }" role="status" aria-label="Opening" />
    <div v-if="removed" class="trouble" role="status">Taken out of the book. <a-button @click="restore">Put it back</a-button></div>
    <template v-if="record">
      <div class="head">
        <div>
          <h1 v-if="title === null">{{ record.title }} <a-button class="link" @click="title = record.title">Rename</a-button></h1>
          <a-form v-else layout="vertical" class="naming" @submit="rename">
            <a-form-item label="Its name" html-for="cook-title" v-bind="naming.item('title')">
              <a-input id="cook-title" v-model:value="title" size="large" @keydown.esc="title = null" />
            </a-form-item>
            <a-button type="primary" html-type="submit">Keep it</a-button>
            <a-button type="text" @click="title = null">Leave it</a-button>
          </a-form>
          <p class="quiet">
            {{ dayjs(record.createdAt).format(`dddd ${momentWritten}`) }}. {{ cut ? pieceName(record.request.piece, cut) : '' }}, to
            {{ degrees(record.request.target.coreC) }}, {{ how }}.
          </p>
          <p v-if="beside.length > 0" class="quiet">
            At the same table:
            <template v-for="(c, i) in beside" :key="c.id"
              ><template v-if="i > 0">, </template><router-link :to="`/book/${c.id}`">{{ c.title }}</router-link></template
            >
          </p>
        </div>
        <div class="tools">
          <a-button type="primary" @click="again">Cook it again</a-button>
          <a-button v-if="record.service" @click="toItsTicket(record.service.id)">Its ticket</a-button>
          <a-button class="link" @click="saveCurves">Curves as CSV</a-button>
          <a :href="file" :download="`macellaio-${record.id}.json`">Save as JSON</a>
          <a-button v-if="!removed" @click="remove">Take out of the book</a-button>
        </div>
      </div>
      <div class="parts">
        <section aria-label="Planned and seen">
          <round-section
            v-if="record.planned.section.round"
            :hottest="record.planned.section.hottestC"
            :radii-mm="record.planned.section.edgesMm"
            :core="record.planned.peakC"
            word="as planned"
            :height="190"
          />
          <section-drawing
            v-else
            :width-mm="record.request.piece.widthMm"
            :thickness-mm="record.request.piece.thicknessMm"
            :fat-edge="cut?.fatEdge ?? false"
            :fat-share="cut?.composition.fat ?? 0.08"
            :field="{ hottest: record.planned.section.hottestC }"
            :edges-mm="record.planned.section.edgesMm"
            :core="record.planned.peakC"
            word="as planned"
            :height="190"
          />
          <cook-chart :record="record" />
          <log-over :record="record" @keep="keepLog" @drop="dropLog" />
        </section>
        <section aria-label="Figures and verdict">
          <a-table class="figures" size="small" row-key="what" :columns="COLUMNS" :data-source="rows" :pagination="false" />
          <h2>On the board</h2>
          <outcome-form :outcome="record.outcome" @change="judge" />
          <h2>As it happened</h2>
          <time-list v-if="log.length > 0" class="log" :items="log.map(e => ({ key: e.id, when: e.when, what: e.what, note: e.late }))" />
          <p v-else class="quiet">Nothing has happened yet.</p>
        </section>
      </div>
    </template>
  </main>
</template>

<style scoped>
.cook {
  padding: 14px 28px 40px;
}
.back {
  margin-bottom: 6px;
}
a {
  color: var(--oxblood);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 24px;
  align-items: flex-start;
}
.tools {
  display: flex;
  gap: 16px;
  align-items: baseline;
  white-space: nowrap;
}
.tools .ant-btn.link {
  color: var(--oxblood);
  font-weight: 400;
}
.trouble {
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
  margin-bottom: 10px;
}
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(320px, 1fr);
  gap: 40px;
  margin-top: 18px;
}
.figures {
  margin-bottom: 20px;
}
.figures :deep(td + td) {
  font-weight: 600;
}
h1 .ant-btn {
  font-size: 14px;
}
.naming {
  display: flex;
  align-items: flex-end;
  gap: 8px;
  margin-bottom: 4px;
}
.naming .ant-form-item {
  flex: 1;
  min-width: 0;
}
h2 {
  margin: 18px 0 8px;
}
.log {
  columns: 2;
  font-size: 14px;
}
.log :deep(li) {
  break-inside: avoid;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
  .head {
    flex-direction: column;
  }
  .tools {
    flex-wrap: wrap;
  }
  .cook {
    padding: 14px 16px;
  }
}
</style>
