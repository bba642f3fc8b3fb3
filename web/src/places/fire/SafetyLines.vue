<script setup lang="ts">
/** How far the plan goes toward the reference that is gone by, over the whole of it, rest and all. */
import PickField from '../../ui/PickField.vue'
import { computed } from 'vue'
import type { Plan } from '#core/plan/plan'
import { REFERENCES } from '#core/safety/lethality'
import { useGuests } from '../../stores/guests'

const props = defineProps<{ plan: Plan }>()
const guests = useGuests()
const reached = computed(() => props.plan.lethal.find(l => l.reference === guests.reference))
const name = computed(() => REFERENCES.find(r => r.id === guests.reference)?.name ?? '')
const said = (share: number): string =>
  share >= 1 ? 'reached' : share >= 0.005 ? `${Math.round(100 * share)} % of it` : 'hardly any of it'
</script>

<template>
  <div class="safety">
    <pick-field
      v-model="guests.reference"
      class="no-print"
      label="Germs killed, measured by"
      :options="REFERENCES.map(r => ({ value: r.id, label: r.name }))"
    />
    <p v-if="reached">
      <span class="only-print">By {{ name }}: </span>Outside: {{ said(reached.surface) }}. Centre: {{ said(reached.core) }}. Counted over
      the whole plan and its rest.
    </p>
  </div>
</template>

<style scoped>
.safety {
  border-top: 1px solid #454b4d;
  padding: 9px 0;
  font-size: 13.5px;
  line-height: 1.42;
  color: #e9d3ac;
}
p {
  margin-top: 4px;
}
</style>
