<script setup lang="ts">
/** Small drills, a minute each, that come again after days: as many as the better it goes. */
import dayjs from 'dayjs'
import { Button as AButton, Progress as AProgress, Skeleton as ASkeleton } from 'ant-design-vue'
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { DRILLS, draw, questionOf, type DrillKind, type Question } from '#core/rehearsal/drills'
import type { PlanAnswer } from '#core/usecase/plan'
import { A_MINUTE } from '#core/rehearsal/schema'
import { useDrills } from '../../stores/drills'
import { useUnits } from '../../stores/units'
import { startEngine, type EngineWorker } from '../../workers/engine'
import DrillDrawing from './DrillDrawing.vue'

const drills = useDrills()
onMounted(() => void drills.load())
const units = useUnits()

const NAMES: Record<DrillKind, { readonly name: string; readonly says: string }> = {
  muscle: { name: 'Name the muscle', says: 'on the side of beef' },
  grain: { name: 'Grain and knife', says: 'how the fibres run, and how the knife goes' },
  doneness: { name: 'How far is it?', says: 'by the look of the cut face' },
  centre: { name: 'Where is it cooked least?', says: 'where the tip of a probe belongs' },
  climb: { name: 'How far will it climb?', says: 'after it is off the heat' },
  first: { name: 'Ready first', says: 'two pieces laid in at the same moment' },
  finger: { name: 'By the finger', says: 'press it, and say how far it is' }
}
const again = (kind: DrillKind): string => {
  const due = drills.dueAt(kind)
  if (due === null) return 'not tried yet'
  if (drills.isDue(kind)) return 'due today'
  const days = Math.max(1, dayjs(due).startOf('day').diff(dayjs().startOf('day'), 'day'))
  return days === 1 ? 'again tomorrow' : `again in ${days} days`
}

const kind = ref<DrillKind | null>(null)
const question = shallowRef<Question | null>(null)
const chosen = ref<number | null>(null)
const asked = ref(0)
const right = ref(0)
const trouble = ref('')
const over = computed(() => asked.value > A_MINUTE)
let engine: EngineWorker | null = null
onScopeDispose(() => engine?.terminate())

/** Drawn until it has a clear answer. */
const MOST_TRIES = 12
async function fresh(of: DrillKind): Promise<Question> {
  for (let i = 0; i < MOST_TRIES; i++) {
    const drawn = draw(of, Math.floor(Math.random() * 1e6))
    const plans = []
    for (const request of drawn.requests) {
      engine ??= startEngine()
      const answer = (await engine.remote.plan(request)) as PlanAnswer
      if ('plan' in answer) plans.push(answer.plan)
    }
    const found = plans.length === drawn.requests.length ? questionOf(drawn, plans, units.system) : null
    if (found) return found
  }
  throw new Error('No question could be made up just now.')
}
async function next(): Promise<void> {
  const of = kind.value
  if (of === null) return
  question.value = null
  chosen.value = null
  asked.value += 1
  if (over.value) {
    drills.done(of, right.value)
    return
  }
  try {
    question.value = await fresh(of)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
function begin(of: DrillKind): void {
  kind.value = of
  asked.value = right.value = 0
  trouble.value = ''
  void next()
}
function answer(i: number): void {
  if (chosen.value !== null || question.value === null) return
  chosen.value = i
  if (i === question.value.right) right.value += 1
}
</script>

<template>
  <main class="drills">
    <router-link to="/rehearse" class="back">Rehearse</router-link>
    <h1>Small drills</h1>
    <section v-if="kind" class="one" :aria-label="NAMES[kind].name">
      <h2>{{ NAMES[kind].name }}</h2>
      <a-progress
        :percent="(100 * Math.min(asked, A_MINUTE)) / A_MINUTE"
        :show-info="false"
        :aria-label="`Question ${asked} of ${A_MINUTE}`"
      />
      <p v-if="trouble" role="alert">{{ trouble }} <a-button @click="begin(kind)">Try again</a-button></p>
      <template v-else-if="over">
        <p class="asks" role="status">
          <b class="figure">{{ right }}</b> of {{ A_MINUTE }}. {{ again(kind) }}.
        </p>
        <p class="ways">
          <a-button type="primary" @click="kind = null">To the other drills</a-button>
          <a-button @click="begin(kind)">Once more</a-button>
        </p>
      </template>
      <a-skeleton
        v-else-if="question === null"
        active
        :title="false"
        :paragraph="{ rows: 4 }"
        role="status"
        aria-label="A question is being made up"
      />
      <template v-else>
        <drill-drawing v-if="question.shows" :key="asked" :shows="question.shows" />
        <p class="asks">{{ question.asks }}</p>
        <ul class="options">
          <li v-for="(o, i) in question.options" :key="o">
            <a-button
              block
              :class="{ right: chosen !== null && i === question.right, wrong: chosen === i && i !== question.right }"
              :disabled="chosen !== null && i !== chosen && i !== question.right"
              @click="answer(i)"
              >{{ o }}</a-button
            >
          </li>
        </ul>
        <p v-if="chosen !== null" class="why" role="status">{{ chosen === question.right ? 'Right.' : 'No.' }} {{ question.why }}</p>
        <p v-if="chosen !== null" class="ways"><a-button type="primary" @click="next">Go on</a-button></p>
      </template>
    </section>
    <template v-else>
      <p class="lead">Five questions, a minute. What goes well comes again after days, what does not, tomorrow.</p>
      <ul class="list">
        <li v-for="k in DRILLS" :key="k">
          <span class="what"
            ><b>{{ NAMES[k].name }}</b> {{ NAMES[k].says }}</span
          >
          <span class="when" :class="{ due: drills.isDue(k) }">{{ again(k) }}</span>
          <a-button :type="drills.isDue(k) ? 'primary' : 'default'" :aria-label="`Begin: ${NAMES[k].name}`" @click="begin(k)"
            >Begin</a-button
          >
        </li>
      </ul>
      <p><router-link to="/rehearse/finger">What a finger can tell</router-link>, and how far the schools that teach it disagree.</p>
    </template>
  </main>
</template>

<style scoped>
.drills {
  padding: 18px 28px 60px;
  max-width: 820px;
}
.drills a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
h1 {
  margin: 6px 0;
}
.lead {
  font-size: 17px;
  margin: 4px 0 14px;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0 0 18px;
}
.list li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px auto;
  gap: 14px;
  align-items: center;
  border-top: 1px solid var(--rule);
  padding: 10px 0;
}
.what b {
  margin-right: 6px;
}
.when {
  color: var(--ink-2);
}
.asks {
  font-family: var(--serif);
  font-size: 21px;
  margin: 14px 0 10px;
}
.asks b {
  font-size: 30px;
}
.options {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  max-width: 560px;
}
.options :deep(.ant-btn) {
  text-align: start;
  height: auto;
  min-height: 44px;
  white-space: normal;
}
.options :deep(.right) {
  border: 2px solid #2f6b46;
  font-weight: 600;
  color: #1f4f32;
}
.options :deep(.wrong) {
  border: 2px solid var(--oxblood);
}
.options :deep(.wrong span) {
  text-decoration: line-through;
}
.why {
  margin: 12px 0;
  font-size: 17px;
  line-height: 1.45;
}
.ways {
  display: flex;
  gap: 10px;
}
@media (max-width: 760px) {
  .drills {
    padding: 14px 16px 40px;
  }
  .list li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .list .what {
    grid-column: 1 / -1;
  }
  .drills :deep(.ant-btn) {
    min-height: 44px;
  }
}
</style>
