<script setup lang="ts">
/** What is called out, in the order of time; ticked as it is done. */
import { timeWritten } from '../../ui/moments'
import { Checkbox as ACheckbox } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed } from 'vue'
import type { PassCall } from '#core/service/calls'

const props = defineProps<{
  calls: readonly PassCall[]
  names: ReadonlyMap<string, string>
  serveAt: string
  done: readonly string[]
  /** s before serving. */
  now: number
  /** Whose hands a call is for; empty where that says nothing. */
  whose: (by: number | null) => string
  stale: boolean
  /** Dishes that are called at the stove. */
  atTheStove: readonly string[]
}>()
defineEmits<{ tick: [id: string] }>()
const SOON_S = 90
/** With its day, where that is another. */
function timeOf(s: number): string {
  const at = dayjs(props.serveAt).add(s, 'second')
  return at.format(at.isSame(dayjs(props.serveAt), 'day') ? timeWritten : `ddd D MMM, ${timeWritten}`)
}
const rows = computed(() => {
  const open = props.calls.find(c => !c.ahead && !props.done.includes(c.id) && !props.atTheStove.includes(c.dishId ?? ''))
  return props.calls.map(c => ({
    ...c,
    time: timeOf(c.at),
    by: props.whose(c.by),
    dish: c.dishId === null ? '' : (props.names.get(c.dishId) ?? ''),
    ticked: props.done.includes(c.id),
    next: c === open,
    atTheStove: c.dishId !== null && props.atTheStove.includes(c.dishId),
    ahead: c.ahead === true,
    overdue: !props.done.includes(c.id) && c.at < props.now - SOON_S && !(c.dishId !== null && props.atTheStove.includes(c.dishId))
  }))
})
</script>

<template>
  <ol class="calls" :class="{ stale }" :aria-busy="stale">
    <li v-for="r in rows" :key="r.id" :class="{ ticked: r.ticked, next: r.next, overdue: r.overdue, ahead: r.ahead }">
      <a-checkbox class="tick" :checked="r.ticked" @update:checked="$emit('tick', r.id)">
        <time class="figure">{{ r.time }}</time>
        <span>
          <span class="what">{{ r.text }}</span>
          <span class="dish"
            >{{ r.dish }}<template v-if="r.by">{{ r.dish ? ', ' : '' }}{{ r.by }}</template
            ><template v-if="r.atTheStove">{{ r.dish ? ': ' : '' }}called at the stove</template
            ><template v-if="r.overdue">{{ r.dish ? ': ' : '' }}overdue</template></span
          >
        </span>
      </a-checkbox>
    </li>
  </ol>
</template>

<style scoped>
.calls {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid #454b4d;
}
.ahead .tick :deep(.ant-checkbox + span) {
  grid-template-columns: minmax(0, 1fr);
}
.tick {
  display: flex;
  align-items: center;
  padding: 8px 0;
}
.tick :deep(.ant-checkbox + span) {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(62px, max-content) minmax(0, 1fr);
  align-items: baseline;
  gap: 4px;
  padding-inline-end: 0;
}
time {
  font-size: 21px;
}
.what {
  display: block;
  line-height: 1.3;
}
.dish {
  display: block;
  font-size: 13.5px;
  color: var(--chalk-2);
}
.next time {
  color: var(--hot-figure);
}
.next .what {
  font-weight: 600;
}
.ticked .what,
.ticked time {
  color: var(--chalk-2);
  text-decoration: line-through;
}
.overdue .dish {
  color: var(--hot);
}
@media print {
  .tick :deep(.ant-checkbox) {
    display: none;
  }
  .tick {
    padding: 3pt 0;
  }
  .tick :deep(.ant-checkbox + span) {
    grid-template-columns: 84px minmax(0, 1fr);
  }
  .calls time.figure {
    font-size: 20pt !important;
  }
  .ticked .what,
  .ticked time {
    text-decoration: none;
  }
  .what {
    font-size: 14pt;
  }
  li {
    break-inside: avoid;
  }
}
</style>
