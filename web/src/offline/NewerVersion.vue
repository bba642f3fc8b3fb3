<script setup lang="ts">
/** Offered, never forced, and never while something is on the fire. */
import { Button as AButton } from 'ant-design-vue'
import { useCook } from '../stores/cook'
import { useNewerVersion } from './useNewerVersion'

const cook = useCook()
const take = useNewerVersion()
</script>

<template>
  <p v-if="take && !cook.underWay" class="newer" role="status">
    A newer version is here.
    <a-button size="small" @click="take()">Use it</a-button>
  </p>
</template>

<style scoped>
.newer {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: center;
  margin: 0;
  padding: 8px 16px;
  border-bottom: 1px solid var(--rule);
  font-size: 15px;
  color: var(--ink-2);
}
</style>
