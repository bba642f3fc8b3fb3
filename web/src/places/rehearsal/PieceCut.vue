<script setup lang="ts">
/** One piece cut open: as it was served, as it was wanted, as it would have been if cut at once; what each decision cost; and all of it once more. */
import { Slider as ASlider } from 'ant-design-vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import type { CookRecord } from '#core/book/record'
import { cutById, CUTS } from '#core/meat/cuts'
import { showClock, showTemperature, shownText } from '#core/quantity/format'
import type { CutOpen } from '#core/rehearsal/cutOpen'
import { hiddenTexts, noticed, pricedText, probedText } from '#core/rehearsal/words'
import RoundSection from '../../section/RoundSection.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useUnits } from '../../stores/units'

const CookChart = defineAsyncComponent(() => import('../book/CookChart.vue'))
const props = defineProps<{ record: CookRecord; cut: CutOpen; named: boolean }>()
const units = useUnits()
const piece = computed(() => props.record.request.piece)
const of = computed(() => cutById(piece.value.cutId) ?? CUTS[0])
const degrees = (c: number, digits = 0): string => shownText(showTemperature(c, units.system, digits))

const last = props.cut.frames.length - 1
const frame = ref(last)
const shown = computed(() => props.cut.frames[frame.value])
const three = computed(() => {
  const { served, wanted, atOnce } = props.cut.sections
  const now = frame.value === last ? served.hottestC : shown.value.hottestC
  const core = frame.value === last ? props.cut.served.peakC : shown.value.coreC
  return [
    { name: frame.value === last ? 'Served' : `At ${showClock(shown.value.timeS)}`, section: { ...served, hottestC: now }, core },
    { name: 'As it was wanted', section: wanted, core: props.cut.wanted.peakC },
    { name: 'If it had been cut at once', section: atOnce, core: null }
  ]
})
const withTruth = computed(() => ({
  ...props.record,
  log: { name: 'what it truly was', seconds: props.cut.curve.timeS, celsius: props.cut.curve.coreC }
}))
const prices = computed(() => props.cut.prices.map(p => pricedText(p, props.cut.served, units.system)))
const hidden = computed(() => hiddenTexts(props.cut.hidden, props.record.request, units.system))
const minus = computed(() => noticed(props.cut, units.system))
const tip = { formatter: (i?: number): string => showClock(props.cut.frames[i ?? 0].timeS) }
</script>

<template>
  <section class="piece" :aria-label="record.title">
    <h2 v-if="named">{{ record.title }}</h2>
    <div class="said">
      <p class="points">
        <b class="figure">{{ cut.score.points }}</b> of 100
      </p>
      <p v-if="minus.length === 0">Nobody at the table would notice anything.</p>
      <ul v-else>
        <li v-for="m in minus" :key="m">{{ m }}</li>
      </ul>
      <p class="figures">
        The middle came to <b>{{ degrees(cut.served.peakC, 1) }}</b>, wanted was {{ degrees(cut.targetC) }}. It was
        <b>{{ degrees(cut.served.carvedC, 1) }}</b> as it was cut, {{ Math.round(100 * cut.served.loss) }} % lighter than raw, with about
        {{ cut.served.boardMl }} ml on the board<template v-if="cut.served.crust">; its crust is {{ cut.served.crust.shade }}</template
        >.
      </p>
    </div>
    <div class="three">
      <figure v-for="s in three" :key="s.name">
        <figcaption>{{ s.name }}</figcaption>
        <round-section
          v-if="s.section.round"
          plain
          :hottest="s.section.hottestC"
          :radii-mm="s.section.edgesMm"
          :core="s.core"
          :height="190"
        />
        <section-drawing
          v-else
          plain
          :width-mm="piece.widthMm"
          :thickness-mm="s.section.edgesMm[s.section.edgesMm.length - 1]"
          :fat-edge="of.fatEdge"
          :fat-share="of.composition.fat"
          :field="{ hottest: s.section.hottestC }"
          :edges-mm="s.section.edgesMm"
          :core="s.core"
          :height="150"
        />
        <p class="quiet">{{ s.core === null ? 'as it left the heat' : `${degrees(s.core, 1)} in the middle` }}</p>
      </figure>
    </div>
    <div class="replay">
      <label :id="`replay-${record.id}`">Go through it again</label>
      <a-slider v-model:value="frame" :min="0" :max="last" :tip-formatter="tip.formatter" :aria-labelledby="`replay-${record.id}`" />
      <span class="figure">{{ showClock(shown.timeS) }}, {{ degrees(shown.coreC) }}</span>
    </div>
    <div class="two">
      <div>
        <h3>What it cost</h3>
        <p v-if="prices.length === 0">Nothing that was decided cost anything a diner would notice.</p>
        <ul v-else>
          <li v-for="p in prices" :key="p">{{ p }}</li>
        </ul>
        <template v-if="cut.probed.length > 0">
          <h3>What the thermometer said</h3>
          <ul>
            <li v-for="p in cut.probed" :key="p.time">
              <span class="figure">{{ showClock(p.time) }}</span> {{ probedText(p, units.system) }}
            </li>
          </ul>
        </template>
        <h3>What nobody had told you</h3>
        <p v-if="hidden.length === 0">It was as it was said to be.</p>
        <ul v-else>
          <li v-for="h in hidden" :key="h">{{ h }}</li>
        </ul>
      </div>
      <cook-chart :record="withTruth" />
    </div>
  </section>
</template>

<style scoped>
.piece {
  margin-top: 20px;
  border-top: 1px solid var(--rule);
  padding-top: 14px;
}
h2 {
  font-size: 22px;
}
h3 {
  font-size: 17px;
  margin: 14px 0 4px;
}
.said {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0 26px;
  align-items: start;
}
.said > :last-child {
  margin-top: 8px;
}
.said .figures {
  grid-column: 1 / -1;
  max-width: 80ch;
}
.points {
  font-size: 18px;
  margin: 0;
  white-space: nowrap;
}
.points b {
  font-size: 46px;
  line-height: 1;
}
ul {
  margin: 0;
  padding-left: 18px;
  line-height: 1.5;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 18px;
  margin-top: 12px;
}
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  font-weight: 600;
  margin-bottom: 4px;
}
.replay {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  margin-top: 10px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 26px;
}
@media (max-width: 900px) {
  .three,
  .two {
    grid-template-columns: 1fr;
  }
  .said {
    grid-template-columns: 1fr;
  }
  .replay {
    grid-template-columns: 1fr auto;
  }
  .replay label {
    grid-column: 1 / -1;
  }
}
</style>
