<script setup lang="ts">
/** What finished cooks teach of the kit: how much heat each thing gives to meat, how sure that is, and whether plans go by it. */
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import type { Lesson } from '#core/book/lessons'
import { api } from '../../api/client'
import { useKit } from '../../stores/kit'
import { aside } from '../../workers/aside'

const kit = useKit()
const found = shallowRef<readonly Lesson[] | null>(null)
const trouble = ref<string | null>(null)
let letGo: (() => void) | null = null
let gone = false

onMounted(async () => {
  try {
    const { cooks } = await api.readCooks()
    if (gone) return
    letGo = aside(
      async (remote, ticket) => {
        found.value = await remote.lessons(cooks, ticket)
      },
      0,
      () => (trouble.value = 'What they teach could not be worked out.')
    )
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
})
onUnmounted(() => {
  gone = true
  letGo?.()
})

type Thing = { readonly id: string; readonly name: string; readonly gives?: number }
const thingOf = ({ shelf, id }: Lesson): Thing | undefined => (kit.kit[shelf] as readonly Thing[]).find(t => t.id === id)
/** "+12 %" */
const more = (factor: number): string => {
  const percent = Math.round(100 * (factor - 1))
  return `${percent > 0 ? '+' : percent < 0 ? '−' : '±'}${Math.abs(percent)}\u00a0%`
}
const inWords = (factor: number): string => {
  const percent = Math.round(100 * (factor - 1))
  return Math.abs(percent) < 2 ? 'as much as usual' : `${Math.abs(percent)}\u00a0% ${percent > 0 ? 'more' : 'less'} than usual`
}
/** Along the rule, from half to twice the usual, as powers are. */
const place = (factor: number): number => 100 * Math.min(1, Math.max(0, (Math.log2(factor) + 1) / 2))
const rows = computed(() =>
  (found.value ?? []).flatMap(lesson => {
    const thing = thingOf(lesson)
    if (!thing) return []
    const gives = Math.round(100 * lesson.factor) / 100
    const { low, high, factor, cooks, enough } = lesson
    return [
      {
        lesson,
        name: thing.name,
        says: inWords(factor),
        range: `${more(low)} to ${more(high)}`,
        from: `${cooks} ${cooks === 1 ? 'cook' : 'cooks'}`,
        enough,
        used: (thing.gives ?? 1) !== 1 ? (thing.gives ?? 1) : null,
        same: Math.abs((thing.gives ?? 1) - gives) < 0.006,
        bar: { left: place(low), width: place(high) - place(low), dot: place(factor) }
      }
    ]
  })
)
function planWith(lesson: Lesson, gives: number): void {
  const thing = thingOf(lesson)
  if (thing) kit.put(lesson.shelf, { ...thing, gives: Math.round(100 * gives) / 100 } as never)
}
</script>

<template>
  <section class="lessons" aria-labelledby="lessons" :aria-busy="found === null && trouble === null">
    <h2 id="lessons">What the kit has taught</h2>
    <p v-if="trouble" class="quiet" role="alert">{{ trouble }}</p>
    <p v-else-if="found === null" class="quiet" role="status">Reading what the probe said…</p>
    <p v-else-if="rows.length === 0" class="quiet">
      Nothing yet. Read the probe at the stove: from three cooks on, the book knows how much heat your own pan or oven gives to meat.
    </p>
    <ul v-else>
      <li v-for="r in rows" :key="`${r.lesson.shelf} ${r.lesson.id}`">
        <span class="name">{{ r.name }}</span>
        <span>gives {{ r.says }}</span>
        <span class="rule" role="img" :aria-label="`From ${r.range}, 8 in 10; the rule goes from half to twice the usual.`">
          <i class="usual" />
          <i class="range" :style="{ left: `${r.bar.left}%`, width: `${r.bar.width}%` }" />
          <i class="dot" :style="{ left: `${r.bar.dot}%` }" />
        </span>
        <span class="quiet">{{ r.range }}, from {{ r.from }}</span>
        <span class="does">
          <template v-if="r.used !== null">
            <span class="quiet">plans go by {{ more(r.used) }}</span>
            <button v-if="r.enough && !r.same" type="button" @click="planWith(r.lesson, r.lesson.factor)">Plan with this</button>
            <button type="button" @click="planWith(r.lesson, 1)">As usual again</button>
          </template>
          <button v-else-if="r.enough && !r.same" type="button" @click="planWith(r.lesson, r.lesson.factor)">Plan with this</button>
          <span v-else class="quiet">{{ r.enough ? 'plans go by the usual' : 'too little yet to plan with' }}</span>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.lessons {
  margin-top: 28px;
  max-width: 1184px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
  border-top: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: minmax(150px, 1.2fr) minmax(150px, 1fr) 180px minmax(190px, 1fr) minmax(220px, 1.4fr);
  gap: 6px 20px;
  align-items: center;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-family: var(--serif);
  font-size: 18px;
  font-weight: 600;
}
.rule {
  position: relative;
  height: 18px;
  border-bottom: 1px solid var(--rule);
}
.rule i {
  position: absolute;
}
.usual {
  left: 50%;
  top: 2px;
  bottom: 0;
  border-left: 1px dashed var(--ink-2);
}
.range {
  top: 7px;
  height: 4px;
  background: var(--brass);
}
.dot {
  top: 4px;
  width: 10px;
  height: 10px;
  margin-left: -5px;
  border-radius: 50%;
  background: var(--oxblood);
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
button {
  font: inherit;
  min-height: 40px;
  padding: 4px 14px;
  border: 1px solid var(--ink-2);
  border-radius: 3px;
  background: #f7f8f5;
  color: inherit;
  cursor: pointer;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
