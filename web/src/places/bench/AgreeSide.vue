<script setup lang="ts">
/** Weight and size held against each other, and what else the measures say. */
import { Button as AButton } from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { PUBLIC_HEALTH } from '#core/doneness/scale'
import type { Measure } from '#core/meat/contradiction'
import { keepingOf } from '#core/shop/larder'
import { faceAreaM2, weightFromSize } from '#core/meat/piece'
import { showLength, showMass, showTemperature, shownText, withArticle } from '#core/quantity/format'
import { by } from '#core/request/request'
import { batchesOf, coverage } from '#core/request/setup'
import { NOT_INTACT_C } from '#core/safety/cautions'
import { useDraft } from '../../stores/draft'
import { usePreparation } from '../../stores/preparation'
import { useUnits } from '../../stores/units'

const draft = useDraft()
const units = useUnits()
const router = useRouter()
const preparation = usePreparation()
const piece = computed(() => draft.request.piece)
const length = (mm: number): string => shownText(showLength(mm, units.system))
const mass = (g: number): string => shownText(showMass(g, units.system))
const keeping = computed(() => (preparation.packet ? keepingOf(preparation.packet, Date.now()) : null))

const NAMES: Record<Measure, string> = { thicknessMm: 'thickness', weightG: 'weight', lengthMm: 'length', widthMm: 'width' }
const culpritName = computed(() => {
  const found = draft.contradiction
  if (!found) return ''
  return draft.round && found.culprit === 'lengthMm' ? 'diameter' : NAMES[found.culprit]
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
  draft.measure({ [found.culprit]: value })
}

const area = computed(() => faceAreaM2(piece.value, draft.cut))
const areaText = computed(() =>
  units.system === 'metric' ? `${Math.round(area.value * 1e4)} cm²` : `${Math.round(area.value * 1550)} sq in`
)
const pan = computed(() => draft.request.kit.pan)
/** As they lie in it together. */
const inThePan = computed(() => {
  const { piece, kit } = draft.request
  const [together = 1, ...more] = batchesOf(by(draft.request, 'pan sear'))
  const covered = Math.round(100 * coverage({ piece: { ...piece, count: together }, kit }))
  const batches = more.length > 0 ? `${together} at a time, ${more.length + 1} batches: ` : ''
  return `${batches}${covered} % of its floor`
})
const called = computed(() => mass(weightFromSize(piece.value, draft.cut)))
</script>

<template>
  <aside class="slate" aria-label="What the measures say">
    <h2>Do they agree?</h2>
    <p v-if="draft.firstProblem" class="verdict wrong" role="status">{{ draft.firstProblem[0] }}: {{ draft.firstProblem[1] }}</p>
    <template v-else-if="draft.contradiction">
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
      Yes: sizes and weight fit {{ withArticle(draft.cut.name.toLowerCase()) }}. These sizes call for {{ called }}, within a quarter of what
      the scale says.
    </p>
    <hr />
    <dl>
      <div>
        <dt>One face</dt>
        <dd>{{ areaText }}</dd>
      </div>
      <div>
        <dt>In the {{ pan.name.toLowerCase() }}</dt>
        <dd>{{ piece.lengthMm > pan.diameterMm ? 'longer than its floor' : inThePan }}</dd>
      </div>
      <div>
        <dt>Grain</dt>
        <dd>{{ units.say(draft.cut.grain.text) }}</dd>
      </div>
      <div>
        <dt>Mind</dt>
        <dd>{{ units.say(draft.cut.pitfalls[0]) }}</dd>
      </div>
    </dl>
    <p v-if="preparation.packet && keeping" class="verdict" :class="{ wrong: keeping.state !== 'good' }">
      From the larder: use by {{ dayjs(keeping.until).format('dddd D MMM') }} ({{ keeping.why }}).
    </p>
    <p v-if="draft.table.intact !== 'yes'" class="verdict wrong" role="status">
      {{ draft.table.intact === 'no' ? 'Needled, rolled or injected: ' : 'If it was needled: ' }}what was outside is inside too. Its centre
      needs {{ shownText(showTemperature(NOT_INTACT_C, units.system)) }}.
    </p>
    <p v-if="draft.table.vulnerable" class="verdict wrong" role="status">
      For that guest: {{ shownText(showTemperature(PUBLIC_HEALTH.celsius, units.system)) }} inside and 3 min of rest. Local codes come
      first.
    </p>
    <a-button class="go" block :disabled="draft.firstProblem !== undefined" @click="router.push('/fire')">To the fire</a-button>
  </aside>
</template>

<style scoped>
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
  bottom: calc(20px + var(--foot, 0px));
  flex: none;
}
</style>
