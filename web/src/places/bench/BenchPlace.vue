<script setup lang="ts">
/** What have I got: the piece measured, and its weight and size held against each other. */
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { floorAreaM2 } from '#core/kit/pan'
import { panOf } from '#core/plan/request'
import { keepingOf } from '#core/meat/larder'
import {
  coatsFor,
  faceAreaM2,
  OUTSIDE_LIMITS_MM,
  outsideOf,
  PIECE_LIMITS,
  SURFACES,
  weightFromSize,
  type Intact,
  type Outside,
  type Piece,
  type SurfaceState
} from '#core/meat/piece'
import { NOT_INTACT_C } from '#core/safety/cautions'
import { bandOf, PUBLIC_HEALTH, scaleOf } from '#core/doneness/scale'
import type { Measure } from '#core/meat/contradiction'
import { showLength, showMass, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import QuantityField from '../../ui/QuantityField.vue'
import TabRow from '../../ui/TabRow.vue'
import { useDraft } from '../../stores/draft'
import { usePlanner } from '../../stores/planner'
import { usePreparation } from '../../stores/preparation'
import { useUnits } from '../../stores/units'
import { askWorker } from '../../workers/planner'
import MeasuredPiece from './MeasuredPiece.vue'
import PortionBoard from './PortionBoard.vue'
import PrepareList from './PrepareList.vue'

const draft = useDraft()
const units = useUnits()
const router = useRouter()
const planner = usePlanner()
const preparation = usePreparation()

type Doing = 'measure' | 'portion' | 'prepare'
const doing = ref<Doing>('measure')
const doings = computed(() => [
  { value: 'measure' as const, label: 'Measure' },
  ...(draft.cut.whole ? [{ value: 'portion' as const, label: 'Portion a whole one' }] : []),
  { value: 'prepare' as const, label: 'Get it ready' }
])
watch(doings, list => {
  if (!list.some(d => d.value === doing.value)) doing.value = 'measure'
})

const piece = computed(() => draft.request.piece)
const log = computed(() => piece.value.form === 'roast')
const round = computed(() => draft.cut.shape.outline === 'round' && !log.value)
const surfaces = (Object.keys(SURFACES) as SurfaceState[]).map(value => ({
  value,
  label: SURFACES[value].label,
  hint: SURFACES[value].means
}))

const usual = (range: readonly [number, number], show: (v: number) => string): string => `usually ${show(range[0])} to ${show(range[1])}`
const length = (mm: number): string => shownText(showLength(mm, units.system))
const mass = (g: number): string => shownText(showMass(g, units.system))

function measure(part: Partial<Piece>): void {
  const { thinEndMm } = piece.value
  const fits =
    part.thicknessMm === undefined || thinEndMm === undefined ? part : { ...part, thinEndMm: Math.min(thinEndMm, part.thicknessMm) }
  draft.changePiece(round.value && part.lengthMm !== undefined ? { ...fits, widthMm: part.lengthMm } : fits)
}
function wedge(on: boolean): void {
  if (on) {
    measure({ thinEndMm: Math.round(0.7 * piece.value.thicknessMm) })
    return
  }
  const { thinEndMm: _, ...even } = piece.value
  draft.put(even)
}

const outside = computed(() => outsideOf(piece.value))
function cover(part: Partial<Outside>): void {
  const { coats: _, ...bare } = piece.value
  const coats = coatsFor({ ...outside.value, ...part }, piece.value.form)
  draft.change({ piece: coats.length > 0 ? { ...bare, coats } : bare })
}
const OUTSIDES: readonly { key: keyof Outside; label: string }[] = [
  { key: 'boneMm', label: 'Bone along it' },
  { key: 'fatMm', label: 'Cap of fat' },
  { key: 'pasteMm', label: 'Crust of paste' }
]

const intacts: { value: Intact; label: string }[] = [
  { value: 'yes', label: 'whole muscle' },
  { value: 'no', label: 'needled or rolled' },
  { value: 'unknown', label: 'not known' }
]
/** Where the thin end comes out, worked out off the page for the plan as it stands. */
const thinEnd = shallowRef<{ readonly of: unknown; readonly peak: number | null } | null>(null)
watch(
  () => planner.current,
  async current => {
    if (!current || current.request.piece.thinEndMm === undefined) return
    const peak = await askWorker(w => w.thinEnd(current.request, current.plan))
    if (planner.current === current) thinEnd.value = { of: current, peak }
  },
  { immediate: true }
)
const thinEndText = computed(() => {
  const found = thinEnd.value
  if (!found || found.of !== planner.current || found.peak === null || !planner.current) return null
  const { request } = planner.current
  const word = bandOf(scaleOf(request), found.peak).word
  return `${word}, ${shownText(showTemperature(found.peak, units.system))}`
})
const keeping = computed(() => (preparation.packet ? keepingOf(preparation.packet, Date.now()) : null))

const NAMES: Record<Measure, string> = { thicknessMm: 'thickness', weightG: 'weight', lengthMm: 'length', widthMm: 'width' }
const culpritName = computed(() => {
  const found = draft.contradiction
  if (!found) return ''
  return round.value && found.culprit === 'lengthMm' ? 'diameter' : NAMES[found.culprit]
})
const fit = computed(() => {
  const found = draft.contradiction
  if (!found) return ''
  return found.culprit === 'weightG' ? mass(found.wouldFit) : length(found.wouldFit)
})
function mend(): void {
  const found = draft.contradiction
  if (!found) return
  const value = found.culprit === 'weightG' ? Math.round(found.wouldFit / 5) * 5 : Math.round(found.wouldFit)
  measure({ [found.culprit]: value })
}

const area = computed(() => faceAreaM2(piece.value, draft.cut))
const areaText = computed(() =>
  units.system === 'metric' ? `${Math.round(area.value * 1e4)} cm²` : `${Math.round(area.value * 1550)} sq in`
)
const pan = computed(() => panOf(draft.request))
const covered = computed(() => (pan.value ? Math.round(((area.value * piece.value.count) / floorAreaM2(pan.value)) * 100) : 0))
const called = computed(() => mass(weightFromSize(piece.value, draft.cut)))
const fridge = computed(
  () =>
    `a fridge is about ${shownText(showTemperature(4, units.system))}; half an hour out adds ${showTemperatureRise(3, units.system).figure} to ${shownText(showTemperatureRise(6, units.system))}`
)
const filmText = computed(() => {
  const grams = SURFACES[piece.value.surface].filmKgM2 * 2 * area.value * 1000
  return units.system === 'metric' ? `${grams.toFixed(1)} g` : `${(grams / 28.35).toFixed(2)} oz`
})
</script>

<template>
  <div class="place">
    <main>
      <h1>{{ draft.cut.name }} on the bench</h1>
      <p class="quiet">
        Measure the thickness with a ruler at the middle: five millimetres is the difference between rare and grey.
        <router-link to="/counter">Another cut</router-link>
      </p>

      <tab-row v-model="doing" label="At the bench" :options="doings" />
      <portion-board v-if="doing === 'portion'" @taken="doing = 'measure'" />
      <prepare-list v-else-if="doing === 'prepare'" />
      <template v-else>
        <measured-piece
          class="drawing"
          :length-mm="piece.lengthMm"
          :thickness-mm="piece.thicknessMm"
          :thin-end-mm="piece.thinEndMm"
          :fat-edge="draft.cut.fatEdge"
          :fat-share="draft.cut.composition.fat"
          @thickness="v => measure({ thicknessMm: v })"
          @thin-end="v => measure({ thinEndMm: v })"
        />

        <div class="fields">
          <quantity-field
            :label="piece.thinEndMm === undefined ? 'Thickness' : 'Thick end'"
            dimension="length"
            :range="PIECE_LIMITS.thicknessMm"
            :model-value="piece.thicknessMm"
            :hint="usual(draft.cut.shape.thicknessMm, length)"
            @update:model-value="v => measure({ thicknessMm: v })"
            @problem="m => draft.complain('Thickness', m)"
          />
          <quantity-field
            v-if="piece.thinEndMm !== undefined"
            label="Thin end"
            dimension="length"
            :range="[PIECE_LIMITS.thicknessMm[0], piece.thicknessMm]"
            :model-value="piece.thinEndMm"
            :hint="thinEndText ? `comes out ${thinEndText}` : 'working out how it comes out…'"
            @update:model-value="v => measure({ thinEndMm: v })"
            @problem="m => draft.complain('Thin end', m)"
          />
          <quantity-field
            label="Weight of one"
            dimension="mass"
            :range="PIECE_LIMITS.weightG"
            :model-value="piece.weightG"
            :hint="usual(draft.cut.shape.weightG, mass)"
            @update:model-value="v => measure({ weightG: v })"
            @problem="m => draft.complain('Weight', m)"
          />
          <quantity-field
            :label="round ? 'Diameter' : 'Length'"
            dimension="length"
            :range="PIECE_LIMITS.lengthMm"
            :model-value="piece.lengthMm"
            :hint="usual(draft.cut.shape.lengthMm, length)"
            @update:model-value="v => measure({ lengthMm: v })"
            @problem="m => draft.complain(round ? 'Diameter' : 'Length', m)"
          />
          <quantity-field
            v-if="!round"
            label="Width"
            dimension="length"
            :range="PIECE_LIMITS.widthMm"
            :model-value="piece.widthMm"
            :hint="usual(draft.cut.shape.widthMm, length)"
            @update:model-value="v => measure({ widthMm: v })"
            @problem="m => draft.complain('Width', m)"
          />
          <quantity-field
            label="Temperature inside"
            dimension="temperature"
            :range="PIECE_LIMITS.startC"
            :model-value="piece.startC"
            :hint="fridge"
            @update:model-value="v => measure({ startC: v })"
            @problem="m => draft.complain('Temperature inside', m)"
          />
          <choice-row
            class="count"
            label="How many together"
            :model-value="String(piece.count)"
            :options="['1', '2', '3', '4'].map(n => ({ value: n, label: n }))"
            @update:model-value="v => measure({ count: Number(v) })"
          />
        </div>
        <div class="also">
          <label v-if="!log" class="check"
            ><input type="checkbox" :checked="piece.thinEndMm !== undefined" @change="e => wedge((e.target as HTMLInputElement).checked)" />
            It is a wedge: one end is thinner</label
          >
          <choice-row
            label="Is it intact"
            :model-value="piece.intact ?? 'yes'"
            :options="intacts"
            @update:model-value="v => measure({ intact: v })"
          />
          <label class="check"
            ><input type="checkbox" :checked="draft.table.vulnerable" @change="draft.change({ vulnerable: !draft.table.vulnerable })" /> A
            guest is pregnant, very young, old or ill</label
          >
        </div>
        <div class="outside">
          <quantity-field
            v-for="o in OUTSIDES"
            :key="o.key"
            :label="o.label"
            dimension="length"
            :range="OUTSIDE_LIMITS_MM"
            :model-value="outside[o.key]"
            @update:model-value="v => cover({ [o.key]: v })"
            @problem="m => draft.complain(o.label, m)"
          />
          <p class="quiet">How thick each is on the outside; 0 for none. Weight and sizes are of the meat without them.</p>
        </div>
        <choice-row label="Surface" :model-value="piece.surface" :options="surfaces" @update:model-value="v => measure({ surface: v })" />
        <p class="quiet surface">
          {{ SURFACES[piece.surface].means }}: about {{ filmText }} of water on both faces has to boil off before they brown.
        </p>
      </template>
    </main>

    <aside class="slate" aria-label="What the measures say">
      <h2>Do they agree?</h2>
      <template v-if="draft.contradiction">
        <p class="verdict wrong" role="alert">
          These sizes call for <strong>{{ mass(draft.contradiction.expectedG) }}</strong>, the scale says
          <strong>{{ mass(piece.weightG) }}</strong>.
        </p>
        <p class="verdict">
          Likeliest culprit: the <strong>{{ culpritName }}</strong><template v-if="draft.contradiction.slip"
            >, {{ draft.contradiction.slip }}</template
          >. {{ fit }} would fit the rest.
        </p>
        <a-button class="mend" @click="mend">Make the {{ culpritName }} {{ fit }}</a-button>
      </template>
      <p v-else class="verdict">
        Yes: sizes and weight fit a {{ draft.cut.name.toLowerCase() }}. These sizes call for {{ called }}, within a quarter of what the
        scale says.
      </p>
      <hr />
      <dl>
        <div>
          <dt>One face</dt>
          <dd>{{ areaText }}</dd>
        </div>
        <div>
          <dt>In the {{ pan?.name.toLowerCase() }}</dt>
          <dd>{{ covered }} % of its floor</dd>
        </div>
        <div>
          <dt>Grain</dt>
          <dd>{{ draft.cut.grain.text }}</dd>
        </div>
        <div>
          <dt>Mind</dt>
          <dd>{{ draft.cut.pitfalls[0] }}</dd>
        </div>
      </dl>
      <p v-if="preparation.packet && keeping" class="verdict" :class="{ wrong: keeping.state !== 'good' }">
        From the larder: use by {{ dayjs(keeping.until).format('dddd D MMM') }} ({{ keeping.why }}).
      </p>
      <p v-if="draft.table.intact !== 'yes'" class="verdict wrong" role="status">
        {{ draft.table.intact === 'no' ? 'Needled, rolled or injected: ' : 'If it was needled: ' }}what was outside is inside too. Its
        centre needs {{ shownText(showTemperature(NOT_INTACT_C, units.system)) }}.
      </p>
      <p v-if="draft.table.vulnerable" class="verdict wrong" role="status">
        For that guest: {{ shownText(showTemperature(PUBLIC_HEALTH.celsius, units.system)) }} inside and 3 min of rest. Local codes come
        first.
      </p>
      <p v-if="draft.firstProblem" class="wrong" role="status">{{ draft.firstProblem[0] }}: {{ draft.firstProblem[1] }}</p>
      <a-button class="go" block :disabled="draft.firstProblem !== undefined" @click="router.push('/fire')">To the fire</a-button>
    </aside>
  </div>
</template>

<style scoped>
main a {
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.drawing {
  margin: 16px 0 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 16px 22px;
  margin-bottom: 18px;
}
.also {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
  align-items: end;
  margin-bottom: 14px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  padding-bottom: 6px;
}
.outside {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
  margin-bottom: 14px;
}
.outside > * {
  width: 112px;
}
.outside > p {
  width: auto;
  max-width: 300px;
  font-size: 13.5px;
  padding-bottom: 2px;
}
.surface {
  margin-top: 6px;
  font-size: 14px;
}
.verdict {
  margin-top: 10px;
  line-height: 1.5;
}
.wrong {
  border-left: 3px solid var(--hot);
  padding-left: 12px;
}
.mend.ant-btn {
  margin-top: 14px;
  height: 44px;
  background: var(--slate-2);
  color: var(--chalk);
  border-color: #6b7173;
}
dl {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid #454b4d;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
  line-height: 1.4;
}
.go {
  margin-top: auto;
  position: sticky;
  bottom: 20px;
  flex: none;
}
</style>
