<script setup lang="ts">
/** Several donenesses at one table: a piece each, laid in one after the other so that all are carved at once; or one piece, cut, and a part of it put back to the heat. */
import { computed, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { bandOf, scaleOf } from '#core/doneness/scale'
import type { Plan } from '#core/plan/plan'
import type { SecondServing } from '#core/plan/secondServing'
import { carvedAtOnce, type Slot } from '#core/plan/carvedAtOnce'
import { showClock, showDuration, showTemperature, shownText } from '#core/quantity/format'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useUnits } from '../../stores/units'
import type { PlanResult } from '../../stores/plan'
import type { PlanAnswer, Refused } from '#core/usecase/plan'
import { askEngine } from '../../workers/engine'

const props = defineProps<{ of: PlanResult | null }>()
const draft = useDraft()
const guests = useGuests()
const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))

type Mode = 'each' | 'one'
const mode = shallowRef<Mode>(draft.request.piece.count > 1 ? 'each' : 'one')
const MODES: readonly { value: Mode; label: string }[] = [
  { value: 'one', label: 'one piece, cut in two' },
  { value: 'each', label: 'a piece each' }
]

interface Back {
  readonly targetC: number
  readonly found: SecondServing | Refused
}
interface Found {
  readonly of: PlanResult
  readonly slots: readonly Slot[]
  readonly first: Plan
  readonly backs: readonly Back[]
  readonly refused: readonly string[]
}
const found = shallowRef<Found | null>(null)
const failed = shallowRef(false)
const several = computed(() => guests.targets.length > 1)
let round = 0
watch(
  [() => props.of, () => guests.targets, mode],
  () => {
    const { of } = props
    round += 1
    if (!of || !several.value) return
    const mine = round
    failed.value = false
    work(of)
      .then(result => {
        if (mine === round) found.value = result
      })
      .catch(() => (failed.value = mine === round))
  },
  { immediate: true }
)

function work(of: PlanResult): Promise<Found> {
  const { request, plan } = of
  const aimedAt = (coreC: number): PlanResult['request'] => ({ ...request, target: { ...request.target, coreC } })
  return askEngine(async engine => {
    const planFor = async (targetC: number): Promise<Plan | string> => {
      if (targetC === plan.target) return plan
      const answer = (await engine.plan(aimedAt(targetC))) as PlanAnswer
      return 'plan' in answer ? answer.plan : answer.refused
    }
    const wanted = mode.value === 'each' ? guests.targets : guests.targets.slice(0, 1)
    const plans: Plan[] = []
    const refused: string[] = []
    for (const targetC of wanted) {
      const answer = await planFor(targetC)
      if (typeof answer === 'string') refused.push(`${degrees(targetC)}: ${answer}`)
      else plans.push(answer)
    }
    if (plans.length === 0) return { of, slots: [], first: plan, backs: [], refused }
    const [first] = plans
    const backs: Back[] = []
    if (mode.value === 'one')
      for (const targetC of guests.targets.slice(1))
        backs.push({
          targetC,
          found: (await engine.second(aimedAt(first.target), first, targetC)) as Back['found']
        })
    return { of, slots: mode.value === 'each' ? carvedAtOnce(plans) : [], first, backs, refused }
  })
}
const shown = computed(() => (found.value && found.value.of === props.of && several.value ? found.value : null))

const who = (targetC: number): string => {
  const names = guests.guests.flatMap((g, i) => (g.targetC === targetC ? [g.name.trim() || `guest ${i + 1}`] : []))
  const word = bandOf(scaleOf(draft.request.target), targetC).word
  return `${names.length > 0 ? `${names.join(', ')}: ` : ''}${word}, ${degrees(targetC)}`
}
const WHERE = { oven: 'in the oven', pan: 'in the hot pan, both faces', coals: 'over the coals' } as const
</script>

<template>
  <section class="guests" :aria-busy="several && !shown">
    <h2>At the table</h2>
    <p v-if="!several" class="quiet">
      Everyone gets it alike. <router-link to="/fire/doneness">Seat guests who want it otherwise</router-link>
    </p>
    <template v-else>
      <choice-row v-model="mode" label="From" :options="MODES" />
      <p v-if="failed" class="quiet" role="alert">That could not be worked out. Change something and it tries again.</p>
      <p v-else-if="!shown" class="quiet">{{ of ? 'Working out each guest’s…' : '' }}</p>
      <template v-else>
        <p v-for="r in shown.refused" :key="r" class="refused">{{ units.say(r) }}</p>
        <ol v-if="mode === 'each'">
          <li v-for="s in shown.slots" :key="s.targetC">
            <strong>{{ who(s.targetC) }}</strong> In {{ s.inAt < 5 ? 'first' : `${showClock(s.inAt)} after the first` }}, out at
            <b>{{ degrees(s.outC) }}</b>, {{ showClock(s.outAt) }} on the clock. All are carved together.
          </li>
        </ol>
        <ol v-else>
          <li>
            <strong>{{ who(shown.first.target) }}</strong> The whole piece: out at <b>{{ degrees(shown.first.pull.probe) }}</b>, rested,
            then their part cut off.
          </li>
          <li v-for="b in shown.backs" :key="b.targetC">
            <strong>{{ who(b.targetC) }}</strong>
            <template v-if="'refused' in b.found"> {{ units.say(b.found.refused) }}</template>
            <template v-else>
              What is left goes back {{ WHERE[b.found.where] }} for <b>{{ shownText(showDuration(b.found.seconds)) }}</b>, out at
              <b>{{ degrees(b.found.pullC) }}</b>; it climbs to {{ degrees(b.targetC) }}.
            </template>
          </li>
        </ol>
        <p v-if="draft.request.piece.thinEndMm" class="quiet">
          Its thin end comes out further done by itself: serve that to whoever likes it so.
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
.guests {
  margin-top: 16px;
}
.guests a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
ol {
  margin: 8px 0 0;
  padding-left: 22px;
  line-height: 1.55;
}
strong::after {
  content: '.';
}
.refused {
  color: #9a211b;
}
</style>
