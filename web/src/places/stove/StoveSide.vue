<script setup lang="ts">
/** Beside the call: the piece as it should be by now, its figures, readings, and the curve with now on it. */
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { CookRecord } from '#core/book/record'
import type { Progress } from '#core/session/progress'
import { valueAt } from '#core/heat/history'
import { cutById } from '#core/meat/cuts'
import { filletThereAt } from '#core/plan/filletSide'
import type { Plan } from '#core/plan/plan'
import { showClock, showLength, showTemperature, shownText } from '#core/quantity/format'
import { degreeTicks, linePath, minuteTicks, nightOf, scale } from '../../line/axes'
import RoundSection from '../../section/RoundSection.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import { sectionOf } from '../fire/sectionOf'
import StoveProbes from './StoveProbes.vue'
import { useAgainst } from './useAgainst'
import type { Heard } from '#core/usecase/forecast'

const props = defineProps<{
  record: CookRecord
  forecast: Plan | null
  heard: Heard | null
  reckoning: boolean
  elapsed: number
  onHeat: number
  progress: Progress | null
}>()
const units = useUnits()
const cut = computed(() => cutById(props.record.request.piece.cutId))
const state = computed(() => props.progress?.state ?? 'ready')
const started = computed(() => props.progress?.laidAt != null)

const section = computed(() =>
  props.forecast && started.value ? sectionOf(props.forecast, props.record.request.piece, props.elapsed) : null
)
const round = computed(() => (section.value?.kind === 'round' ? section.value : null))
const flat = computed(() => (section.value?.kind === 'flat' ? section.value : null))
const joint = computed(() => props.record.request.piece.form === 'roast')
const core = computed(() =>
  props.forecast && started.value
    ? valueAt(props.forecast.history.time, props.forecast.history.probe, props.elapsed)
    : props.record.request.piece.startC
)
const kit = useKit()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
/** As this cook's thermometer shows it. */
const probed = (c: number): string => degrees(kit.shows(c))

const against = useAgainst(() => props)
/** The narrower of two sides has as much in it as it should, and the other has not. */
const filletThere = computed(() => {
  const at = props.forecast && state.value === 'on the heat' ? filletThereAt(props.forecast) : null
  return at !== null && props.elapsed >= at
})

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const HEIGHT = 190
const end = computed(() => (props.forecast ? Math.max(props.forecast.carve.time, props.forecast.peak.time, props.elapsed) + 60 : 60))
const x = computed(() => scale(0, end.value, 10, Math.max(60, width.value - 34), props.forecast ? nightOf(props.forecast) : []))
const y = computed(() => scale(0, Math.ceil(((props.forecast?.peak.core ?? 60) + 8) / 10) * 10, HEIGHT - 24, 10))
const past = computed(() =>
  props.forecast
    ? linePath(
        props.forecast.history.time.filter(t => t <= props.elapsed),
        props.forecast.history.probe,
        x.value,
        y.value
      )
    : ''
)
const ahead = computed(() => {
  const f = props.forecast
  if (!f) return ''
  const from = f.history.time.findIndex(t => t >= props.elapsed)
  return from < 0 ? '' : linePath(f.history.time.slice(from), f.history.probe.slice(from), x.value, y.value)
})
</script>

<template>
  <aside aria-label="The piece">
    <h2>{{ record.title }}</h2>
    <p class="quiet">
      {{
        started
          ? `${showClock(elapsed)} since it went in, ${showClock(onHeat)} at the heat`
          : `to ${degrees(record.request.target.coreC)}, ${shownText(showLength(record.request.piece.thicknessMm, units.system))} thick`
      }}
    </p>
    <round-section
      v-if="joint"
      plain
      :hottest="round?.hottest ?? [record.request.piece.startC]"
      :radii-mm="round?.radiiMm ?? [0, record.request.piece.thicknessMm / 2]"
      :aspect="round?.aspect"
      :core="core"
      :height="150"
    />
    <section-drawing
      v-else
      plain
      :width-mm="record.request.piece.widthMm"
      :thickness-mm="record.request.piece.thicknessMm"
      :fat-edge="cut?.fatEdge ?? false"
      :fat-share="cut?.composition.fat ?? 0.08"
      :field="flat?.field ?? null"
      :edges-mm="flat?.edgesMm ?? []"
      :core="core"
      :height="150"
    />
    <dl>
      <div>
        <dt>The probe should read</dt>
        <dd class="figure">{{ probed(core) }}</dd>
      </div>
      <div v-if="state !== 'resting' && state !== 'carved'">
        <dt>Off the heat at</dt>
        <dd class="figure">{{ forecast ? probed(forecast.pull.probe) : '…' }}</dd>
      </div>
      <div>
        <dt>Centre at its hottest</dt>
        <dd class="figure">{{ forecast ? probed(forecast.peak.probe) : '…' }}</dd>
      </div>
      <div v-if="forecast?.filletSide">
        <dt>Its fillet side, at its hottest</dt>
        <dd class="figure">{{ degrees(forecast.filletSide.peak.core) }}</dd>
      </div>
    </dl>
    <p v-if="against" class="against" role="status">{{ against }}</p>
    <p v-if="filletThere" class="against" role="status">The fillet side has enough: turn it to where it is cooler.</p>
    <div ref="box" class="curve">
      <svg
        v-if="width > 0 && forecast"
        :width="width"
        :height="HEIGHT"
        role="img"
        :aria-label="`Core: ${degrees(core)} now, ${degrees(forecast.peak.core)} at its peak`"
      >
        <g class="grid">
          <template v-for="t in degreeTicks(0, y.to, 4, units.system)" :key="t.celsius">
            <line :x1="10" :x2="width - 34" :y1="y(t.celsius)" :y2="y(t.celsius)" />
            <text :x="width - 30" :y="y(t.celsius) + 4">{{ t.label }}</text>
          </template>
          <text v-for="t in minuteTicks(x, width)" :key="t.seconds" :x="x(t.seconds)" :y="HEIGHT - 6" text-anchor="middle">
            {{ t.label }}
          </text>
        </g>
        <path class="ahead" :d="ahead" />
        <path class="past" :d="past" />
        <line v-if="started" class="now" :x1="x(elapsed)" :x2="x(elapsed)" :y1="6" :y2="HEIGHT - 22" />
        <circle v-for="r in progress?.readings ?? []" :key="r.time" class="read" :cx="x(r.time)" :cy="y(r.coreC)" r="5" />
      </svg>
    </div>
    <stove-probes />
  </aside>
</template>

<style scoped>
aside {
  background: #1a1f21;
  border-left: 1px solid #2a2f32;
  padding: 22px 26px;
  min-width: 0;
}
h2 {
  font-size: 22px;
}
.quiet {
  color: #a9aeaa;
  margin-bottom: 12px;
}
dl {
  margin: 10px 0 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  border-top: 1px solid #353c3f;
  padding: 7px 0;
}
dt {
  color: #b5bab6;
  font-size: 16px;
}
dd {
  margin: 0;
  font-size: 32px;
  line-height: 1.1;
}
.against {
  border-left: 3px solid var(--hot);
  padding-left: 12px;
  line-height: 1.45;
  margin: 8px 0;
}
.curve {
  margin-top: 8px;
}
.grid line {
  stroke: #353c3f;
}
text {
  fill: #a9aeaa;
  font-size: 12.5px;
}
.past {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 2.5;
}
.ahead {
  fill: none;
  stroke: var(--hot);
  stroke-width: 2.5;
  stroke-dasharray: 6 4;
}
.now {
  stroke: var(--chalk);
}
.read {
  fill: #1a1f21;
  stroke: var(--hot);
  stroke-width: 2.5;
}
@media (max-width: 900px) {
  aside {
    border-left: 0;
    border-top: 1px solid #2a2f32;
    padding: 18px 16px 30px;
  }
}
</style>
