<script setup lang="ts">
/** A cook that was left hours ago and found again: what it most likely is by now, and every way out of it. */
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed } from 'vue'
import type { CookRecord } from '#core/book/record'
import type { Left } from '#core/session/progress'
import { useCook } from '../../stores/cook'
import { momentWritten } from '../../ui/moments'
import { tell } from '../../ui/tell'

const props = defineProps<{ record: CookRecord; left: Left }>()
defineEmits<{ on: [] }>()
const cook = useCook()
const since = computed(() => dayjs(props.left.since).format(momentWritten))
const hours = computed(() =>
  props.left.hours < 36 ? `${Math.round(props.left.hours)} hours` : `${Math.round(props.left.hours / 24)} days`
)
const likely = computed(() =>
  props.left.where === 'heat'
    ? 'If its fire stayed on, it is cooked through and dry by now; if it went out, it has stood warm for hours. Look before anything else that the fire is off.'
    : 'It is as warm as the room by now. Meat that has stood out for more than two hours is not safe to eat (USDA); eaten at the time, it only was not said.'
)
/** As it most likely was: eaten, and nobody said so. */
function carvedThen(): void {
  const { id } = props.record
  if (props.left.where === 'heat') cook.say({ kind: 'pulled' }, props.left.since, [id])
  cook.say({ kind: 'carved' }, props.left.since, [id])
}
function throwAway(): void {
  const back = cook.throwAway(props.record.id)
  tell(`${props.record.title} is thrown away.`, back)
}
</script>

<template>
  <section class="left">
    <h1>Left {{ hours }} ago: {{ record.title }}</h1>
    <p>Nothing was said of it since {{ since }}. {{ likely }}</p>
    <div class="ways">
      <a-button class="way" @click="carvedThen"
        >It was eaten: end it <small>it stays in the book, as far as it was written down</small></a-button
      >
      <a-button class="way" @click="throwAway">Throw it away <small>out of the book as well</small></a-button>
      <a-button class="way" @click="$emit('on')">Carry on <small>it is still on, and I am here</small></a-button>
    </div>
  </section>
</template>

<style scoped>
h1 {
  font-size: clamp(30px, 4vw, 50px);
  line-height: 1.15;
}
p {
  font-size: 20px;
  line-height: 1.45;
  color: #d5d8d3;
  margin: 16px 0 24px;
  max-width: 760px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.way.ant-btn {
  height: auto;
  min-height: 84px;
  padding: 12px 20px;
  background: #20262a;
  border: 1px solid #30383c;
  color: var(--chalk);
  font-size: 20px;
  font-weight: 600;
  text-align: start;
  white-space: normal;
}
small {
  display: block;
  font-size: 15px;
  font-weight: 400;
  color: #b5bab6;
}
</style>
