<script setup lang="ts">
/** A usual piece of the cut seen from above, all on one scale, hatched along its grain. */
import { computed, useId } from 'vue'
import { isTender, type Cut } from '#core/meat/cut'

const props = defineProps<{ cut: Cut }>()
const id = useId()

/** mm to px: the longest usual piece just fits. */
const SCALE = 0.26
const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
const length = computed(() => Math.min(90, middle(props.cut.shape.lengthMm) * SCALE))
const width = computed(() => Math.min(44, middle(props.cut.shape.widthMm) * SCALE))
const colour = computed(() => {
  if (!isTender(props.cut)) return '#b9a9a4'
  const share = Math.max(0, Math.min(1, (5 - props.cut.shearKg) / 2.2))
  return `rgb(${Math.round(170 - 40 * share)} ${Math.round(96 - 66 * share)} ${Math.round(98 - 58 * share)})`
})
</script>

<template>
  <svg width="92" height="46" aria-hidden="true">
    <defs>
      <pattern :id="id" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(24)">
        <line x1="0" y1="0" x2="0" y2="4" stroke="#fff" stroke-width="0.9" opacity="0.45" />
      </pattern>
    </defs>
    <g :transform="`translate(${46 - length / 2} ${23 - width / 2})`">
      <rect :width="length" :height="width" :rx="cut.shape.outline === 'round' ? width / 2 : width * 0.34" :fill="colour" />
      <rect :width="length" :height="width" :rx="cut.shape.outline === 'round' ? width / 2 : width * 0.34" :fill="`url(#${id})`" />
      <path
        v-if="cut.fatEdge"
        :d="`M ${width * 0.3} 1.2 H ${length - width * 0.3}`"
        stroke="#ead9ae"
        stroke-width="2.6"
        stroke-linecap="round"
        fill="none"
      />
    </g>
  </svg>
</template>
