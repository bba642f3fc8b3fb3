<script setup lang="ts">
/** What have I got: the piece measured, portioned and got ready. */
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useDraft } from '../../stores/draft'
import TabRow from '../../ui/TabRow.vue'
import AgreeSide from './AgreeSide.vue'
import MeasureBoard from './MeasureBoard.vue'
import PortionBoard from './PortionBoard.vue'
import PrepareList from './PrepareList.vue'

const draft = useDraft()

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
      <h1>{{ draft.cut.name }} on the bench</h1>
      <p class="quiet">
        Measure the thickness with a ruler at the middle: five millimetres is the difference between rare and grey.
        <router-link to="/counter">Another cut</router-link>
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
main a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
