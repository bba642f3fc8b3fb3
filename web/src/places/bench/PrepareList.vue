<script setup lang="ts">
/** Getting it ready: the schools with what each is worth, and a checklist dated back from the moment it goes in. */
import { MOMENT, timeWritten } from '../../ui/moments'
import MomentField from '../../ui/MomentField.vue'
import { Button as AButton, Checkbox as ACheckbox, Skeleton as ASkeleton, Table as ATable } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, onMounted, onUnmounted } from 'vue'
import { SURFACES, type SurfaceState } from '#core/meat/piece'
import { MARINADES, OILINGS, OUT_MINUTES, PEPPERINGS, SALTINGS, type Consequence, type From, type Salting } from '#core/plan/preparation'
import { showClock, showLength, showTemperature, shownText } from '#core/quantity/format'
import { afterwards } from '#core/words/preparation'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { usePass } from '../../stores/pass'
import { usePreparation } from '../../stores/preparation'
import { useUnits } from '../../stores/units'

const store = usePreparation()
const units = useUnits()
const pass = usePass()
onMounted(() => {
  store.watched = true
  pass.watched = true
})
onUnmounted(() => {
  store.watched = false
  pass.watched = false
})

const choices = <T extends string>(of: readonly T[]): { value: T; label: string }[] => of.map(value => ({ value, label: value }))
const surfaces = (Object.keys(SURFACES) as SurfaceState[]).map(value => ({
  value,
  label: SURFACES[value].label.toLowerCase(),
  hint: SURFACES[value].means
}))

interface Row {
  readonly value: string
  readonly name: string
  readonly browning: string
  readonly heat: string
  readonly grey: string
  readonly start: string
  readonly on: boolean
  readonly take: () => void
}
const row = (value: string, name: string, c: Consequence, on: boolean, take: () => void): Row => ({
  value,
  name,
  browning: c.browningS === null ? 'not in one turn' : `${Math.round(c.browningS)}\u00a0s`,
  heat: c.heatS === null ? '–' : showClock(c.heatS),
  grey: c.greyMm === null ? '–' : shownText(showLength(c.greyMm, units.system, true)),
  start: shownText(showTemperature(c.startC, units.system)),
  on,
  take
})
const tables = computed(() => {
  const found = store.current
  if (!found) return null
  const p = store.preparation
  return [
    {
      title: 'Drying',
      rows: surfaces.map(s =>
        row(s.value, s.label, found.surfaces[s.value], p.surface === s.value, () => store.change({ surface: s.value }))
      )
    },
    {
      title: 'Out of the fridge',
      rows: found.out.map(o =>
        row(String(o.minutes), o.minutes === 0 ? 'straight in' : `${o.minutes} min`, o, p.outMin === o.minutes, () =>
          store.change({ outMin: o.minutes })
        )
      )
    }
  ]
})
const columnsOf = (title: string) => [
  { title, key: 'name', dataIndex: 'name', width: '30%' },
  { title: 'begins to brown', dataIndex: 'browning' },
  { title: 'on the heat', dataIndex: 'heat' },
  { title: 'grey edge', dataIndex: 'grey' },
  { title: 'starts at', dataIndex: 'start' }
]
const FROM: readonly { readonly value: From; readonly label: string }[] = [
  { value: 'fridge', label: 'in the fridge' },
  { value: 'freezer', label: 'in the freezer' },
  { value: 'butcher', label: 'at the butcher’s' }
]
const SALT_WHY: Record<Salting, string> = {
  'right before': 'So late, it draws no water.',
  '40 min before': 'Long enough to be drawn back in; pat off what is left.',
  'the day before': 'Goes right in, and the outside dries meanwhile.',
  after: 'Nothing is drawn; only the cut faces taste of it.'
}
const when = (before: number): string => {
  const at = dayjs(goesInAt.value - before * 1000)
  return at.isSame(dayjs(goesInAt.value), 'day') ? at.format(timeWritten) : at.format(`ddd ${timeWritten}`)
}
/** On the ticket it goes in when that says so. */
const goesInAt = computed(() => pass.goesInAt ?? store.goesIn)
const goesIn = computed(() => dayjs(goesInAt.value).format(MOMENT))
const byTheTicket = computed(() => {
  const served = dayjs(pass.servedAt).format(timeWritten)
  if (pass.goesInAt === null) return `The ticket for ${served} is being laid out…`
  return `It goes in ${dayjs(pass.goesInAt).format(`dddd D MMMM, ${timeWritten}`)}: by the ticket, to be on the table at ${served}.`
})
function setGoesIn(text: string): void {
  const at = dayjs(text)
  if (at.isValid()) store.goesIn = at.valueOf()
}
</script>

<template>
  <div class="prepare">
    <section>
      <h2>What each is worth</h2>
      <p v-if="store.comparable" class="quiet">Worked out for this piece, in the pan of your plan.</p>
      <p v-else class="quiet">
        Drying is compared for what is cooked in a pan. Of a joint, what counts is the list, and how cold it goes in.
      </p>
      <div v-if="store.comparable" class="tables" :class="{ stale: !tables }" :aria-busy="!tables">
        <template v-if="!tables">
          <p class="quiet">Cooking it seven ways…</p>
          <a-skeleton active :title="false" :paragraph="{ rows: 7 }" />
        </template>
        <a-table
          v-for="t in tables ?? []"
          :key="t.title"
          class="worth"
          size="small"
          row-key="value"
          :columns="columnsOf(t.title)"
          :data-source="t.rows"
          :pagination="false"
          :row-class-name="(r: Row) => (r.on ? 'on' : '')"
        >
          <template #bodyCell="{ column, record }">
            <a-button v-if="column.key === 'name'" class="link" :aria-pressed="record.on" @click="record.take()">{{
              record.name
            }}</a-button>
          </template>
        </a-table>
      </div>
      <div class="choices">
        <choice-row
          label="It is now"
          :options="FROM"
          :model-value="store.preparation.from"
          @update:model-value="v => store.change({ from: v })"
        />
        <choice-row
          label="Drying"
          :options="surfaces"
          :model-value="store.preparation.surface"
          @update:model-value="v => store.change({ surface: v })"
        />
        <choice-row
          label="Out of the fridge"
          :options="OUT_MINUTES.map(m => ({ value: String(m), label: m === 0 ? 'straight in' : `${m} min` }))"
          :model-value="String(store.preparation.outMin)"
          @update:model-value="v => store.change({ outMin: Number(v) })"
        />
        <quantity-field
          label="The fridge is at"
          dimension="temperature"
          :range="[0, 12]"
          :model-value="store.preparation.fridgeC"
          @update:model-value="v => store.change({ fridgeC: v })"
        />
        <div>
          <choice-row
            label="Salt"
            :options="choices(SALTINGS)"
            :model-value="store.preparation.salt"
            @update:model-value="v => store.change({ salt: v })"
          />
          <p class="quiet small">{{ SALT_WHY[store.preparation.salt] }}</p>
        </div>
        <choice-row
          label="Marinade"
          :options="choices(MARINADES)"
          :model-value="store.preparation.marinade"
          @update:model-value="v => store.change({ marinade: v })"
        />
        <choice-row
          label="Oil"
          :options="choices(OILINGS)"
          :model-value="store.preparation.oil"
          @update:model-value="v => store.change({ oil: v })"
        />
        <choice-row
          label="Pepper"
          :options="choices(PEPPERINGS)"
          :model-value="store.preparation.pepper"
          @update:model-value="v => store.change({ pepper: v })"
        />
        <a-checkbox class="check" :checked="store.preparation.knife" @update:checked="(knife: boolean) => store.change({ knife })">
          Trim, snip and score
        </a-checkbox>
        <a-checkbox class="check" :checked="store.preparation.tie" @update:checked="(tie: boolean) => store.change({ tie })">
          Tie it
        </a-checkbox>
      </div>
    </section>

    <section>
      <h2>The list</h2>
      <p v-if="pass.atTheFire" class="goes">{{ byTheTicket }}</p>
      <moment-field v-else class="goes" label="It goes in" :model-value="goesIn" @update:model-value="setGoesIn" />
      <ol>
        <li v-for="t in store.tasks" :key="t.id" :class="{ done: store.ticked.includes(t.id) }">
          <a-checkbox class="task" :checked="store.ticked.includes(t.id)" @update:checked="store.tick(t.id)">
            <time>{{ when(t.before) }}</time>
            <span
              ><strong>{{ units.say(t.text) }}</strong
              ><br /><span class="quiet">{{ units.say(t.because) }}</span></span
            >
          </a-checkbox>
        </li>
        <li class="in">
          <p>
            <time>{{ when(0) }}</time> <strong>It goes in</strong>
          </p>
        </li>
        <li v-for="a in afterwards(store.preparation)" :key="a">
          <p>
            <time>after</time> <strong>{{ a }}</strong>
          </p>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.prepare {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 10px 34px;
}
.tables {
  min-height: 270px;
}
.worth {
  margin: 8px 0 12px;
}
.worth :deep(tr.on td) {
  background: var(--tile);
  font-weight: 600;
}
.choices {
  margin-top: 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: start;
}
.choices :deep(.typed) {
  width: 130px;
}
.small {
  font-size: 13px;
}
.check {
  padding-top: 26px;
}
.goes {
  margin: 6px 0 10px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--rule);
}
.task {
  display: flex;
  padding: 8px 0;
}
.task :deep(.ant-checkbox) {
  align-self: flex-start;
  top: 3px;
}
.task :deep(.ant-checkbox + span),
li p {
  flex: 1;
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 6px;
  line-height: 1.4;
}
li p {
  padding: 8px 8px 8px 24px;
}
time {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
li .quiet {
  font-size: 13.5px;
}
.done * {
  color: var(--waiting);
}
.done strong {
  text-decoration: line-through;
}
.in {
  color: var(--oxblood);
}
@media (max-width: 1000px) {
  .prepare {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
