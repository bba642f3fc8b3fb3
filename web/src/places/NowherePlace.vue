<script setup lang="ts">
import { RouterLink } from 'vue-router'
</script>

<template>
  <main class="nowhere">
    <h1>There is nothing on this shelf</h1>
    <p>The address leads nowhere. <router-link to="/fire">Back to the fire</router-link></p>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 60px 28px;
}
a {
  color: var(--oxblood);
  text-decoration: underline;
}
</style>
