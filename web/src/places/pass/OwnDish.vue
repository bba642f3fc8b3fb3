<script setup lang="ts">
/** A dish that is in no book: what it is called, where it cooks, how long, and whether it keeps the hands. */
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import { Button as AButton, Checkbox as ACheckbox, Form as AForm, FormItem as AFormItem, Input as AInput } from 'ant-design-vue'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import { parseDish } from '#core/formats/ticketSchema'
import { TOOLS, type Dish, type Tool } from '#core/service/dish'
import { ownDish, STEP_LIMITS_S } from '#core/service/ticket'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useSchema } from '../../ui/useSchema'

const emit = defineEmits<{ add: [dish: Dish] }>()
const name = ref('')
const where = ref('ring')
const seconds = ref(20 * 60)
const ovenC = ref(180)
const busy = ref(false)
const problem = ref<string | null>(null)
const WHERE = [
  { value: 'ring', label: 'on a ring' },
  { value: 'oven', label: 'in the oven' },
  { value: 'grill', label: 'on the grill' },
  { value: 'bath', label: 'in the bath' },
  { value: 'board', label: 'at the board' }
]
const tool = computed((): Tool | null => TOOLS.find(t => t === where.value) ?? null)
const written = (): Dish =>
  ownDish(nanoid(8), name.value.trim(), { tool: tool.value, seconds: seconds.value, busy: busy.value, ovenC: ovenC.value })
const form = useSchema(parseDish, written)

function add(): void {
  const dish = problem.value === null ? form.submit() : null
  if (dish === null) return
  emit('add', dish)
  name.value = ''
  form.forget()
}
</script>

<template>
  <a-form class="own" layout="vertical" @submit="add">
    <a-form-item class="text" label="What it is" html-for="own-dish" v-bind="form.item('name')">
      <a-input id="own-dish" v-model:value="name" :maxlength="60" placeholder="Dumplings, gravy…" />
    </a-form-item>
    <pick-field v-model="where" label="Where" :options="WHERE" />
    <quantity-field
      v-if="where === 'oven'"
      v-model="ovenC"
      label="Oven"
      dimension="temperature"
      :range="OVEN_LIMITS_C"
      @problem="m => (problem = m)"
    />
    <quantity-field v-model="seconds" label="How long" dimension="duration" :range="STEP_LIMITS_S" @problem="m => (problem = m)" />
    <a-checkbox v-model:checked="busy" class="tick">keeps me at it</a-checkbox>
    <a-button html-type="submit" :disabled="problem !== null">Put it on</a-button>
  </a-form>
</template>

<style scoped>
.own {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 12px;
  margin-top: 10px;
}
.text :deep(.ant-input) {
  width: 220px;
}
.tick {
  align-items: center;
  min-height: 32px;
}
</style>
