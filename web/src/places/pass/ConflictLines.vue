<script setup lang="ts">
/** What does not come out, what is in its way, and what would help: said where it is seen. */
import { computed } from 'vue'
import { showDuration, shownText } from '#core/quantity/format'
import { useUnits } from '../../stores/units'
import type { Tool } from '#core/service/dish'
import { said } from '#core/service/said'
import type { Conflict } from '#core/service/placed'

const units = useUnits()
const props = defineProps<{ conflicts: readonly Conflict[] }>()
const time = (s: number): string => shownText(showDuration(s))
const TOOL: Record<Tool, string> = { ring: 'ring', oven: 'oven', grill: 'grill', bath: 'machine for a bath' }

function say(p: Conflict): string {
  switch (p.kind) {
    case 'no tool':
      return `${p.dish.name}: there is no ${TOOL[p.tool]} in the kit.`
    case 'before its pan':
      return `${p.dish.name} would have to begin ${time(p.earlyS)} before the beef is out of its pan: make it in another pan, or rest the beef longer.`
    case 'after the meat':
      return `${p.dish.name} would come onto bars that the beef has been on: cook it in a pan of its own, or let it wait longer.`
    case 'held too long': {
      const others = p.because.map(d => `“${d.name}”`)
      const way = others.length > 0 ? ` In its way: ${others.join(' or ')}.` : ''
      const hands = p.forHands ? ' With one cook more it would come out.' : ''
      const why = way + hands || ' That is too much at once for this kitchen.'
      return `${p.dish.name} would stand ${time(p.held)} after “${said(p.step.what, units.system)}”, and is good for ${time(p.step.holds[1])}.${why}`
    }
  }
}
const lines = computed(() => props.conflicts.map(say))
</script>

<template>
  <ul v-if="lines.length > 0" class="conflicts" role="alert">
    <li v-for="l in lines" :key="l">{{ l }}</li>
  </ul>
</template>

<style scoped>
.conflicts {
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
  max-width: 820px;
}
li {
  color: var(--oxblood);
  border-left: 3px solid var(--oxblood);
  padding: 3px 0 3px 10px;
  margin-bottom: 6px;
  line-height: 1.4;
}
</style>
