<script setup lang="ts">
/** The one thing to do next, to be read from the stove; done by a large button or the space bar, called aloud once the cook has begun. */
import { timeWritten } from '../../ui/moments'
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed } from 'vue'
import type { PassCall } from '#core/service/calls'
import { showDuration, shownText } from '#core/quantity/format'
import { useStove } from '../../stores/stove'
import { useSingleKeys } from '../../ui/useSingleKeys'
import { useStaysLit } from '../../ui/useStaysLit'

const props = defineProps<{
  call: PassCall
  dish: string
  serveAt: string
  /** s before serving. */
  now: number
  begun: boolean
}>()
const emit = defineEmits<{ done: [id: string] }>()
const left = computed(() => props.call.at - props.now)
const AT_ONCE_S = 20
const when = computed(() => {
  if (Math.abs(left.value) < AT_ONCE_S) return 'now'
  const span = shownText(showDuration(Math.abs(left.value)))
  return left.value > 0 ? `in ${span}` : `${span} ago`
})
const time = computed(() => dayjs(props.serveAt).add(props.call.at, 'second').format(timeWritten))
const { caller } = useStove()
const done = (): void => emit('done', props.call.id)
useSingleKeys({ ' ': done, m: caller.toggle })
useStaysLit(() => props.begun)
</script>

<template>
  <section class="next no-print" :class="{ due: left < AT_ONCE_S }" aria-label="Next">
    <p class="when">
      <span class="figure">{{ time }}</span> <span>{{ when }}</span>
    </p>
    <p class="what">{{ call.text }}</p>
    <p class="dish">{{ dish || 'For all of it' }}</p>
    <div class="do">
      <a-button class="done" type="primary" @click="done">Done <kbd>space</kbd></a-button>
      <a-button class="mute" :aria-pressed="caller.muted" @click="caller.toggle">
        {{ caller.muted ? 'Silent' : 'Aloud' }} <kbd>M</kbd>
      </a-button>
    </div>
  </section>
</template>

<style scoped>
.next {
  border-top: 1px solid #454b4d;
  padding: 10px 0 16px;
}
.when {
  display: flex;
  align-items: baseline;
  gap: 12px;
  font-size: 19px;
  color: #cfd0c9;
}
.figure {
  font-size: 52px;
  line-height: 1.1;
  color: var(--hot-figure);
}
.due .when {
  color: var(--hot);
}
.what {
  font-size: 22px;
  line-height: 1.25;
  font-weight: 600;
}
.dish {
  color: var(--chalk-2);
  margin-top: 2px;
}
.do {
  display: flex;
  gap: 10px;
  margin-top: 12px;
}
.do .ant-btn {
  height: 56px;
}
.done {
  flex: 1;
  font-size: 19px;
  font-weight: 600;
}
kbd {
  font: inherit;
  font-size: 12.5px;
  border: 1px solid currentcolor;
  border-radius: 3px;
  padding: 1px 5px;
  margin-left: 5px;
}
</style>
