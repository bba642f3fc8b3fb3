<script setup lang="ts">
/** The pages of the Fire, by name. */
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useDraft } from '../../stores/draft'
import { methodPath } from './methodPath'

const route = useRoute()
const draft = useDraft()
// By itself: of the draft only another method changes it, not every turn of a dial.
const planned = computed(() => methodPath(draft.request.method.kind))
const pages = computed(() => [
  { to: planned.value, name: 'The plan' },
  { to: '/fire/methods', name: 'Every way' },
  { to: '/fire/doneness', name: 'Doneness and guests' },
  { to: '/fire/kit', name: 'Kit' }
])
</script>

<template>
  <nav class="tabs" aria-label="Fire">
    <router-link v-for="p in pages" :key="p.to" :to="p.to" :aria-current="route.path === p.to ? 'page' : undefined">{{
      p.name
    }}</router-link>
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  margin: -8px 0 12px;
  border-bottom: 1px solid var(--rule);
}
a {
  color: var(--ink-2);
  padding: 6px 0 7px;
  border-bottom: 3px solid transparent;
  text-decoration: none !important;
}
a:hover {
  color: var(--ink);
}
a[aria-current] {
  color: var(--ink);
  font-weight: 600;
  border-bottom-color: var(--oxblood);
}
</style>
