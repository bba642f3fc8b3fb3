<script setup lang="ts">
/** A call of the ticket, as large as those of the beef. */
import { computed } from 'vue'
import { usePass } from '../../stores/pass'
import { useStove, type StreamCall } from '../../stores/stove'
import StoveCall, { LATE_S } from './StoveCall.vue'

const props = defineProps<{ call: StreamCall }>()
const stove = useStove()
const pass = usePass()
const advice = computed(() =>
  [props.call.of || 'For all of it', props.call.dish ? pass.cautionOf(props.call.dish) : ''].filter(Boolean).join('. ')
)
const left = computed(() => (props.call.due === null ? null : (props.call.due - stove.now) / 1000))
const headline = computed(() => `${props.call.says} ${left.value !== null && left.value >= LATE_S ? 'in' : 'now'}`)
</script>

<template>
  <stove-call :headline="headline" :left="left" :advice="advice" :against="null" :trouble="null" />
</template>
