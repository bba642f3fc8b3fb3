<script setup lang="ts">
/** Offered, never forced, and never while something is on the fire. */
import { Button as AButton } from 'ant-design-vue'
import { useCook } from '../stores/cook'
import { useNewerVersion } from './useNewerVersion'

const cook = useCook()
const take = useNewerVersion()
</script>

<template>
  <p v-if="take && !cook.underWay" class="over-all quiet" role="status">
    A newer version is here.
    <a-button size="small" @click="take()">Use it</a-button>
  </p>
</template>
