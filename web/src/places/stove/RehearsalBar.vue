<script setup lang="ts">
/** Over the stove while something is rehearsed: what it is, how fast its clock goes, and the way out. */
import { Button as AButton, Segmented as ASegmented, Select as ASelect } from 'ant-design-vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { showDuration, shownText } from '#core/quantity/format'
import { SPEEDS } from '#core/rehearsal/clock'
import { progressOf } from '#core/session/progress'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { useRehearsal } from '../../stores/rehearsal'
import { nameOf, useStove } from '../../stores/stove'

const clock = useClock()
const cook = useCook()
const rehearsal = useRehearsal()
const stove = useStove()
const router = useRouter()

const options = computed(() =>
  SPEEDS.filter(s => s <= rehearsal.fastest).map(s => ({
    value: s,
    label: s === 0 ? 'Hold' : `${s}×`,
    title: s === 0 ? 'Hold the clock' : `${s} times as fast`
  }))
)
const slower = computed(() => (clock.speed < rehearsal.wish && cook.underWay ? `now ${clock.speed}×, while something is near` : ''))
/** Two who rehearse together each hear their own. */
const ALL = 'all'
const called = computed(() => [
  { value: ALL, label: 'Calls all of it' },
  ...cook.cooks.map(c => ({ value: c.id, label: `Calls ${nameOf(c).toLowerCase()}` }))
])
/** The table is later than it was to be, once something rests for it. */
const late = computed(() => {
  const seconds = clock.rehearsing?.guestsLateS ?? 0
  const progresses = cook.cooks.map(c => progressOf(c.events))
  const waits = progresses.some(p => p.state === 'resting') && progresses.every(p => p.later.rest + p.later.held === 0)
  return seconds > 0 && waits ? `The guests are ${shownText(showDuration(seconds))} late.` : ''
})
function leave(): void {
  rehearsal.leave()
  void router.push('/rehearse')
}
</script>

<template>
  <section v-if="clock.rehearsing" class="bar" aria-label="Rehearsal">
    <p class="name">
      <b>Rehearsal</b> {{ clock.rehearsing.name }}
      <span v-if="stove.inEarnest" class="earnest" role="alert">The kitchen is cooking: it is not called here.</span>
      <span v-else-if="rehearsal.trouble" class="earnest" role="alert">{{ rehearsal.trouble }} What was going on goes on.</span>
      <span v-else-if="late" class="earnest" role="alert">{{ late }} Say so below, and choose.</span>
      <span v-else class="slower" role="status">{{ slower }}</span>
    </p>
    <a-select
      v-if="cook.cooks.length > 1"
      class="whose"
      :value="clock.rehearsing.mine?.[0] ?? ALL"
      :options="called"
      aria-label="What is called at this device"
      @change="(id: unknown) => clock.take(id === ALL ? null : [String(id)])"
    />
    <a-segmented
      :value="rehearsal.wish"
      :options="options"
      aria-label="How fast its clock goes"
      @change="(s: unknown) => rehearsal.wishFor(Number(s))"
    />
    <a-button class="leave" @click="leave">{{ stove.inEarnest ? 'To the kitchen' : 'Leave it' }}</a-button>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 8px 40px;
  background: #23303a;
  border-bottom: 1px solid #33434f;
  color: var(--chalk);
}
.name {
  margin: 0;
  font-size: 16px;
  flex: 1 1 320px;
}
b {
  color: #9fd0e8;
  font-weight: 600;
  margin-right: 6px;
}
.slower {
  color: #b9c4ca;
  margin-left: 10px;
}
.earnest {
  color: var(--hot);
  margin-left: 10px;
}
.whose {
  min-width: 170px;
}
@media (max-width: 900px) {
  .bar {
    padding: 8px 16px;
  }
}
</style>
