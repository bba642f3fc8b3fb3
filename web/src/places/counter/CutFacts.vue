<script setup lang="ts">
/** Everything known of one cut. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { REGION_NAMES, REGIONS, SOURCES, tendernessWord, type Cut } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { showLength, showMass, shownText } from '#core/quantity/format'
import { useCounter } from '../../stores/counter'
import { useUnits } from '../../stores/units'

const props = defineProps<{ cut: Cut }>()
const counter = useCounter()
const units = useUnits()

const percent = ([low, high]: readonly [number, number]): string => `${Math.round(100 * low)}–${Math.round(100 * high)} %`
const lengths = ([low, high]: readonly [number, number]): string => {
  const [a, b] = [showLength(low, units.system), showLength(high, units.system)]
  return `${a.figure}–${shownText(b)}`
}
const masses = ([low, high]: readonly [number, number]): string =>
  `${shownText(showMass(low, units.system))} – ${shownText(showMass(high, units.system))}`
const grain = computed(() =>
  props.cut.grain.text.includes('slice') ? `${props.cut.grain.text}.` : `${props.cut.grain.text}. ${props.cut.slice.text}`
)
const force = computed(() =>
  units.system === 'metric' ? `${props.cut.shear.kg.toFixed(1)} kg to shear` : `${(props.cut.shear.kg * 2.20462).toFixed(1)} lb to shear`
)
</script>

<template>
  <div>
    <p v-if="cut.braise" class="braise" role="alert">
      <strong>Not for pan, oven or coals.</strong> {{ units.say(`${cut.braise.because} ${cut.braise.outline}`) }} Braises are not planned
      here.
    </p>
    <h3>Heat</h3>
    <dl>
      <div v-for="s in cut.suits" :key="s.heat">
        <dt>{{ s.heat }}</dt>
        <dd>{{ units.say(s.because) }}</dd>
      </div>
    </dl>
    <h3>The piece</h3>
    <dl>
      <div>
        <dt>Tenderness</dt>
        <dd>{{ tendernessWord(cut) }}, {{ force }}</dd>
      </div>
      <div>
        <dt>Fat in it</dt>
        <dd>{{ percent(cut.fat) }}</dd>
      </div>
      <div>
        <dt>Usually</dt>
        <dd>{{ lengths(cut.shape.thicknessMm) }} thick, {{ masses(cut.shape.weightG) }}</dd>
      </div>
      <div v-if="cut.whole">
        <dt>Whole</dt>
        <dd>{{ lengths(cut.whole.lengthMm) }} long, {{ masses(cut.whole.weightG) }}</dd>
      </div>
      <div>
        <dt>A diner</dt>
        <dd>
          {{ shownText(showMass(cut.gramsPerDiner, units.system)) }} bought; {{ Math.round(cut.trim * 100) }}&nbsp;% of it goes in the pan
        </dd>
      </div>
      <div>
        <dt>Made of</dt>
        <dd>
          water {{ Math.round(cut.composition.water * 100) }} %, protein {{ Math.round(cut.composition.protein * 100) }} %, fat
          {{ Math.round(cut.composition.fat * 100) }}&nbsp;%
        </dd>
      </div>
      <div>
        <dt>Grain</dt>
        <dd>{{ units.say(grain) }}</dd>
      </div>
      <div v-for="f in cut.features" :key="f.kind">
        <dt>{{ f.kind }}</dt>
        <dd>{{ units.say(`${f.where}. ${f.advice}`) }}</dd>
      </div>
    </dl>
    <h3>Mind</h3>
    <p v-for="p in cut.pitfalls" :key="p" class="mind">{{ units.say(p) }}</p>
    <h3>Instead</h3>
    <p v-for="s in cut.substitutes" :key="s.id" class="mind">
      <a-button class="link" @click="counter.choose(s.id)">{{ cutById(s.id)?.name }}</a-button>: {{ units.say(s.because) }}
    </p>
    <h3>Called</h3>
    <dl class="names">
      <div v-for="r in REGIONS.filter(k => cut.regional[k])" :key="r">
        <dt>{{ REGION_NAMES[r] }}</dt>
        <dd>{{ cut.regional[r]?.join(', ') }}</dd>
      </div>
    </dl>
    <p class="quiet source">Shear force: {{ SOURCES[cut.shear.source] }}. Names, shapes, yields: common practice, no source.</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 17px;
  margin: 16px 0 2px;
}
dl {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 10px;
  border-top: 1px solid #454b4d;
  padding: 6px 0;
}
dt {
  color: var(--chalk-2);
  font-size: 14px;
}
dd {
  margin: 0;
  font-size: 14px;
  line-height: 1.4;
}
dd::first-letter,
dt::first-letter {
  text-transform: uppercase;
}
.names > div {
  padding: 3px 0;
  border: 0;
}
.names dt,
.names dd {
  font-size: 13px;
}
.braise {
  margin: 10px 0 4px;
  line-height: 1.45;
  border-left: 3px solid var(--hot);
  padding-left: 12px;
}
.mind {
  font-size: 14px;
  line-height: 1.45;
  padding: 3px 0;
}
.source {
  font-size: 12.5px;
  margin-top: 12px;
}
</style>
