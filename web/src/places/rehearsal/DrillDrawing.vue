<script setup lang="ts">
/** What a drill asks about: a muscle on the side of beef, a cut face, or a piece that gives under a finger. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { SIDE } from '#core/meat/side'
import type { Question } from '#core/rehearsal/drills'
import { smoothPath } from '../../section/cutOutline'
import SectionDrawing from '../../section/SectionDrawing.vue'

const props = defineProps<{ shows: NonNullable<Question['shows']> }>()

const mine = computed(() =>
  'muscle' in props.shows ? (SIDE.find(m => m.id === (props.shows as { muscle: string }).muscle) ?? null) : null
)
const around = computed(() => SIDE.filter(m => m.layer === mine.value?.layer))
const section = computed(() => ('hottestC' in props.shows ? props.shows : null))
const stiffness = computed(() => ('stiffness' in props.shows ? props.shows.stiffness : null))

/** The finger goes in as far as the piece gives, and comes back as fast as it is stiff. */
const pressed = ref(false)
const DEEPEST = 46
const depth = computed(() => (pressed.value ? DEEPEST * (1 - 0.92 * (stiffness.value ?? 1)) : 0))
const dent = computed(() => {
  const d = depth.value
  return `M10 60 C 90 60 118 60 132 ${60 + d * 0.5} Q 150 ${60 + d} 168 ${60 + d * 0.5} C 182 60 210 60 290 60 L 290 128 Q 150 140 10 128 Z`
})
const seconds = computed(() => (0.25 + 0.5 * (1 - (stiffness.value ?? 1))).toFixed(2))
</script>

<template>
  <svg v-if="mine" class="side" viewBox="0 56 1000 440" role="img" aria-label="A side of beef with one muscle marked">
    <path v-for="m in around" :key="m.id" :d="smoothPath(m.outline)" :class="{ marked: m.id === mine.id }" />
  </svg>
  <section-drawing
    v-else-if="section"
    plain
    class="face"
    :width-mm="90"
    :thickness-mm="section.edgesMm[section.edgesMm.length - 1]"
    fat-edge
    :fat-share="0.08"
    :field="{ hottest: section.hottestC }"
    :edges-mm="section.edgesMm"
    :core="null"
    :height="190"
  />
  <div v-else class="press">
    <svg viewBox="0 0 300 150" role="img" :aria-label="pressed ? 'A finger pressing the piece' : 'A finger over the piece'">
      <path class="meat" :d="dent" :style="{ transitionDuration: `${seconds}s` }" />
      <g class="finger" :style="{ transform: `translateY(${depth - 2}px)`, transitionDuration: `${seconds}s` }">
        <path d="M136 -30 L136 42 Q150 66 164 42 L164 -30 Z" />
        <path class="nail" d="M142 34 Q150 46 158 34 L157 24 L143 24 Z" />
      </g>
    </svg>
    <a-button
      @pointerdown="pressed = true"
      @pointerup="pressed = false"
      @pointerleave="pressed = false"
      @keydown.space="pressed = true"
      @keyup.space="pressed = false"
      >Press and hold</a-button
    >
  </div>
</template>

<style scoped>
.side {
  width: 100%;
  max-height: 236px;
}
.side path {
  fill: #d9d3c8;
  stroke: #8b857b;
  stroke-width: 2;
}
.side .marked {
  fill: var(--oxblood);
  stroke: #3f0f12;
}
.face {
  max-width: 420px;
}
.press {
  max-width: 420px;
}
.press svg {
  width: 100%;
}
.meat {
  fill: #7d2a33;
  stroke: #3f1518;
  stroke-width: 2;
  transition: d 0.4s ease-out;
}
.finger {
  transition: transform 0.4s ease-out;
}
.finger path {
  fill: #d8b59a;
  stroke: #7a5c48;
  stroke-width: 2;
}
.finger .nail {
  fill: #ecd4c2;
}
</style>
