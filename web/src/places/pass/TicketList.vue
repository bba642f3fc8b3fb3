<script setup lang="ts">
/** What is on the ticket, with what it takes for so many; more put on it, and taken off. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import type { Dish } from '#core/service/dish'
import { amountsFor } from '#core/service/recipe'
import { DINERS_LIMITS, portionsOf, type Ticket } from '#core/service/ticket'
import { useRecipes } from '../../stores/recipes'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import { amountText } from './recipeText'

const props = defineProps<{ ticket: Ticket; dishes: readonly Dish[]; full: boolean }>()
const emit = defineEmits<{ add: [recipe: string]; remove: [id: string]; open: [id: string]; portions: [id: string, many: number] }>()
const units = useUnits()
const recipes = useRecipes()

const rows = computed(() =>
  props.ticket.lines.map(line => {
    const recipe = 'recipe' in line ? recipes.find(line.recipe) : undefined
    const portions = 'recipe' in line ? portionsOf(line, props.ticket) : null
    const dish = props.dishes.find(d => d.id === line.id)
    return {
      id: line.id,
      name: 'dish' in line ? line.dish.name : (recipe?.name ?? 'A recipe that is not in this book'),
      recipe: recipe?.id ?? null,
      portions,
      kind: 'dish' in line ? line.dish.kind : (dish?.kind ?? 'own'),
      amounts: recipe
        ? amountsFor(recipe, portions ?? 0)
            .map(a => amountText(a, units.system))
            .join(', ')
        : '',
      caution: recipe?.caution ?? '',
      planned: 'dish' in line && line.request !== undefined
    }
  })
)
const choices = computed(() => {
  const on = new Set(props.ticket.lines.flatMap(l => ('recipe' in l ? [l.recipe] : [])))
  return [
    { value: '', label: 'Put on the ticket…' },
    ...recipes.offered.filter(r => !on.has(r.id)).map(r => ({ value: r.id, label: `${r.name} (${r.kind})` }))
  ]
})
</script>

<template>
  <section>
    <ul>
      <li v-for="r in rows" :key="r.id">
        <div>
          <router-link v-if="r.recipe" :to="`/pass/recipes/${r.recipe}`" class="name"
            ><strong :class="r.kind">{{ r.name }}</strong></router-link
          >
          <strong v-else :class="r.kind">{{ r.name }}</strong>
          <p v-if="r.amounts" class="quiet">{{ r.amounts }}</p>
          <p v-if="r.caution" class="caution">{{ r.caution }}</p>
        </div>
        <count-field
          v-if="r.portions !== null && ticket.diners > 1"
          class="for no-print"
          inline
          :label="`Guests who eat ${r.name}`"
          :unit="`of ${ticket.diners}`"
          :range="[DINERS_LIMITS[0], ticket.diners]"
          :step="1"
          :model-value="r.portions"
          @update:model-value="many => emit('portions', r.id, many)"
        />
        <a-button v-if="r.planned" class="link no-print fire" :aria-label="`Open at the fire: ${r.name}`" @click="emit('open', r.id)">
          Open at the fire
        </a-button>
        <a-button class="link no-print" :aria-label="`Take off ${r.name}`" @click="emit('remove', r.id)">Take off</a-button>
      </li>
    </ul>
    <pick-field
      v-if="!full"
      class="add no-print"
      label="A side or a sauce"
      long
      :model-value="''"
      :options="choices"
      @update:model-value="id => id && emit('add', id)"
    />
    <p v-else class="quiet">The ticket is full: take something off first.</p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 12px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 16px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
li:last-child {
  border-bottom: 1px solid var(--rule);
}
strong.beef {
  color: var(--oxblood);
}
p {
  font-size: 14px;
  line-height: 1.45;
}
.caution {
  color: #7a4d0d;
}
.link.ant-btn {
  font-size: 14px;
  color: var(--ink-2);
  white-space: nowrap;
  min-height: 28px;
}
.fire,
.for {
  margin-left: auto;
}
.for {
  flex: none;
  font-size: 14px;
}
.add {
  max-width: 320px;
}
</style>
