<script setup lang="ts">
/** How does it all land at once? Beef, sides and sauces on the rings, oven, grill and hands there are, counted back from the table. */
import { MOMENT, timeWritten } from '../../ui/moments'
import MomentField from '../../ui/MomentField.vue'
import FileField from '../../ui/FileField.vue'
import OnSlate from '../../ui/OnSlate.vue'
import { useNow } from '@vueuse/core'
import dayjs from 'dayjs'
import { computed, onMounted, onUnmounted, ref, useId, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import NothingHere from '../../ui/NothingHere.vue'
import { tell } from '../../ui/tell'
import {
  Button as AButton,
  Collapse as ACollapse,
  CollapsePanel as ACollapsePanel,
  FormItem as AFormItem,
  Input as AInput
} from 'ant-design-vue'
import type { PlanAnswer } from '#core/usecase/plan'
import { readTicket, writeTicket } from '#core/formats/ticketSchema'
import { MEATLESS } from '#core/service/recipes'
import { COOKS_LIMITS, DINERS_LIMITS, namesIn, toolsOf, whose } from '#core/service/ticket'
import { showDuration, shownText } from '#core/quantity/format'
import { missedTarget } from '#core/words/caveats'
import { dangersOf } from '#core/safety/dangers'
import { useDinner } from '../../stores/dinner'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useKit } from '../../stores/kit'
import { usePans } from '../../stores/pans'
import { usePass } from '../../stores/pass'
import { useRecipes } from '../../stores/recipes'
import { useServices } from '../../stores/services'
import { useUnits } from '../../stores/units'
import ServiceDrawing from '../../line/ServiceDrawing.vue'
import CountField from '../../ui/CountField.vue'
import PickSeveral from '../../ui/PickSeveral.vue'
import { saveFile } from '../../ui/saveFile'
import { openFile } from '../../ui/openFile'
import { askEngine } from '../../workers/engine'
import CallList from './CallList.vue'
import NextCall from './NextCall.vue'
import OwnDish from './OwnDish.vue'
import ConflictLines from './ConflictLines.vue'
import ServicesDrawer from './ServicesDrawer.vue'
import TicketList from './TicketList.vue'

const id = useId()
const pass = usePass()
usePans()
const router = useRouter()
const draft = useDraft()
const guests = useGuests()
const units = useUnits()
const clock = useNow({ interval: 1000 })

onMounted(() => {
  pass.watched = true
  pass.renew()
  if (!pass.touched && pass.atTheFire === null) void takeFromFire(true)
})
onUnmounted(() => (pass.watched = false))

const dinner = useDinner()
const services = useServices()
const kit = useKit()
const recipes = useRecipes()
const listing = ref(false)
const working = ref(false)
const said = ref('')
function remove(id: string): void {
  const name = names.value.get(id)
  said.value = pass.remove(id) ?? ''
  if (said.value === '' && name !== undefined) tell(`${name} is off the ticket.`, pass.undo)
}
/** The plan that stands at the fire. */
async function takeFromFire(byItself = false): Promise<void> {
  const { request } = draft
  working.value = true
  try {
    const found = await askEngine(async engine => (await engine.plan(request)) as PlanAnswer)
    if ('refused' in found) said.value = found.refused
    else if (dangersOf(request.target.coreC, draft.table, found.plan, guests.reference).length > 0)
      said.value = 'The plan at the fire is not safe as it stands: say yes to it there, and put it on from there.'
    else {
      const missed = missedTarget(found.plan, units.system)
      said.value = pass.putBeef(request, found.plan, byItself) ?? (missed === null ? '' : `The beef is on; ${missed}`)
    }
  } catch {
    said.value = 'The plan at the fire could not be worked out. Open the fire and look.'
  }
  working.value = false
}

const shown = computed(() => pass.asItStands)
const stale = computed(() => pass.service === null)
const calls = computed(() => pass.calls)
const names = computed(() => new Map(pass.dishes.map(d => [d.id, d.name])))
const serve = computed(() => dayjs(pass.ticket.serveAt))
const now = computed(() => dayjs(clock.value).diff(serve.value, 'second'))
const first = computed(() => calls.value.find(c => !c.ahead)?.at ?? 0)
const next = computed(() => pass.nextCall)
const begun = computed(() => pass.begun)
/** Near enough to cook by; before that it is a plan, and the space bar is the page's own. */
const live = computed(() => begun.value || (now.value > first.value - LIVE_S && now.value < LIVE_S))
const LIVE_S = 45 * 60
/** It should have begun by now, and nobody has. */
const lateBy = computed(() => (shown.value && !begun.value && now.value > first.value ? now.value - first.value : 0))
const soonest = computed(() => {
  const minutes = Math.ceil((dayjs(clock.value).unix() - first.value) / 300) * 5
  return dayjs.unix(minutes * 60)
})
const serveAt = computed({
  get: () => pass.ticket.serveAt,
  set: at => {
    said.value = pass.change({ serveAt: at }) ?? ''
  }
})
function later(minutes: number): void {
  serveAt.value = serve.value.add(minutes, 'minute').format(MOMENT)
}
/** Calls go to each by name. */
const typedNames = ref((pass.ticket.names ?? []).join(', '))
watch(
  () => pass.ticket.names,
  names => (typedNames.value = (names ?? []).join(', '))
)
function nameThem(): void {
  const found = namesIn(typedNames.value)
  said.value = pass.change({ names: found, cooks: Math.max(pass.ticket.cooks, found.length) }) ?? ''
  typedNames.value = found.join(', ')
}
/** A ring that fails, an oven that is lent out. */
const tools = computed(() => Object.values(toolsOf(kit.kit)).flatMap(names => names.map((name: string) => ({ value: name, label: name }))))
const dateless = computed(() => !serve.value.isValid())
const headline = computed(() => {
  const { diners } = pass.ticket
  const who = diners === 1 ? 'One at the table' : `${diners} at the table`
  if (!shown.value || pass.dishes.length === 0) return who
  return `${who}, at ${serve.value.format(timeWritten)}; the first call is at ${serve.value.add(first.value, 'second').format(timeWritten)}.`
})

/** Who eats no meat, where nothing on the ticket is made for them. */
const hungry = computed(() => {
  const { noMeat } = dinner
  const fed = pass.ticket.lines.some(l => 'recipe' in l && (MEATLESS.includes(l.recipe) || l.portions === noMeat))
  return fed ? 0 : Math.min(noMeat, pass.ticket.diners)
})
const meatless = computed(() => recipes.book.filter(r => MEATLESS.includes(r.id)))
function forThem(recipe: string): void {
  said.value = pass.add({ recipe, portions: hungry.value }) ?? ''
}
function toTheFire(id: string): void {
  if (pass.openBeef(id)) void router.push('/fire')
}
function asFile(): void {
  saveFile(
    new Blob([JSON.stringify(writeTicket(pass.ticket, recipes.book), null, 2)], { type: 'application/json' }),
    'macellaio-ticket.json'
  )
  said.value = 'Saved as a ticket file.'
}
async function asCalendar(): Promise<void> {
  const { default: ical } = await import('ical-generator')
  const calendar = ical({ name: `On the table at ${serve.value.format(timeWritten)}` })
  for (const c of calls.value) {
    const at = serve.value.add(c.at, 'second')
    const of = pass.ofWhom(c)
    const dish = of === '' ? '' : `${of}: `
    calendar.createEvent({ start: at.toDate(), end: at.add(1, 'minute').toDate(), summary: `${dish}${c.text}` })
  }
  saveFile(new Blob([calendar.toString()], { type: 'text/calendar;charset=utf-8' }), 'macellaio-ticket.ics')
  said.value = 'Saved as a calendar file.'
}
const print = (): void => window.print()
async function open(file: File): Promise<void> {
  said.value = await openFile(file, 'a ticket', json => {
    const read = readTicket(json)
    recipes.takeIn(read.recipes)
    pass.untick()
    return pass.put(read.ticket)
  })
}
</script>

<template>
  <div class="place sheet-early">
    <main>
      <div class="title">
        <h1>{{ services.name || 'The pass' }}</h1>
        <a-button class="link no-print" @click="listing = true">All services</a-button>
      </div>
      <services-drawer v-model:open="listing" />
      <p class="quiet head" role="status">{{ headline }}</p>
      <div class="set no-print">
        <moment-field v-model="serveAt" class="when" label="On the table at" />
        <a-button class="link" @click="later(5)">5 min later</a-button>
        <count-field
          label="At the table"
          unit="guests"
          :range="DINERS_LIMITS"
          :step="1"
          :model-value="pass.ticket.diners"
          @update:model-value="diners => (said = pass.change({ diners: Math.round(diners) }) ?? '')"
        />
        <count-field
          label="Cooking"
          unit="cooks"
          :range="COOKS_LIMITS"
          :step="1"
          :model-value="pass.ticket.cooks"
          @update:model-value="cooks => (said = pass.change({ cooks: Math.round(cooks) }) ?? '')"
        />
        <a-form-item v-if="pass.ticket.cooks > 1" class="names" label="By name" :html-for="`${id}-names`" :colon="false">
          <a-input :id="`${id}-names`" v-model:value="typedNames" placeholder="Ines, Per" @blur="nameThem" @press-enter="nameThem" />
        </a-form-item>
        <pick-several
          class="without"
          label="Not to be had"
          none="all is there"
          :options="tools"
          :model-value="pass.ticket.without ?? []"
          @update:model-value="without => (said = pass.change({ without }) ?? '')"
        />
      </div>
      <p v-if="hungry > 0" class="quiet no-print" role="status">
        {{ hungry === 1 ? 'One of them eats no meat' : `${hungry} of them eat no meat` }}, and nothing on the ticket is for that:
        <template v-for="(r, i) in meatless" :key="r.id"
          ><template v-if="i > 0">, or </template
          ><a-button class="link" @click="forThem(r.id)">{{ r.name.split(',')[0] }}</a-button></template
        >.
      </p>
      <p v-if="lateBy > 0 && !dateless" class="trouble" role="alert">
        It should have begun {{ shownText(showDuration(lateBy)) }} ago.
        <a-button class="link" @click="serveAt = soonest.format(MOMENT)"
          >Serve at {{ soonest.format(soonest.isSame(serve, 'day') ? timeWritten : `ddd ${timeWritten}`) }}</a-button
        >
      </p>

      <p v-if="services.refused" class="trouble" role="alert">
        The server did not take a change of this service: {{ services.refused }} Here it stands all the same; other devices do not have it.
        <a-button class="link" @click="services.refused = null">I have seen it</a-button>
      </p>
      <p v-if="pass.failed" class="trouble" role="alert">This could not be laid out. Change something and it tries again.</p>
      <service-drawing
        v-if="shown && shown.placed.length > 0"
        class="board"
        :class="{ later: live }"
        :service="shown"
        :serve-at="pass.ticket.serveAt"
        :now="now"
        :stale="stale"
        :order="pass.dishes.map(d => d.id)"
      />
      <nothing-here v-else-if="pass.ticket.lines.length === 0">
        Nothing is on the ticket. Put a side on it below, or the beef as it is planned at the fire.
      </nothing-here>
      <conflict-lines v-if="shown && !stale" :conflicts="shown.conflicts" />

      <div class="ticket later">
        <h2>On the ticket</h2>
        <ticket-list
          :ticket="pass.ticket"
          :dishes="pass.dishes"
          :full="pass.full"
          @add="recipe => (said = pass.add({ recipe }) ?? '')"
          @open="toTheFire"
          @remove="remove"
          @portions="(of, many) => (said = pass.portion(of, many) ?? '')"
        />
        <p class="more no-print">
          <a-button v-if="pass.atTheFire === null" class="link" :disabled="working || pass.full" @click="takeFromFire()">
            {{ working ? 'Working the beef out…' : 'Put on the beef as it stands at the fire' }}
          </a-button>
          <router-link to="/fire/methods">{{ pass.atTheFire ? 'The beef by another way' : 'or by another way' }}</router-link>
          <router-link to="/pass/recipes">The recipe book</router-link>
          <a-button v-if="pass.undoable" class="link" @click="pass.undo">Undo the last change</a-button>
        </p>
        <a-collapse class="no-print own" ghost>
          <a-collapse-panel key="own" header="Something of your own">
            <own-dish v-if="!pass.full" @add="dish => (said = pass.add({ dish }) ?? '')" />
          </a-collapse-panel>
        </a-collapse>
        <p class="quiet" role="status">{{ said }}</p>
      </div>
    </main>

    <on-slate>
      <aside class="slate" aria-label="Calls">
        <div class="top">
          <h2>
            Calls<span class="only-print">: on the table at {{ serve.format(timeWritten) }}, for {{ pass.ticket.diners }}</span>
          </h2>
          <span class="quiet" role="status">{{ stale && pass.dishes.length > 0 ? 'laying it out…' : '' }}</span>
        </div>
        <next-call
          v-if="next && live && !stale"
          :call="next"
          :dish="pass.ofWhom(next)"
          :serve-at="pass.ticket.serveAt"
          :now="now"
          :begun="begun"
          @done="pass.tick"
        />
        <call-list
          :calls="calls"
          :names="names"
          :serve-at="pass.ticket.serveAt"
          :done="pass.done"
          :now="now"
          :whose="by => whose(pass.ticket, by)"
          :stale="stale"
          :at-the-stove="pass.atTheStove"
          @tick="pass.tick"
        />
        <div class="acts no-print">
          <a-button v-if="begun" @click="pass.untick">Tick nothing</a-button>
          <a-button :disabled="stale || calls.length === 0" @click="print">Print</a-button>
          <a-button :disabled="stale || calls.length === 0" @click="asCalendar">Calendar</a-button>
          <a-button @click="asFile">Ticket file</a-button>
        </div>
        <file-field class="no-print" label="Open a ticket file" @file="open" />
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}
.head {
  margin-top: 2px;
}
.set {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 16px;
  margin: 12px 0 14px;
}
.set > * {
  max-width: 150px;
}
.set .when {
  max-width: none;
}
.set .without {
  max-width: 260px;
}
.link.ant-btn {
  min-height: 32px;
}
.trouble {
  color: var(--oxblood);
  margin: 0 0 10px;
}
.board {
  margin-top: 4px;
}
.ticket {
  margin-top: 18px;
  max-width: 760px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  margin-top: 8px;
}
.more a {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.own :deep(.ant-collapse-header) {
  padding-inline: 0;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 16px 0 12px;
}
.acts .ant-btn {
  height: 40px;
}
</style>
