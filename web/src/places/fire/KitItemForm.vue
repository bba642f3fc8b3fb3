<script setup lang="ts">
/** One thing of the kit with the figures that count for its heat. What is typed is taken at once. */
import { computed } from 'vue'
import type { KitShelf } from '#core/kit/kit'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { kitFields, type AnyItem } from './kitFields'

const props = defineProps<{
  shelf: KitShelf
  item: AnyItem
  /** The last of what a kitchen cannot be without. */
  last: boolean
}>()
const emit = defineEmits<{ change: [item: AnyItem]; remove: [] }>()
const kit = useKit()
const units = useUnits()
const fields = computed(() => kitFields(props.shelf, props.item, units.system, kit.kit.altitudeM))

const change = (part: object): void => emit('change', { ...props.item, ...part })
function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) change({ name })
  else (event.target as HTMLInputElement).value = props.item.name
}
</script>

<template>
  <div class="form">
    <label class="name">Name <input :value="item.name" maxlength="60" @change="rename" /></label>
    <template v-for="f in fields" :key="f.label">
      <quantity-field
        v-if="f.kind === 'quantity'"
        :label="f.label"
        :dimension="f.dimension"
        :range="f.range"
        :model-value="f.value"
        :hint="f.hint"
        @update:model-value="v => change(f.set(v))"
      />
      <count-field
        v-else-if="f.kind === 'count'"
        :label="f.label"
        :unit="f.unit"
        :range="f.range"
        :step="f.step"
        :model-value="f.value"
        @update:model-value="v => change(f.set(v))"
      />
      <pick-field
        v-else-if="f.kind === 'pick'"
        :label="f.label"
        :model-value="f.value"
        :options="f.options.map(value => ({ value, label: value }))"
        @update:model-value="v => change(f.set(v))"
      />
      <label v-else class="yes"
        ><input type="checkbox" :checked="f.value" @change="e => change(f.set((e.target as HTMLInputElement).checked))" />
        {{ f.label }}</label
      >
    </template>
    <button v-if="!last" type="button" class="remove" @click="emit('remove')">Take it away</button>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 8px 12px;
  align-items: end;
  background: var(--tile);
  padding: 10px 12px;
  border-radius: 3px;
}
.name {
  grid-column: 1 / -1;
  font-size: 13px;
  color: var(--ink-2);
}
.name input {
  display: block;
  width: 100%;
  height: 32px;
  font: inherit;
  font-size: 15px;
  color: var(--ink);
  border: 1px solid #a9b2ad;
  border-radius: 3px;
  background: #f8f9f6;
  padding: 0 10px;
}
.yes {
  display: flex;
  gap: 7px;
  align-items: center;
  min-height: 32px;
  font-size: 14.5px;
  cursor: pointer;
}
.yes input {
  width: 18px;
  height: 18px;
  accent-color: var(--oxblood);
}
.remove {
  font: inherit;
  font-size: 14px;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  text-align: left;
  padding: 6px 0;
  cursor: pointer;
  color: #8d1f1a;
}
</style>
