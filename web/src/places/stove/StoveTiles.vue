<script setup lang="ts">
/** Everything else that is on: what is next with each, and how long to go; a tap shows it large. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { progressOf } from '#core/session/progress'
import { showClock, showDuration, shownText } from '#core/quantity/format'
import { useCook } from '../../stores/cook'
import { DISH, nameOf, useStove } from '../../stores/stove'
import { LATE_S } from './StoveCall.vue'
import { useNotLit } from './useNotLit'

const cook = useCook()
const { toItsPlan } = useNotLit()
const stove = useStove()

/** From here on seconds are nobody's business. */
const HOUR_S = 3600
const STANDS: Record<string, string> = { ready: 'not lit yet', heating: 'waits', carved: 'carved' }
const tiles = computed(() => {
  const calls = new Map(stove.stream.map(c => [c.id, c]))
  const pieces = cook.cooks.map(c => ({ id: c.id, of: nameOf(c), stands: STANDS[progressOf(c.events).state] ?? '' }))
  const dish = calls.get(DISH)
  const all = dish ? [...pieces, { id: DISH, of: dish.of || 'For all of it', stands: '' }] : pieces
  return all.map(t => {
    const call = calls.get(t.id)
    const left = call?.due == null ? null : (call.due - stove.now) / 1000
    const span = left === null ? '' : Math.abs(left) < HOUR_S ? showClock(Math.abs(left)) : shownText(showDuration(Math.abs(left)))
    const when = left === null ? (call ? 'now' : '') : left < LATE_S ? `late by ${span}` : span
    return { ...t, says: call ? (SHORT[call.does] ?? call.says) : t.stands, when, late: left !== null && left < LATE_S }
  })
})
/** The piece is named above. */
const SHORT: Record<string, string> = {
  laid: 'In',
  turned: 'Turn',
  edged: 'On its edge',
  returned: 'Back to the heat',
  pulled: 'Off the heat',
  halved: 'Carve half',
  carved: 'Carve'
}
const shown = computed(() => stove.first?.id ?? cook.cook?.id)
</script>

<template>
  <nav v-if="tiles.length + stove.notLit.length > 1" class="tiles" aria-label="All that is on">
    <a-button
      v-for="t in tiles"
      :key="t.id"
      class="card tile"
      :class="{ late: t.late }"
      :aria-current="t.id === shown ? 'true' : undefined"
      @click="stove.look(t.id)"
    >
      <span class="of">{{ t.of }}</span>
      <span class="says"
        >{{ t.says }} <b class="figure">{{ t.when }}</b></span
      >
    </a-button>
    <a-button v-for="p in stove.notLit" :key="p.id" class="card tile" @click="toItsPlan(p)">
      <span class="of">{{ p.dish.name }}</span>
      <span class="says not-lit">not lit yet: to its plan</span>
    </a-button>
  </nav>
</template>

<style scoped>
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 8px;
  margin-bottom: 14px;
}
.tile.ant-btn {
  min-height: 64px;
  min-width: 0;
  padding: 7px 12px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 2px;
  background: #1a1f21;
  border: 1px solid #30383c;
  border-radius: 4px;
  color: var(--chalk);
  text-align: start;
  white-space: normal;
}
.tile[aria-current] {
  border-color: var(--hot);
  border-left-width: 5px;
}
.of {
  font-size: 15px;
  color: #b5bab6;
  overflow-wrap: anywhere;
}
.says {
  font-size: 19px;
  font-weight: 600;
}
b {
  font-weight: 600;
  color: var(--hot);
  white-space: nowrap;
}
.not-lit {
  color: #b5bab6;
}
.late .says {
  color: var(--hot);
}
@media (max-width: 900px) {
  .tiles {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .says {
    font-size: 17px;
  }
}
</style>
