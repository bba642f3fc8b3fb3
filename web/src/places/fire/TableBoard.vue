<script setup lang="ts">
/** Several donenesses at one table: a piece each, laid in one after the other so that all are carved at once; or one piece, cut, and a part of it put back to the heat. */
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { bandOf, scaleOf } from '#core/doneness/scale'
import { showClock, showDuration, showTemperature, shownText } from '#core/quantity/format'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import type { PlanResult } from '../../stores/plan'
import { useTable, type Mode } from '../../stores/table'
import { useUnits } from '../../stores/units'

defineProps<{ of: PlanResult | null }>()
const draft = useDraft()
const guests = useGuests()
const table = useTable()
const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const MODES: readonly { value: Mode; label: string }[] = [
  { value: 'one', label: 'one piece, cut in two' },
  { value: 'each', label: 'a piece each' }
]
const mode = computed({ get: () => table.mode, set: chosen => (table.mode = chosen) })
const shown = computed(() => table.shown)

const who = (targetC: number): string => {
  const names = guests.guests.flatMap((g, i) => (g.targetC === targetC ? [g.name.trim() || `guest ${i + 1}`] : []))
  const word = bandOf(scaleOf(draft.request.target), targetC).word
  return `${names.length > 0 ? `${names.join(', ')}: ` : ''}${word}, ${degrees(targetC)}`
}
const WHERE = { oven: 'in the oven', pan: 'in the hot pan, both faces', coals: 'over the coals' } as const
</script>

<template>
  <section class="guests" :aria-busy="table.several && !shown">
    <h2>At the table</h2>
    <p v-if="!table.several" class="quiet">
      Everyone gets it alike. <router-link to="/fire/doneness">Seat guests who want it otherwise</router-link>
    </p>
    <template v-else>
      <choice-row v-model="mode" label="From" :options="MODES" />
      <p v-if="table.failed" class="quiet" role="alert">That could not be worked out. Change something and it tries again.</p>
      <p v-else-if="!shown" class="quiet">{{ of ? 'Working out each guest’s…' : '' }}</p>
      <template v-else>
        <p v-for="r in shown.refused" :key="r" class="refused">{{ units.say(r) }}</p>
        <ol v-if="mode === 'each'">
          <li v-for="{ slot: s } in shown.shares" :key="s.targetC">
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
