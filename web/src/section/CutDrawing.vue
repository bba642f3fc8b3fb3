<script setup lang="ts">
/** A usual piece of the cut seen from above: tinted by tenderness, lined along its grain, with fat and bone where they are. */
import { computed, useId } from 'vue'
import type { Cut } from '#core/meat/cut'
import { cutPaths, grainPath } from './cutOutline'
import { tint } from './tint'

const props = defineProps<{
  cut: Cut
  /** px for each mm */
  scale: number
  width: number
  height: number
}>()
const id = useId()

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
const size = computed(() => {
  const { lengthMm, widthMm } = props.cut.shape
  const [l, w] = [middle(lengthMm), middle(widthMm)]
  const fit = Math.min(1, (props.width - 6) / (l * props.scale), (props.height - 8) / (w * props.scale))
  return { w: l * props.scale * fit, h: w * props.scale * fit }
})
const paths = computed(() => cutPaths(props.cut.profile, size.value.w, size.value.h, props.cut.fatEdge, props.cut.bone))
const fatWidth = computed(() => Math.max(2.2, Math.min(7, 7 * props.scale)))
</script>

<template>
  <svg :width="width" :height="height" aria-hidden="true">
    <defs>
      <clipPath :id="id"><path :d="paths.outline" /></clipPath>
    </defs>
    <g :transform="`translate(${(width - size.w) / 2} ${(height - size.h) / 2})`">
      <path :d="paths.outline" :fill="tint(cut)" />
      <g :clip-path="`url(#${id})`">
        <path :d="grainPath(cut.grain.runs, size.w, size.h, height < 60 ? 4 : 6)" class="grain" />
        <path v-if="paths.fat" :d="paths.fat" class="fat" :stroke-width="2 * fatWidth" />
        <path v-for="s in paths.seams" :key="s" :d="s" class="seam" />
      </g>
      <path v-if="paths.bone" :d="paths.bone" class="bone" />
    </g>
  </svg>
</template>

<style scoped>
.grain {
  fill: none;
  stroke: #fff;
  stroke-width: 0.9;
  opacity: 0.42;
}
.fat {
  fill: none;
  stroke: #ead9ae;
}
.seam {
  fill: none;
  stroke: #f0e2c0;
  stroke-width: 2.2;
}
.bone {
  fill: #f4efe2;
  stroke: #b9ad93;
  stroke-width: 1;
}
</style>
