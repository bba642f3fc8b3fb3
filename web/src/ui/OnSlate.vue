<script setup lang="ts">
/** The library's parts as they look on the dark sheet at the right, or, in service, at the stove. */
import { ConfigProvider as AConfigProvider } from 'ant-design-vue'
import { serviceTheme, slateTheme } from '../theme/antTheme'

defineProps<{ service?: boolean }>()
</script>

<template>
  <a-config-provider :theme="service ? serviceTheme : slateTheme" :auto-insert-space-in-button="false"><slot /></a-config-provider>
</template>
