<script setup lang="ts">
/** What finished cooks teach of the kit: how much heat a pan gives, how hot an oven is, how sure that is, and whether plans go by it. */
import { Button as AButton } from 'ant-design-vue'
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import type { Lesson } from '#core/book/lessons'
import type { Kit } from '#core/kit/kit'
import { api } from '../../api/client'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import { inBackground } from '../../workers/background'

const kit = useKit()
const units = useUnits()
const found = shallowRef<readonly Lesson[] | null>(null)
const trouble = ref<string | null>(null)
let cancel: (() => void) | null = null
let gone = false

onMounted(async () => {
  try {
    const { cooks } = await api.readCooks()
    if (gone) return
    cancel = inBackground(
      async (remote, token) => {
        found.value = await remote.lessons(cooks, token)
      },
      0,
      () => (trouble.value = 'What they say of it could not be worked out.')
    )
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
})
onUnmounted(() => {
  gone = true
  cancel?.()
})

type Pan = Kit['pans'][number]
type Oven = Kit['ovens'][number]
const panOf = (id: string): Pan | undefined => kit.kit.pans.find(p => p.id === id)
const ovenOf = (id: string): Oven | undefined => kit.kit.ovens.find(o => o.id === id)

const signed = (value: number, unit: string): string => `${value > 0 ? '+' : value < 0 ? '−' : '±'}${Math.abs(value)}\u00a0${unit}`
const percent = (factor: number): number => Math.round(100 * (factor - 1))
const kelvin = (k: number): number => Math.round(units.system === 'metric' ? k : 1.8 * k)
const degree = computed(() => (units.system === 'metric' ? '°C' : '°F'))

/** One thing of the kit: what it is, as words, as a rule, and what plans go by. */
function panRow(lesson: Lesson, { name, gives = 1 }: Pan) {
  const more = percent(lesson.value)
  const text = (factor: number): string => signed(percent(factor), '%')
  return {
    name,
    says: Math.abs(more) < 2 ? 'gives as much as usual' : `gives ${Math.abs(more)}\u00a0% ${more > 0 ? 'more' : 'less'} than usual`,
    range: `${text(lesson.low)} to ${text(lesson.high)}`,
    rule: 'from half to twice the usual',
    /** Along the rule, as powers are. */
    place: (factor: number) => (Math.log2(factor) + 1) / 2,
    used: gives === 1 ? null : text(gives),
    same: Math.abs(gives - rounded(lesson.value)) < 0.006
  }
}
function ovenRow(lesson: Lesson, { name, offsetC }: Oven) {
  const more = kelvin(lesson.value)
  const text = (k: number): string => signed(kelvin(k), degree.value)
  return {
    name,
    says:
      more === 0
        ? 'is as hot as its dial says'
        : `is ${Math.abs(more)}\u00a0${degree.value} ${more > 0 ? 'hotter' : 'cooler'} than its dial`,
    range: `${text(lesson.low)} to ${text(lesson.high)}`,
    rule: `from ${text(-RULE_K)} to ${text(RULE_K)}`,
    place: (k: number) => (k / RULE_K + 1) / 2,
    used: offsetC === 0 ? null : text(offsetC),
    same: Math.abs(offsetC - Math.round(lesson.value)) < 0.6
  }
}
const RULE_K = 30
const rounded = (factor: number): number => Math.round(100 * factor) / 100

const rows = computed(() =>
  (found.value ?? []).flatMap(lesson => {
    const [pan, oven] = [lesson.shelf === 'pans' ? panOf(lesson.id) : undefined, lesson.shelf === 'ovens' ? ovenOf(lesson.id) : undefined]
    const row = pan ? panRow(lesson, pan) : oven ? ovenRow(lesson, oven) : null
    if (row === null) return []
    const { cooks, enough, low, high, value } = lesson
    const at = (v: number): number => 100 * Math.min(1, Math.max(0, row.place(v)))
    return [
      {
        ...row,
        lesson,
        enough,
        from: `${cooks} ${cooks === 1 ? 'cook' : 'cooks'}`,
        bar: { left: at(low), width: at(high) - at(low), dot: at(value) }
      }
    ]
  })
)
/** @param value null for what is usual */
function planWith({ shelf, id }: Lesson, value: number | null): void {
  const [pan, oven] = [panOf(id), ovenOf(id)]
  if (shelf === 'pans' && pan) kit.put('pans', { ...pan, gives: rounded(value ?? 1) })
  if (shelf === 'ovens' && oven) kit.put('ovens', { ...oven, offsetC: Math.round(value ?? 0) })
}
</script>

<template>
  <section class="lessons" aria-labelledby="lessons" :aria-busy="found === null && trouble === null">
    <h2 id="lessons">What your cooks say of your kit</h2>
    <p v-if="trouble" class="quiet" role="alert">{{ trouble }}</p>
    <p v-else-if="found === null" class="quiet" role="status">Reading what the probe said…</p>
    <p v-else-if="rows.length === 0" class="quiet">
      Nothing yet. Read the probe at the stove: cook by cook the book learns how much heat your own pan gives, and what your oven holds.
    </p>
    <ul v-else>
      <li v-for="r in rows" :key="`${r.lesson.shelf} ${r.lesson.id}`">
        <span class="name">{{ r.name }}</span>
        <span>{{ r.says }}</span>
        <span class="rule" role="img" :aria-label="`${r.range}, 8 in 10; the rule goes ${r.rule}.`">
          <i class="usual" />
          <i class="range" :style="{ left: `${r.bar.left}%`, width: `${r.bar.width}%` }" />
          <i class="dot" :style="{ left: `${r.bar.dot}%` }" />
        </span>
        <span class="quiet">{{ r.range }}, from {{ r.from }}</span>
        <span class="does">
          <template v-if="r.used !== null">
            <span class="quiet">plans go by {{ r.used }}</span>
            <a-button v-if="r.enough && !r.same" @click="planWith(r.lesson, r.lesson.value)">Plan with this</a-button>
            <a-button @click="planWith(r.lesson, null)">As usual again</a-button>
          </template>
          <a-button v-else-if="r.enough && !r.same" @click="planWith(r.lesson, r.lesson.value)">Plan with this</a-button>
          <span v-else class="quiet">{{ r.enough ? 'as plans have it' : 'too little yet to plan with' }}</span>
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
.does .ant-btn {
  height: 40px;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
