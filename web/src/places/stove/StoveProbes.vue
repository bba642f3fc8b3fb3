<script setup lang="ts">
/** Thermometers that speak for themselves: what each shows now, and which piece it is in. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import type { Probe } from '#core/session/probes'
import { showTemperature, shownText } from '#core/quantity/format'
import { useCook } from '../../stores/cook'
import { useProbes } from '../../stores/probes'
import { useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import PickField from '../../ui/PickField.vue'

const probes = useProbes()
const cook = useCook()
const stove = useStove()
const units = useUnits()

/** ms: one that is silent for so long has lost its way. */
const SILENT_MS = 60_000
/** Not a piece's, and no id can be like it. */
const NOWHERE = ''
const IN_THE_AIR = '·'

const places = computed(() => [
  { value: NOWHERE, label: 'in nothing' },
  { value: IN_THE_AIR, label: 'in the air' },
  ...cook.cooks.map(c => ({ value: c.id, label: `in ${c.title}` }))
])
const placeOf = ({ cook: id, tip }: Probe): string =>
  tip === 'air' ? IN_THE_AIR : places.value.some(p => p.value === id) ? (id ?? NOWHERE) : NOWHERE
function put(id: string, place: string): void {
  const into = place === NOWHERE || place === IN_THE_AIR ? null : place
  void probes.place(id, into, place === IN_THE_AIR ? 'air' : 'middle')
}
function says({ last, doubted }: Probe): string {
  if (last === null) return 'has said nothing yet'
  const minutes = Math.floor((stove.now - last.at) / 60_000)
  if (stove.now - last.at > SILENT_MS) return `silent for ${minutes} min`
  return doubted ? 'jumped: not believed yet' : ''
}
const shown = ({ last }: Probe): string => (last === null ? '—' : shownText(showTemperature(last.celsius, units.system, 1)))
</script>

<template>
  <section v-if="probes.probes.length > 0" class="probes" aria-label="Thermometers">
    <h3>Thermometers</h3>
    <ul>
      <li v-for="p in probes.probes" :key="p.id">
        <span class="name">{{ p.name }}</span>
        <output :class="{ off: says(p) !== '' }">{{ shown(p) }}</output>
        <pick-field
          inline="label hidden"
          :label="`Where ${p.name} is`"
          :model-value="placeOf(p)"
          :options="places"
          @update:model-value="place => put(p.id, place)"
        />
        <span v-if="says(p)" class="says" role="status">{{ says(p) }}</span>
        <a-button v-if="says(p).startsWith('silent')" size="small" class="forget" @click="probes.forget(p.id)">Put it away</a-button>
      </li>
    </ul>
    <p v-if="probes.trouble" role="alert">{{ probes.trouble }}</p>
  </section>
</template>

<style scoped>
.probes {
  margin-top: 16px;
  border-top: 1px solid #30383c;
  padding-top: 10px;
}
h3 {
  margin: 0 0 4px;
  font-size: 15px;
  font-weight: 600;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 2px 12px;
  padding: 6px 0;
  font-size: 16px;
}
.name {
  overflow-wrap: anywhere;
}
output {
  font: 500 22px var(--serif);
  font-variant-numeric: lining-nums tabular-nums;
}
output.off {
  color: #a9aeaa;
}
.says {
  font-size: 14px;
  color: var(--hot);
}
.probes :deep(.pick) {
  grid-column: 1 / -1;
  min-width: 0;
}
.probes :deep(.ant-select) {
  max-width: 100%;
}
.forget {
  justify-self: end;
}
.probes :deep(.ant-select-selection-item) {
  color: var(--chalk);
}
</style>
