<script setup lang="ts">
/** A rehearsal cut open: every piece as it truly was, what each decision cost, and all of it gone through once more. */
import { Alert as AAlert, Button as AButton, Skeleton as ASkeleton } from 'ant-design-vue'
import { computed, onMounted, shallowRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { CookRecord } from '#core/book/record'
import type { CutOpen } from '#core/rehearsal/cutOpen'
import { exerciseById } from '#core/rehearsal/exercises'
import type { Rehearsal } from '#core/rehearsal/record'
import { sidesServed, UNNOTICED_S } from '#core/rehearsal/sides'
import { progressOf } from '#core/session/progress'
import { showDuration, shownText } from '#core/quantity/format'
import { api } from '../../api/client'
import { useClock } from '../../stores/clock'
import { useRehearsal } from '../../stores/rehearsal'
import { useUnits } from '../../stores/units'
import PieceCut from './PieceCut.vue'
import { useBegin } from './useBegin'

const props = defineProps<{ id: string }>()
const clock = useClock()
const rehearsal = useRehearsal()
const units = useUnits()
const router = useRouter()
const { beginning, trouble: notBegun, begin } = useBegin()

const pieces = shallowRef<readonly { readonly record: CookRecord; readonly cut: CutOpen | null }[] | null>(null)
const of = shallowRef<Rehearsal | null>(null)
const trouble = shallowRef('')
const exercise = computed(() => exerciseById(of.value?.exercise ?? ''))
const carved = (r: CookRecord): boolean => progressOf(r.events).state === 'carved'
async function load(): Promise<void> {
  trouble.value = ''
  try {
    const { cooks } = await api.cooksFor(props.id)
    pieces.value = await Promise.all(
      cooks.map(async record => ({ record, cut: carved(record) ? await api.cutOpen(props.id, record.id) : null }))
    )
    of.value = await api.rehearsal(props.id)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(load)
const whole = computed(() => pieces.value?.filter(p => p.cut === null) ?? [])
const points = computed(() => of.value?.points ?? null)
/** What stood beside it, once all of it is cut. */
const sides = computed(() => {
  const laid = pieces.value?.flatMap(p => progressOf(p.record.events).laidAt ?? []) ?? []
  return points.value === null || laid.length === 0 ? [] : sidesServed(of.value?.sides ?? [], Math.min(...laid))
})
function inTime(offS: number | null): string {
  if (offS === null) return 'was never finished'
  if (Math.abs(offS) <= UNNOTICED_S) return 'on its time'
  return `${shownText(showDuration(Math.abs(offS)))} ${offS > 0 ? 'late' : 'too early'}`
}
function done(): void {
  if (clock.rehearsing?.id === props.id) rehearsal.leave()
  void router.push('/rehearse')
}
function again(): void {
  if (exercise.value) void begin(exercise.value)
}
</script>

<template>
  <main class="cut">
    <router-link to="/rehearse" class="back">All rehearsals</router-link>
    <h1>{{ exercise?.name ?? 'Cut open' }}</h1>
    <p v-if="exercise" class="teaches">{{ units.say(exercise.teaches) }}</p>
    <a-alert v-if="trouble" type="error" show-icon :message="trouble">
      <template #action><a-button @click="load">Try again</a-button></template>
    </a-alert>
    <a-alert v-if="notBegun" type="error" show-icon :message="notBegun" />
    <a-skeleton
      v-if="pieces === null && !trouble"
      active
      :title="false"
      :paragraph="{ rows: 8 }"
      role="status"
      aria-label="It is being cut"
    />
    <p v-if="points !== null && (pieces?.length ?? 0) > 1" class="points">
      <b class="figure">{{ points }}</b> of 100 for all of it
    </p>
    <ul v-if="sides.length > 0" class="sides" aria-label="Beside it">
      <li v-for="s in sides" :key="s.of">
        <b>{{ s.of }}</b> {{ inTime(s.offS) }}
      </li>
    </ul>
    <template v-for="p in pieces ?? []" :key="p.record.id">
      <piece-cut v-if="p.cut" :record="p.record" :cut="p.cut" :named="(pieces?.length ?? 0) > 1" />
    </template>
    <p v-for="p in whole" :key="p.record.id" class="whole">
      {{ p.record.title }} is not carved yet: what is inside is seen when it is cut.
      <router-link v-if="clock.rehearsing?.id === id" to="/stove">Back to the stove</router-link>
    </p>
    <p class="ways">
      <a-button v-if="exercise" type="primary" :loading="beginning !== null" @click="again">Play it again</a-button>
      <a-button @click="done">To the other exercises</a-button>
    </p>
  </main>
</template>

<style scoped>
.cut {
  padding: 18px 28px 60px;
  max-width: 1240px;
}
.back {
  font-size: 15px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
h1 {
  margin: 8px 0 6px;
}
.teaches {
  max-width: 68ch;
  font-size: 17px;
  border-left: 3px solid var(--oxblood);
  padding-left: 12px;
}
.points {
  font-size: 18px;
}
.points b {
  font-size: 34px;
}
.sides {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
  font-size: 17px;
}
.whole {
  margin-top: 18px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 24px;
}
@media (max-width: 760px) {
  .cut {
    padding: 14px 16px 40px;
  }
  .ways :deep(.ant-btn) {
    min-height: 44px;
  }
}
</style>
