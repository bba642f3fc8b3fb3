<script setup lang="ts">
/** What have I got: the piece measured, portioned and got ready. */
import { useUnits } from '../../stores/units'
import { useMendedList } from '../../ui/useMendedList'
import { AutoComplete as AAutoComplete } from 'ant-design-vue'
import { computed, ref, useId, useTemplateRef, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { isTender } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { findCuts } from '#core/meat/names'
import { useDraft } from '../../stores/draft'
import PiecesRow from '../../ui/PiecesRow.vue'
import TabRow from '../../ui/TabRow.vue'
import AgreeSide from './AgreeSide.vue'
import MeasureBoard from './MeasureBoard.vue'
import PortionBoard from './PortionBoard.vue'
import PrepareList from './PrepareList.vue'

const draft = useDraft()
const route = useRoute()
const units = useUnits()
const id = useId()
const open = useMendedList(useTemplateRef<HTMLElement>('which'), id)
const MOST_OFFERED = 8
const TENDER = CUTS.filter(isTender)
const written = ref(draft.cut.name)
watch(
  () => draft.cut.id,
  () => (written.value = draft.cut.name)
)
const offered = computed(() => {
  const found = findCuts(written.value).flatMap(m => (isTender(m.cut) ? [m.cut] : []))
  const all = [...TENDER].sort((a, b) => a.name.localeCompare(b.name))
  return (written.value.trim() === '' ? all : found.slice(0, MOST_OFFERED)).map(c => ({ value: c.name }))
})
function take(name: string): void {
  const cut = TENDER.find(c => c.name === name)
  if (cut && cut.id !== draft.cut.id) draft.take(cut)
}

type Doing = 'measure' | 'portion' | 'prepare'
const doing = ref<Doing>('measure')
const doings = computed(() => [
  { value: 'measure' as const, label: 'Measure' },
  ...(draft.cut.whole ? [{ value: 'portion' as const, label: 'Portion a whole one' }] : []),
  { value: 'prepare' as const, label: 'Get it ready' }
])
watch(doings, list => {
  if (!list.some(d => d.value === doing.value)) doing.value = 'measure'
})
</script>

<template>
  <div class="place">
    <main>
      <pieces-row />
      <h1>{{ draft.cut.name }} on the bench</h1>
      <div ref="which" class="which">
        <label :for="id">The cut</label>
        <a-auto-complete
          :id="id"
          v-model:value="written"
          class="cut"
          :options="offered"
          :default-active-first-option="true"
          @dropdown-visible-change="(is: boolean) => (open = is)"
          @focus="written = ''"
          @blur="written = draft.cut.name"
          @select="(name: unknown) => take(String(name))"
        />
        <router-link to="/counter">or find it on the side of beef</router-link>
      </div>
      <p v-if="route.query['on'] === 'fire'" class="on" role="status">
        It is on already? Say what it is and how thick, about. Then light the stove, and say with “I’m late” when it went in.
      </p>
      <p v-else class="quiet">
        {{ units.say('Measure the thickness with a ruler at the middle: 5 mm are the difference between rare and grey.') }}
      </p>

      <tab-row v-model="doing" label="At the bench" :options="doings">
        <template #measure><measure-board /></template>
        <template #portion><portion-board @taken="doing = 'measure'" /></template>
        <template #prepare><prepare-list /></template>
      </tab-row>
    </main>
    <agree-side />
  </div>
</template>

<style scoped>
.which {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin: 6px 0;
}
.which label {
  font-size: 13px;
  color: var(--ink-2);
}
.cut {
  width: 240px;
}
.on {
  border-left: 3px solid var(--brass);
  padding: 4px 12px;
  background: var(--tile);
}
main a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
