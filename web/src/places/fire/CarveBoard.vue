<script setup lang="ts">
/** The piece on the board from above, with the knife's lines across its grain, and what each guest gets. */
import { computed, useId } from 'vue'
import { cookedColour } from '#core/doneness/colour'
import type { Cut } from '#core/meat/cut'
import { carvingOf } from '#core/meat/carve'
import type { Piece } from '#core/meat/piece'
import { showLength, showMass, shownText } from '#core/quantity/format'
import { cutPaths, grainPath } from '../../section/cutOutline'
import StepList from '../../ui/StepList.vue'
import type { ShownSection } from './sectionOf'
import { useUnits } from '../../stores/units'

const props = defineProps<{
  piece: Piece
  cut: Cut
  /** Share of its weight lost by then. */
  loss: number
  /** Hottest at the middle, °C: the colour of its slices. */
  peakC: number
  guests: number
  /** Cut open, as it is when it is carved. */
  section: ShownSection
}>()
const units = useUnits()
const id = useId()
const carving = computed(() => carvingOf(props.piece, props.cut, props.loss, props.guests))

const WIDTH = 300
const HEIGHT = 150
const drawn = computed(() => {
  const { lengthMm, widthMm } = props.piece
  const fit = Math.min((WIDTH - 8) / lengthMm, (HEIGHT - 8) / widthMm)
  const [w, h] = [lengthMm * fit, widthMm * fit]
  return { w, h, fit, paths: cutPaths(props.cut.profile, w, h, props.cut.fatEdge, props.cut.bone) }
})
/** Knife cuts: lines square to the grain, a slice apart. */
const knife = computed(() => {
  const { w, h, fit } = drawn.value
  const { knifeDegrees, sliceMm } = carving.value
  const angle = (knifeDegrees * Math.PI) / 180
  const [dx, dy] = [Math.cos(angle), -Math.sin(angle)]
  const reach = Math.hypot(w, h) / 2
  const step = sliceMm * fit
  const count = Math.floor(reach / step)
  return Array.from({ length: 2 * count + 1 }, (_, i) => {
    const off = (i - count) * step
    const [cx, cy] = [w / 2 - dy * off, h / 2 + dx * off]
    return `M${(cx - dx * reach).toFixed(1)} ${(cy - dy * reach).toFixed(1)}L${(cx + dx * reach).toFixed(1)} ${(cy + dy * reach).toFixed(1)}`
  }).join('')
})
/** From the side: the same cuts through the piece's own colours. A joint is cut straight down. */
const SIDE = 74
const side = computed(() => {
  const { w, fit } = drawn.value
  const thick = Math.min(SIDE - 6, (props.section.kind === 'flat' ? props.section.thicknessMm : props.piece.thicknessMm) * fit)
  const profile: { at: number; T: number }[] =
    props.section.kind === 'flat'
      ? props.section.field.hottest.map((T, i) => ({
          at: 1 - ((props.section as Flat).edgesMm[i] + (props.section as Flat).edgesMm[i + 1]) / 2 / (props.section as Flat).thicknessMm,
          T
        }))
      : mirroredRound(props.section)
  const step = carving.value.sliceMm * fit
  const run = carving.value.knifeDegrees === 0 ? drawn.value.h : w
  const lean = carving.value.leaning ? thick * 0.7 : 0
  const cuts = Array.from(
    { length: Math.floor(run / step) },
    (_, i) => `M${((i + 1) * step).toFixed(1)} ${thick}l${lean.toFixed(1)} ${-thick}`
  ).join('')
  return { thick, run, cuts, stops: profile.sort((a, b) => a.at - b.at).map(p => ({ at: p.at, colour: cookedColour(p.T) })) }
})
type Flat = Extract<ShownSection, { kind: 'flat' }>
function mirroredRound({ hottest, radiiMm }: Extract<ShownSection, { kind: 'round' }>): { at: number; T: number }[] {
  const outer = radiiMm[radiiMm.length - 1]
  return hottest.flatMap((T, i) => {
    const r = (radiiMm[i] + radiiMm[i + 1]) / 2 / outer
    return [
      { at: 0.5 - r / 2, T },
      { at: 0.5 + r / 2, T }
    ]
  })
}
const each = computed(() => {
  const { perGuest, slices } = carving.value
  const cuts = `${slices} slices of ${shownText(showLength(carving.value.sliceMm, units.system))}`
  return props.guests > 1
    ? `${cuts}: for ${props.guests}, about ${perGuest.slices} each, ${shownText(showMass(perGuest.grams, units.system))} a head`
    : cuts
})
const steps = computed(() => [
  ...carving.value.steps,
  ...(carving.value.leaning ? ['Hold the knife at a slant: its fibres stand upright, and a slanting slice cuts them shorter.'] : [])
])
</script>

<template>
  <section class="carve">
    <h2>Carving</h2>
    <div class="board">
      <svg :width="WIDTH" :height="HEIGHT" role="img" :aria-label="`Seen from above: the knife goes across the grain. ${each}.`">
        <defs>
          <clipPath :id="id"><path :d="drawn.paths.outline" /></clipPath>
        </defs>
        <g :transform="`translate(${(WIDTH - drawn.w) / 2} ${(HEIGHT - drawn.h) / 2})`">
          <path :d="drawn.paths.outline" :fill="cookedColour(92)" />
          <g :clip-path="`url(#${id})`">
            <path :d="grainPath(cut.grain.runs, drawn.w, drawn.h, 7)" class="grain" />
            <path v-if="drawn.paths.fat" :d="drawn.paths.fat" class="fat" />
            <path :d="knife" class="knife" :style="{ stroke: cookedColour(peakC) }" />
            <path :d="knife" class="edge" />
          </g>
          <path v-if="drawn.paths.bone" :d="drawn.paths.bone" class="bone" />
        </g>
      </svg>
      <svg class="side" :width="WIDTH" :height="SIDE" aria-hidden="true">
        <defs>
          <linearGradient :id="`${id}s`" x1="0" x2="0" y1="0" y2="1">
            <stop v-for="(s, i) in side.stops" :key="i" :offset="s.at" :stop-color="s.colour" />
          </linearGradient>
          <clipPath :id="`${id}c`"><rect :width="side.run" :height="side.thick" :rx="side.thick * 0.35" /></clipPath>
        </defs>
        <g :transform="`translate(${(WIDTH - side.run) / 2} ${(SIDE - side.thick) / 2})`" :clip-path="`url(#${id}c)`">
          <rect :width="side.run" :height="side.thick" :fill="`url(#${id}s)`" />
          <path :d="side.cuts" class="edge" />
        </g>
      </svg>
      <div class="told">
        <p>
          <strong>{{ each }}.</strong>
          <span class="quiet">
            Cooked it weighs {{ shownText(showMass(carving.cookedG, units.system)) }}{{ cut.bone ? ' off the bone' : '' }}.</span
          >
        </p>
        <step-list :steps="steps" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.carve {
  margin-top: 16px;
}
.board {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  grid-template-rows: auto auto;
  gap: 8px 22px;
  align-items: center;
}
.told {
  grid-column: 2;
  grid-row: 1 / 3;
}
.grain {
  fill: none;
  stroke: #e9d8bf;
  stroke-width: 1;
  opacity: 0.4;
}
.fat {
  fill: none;
  stroke: #d9bd83;
  stroke-width: 9;
}
.knife {
  fill: none;
  stroke-width: 4.2;
}
.edge {
  fill: none;
  stroke: #f7f2e8;
  stroke-width: 1;
}
.bone {
  fill: #f4efe2;
  stroke: #b9ad93;
}
@media (max-width: 760px) {
  .board {
    grid-template-columns: 1fr;
  }
  .told {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
