<script setup lang="ts">
/** What is on the ticket, with what it takes for so many; more put on it, and taken off. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import type { Dish } from '#core/service/dish'
import { amountsFor, type Measured } from '#core/service/recipe'
import { recipeById, RECIPES } from '#core/service/recipes'
import type { Ticket } from '#core/service/ticket'
import { showMass, showVolume, shownText } from '#core/quantity/format'
import { useUnits } from '../../stores/units'
import PickField from '../../ui/PickField.vue'

const props = defineProps<{ ticket: Ticket; dishes: readonly Dish[]; full: boolean }>()
const emit = defineEmits<{ add: [recipe: string]; remove: [id: string]; open: [id: string] }>()
const units = useUnits()

const amount = ({ what, amount: n, unit }: Measured): string => {
  const shown = unit === 'g' ? shownText(showMass(n, units.system)) : unit === 'ml' ? shownText(showVolume(n, units.system)) : String(n)
  return `${shown} ${what}`
}
const rows = computed(() =>
  props.ticket.lines.map(line => {
    const recipe = 'recipe' in line ? recipeById(line.recipe) : undefined
    const dish = props.dishes.find(d => d.id === line.id)
    return {
      id: line.id,
      name: 'dish' in line ? line.dish.name : (dish?.name ?? ''),
      kind: 'dish' in line ? line.dish.kind : (dish?.kind ?? 'own'),
      amounts: recipe ? amountsFor(recipe, props.ticket.diners).map(amount).join(', ') : '',
      caution: recipe?.caution ?? '',
      planned: 'dish' in line && line.request !== undefined
    }
  })
)
const choices = computed(() => {
  const on = new Set(props.ticket.lines.flatMap(l => ('recipe' in l ? [l.recipe] : [])))
  return [
    { value: '', label: 'Put on the ticket…' },
    ...RECIPES.filter(r => !on.has(r.id)).map(r => ({ value: r.id, label: `${r.name} (${r.kind})` }))
  ]
})
</script>

<template>
  <section>
    <ul>
      <li v-for="r in rows" :key="r.id">
        <div>
          <strong :class="r.kind">{{ r.name }}</strong>
          <p v-if="r.amounts" class="quiet">{{ r.amounts }}</p>
          <p v-if="r.caution" class="caution">{{ r.caution }}</p>
        </div>
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
.fire {
  margin-left: auto;
}
.add {
  max-width: 320px;
}
</style>
