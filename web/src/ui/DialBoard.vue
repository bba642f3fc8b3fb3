<script setup lang="ts">
/** Everything that can be set in one method, each as what it is: a quantity, a number, one of a few, a yes. */
import { computed } from 'vue'
import type { Dial, DialKey, DialValues, Dialled } from '#core/method/dials'
import CountField from './CountField.vue'
import PickField from './PickField.vue'
import QuantityField from './QuantityField.vue'

const props = defineProps<{
  dials: readonly Dial[]
  values: Dialled
  /** What the method leaves free: "time in the oven". */
  free: string
  /** A joint is rolled in the pan: it has no turns and no edge. */
  round?: boolean
}>()
const emit = defineEmits<{ turn: [key: DialKey, value: DialValues[DialKey]]; problem: [key: DialKey, message: string | null] }>()

/** A dial that means nothing as the others stand is out of the way. */
const shown = computed(() =>
  props.dials.filter(({ key }) => {
    const { restSchool, topUpEveryS, searS } = props.values
    if (key === 'byClockS' || (props.round && (key === 'searSpells' || key === 'fatEdgeS'))) return false
    if (key === 'restS') return restSchool === 'clock'
    if (key === 'topUpL') return (topUpEveryS ?? 0) > 0
    if (key === 'searSpells' || key === 'basted') return searS === undefined || searS > 0
    return true
  })
)
const clock = computed(() => props.dials.find(d => d.key === 'byClockS'))
const byClock = computed(() => props.values.byClockS ?? 0)
const number = (key: DialKey): number => Number(props.values[key] ?? 0)
</script>

<template>
  <div class="board">
    <template v-for="d in shown" :key="d.key">
      <quantity-field
        v-if="d.kind === 'quantity'"
        class="field"
        :label="d.label"
        :dimension="d.dimension"
        :range="d.range"
        :model-value="number(d.key)"
        @update:model-value="v => emit('turn', d.key, v)"
        @problem="m => emit('problem', d.key, m)"
      />
      <count-field
        v-else-if="d.kind === 'count'"
        class="field"
        :label="d.label"
        :unit="d.unit"
        :range="d.range"
        :step="d.step"
        :model-value="number(d.key)"
        @update:model-value="v => emit('turn', d.key, v)"
      />
      <pick-field
        v-else-if="d.kind === 'choice'"
        class="field wide"
        :label="d.label"
        :options="d.options"
        :model-value="String(values[d.key])"
        @update:model-value="v => emit('turn', d.key, v as DialValues[DialKey])"
      />
      <label v-else class="yes">
        <input
          type="checkbox"
          :checked="values[d.key] === true"
          @change="e => emit('turn', d.key, (e.target as HTMLInputElement).checked)"
        />
        {{ d.label }}
      </label>
    </template>
    <div v-if="clock && clock.kind === 'quantity'" class="clock">
      <pick-field
        class="field wide"
        :label="free.charAt(0).toUpperCase() + free.slice(1)"
        :model-value="byClock > 0 ? 'clock' : 'solved'"
        :options="[
          { value: 'solved', label: 'worked out' },
          { value: 'clock', label: 'by the clock' }
        ]"
        @update:model-value="v => emit('turn', 'byClockS', v === 'clock' ? 600 : 0)"
      />
      <quantity-field
        v-if="byClock > 0"
        class="field"
        label="namely"
        dimension="duration"
        :range="[1, clock.range[1]]"
        :model-value="byClock"
        @update:model-value="v => emit('turn', 'byClockS', v)"
        @problem="m => emit('problem', 'byClockS', m)"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: flex-end;
}
.field {
  width: 104px;
}
.wide {
  width: 150px;
}
.yes {
  display: flex;
  align-items: center;
  gap: 7px;
  height: 32px;
  font-size: 14.5px;
  cursor: pointer;
}
.yes input {
  width: 18px;
  height: 18px;
  accent-color: var(--oxblood);
}
.clock {
  display: flex;
  gap: 8px 12px;
}
</style>
