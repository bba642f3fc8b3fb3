<script setup lang="ts">
import { Button as AButton, Result as AResult } from 'ant-design-vue'
import { useRouter } from 'vue-router'

const router = useRouter()
</script>

<template>
  <main>
    <a-result sub-title="The address leads nowhere.">
      <template #icon><span></span></template>
      <template #title><h1>There is nothing on this shelf</h1></template>
      <template #extra>
        <a-button type="primary" @click="router.push('/fire')">Back to the fire</a-button>
        <a-button @click="router.push('/counter')">To the counter</a-button>
      </template>
    </a-result>
  </main>
</template>
