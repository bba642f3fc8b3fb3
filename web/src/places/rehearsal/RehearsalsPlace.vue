<script setup lang="ts">
/** Where one practises: what there is to practise on, how well it has gone so far, and what was played last. */
import dayjs from 'dayjs'
import { Alert as AAlert, Button as AButton, Table as ATable, Tag as ATag } from 'ant-design-vue'
import { computed, onMounted, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { EXERCISES } from '#core/rehearsal/exercises'
import type { RehearsalSummary } from '#core/rehearsal/record'
import { api } from '../../api/client'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { useDraft } from '../../stores/draft'
import { useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import NothingHere from '../../ui/NothingHere.vue'
import { momentWritten } from '../../ui/moments'
import { ownPlan, useBegin } from './useBegin'

const cook = useCook()
const clock = useClock()
const draft = useDraft()
const stove = useStove()
const units = useUnits()
const router = useRouter()
const { beginning, trouble, begin } = useBegin()

const LEVELS = [
  { level: 1, name: 'To begin with' },
  { level: 2, name: 'With a catch' },
  { level: 3, name: 'For a busy evening' }
] as const
const best = ref<Readonly<Record<string, number>>>({})
const played = ref<readonly RehearsalSummary[] | null>(null)
const unheard = ref('')
onMounted(async () => {
  try {
    const there = await api.rehearsals()
    best.value = there.best
    played.value = there.rehearsals.filter(r => r.cooks.length > 0)
  } catch (error) {
    unheard.value = error instanceof Error ? error.message : String(error)
  }
})
/** ms: longer ago than that nobody is still at it. */
const GOES_ON_MS = 3 * 3600_000
const goingOn = computed(() =>
  (played.value ?? []).filter(r => r.points === null && Date.now() - r.createdAt < GOES_ON_MS && r.id !== clock.rehearsing?.id)
)
async function join({ id, exercise }: RehearsalSummary): Promise<void> {
  try {
    const there = await api.rehearsal(id)
    const { cooks, thrownAway } = await api.cooksFor(id)
    const told = EXERCISES.find(e => e.id === exercise)
    const { calls, probe, guestsLateS = 0 } = told ?? { calls: true, probe: true }
    clock.enter({ id, name: told?.name ?? 'Your own plan', calls, probe, guestsLateS }, there.clock.at, there.clock.speed)
    cook.hear(id, cooks, thrownAway)
    await router.push('/stove')
  } catch (error) {
    unheard.value = error instanceof Error ? error.message : String(error)
  }
}
const nameOf = ({ exercise, cooks }: RehearsalSummary): string =>
  EXERCISES.find(e => e.id === exercise)?.name ?? cooks.at(0)?.title ?? 'A rehearsal'
const ofMine = computed(() => {
  const { piece, method } = draft.request
  return `${pieceName(piece, cutById(piece.cutId) ?? draft.cut)}, ${method.kind}`
})
const COLUMNS = [
  { key: 'what', title: 'Played' },
  { key: 'when', title: 'When' },
  { key: 'points', title: 'Came to', align: 'right' as const }
]
</script>

<template>
  <main class="rehearse">
    <h1>Rehearse</h1>
    <p class="lead">
      The same stove, a clock that can run sixty times as fast, and a piece that costs nothing. It is not quite what it is said to be, as no
      piece ever is; what it was is seen when you cut it.
    </p>
    <a-alert v-if="cook.inEarnest" type="warning" show-icon message="Meat is cooking on this stove. Rehearse when it is done." />
    <a-alert
      v-else-if="stove.inEarnest"
      type="warning"
      show-icon
      message="Dishes of the pass are being called. In a rehearsal they are not."
    />
    <a-alert v-if="clock.rehearsing" type="info" show-icon :message="`“${clock.rehearsing.name}” is going on.`">
      <template #action><a-button @click="router.push('/stove')">Back to it</a-button></template>
    </a-alert>
    <a-alert
      v-for="r in goingOn"
      :key="r.id"
      type="info"
      show-icon
      :message="`“${nameOf(r)}” was begun ${dayjs(r.createdAt).format('HH:mm')} and is not cut yet.`"
    >
      <template #action
        ><a-button :disabled="cook.inEarnest" :aria-label="`Join in: ${nameOf(r)}`" @click="join(r)">Join in</a-button></template
      >
    </a-alert>
    <a-alert v-if="trouble" type="error" show-icon :message="trouble" role="alert" />
    <section class="own">
      <h2>Your own plan</h2>
      <p>{{ ofMine }}: as it stands at the <router-link to="/fire">fire</router-link>, in a kitchen as far off as kitchens are.</p>
      <p>
        <a-button :loading="beginning === ''" :disabled="cook.inEarnest" @click="begin(ownPlan(draft.request, 'Your own plan'))">
          Rehearse it
        </a-button>
      </p>
    </section>
    <section>
      <h2>Small drills</h2>
      <p class="drills">
        <router-link to="/rehearse/drills">Seven of a minute each</router-link>: muscles, grain, doneness by eye and by finger, the climb.
      </p>
    </section>
    <section v-for="l in LEVELS" :key="l.level">
      <h2>{{ l.name }}</h2>
      <ul class="cards">
        <li v-for="e in EXERCISES.filter(x => x.level === l.level)" :key="e.id" class="card">
          <h3>{{ e.name }}</h3>
          <p>{{ units.say(e.tells) }}</p>
          <p class="how">
            <a-tag v-if="!e.calls">by signs alone</a-tag>
            <a-tag v-if="!e.probe">no thermometer</a-tag>
            <span v-if="best[e.id] !== undefined" class="best">best so far {{ best[e.id] }} of 100</span>
          </p>
          <a-button
            :type="best[e.id] === undefined ? 'primary' : 'default'"
            :loading="beginning === e.id"
            :disabled="cook.inEarnest"
            :aria-label="`Begin: ${e.name}`"
            @click="begin(e)"
            >Begin</a-button
          >
        </li>
      </ul>
    </section>
    <section>
      <h2>Played last</h2>
      <p v-if="unheard" role="alert" class="trouble">{{ unheard }} What was played is not to be had now.</p>
      <nothing-here v-else-if="played && played.length === 0">Nothing yet. Begin with the first.</nothing-here>
      <a-table
        v-else-if="played"
        row-key="id"
        size="small"
        :columns="COLUMNS"
        :data-source="[...played]"
        :pagination="{ pageSize: 10, hideOnSinglePage: true, showSizeChanger: false }"
      >
        <template #bodyCell="{ column, record: r }">
          <router-link v-if="column.key === 'what'" :to="`/rehearse/${r.id}`">{{ nameOf(r as RehearsalSummary) }}</router-link>
          <template v-else-if="column.key === 'when'">{{ dayjs(r.createdAt).format(momentWritten) }}</template>
          <template v-else>{{ r.points === null ? 'not cut' : `${r.points} of 100` }}</template>
        </template>
      </a-table>
    </section>
  </main>
</template>

<style scoped>
.rehearse {
  padding: 18px 28px 60px;
  max-width: 1240px;
}
h1 {
  margin-bottom: 6px;
}
.lead {
  max-width: 68ch;
  font-size: 17px;
  line-height: 1.5;
}
.rehearse :deep(.ant-alert) {
  margin: 10px 0;
  max-width: 760px;
}
section {
  margin-top: 22px;
}
h2 {
  font-size: 22px;
  margin-bottom: 8px;
}
.own p {
  margin: 0 0 8px;
}
.own a,
.drills a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 14px;
}
.card {
  border: 1px solid var(--rule);
  border-top: 3px solid var(--oxblood);
  padding: 12px 16px 14px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  background: var(--marble);
}
.card h3 {
  font-size: 18px;
  margin: 0 0 4px;
}
.card p {
  margin: 0 0 8px;
  line-height: 1.45;
}
.how {
  margin-top: auto !important;
}
.best {
  color: var(--ink-2);
  font-size: 14.5px;
}
.trouble {
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
}
@media (max-width: 760px) {
  .rehearse {
    padding: 14px 16px 40px;
  }
  .card :deep(.ant-btn),
  .own :deep(.ant-btn) {
    min-height: 44px;
  }
}
</style>
