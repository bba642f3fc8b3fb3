<script setup lang="ts">
/** One thing of the kit with the figures that count for its heat. What is typed is taken at once. */
import { Button as AButton, Checkbox as ACheckbox, Form as AForm, FormItem as AFormItem, Input as AInput } from 'ant-design-vue'
import { computed, ref, useId, watch } from 'vue'
import type { KitShelf } from '#core/kit/kit'
import { parseKitItem } from '#core/kit/kitSchema'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useSchema } from '../../ui/useSchema'
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
const id = useId()
const fields = computed(() => kitFields(props.shelf, props.item, units.system, kit.kit.altitudeM))

const change = (part: object): void => emit('change', { ...props.item, ...part })
const name = ref(props.item.name)
watch(
  () => props.item.name,
  is => (name.value = is)
)
const form = useSchema(
  input => parseKitItem(props.shelf, input),
  () => ({ ...props.item, name: name.value.trim() })
)
function rename(): void {
  const item = form.submit()
  if (item && item.name !== props.item.name) emit('change', item)
}
</script>

<template>
  <a-form class="form" layout="vertical" @submit="rename">
    <a-form-item class="name" label="Name" :html-for="`${id}-name`" v-bind="form.item('name')">
      <a-input :id="`${id}-name`" v-model:value="name" :maxlength="60" @blur="rename" />
    </a-form-item>
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
      <a-checkbox v-else class="yes" :checked="f.value" @update:checked="(yes: boolean) => change(f.set(yes))">{{ f.label }}</a-checkbox>
    </template>
    <a-button v-if="!last" class="link remove" @click="emit('remove')">Take it away</a-button>
  </a-form>
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
  margin: 0;
}
.yes {
  min-height: 32px;
  align-items: center;
  font-size: 14.5px;
}
.remove.ant-btn {
  font-size: 14px;
  justify-self: start;
  color: #8d1f1a;
}
</style>
