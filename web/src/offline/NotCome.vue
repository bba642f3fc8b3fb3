<script setup lang="ts">
/** A place that could not be fetched: said, instead of a link that does nothing or a page with nothing on it. */
import { Button as AButton } from 'ant-design-vue'
import { shallowRef } from 'vue'
import { useRouter, type RouteLocationNormalized } from 'vue-router'

const router = useRouter()
const missing = shallowRef<RouteLocationNormalized | null>(null)
const trying = shallowRef(false)
router.onError((_error, to) => (missing.value = to))
router.afterEach((_to, _from, failure) => {
  if (!failure) missing.value = null
})

async function again(): Promise<void> {
  if (!missing.value) return
  // Where nothing stands there is nothing to lose, and a browser may remember that a part did not come.
  if (router.currentRoute.value.matched.length === 0) return location.reload()
  trying.value = true
  await router.push(missing.value.fullPath).catch(() => undefined)
  trying.value = false
}
</script>

<template>
  <p v-if="missing" class="over-all" role="alert">
    {{ missing.meta['title'] ?? 'The page' }}: this place has not come, nothing answers. What was said here is kept.
    <a-button size="small" :loading="trying" @click="again()">Try again</a-button>
  </p>
</template>
