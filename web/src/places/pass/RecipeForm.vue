<script setup lang="ts">
/** A recipe written or changed: ingredients for one guest, and its steps one after the other. */
import {
  Button as AButton,
  Checkbox as ACheckbox,
  Form as AForm,
  FormItem as AFormItem,
  Input as AInput,
  Textarea as ATextarea
} from 'ant-design-vue'
import { computed, reactive, ref, useId } from 'vue'
import { parseRecipe, RECIPE_LIMITS } from '#core/formats/recipeSchema'
import type { Recipe } from '#core/service/recipe'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useSchema } from '../../ui/useSchema'
import { draftOf, newStep, recipeOf } from './recipeDraft'
import RecipeStepFields from './RecipeStepFields.vue'

const props = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ keep: [recipe: Recipe]; leave: [] }>()
const id = useId()
const draft = reactive(draftOf(props.recipe))
/** What a field itself cannot read, by its key. */
const unread = reactive<Record<string, string | null>>({})
const held = computed(() => Object.values(unread).some(Boolean))
const form = useSchema(parseRecipe, () => recipeOf(props.recipe.id, draft))
const tried = ref(false)

const UNITS = [
  { value: 'g', label: 'weighed' },
  { value: 'ml', label: 'measured' },
  { value: '', label: 'counted' }
]
function setUnit(i: number, unit: string): void {
  draft.amounts[i].unit = unit === 'g' || unit === 'ml' ? unit : ''
}
function move(i: number, by: -1 | 1): void {
  const [step] = draft.steps.splice(i, 1)
  draft.steps.splice(i + by, 0, step)
}
function drop(i: number): void {
  draft.steps.splice(i, 1)
  for (const key of Object.keys(unread)) if (key.startsWith('steps')) unread[key] = null
}
function keep(): void {
  tried.value = true
  const recipe = held.value ? null : form.submit()
  if (recipe) emit('keep', recipe)
}
</script>

<template>
  <a-form class="recipe" layout="vertical" :aria-label="recipe.name || 'A new recipe'" @submit="keep">
    <div class="head">
      <a-form-item class="name" label="Name" :html-for="`${id}-name`" v-bind="form.item('name')">
        <a-input :id="`${id}-name`" v-model:value="draft.name" :maxlength="60" placeholder="Dumplings, pickled onions…" />
      </a-form-item>
      <choice-row
        v-model="draft.kind"
        label="It is"
        :options="[
          { value: 'side', label: 'a side' },
          { value: 'sauce', label: 'a sauce' }
        ]"
      />
      <a-checkbox v-model:checked="draft.inItsPan">made in the beef’s pan</a-checkbox>
      <a-checkbox v-model:checked="draft.beforeMeat">on the bars before any meat</a-checkbox>
    </div>

    <h2>What goes in, for one guest</h2>
    <ul class="amounts">
      <li v-for="(a, i) in draft.amounts" :key="i">
        <a-form-item label="What" :html-for="`${id}-what-${i}`" v-bind="form.item(`amounts[${i}].what`)">
          <a-input :id="`${id}-what-${i}`" v-model:value="a.what" :maxlength="60" placeholder="floury potatoes" />
        </a-form-item>
        <quantity-field
          v-if="a.unit !== ''"
          v-model="a.each"
          label="For each"
          :dimension="a.unit === 'g' ? 'mass' : 'volume'"
          :range="RECIPE_LIMITS.each"
          @problem="m => (unread[`amounts${i}`] = m)"
        />
        <count-field v-else v-model="a.each" label="For each" unit="" :range="RECIPE_LIMITS.each" :step="0.25" />
        <pick-field label="By" :model-value="a.unit" :options="UNITS" @update:model-value="unit => setUnit(i, unit)" />
        <a-button class="link" :aria-label="`Leave out ${a.what || 'this'}`" @click="draft.amounts.splice(i, 1)">Leave out</a-button>
      </li>
    </ul>
    <a-button :disabled="draft.amounts.length >= RECIPE_LIMITS.amounts" @click="draft.amounts.push({ what: '', each: 50, unit: 'g' })">
      One more ingredient
    </a-button>

    <h2>Steps, one after the other</h2>
    <ol class="steps">
      <li v-for="(s, i) in draft.steps" :key="i">
        <recipe-step-fields
          :step="s"
          :number="i + 1"
          :item="key => form.item(`steps[${i}].${key}`)"
          @problem="(key, m) => (unread[`steps${i}${key}`] = m)"
        />
        <div class="acts">
          <a-button class="link" :disabled="i === 0" :aria-label="`Step ${i + 1} earlier`" @click="move(i, -1)">Earlier</a-button>
          <a-button class="link" :disabled="i === draft.steps.length - 1" :aria-label="`Step ${i + 1} later`" @click="move(i, 1)"
            >Later</a-button
          >
          <a-button class="link" :disabled="draft.steps.length === 1" :aria-label="`Leave step ${i + 1} out`" @click="drop(i)"
            >Leave out</a-button
          >
        </div>
      </li>
    </ol>
    <a-button :disabled="draft.steps.length >= RECIPE_LIMITS.steps" @click="draft.steps.push(newStep())">One more step</a-button>

    <a-form-item
      class="caution"
      label="What must be minded, or told to who eats it"
      :html-for="`${id}-caution`"
      v-bind="form.item('caution')"
    >
      <a-textarea :id="`${id}-caution`" v-model:value="draft.caution" :rows="2" :maxlength="RECIPE_LIMITS.caution" />
    </a-form-item>
    <div class="acts">
      <a-button type="primary" html-type="submit" :disabled="held">Keep it</a-button>
      <a-button type="text" @click="emit('leave')">Leave it</a-button>
    </div>
  </a-form>
</template>

<style scoped>
.recipe {
  max-width: 900px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 20px;
}
.name {
  width: 300px;
  max-width: 100%;
  margin: 0;
}
h2 {
  font-size: 17px;
  margin: 18px 0 6px;
}
ul,
ol {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.amounts li {
  display: grid;
  grid-template-columns: minmax(120px, 280px) 110px 120px auto;
  gap: 8px 12px;
  align-items: end;
  justify-content: start;
  margin-bottom: 8px;
}
.amounts :deep(.ant-form-item) {
  margin: 0;
}
.steps li {
  padding: 12px 14px;
  background: var(--tile);
  margin-bottom: 8px;
}
.caution {
  margin: 18px 0 10px;
  max-width: 560px;
}
.acts {
  display: flex;
  gap: 8px 14px;
}
@media (max-width: 600px) {
  .amounts li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
