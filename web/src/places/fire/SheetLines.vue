<script setup lang="ts">
/** The figures a cook calls out, large; the reason for each a tap away. */
import { Button as AButton } from 'ant-design-vue'
import { ref } from 'vue'
import type { CallLine } from '#core/words/callSheet'

defineProps<{
  lines: readonly CallLine[]
  /** A newer one is being worked out. */
  stale: boolean
  /** And it is worth showing that. */
  faint: boolean
}>()
/** On a phone the figures come first. */
const narrow = window.matchMedia('(max-width: 760px)').matches
const open = ref<ReadonlySet<string>>(new Set(narrow ? [] : ['pull', 'after']))

function toggle(id: string): void {
  const next = new Set(open.value)
  if (!next.delete(id)) next.add(id)
  open.value = next
}
</script>

<template>
  <ul class="sheet" :class="{ stale: faint }" :aria-busy="stale">
    <li
      v-for="l in lines"
      :key="l.id"
      v-memo="[l.label, l.shown.figure, l.shown.unit, l.why, open.has(l.id)]"
      :class="{ main: l.id === 'pull' }"
    >
      <a-button class="card" :aria-expanded="open.has(l.id)" @click="toggle(l.id)">
        <span class="label">{{ l.label }}</span>
        <span class="shown" :data-line="l.id"
          ><span class="figure">{{ l.shown.figure }}</span> <span class="unit">{{ l.shown.unit }}</span></span
        >
      </a-button>
      <p v-if="open.has(l.id)" class="why">{{ l.why }}</p>
    </li>
  </ul>
</template>

<style scoped>
.sheet {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid #454b4d;
  padding: 3px 0 5px;
}
.card.ant-btn {
  width: 100%;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0 2px;
}
.label {
  color: #cfd0c9;
  font-size: 15px;
}
.card:hover .label {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.shown {
  text-align: right;
  white-space: nowrap;
}
.figure {
  font-size: 30px;
  line-height: 1.1;
}
.unit {
  font-size: 15px;
  color: #cfd0c9;
}
.main .figure {
  font-size: 50px;
  color: var(--hot-figure);
}
.main .unit {
  font-size: 22px;
  color: var(--hot-figure);
}
.why {
  font-size: 13.5px;
  line-height: 1.42;
  color: #c3c5be;
  padding-bottom: 4px;
}
@media (max-width: 760px) {
  .card.ant-btn {
    min-height: 40px;
    padding: 0;
  }
  li {
    padding: 0;
  }
  .figure {
    font-size: 24px;
  }
  .main .figure {
    font-size: 40px;
  }
}
</style>
