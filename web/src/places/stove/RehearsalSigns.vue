<script setup lang="ts">
/** What a cook would see, hear and feel of the piece, in words and in our own drawing; a finger on it, and a thermometer where there is one. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import type { Shade } from '#core/rehearsal/browning'
import { showTemperature, shownText } from '#core/quantity/format'
import { useClock } from '../../stores/clock'
import { useKit } from '../../stores/kit'
import { useRehearsal } from '../../stores/rehearsal'
import { useStove } from '../../stores/stove'
import { useUnits } from '../../stores/units'
import { useHiss } from '../../ui/useHiss'

const props = defineProps<{ cookId: string; readable: boolean }>()
const clock = useClock()
const rehearsal = useRehearsal()
const kit = useKit()
const units = useUnits()
const signs = computed(() => rehearsal.signsOf(props.cookId))

const COLOURS: Record<Shade, string> = {
  raw: '#8c2a3a',
  grey: '#8d857c',
  straw: '#c2a36b',
  hazelnut: '#9a6b3c',
  chestnut: '#6b3f22',
  'near black': '#2b1a12'
}
/** Strokes of the hiss: as many as it is loud. */
const STROKES = 9
const stove = useStove()
useHiss(
  computed(() => (clock.speed === 0 ? 0 : (signs.value?.hiss?.loud ?? 0))),
  computed(() => stove.caller.muted)
)
const strokes = computed(() => Math.round((signs.value?.hiss?.loud ?? 0) * STROKES))

/** What the thermometer showed last, as this cook's shows it. */
const shown = computed(() => {
  const { readings = [] } = stove.forecasts.get(props.cookId)?.progress.value ?? {}
  const last = readings.at(-1)
  return last ? `shows ${shownText(showTemperature(kit.shows(last.coreC), units.system, 1))}` : ''
})
/** What the finger felt, for as long as one remembers it. */
const pressed = ref('')
watch(
  () => props.cookId,
  () => (pressed.value = '')
)
const press = (): void => void (pressed.value = signs.value?.feel ?? '')
</script>

<template>
  <div v-if="signs" class="signs" aria-label="Signs" role="group">
    <p v-if="signs.flames" class="sign flames" role="alert">Flames under the meat. Out with it.</p>
    <p v-if="signs.pan" class="sign"><span class="of">The pan</span> {{ signs.pan }}</p>
    <p v-if="signs.fire" class="sign">
      <span class="of">The {{ signs.fire.of }}</span> {{ signs.fire.word }}
    </p>
    <p v-if="signs.hiss" class="sign">
      <span class="of">It makes</span> {{ signs.hiss.word === 'silent' ? 'no sound' : signs.hiss.word }}
      <svg width="64" height="18" aria-hidden="true">
        <line v-for="i in STROKES" :key="i" :x1="i * 7" :x2="i * 7" :y1="i <= strokes ? 2 : 8" y2="16" :class="{ heard: i <= strokes }" />
      </svg>
    </p>
    <p v-if="signs.shade" class="sign">
      <span class="of">The face that shows</span> {{ signs.shade }}
      <span class="swatch" :style="{ background: COLOURS[signs.shade] }" aria-hidden="true"></span>
    </p>
    <p v-if="signs.smoke !== 'none' && !signs.pan" class="sign"><span class="of">Smoke</span> {{ signs.smoke }}</p>
    <p v-if="pressed" class="sign" role="status"><span class="of">Under the finger</span> {{ pressed }}</p>
    <p v-if="shown" class="sign" role="status"><span class="of">The thermometer</span> {{ shown }}</p>
    <span v-if="signs.feel" class="does">
      <a-button @click="press">Press it</a-button>
      <a-button v-if="readable && clock.rehearsing?.probe" @click="rehearsal.probe(cookId)">Put the thermometer in</a-button>
    </span>
  </div>
</template>

<style scoped>
.signs {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 22px;
  padding: 10px 0;
  border-top: 1px solid #30383c;
  margin-top: 14px;
}
.sign {
  margin: 0;
  font-size: 19px;
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.of {
  color: #a9aeaa;
  font-size: 16px;
}
.flames {
  color: var(--hot);
  font-weight: 600;
}
line {
  stroke: #4a5357;
  stroke-width: 3;
}
line.heard {
  stroke: var(--chalk);
}
.swatch {
  width: 34px;
  height: 18px;
  border: 1px solid #5a6367;
  border-radius: 2px;
}
.does {
  display: inline-flex;
  gap: 8px;
}
.does :deep(.ant-btn) {
  min-height: 44px;
}
</style>
