<script setup lang="ts">
/** One recipe, read for so many: what goes in, and its steps as they fall in this kitchen. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { capital } from '#core/quantity/format'
import { amountsFor, stepsFor, type Recipe } from '#core/service/recipe'
import { said } from '#core/service/said'
import { DINERS_LIMITS, strongestW } from '#core/service/ticket'
import { useKit } from '../../stores/kit'
import { usePass } from '../../stores/pass'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import { amountText, keepsText, timeText, whereText } from './recipeText'

const props = defineProps<{ recipe: Recipe; changed: boolean; onTicket: boolean; full: boolean }>()
const emit = defineEmits<{ change: []; putOn: []; takeOut: []; putBack: []; restore: []; save: [] }>()
const kit = useKit()
const units = useUnits()
const pass = usePass()
const many = ref(pass.ticket.diners)
watch(
  () => pass.ticket.diners,
  diners => (many.value = diners)
)
const amounts = computed(() => amountsFor(props.recipe, many.value).map(a => amountText(a, units.system)))
const steps = computed(() =>
  stepsFor(props.recipe.steps, { diners: many.value, ringW: strongestW(kit.kit) }).map(step => ({
    what: said(step.what, units.system),
    then: step.then ?? '',
    how: capital([whereText(step, units.system), timeText(step), keepsText(step)].filter(Boolean).join('; '))
  }))
)
</script>

<template>
  <article :aria-label="recipe.name">
    <h2>{{ recipe.name }}</h2>
    <div class="for">
      <count-field v-model="many" label="For" unit="guests" :range="DINERS_LIMITS" :step="1" />
      <a-button v-if="recipe.out" type="primary" @click="emit('putBack')">Put it back in the book</a-button>
      <span v-else-if="onTicket" class="quiet">It is on the ticket.</span>
      <a-button v-else type="primary" :disabled="full" @click="emit('putOn')">Put it on the ticket</a-button>
    </div>
    <p v-if="recipe.caution" class="caution">{{ recipe.caution }}</p>
    <p v-if="recipe.inItsPan" class="quiet">Made in the pan that the beef was seared in.</p>
    <p v-if="recipe.beforeMeat" class="quiet">On the bars before any meat is on them.</p>
    <ul v-if="amounts.length > 0" class="amounts" aria-label="What goes in">
      <li v-for="a in amounts" :key="a">{{ a }}</li>
    </ul>
    <ol aria-label="Steps">
      <li v-for="(s, i) in steps" :key="i">
        <strong>{{ s.what }}</strong>
        <span class="quiet">{{ s.how }}</span>
        <span v-if="s.then">{{ s.then }}</span>
      </li>
    </ol>
    <div class="acts">
      <a-button @click="emit('change')">Change it</a-button>
      <a-button v-if="changed" @click="emit('restore')">As it was in the book</a-button>
      <a-button @click="emit('save')">Save as a file</a-button>
      <a-button v-if="!recipe.out" class="link" @click="emit('takeOut')">Take it out of the book</a-button>
    </div>
  </article>
</template>

<style scoped>
article {
  max-width: 640px;
}
h2 {
  font-size: 23px;
}
.for {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 18px;
  margin: 10px 0 12px;
}
.for > :first-child {
  width: 130px;
}
.caution {
  color: #7a4d0d;
  margin-bottom: 8px;
}
.amounts {
  list-style: none;
  padding: 10px 14px;
  margin: 10px 0 14px;
  background: var(--tile);
  columns: 2;
}
.amounts li {
  padding: 2px 0;
  break-inside: avoid;
}
ol {
  padding-left: 24px;
  margin: 0;
}
ol li {
  padding: 7px 0;
  border-top: 1px solid var(--rule);
}
ol li::marker {
  font-family: var(--serif);
}
ol li > * {
  display: block;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
@media (max-width: 500px) {
  .amounts {
    columns: 1;
  }
}
</style>
