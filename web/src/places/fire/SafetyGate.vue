<script setup lang="ts">
/** A plan that could make someone ill: said once, with what would make it safe, and carried out only on a deliberate yes. */
import { Button as AButton, Checkbox as ACheckbox } from 'ant-design-vue'
import { computed } from 'vue'
import { showTemperature, shownText } from '#core/quantity/format'
import { CHILLED_WITHIN_H, WARM_CEILING_H, type Danger } from '#core/safety/dangers'
import { useUnits } from '../../stores/units'

const props = defineProps<{
  dangers: readonly Danger[]
  agreed: boolean
  /** Whether those who should not have it rare are known by name, and are the only ones. */
  byName: boolean
}>()
const emit = defineEmits<{ agree: [yes: boolean]; safer: [targetC: number, all: boolean] }>()
const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const SAYS: Record<Danger['id'], (d: Danger) => string> = {
  'not intact': () =>
    'This meat is not, or may not be, whole inside: what was outside has been carried in, and this plan does not kill it there.',
  vulnerable: () => 'Someone at the table should not eat beef this rare.',
  'long and warm': d =>
    `The middle spends ${Math.round((d.hours ?? 0) * 2) / 2} h between ${degrees(5)} and ${degrees(54)}: ${WARM_CEILING_H} h is the usual ceiling. A hotter oven or bath, or a thinner piece, is sooner through.`,
  'slow to chill': d =>
    `Chilled so, the middle needs ${Math.round((d.hours ?? 0) * 2) / 2} h down to ${degrees(5)}: ${CHILLED_WITHIN_H} h is the usual ceiling for cooked meat. In its bag in ice and water first, or in thinner pieces, it is sooner there.`
}
/** For them alone: the others may have theirs as they want it. */
const theirs = computed(() => props.byName && props.dangers.every(d => d.saferC === null || d.id === 'vulnerable'))
const safest = computed(() => Math.max(...props.dangers.map(d => d.saferC ?? 0)))
</script>

<template>
  <section v-if="dangers.length > 0" class="gate" role="alert">
    <h3>Not safe as it stands</h3>
    <p v-for="d in dangers" :key="d.id">{{ SAYS[d.id](d) }}</p>
    <a-button v-if="safest > 0" class="safer" type="primary" @click="emit('safer', safest, !theirs)"
      >Cook {{ theirs ? 'theirs' : 'it' }} to {{ degrees(safest) }}</a-button
    >
    <a-checkbox class="agree" :checked="agreed" @update:checked="(yes: boolean) => emit('agree', yes)">
      I know, and cook it as planned. Local codes come first.
    </a-checkbox>
  </section>
</template>

<style scoped>
.gate {
  border: 2px solid var(--hot);
  border-radius: 3px;
  padding: 10px 12px;
  margin: 10px 0;
  font-size: 14px;
  line-height: 1.4;
}
h3 {
  font-size: 18px;
  color: var(--hot-figure);
}
p {
  margin: 4px 0 6px;
}
.safer {
  font-weight: 600;
  height: 38px;
}
.agree {
  margin-top: 8px;
}
</style>
