<script setup lang="ts">
/** Everything that can be set in one method, each as what it is: a quantity, a number, one of a few, a yes, a rhythm. */
import { Checkbox as ACheckbox } from 'ant-design-vue'
import { computed } from 'vue'
import { toppedUp, type Dial, type SettingKey, type Settings } from '#core/method/dials'
import type { RestLength } from '#core/method/method'
import { capital } from '#core/quantity/format'
import CountField from './CountField.vue'
import DialField from './DialField.vue'
import PickField from './PickField.vue'
import QuantityField from './QuantityField.vue'

const props = defineProps<{
  dials: readonly Dial[]
  /** Each as it stands. */
  values: Settings
  /** What the method leaves free: "time in the oven". */
  free: string
  /** A joint is rolled in the pan: it has no turns and no edge. */
  round?: boolean
}>()
const emit = defineEmits<{ turn: [settings: Settings]; problem: [key: SettingKey, message: string | null] }>()

/** A dial that means nothing as the others stand is out of the way. */
const shown = computed(() =>
  props.dials.filter(({ key }) => {
    if (key === 'byClockS' || (props.round && (key === 'turning' || key === 'fatEdgeS'))) return false
    if (key === 'turning' || key === 'basted') return props.values.searS === undefined || props.values.searS > 0
    return true
  })
)
const set = (key: SettingKey, value: unknown): void => emit('turn', { [key]: value })
// By name: what is written in the loop would be new to every field at every turn of one.
const turned = (settings: Settings): void => emit('turn', settings)
const complained = (key: SettingKey, message: string | null): void => emit('problem', key, message)

const FIELDS: ReadonlySet<Dial['kind']> = new Set<Dial['kind']>(['quantity', 'count', 'choice', 'turning'])

const RESTS = [
  { value: 'to the peak', label: 'until it is at its hottest' },
  { value: 'clock', label: 'a set time' },
  { value: 'half the cooking time', label: 'half the cooking time' }
] as const
const USUAL_REST_S = 600
const rest = computed((): RestLength => props.values.rest ?? { kind: 'to the peak' })
function restFor(kind: string): void {
  set('rest', kind === 'clock' ? { kind, seconds: USUAL_REST_S } : { kind })
}

const USUAL_TOP_UP_L = 0.5
const poured = computed(() => props.values.topUps?.at(0) ?? null)
const TOP_UP_EVERY_S = [0, 8 * 3600] as const

const clock = computed(() => props.dials.find(d => d.key === 'byClockS'))
const byClock = computed(() => props.values.byClockS ?? 0)
const USUAL_CLOCK_S = 600
</script>

<template>
  <div class="board">
    <div v-for="d in shown" :key="d.key" class="dial">
      <dial-field v-if="FIELDS.has(d.kind)" :dial="d" :value="values[d.key]" @turn="turned" @problem="complained" />
      <template v-else-if="d.kind === 'rest'">
        <pick-field class="field wide" :label="d.label" :options="RESTS" :model-value="rest.kind" @update:model-value="restFor" />
        <quantity-field
          v-if="rest.kind === 'clock'"
          class="field"
          label="a rest of"
          dimension="duration"
          :range="d.range"
          :model-value="rest.seconds"
          @update:model-value="seconds => set(d.key, { kind: 'clock', seconds })"
          @problem="m => emit('problem', d.key, m)"
        />
      </template>
      <template v-else-if="d.kind === 'top-ups'">
        <quantity-field
          class="field"
          label="Top up every"
          dimension="duration"
          :range="TOP_UP_EVERY_S"
          :model-value="poured?.at ?? 0"
          @update:model-value="v => set(d.key, toppedUp(v, poured?.litres ?? USUAL_TOP_UP_L))"
          @problem="m => emit('problem', d.key, m)"
        />
        <count-field
          v-if="poured"
          class="field"
          label="with boiling water"
          unit="L"
          :range="d.litres"
          :step="0.05"
          :model-value="poured.litres"
          @update:model-value="v => set(d.key, toppedUp(poured?.at ?? 0, v))"
        />
      </template>
      <a-checkbox v-else class="yes" :checked="values[d.key] === true" @update:checked="(yes: boolean) => set(d.key, yes)">
        {{ d.label }}
      </a-checkbox>
      <p class="says">{{ d.says }}</p>
    </div>
    <div v-if="clock && clock.kind === 'quantity'" class="dial clock">
      <pick-field
        class="field wide"
        :label="capital(free)"
        :model-value="byClock > 0 ? 'clock' : 'solved'"
        :options="[
          { value: 'solved', label: 'worked out' },
          { value: 'clock', label: 'by the clock' }
        ]"
        @update:model-value="v => set('byClockS', v === 'clock' ? USUAL_CLOCK_S : 0)"
      />
      <quantity-field
        v-if="byClock > 0"
        class="field"
        label="namely"
        dimension="duration"
        :range="[1, clock.range[1]]"
        :model-value="byClock"
        @update:model-value="v => set('byClockS', v)"
        @problem="m => emit('problem', 'byClockS', m)"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 250px), 1fr));
  gap: 14px 22px;
}
.dial {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  align-content: flex-start;
  gap: 2px 10px;
}
.dial :deep(.field) {
  width: 112px;
}
.dial :deep(.field.wide) {
  width: min(100%, 200px);
}
.yes {
  align-items: center;
  min-height: 32px;
  font-size: 14.5px;
}
.says {
  flex-basis: 100%;
  font-size: 13px;
  line-height: 1.35;
  color: var(--ink-2);
}
</style>
