<script setup lang="ts">
/** An open hand, palm up: the thumb laid to one finger after the other, the pad under it the darker the tighter. */
import { computed } from 'vue'
import { PADS } from '#core/rehearsal/hand'

const props = defineProps<{ pad: number }>()
/** Tips of the four fingers, first to little. */
const TIPS = [
  { x: 128, top: 44 },
  { x: 166, top: 26 },
  { x: 203, top: 40 },
  { x: 238, top: 70 }
] as const
const WIDE = 30
const FOOT = 168
const thumb = computed(() => {
  const tip = props.pad === 0 ? { x: 44, y: 132 } : { x: TIPS[props.pad - 1].x, y: 150 - 6 * props.pad }
  const bend = props.pad === 0 ? { x: 60, y: 196 } : { x: (92 + tip.x) / 2 - 6, y: 216 - 8 * props.pad }
  return `M108 268 Q ${bend.x} ${bend.y + 6} ${tip.x} ${tip.y}`
})
const tight = computed(() => 0.15 + 0.18 * props.pad)
</script>

<template>
  <svg viewBox="0 0 300 330" class="hand" role="img" :aria-label="`A hand, ${PADS[pad]}`">
    <rect v-for="t in TIPS" :key="t.x" :x="t.x - WIDE / 2" :y="t.top" :width="WIDE" :height="FOOT - t.top + 20" rx="15" class="skin" />
    <path d="M112 172 Q 180 150 254 172 Q 268 244 238 296 L 234 329 L 142 329 L 136 304 Q 94 262 112 172 Z" class="skin" />
    <ellipse cx="132" cy="248" rx="30" ry="40" transform="rotate(-14 132 248)" class="pad" :style="{ opacity: tight }" />
    <path :d="thumb" class="thumb-edge" />
    <path :d="thumb" class="thumb" />
  </svg>
</template>

<style scoped>
.hand {
  width: 100%;
  max-width: 300px;
  display: block;
  margin-bottom: 8px;
}
.skin {
  fill: #dcc0a8;
  stroke: #7a5c48;
  stroke-width: 2;
}
.pad {
  fill: #8c3b34;
}
.thumb-edge,
.thumb {
  fill: none;
  stroke-linecap: round;
}
.thumb-edge {
  stroke: #7a5c48;
  stroke-width: 36;
}
.thumb {
  stroke: #dcc0a8;
  stroke-width: 32;
}
</style>
