<script setup lang="ts">
/** What do I buy, and what is this packet? */
import OnSlate from '../../ui/OnSlate.vue'
import { Button as AButton, Input as AInput, Radio as ARadio, RadioGroup as ARadioGroup } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { isTender, REGION_NAMES, REGIONS, tendernessWord, type Cut, type Region } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { askWhere, findCuts, type NameMatch } from '#core/meat/names'
import { nameIn } from '#core/shop/orderSlip'
import CutDrawing from '../../section/CutDrawing.vue'
import PickField from '../../ui/PickField.vue'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import TabRow from '../../ui/TabRow.vue'
import { useCounter } from '../../stores/counter'
import { useUnits } from '../../stores/units'
import { useDraft } from '../../stores/draft'
import AskLine from './AskLine.vue'
import CompareThree from './CompareThree.vue'
import CutFacts from './CutFacts.vue'
import IdentifyPacket from './IdentifyPacket.vue'
import OrderSheet from './OrderSheet.vue'
import SideOfBeef from './SideOfBeef.vue'

const counter = useCounter()
const units = useUnits()
const draft = useDraft()
const router = useRouter()
const identifying = ref(useRoute().query['ask'] === 'packet')
const tinted = ref<'tenderness' | 'what suits me'>('tenderness')
const sheet = ref<'about' | 'order'>('about')

const matches = computed(() => findCuts(counter.query))
const where = computed(() => askWhere(counter.query))
const searching = computed(() => counter.query.trim() !== '')
const found = computed(() => (searching.value ? matches.value.map(m => m.cut.id) : null))
watch(
  () => counter.query,
  () => {
    const best = matches.value[0] as NameMatch | undefined
    if (best && !matches.value.some(m => m.cut.id === counter.chosenId)) counter.choose(best.cut.id)
    else if (best && best.distance < 1) counter.choose(best.cut.id)
  }
)
/** Best first, from 1 to 0. */
const suits = computed(() => {
  if (tinted.value === 'tenderness') return null
  const all = counter.choices
  return Object.fromEntries(all.map((c, i) => [c.cut.id, 1 - i / all.length]))
})

interface Row {
  readonly cut: Cut
  readonly called: string
  readonly says: readonly string[]
  readonly against: string
}
const rows = computed<Row[]>(() => {
  if (searching.value) {
    return matches.value.map(({ cut, name, region }) => ({
      cut,
      called: region ? `${name}, ${REGION_NAMES[region]}` : cut.muscle,
      says: cut.braise ? [cut.braise.because] : [cut.suits[0].because],
      against: ''
    }))
  }
  const ranked = counter.choices.map(c => ({
    cut: c.cut,
    called: nameIn(c.cut, counter.region),
    says: c.reasons.slice(0, 2),
    against: c.objections.join(' ')
  }))
  const rest = CUTS.filter(c => !counter.choices.some(k => k.cut.id === c.id))
  return [
    ...ranked,
    ...rest.map(cut => ({
      cut,
      called: nameIn(cut, counter.region),
      says: [],
      against: cut.braise ? 'For a braise.' : `Nothing you have suits it: ${cut.suits.map(s => s.heat).join(', ')}.`
    }))
  ]
})

function take(): void {
  if (!isTender(counter.chosen)) return
  const { pieces, thicknessMm, pieceG } = counter.slip
  draft.take(counter.chosen, { pieces, pieceG, thicknessMm })
  void router.push('/bench')
}
function choose(id: string): void {
  counter.choose(id)
}
const settle = (region: Region, cut: Cut): void => {
  counter.region = region
  counter.choose(cut.id)
  counter.query = nameIn(cut, region)
}
</script>

<template>
  <div class="place">
    <main>
      <div class="top">
        <h1>What are you after?</h1>
        <router-link to="/larder" class="larder">What is in the fridge</router-link>
      </div>
      <ask-line />

      <div class="search">
        <a-input
          v-model:value="counter.query"
          size="large"
          allow-clear
          placeholder="Or a name, in any language, or what the label says"
          aria-label="Search cuts by any name"
          @press-enter="take"
        />
        <a-button size="large" @click="identifying = !identifying">No name on it</a-button>
        <choice-row
          v-model="tinted"
          class="tinted"
          label="Tinted by"
          :options="[
            { value: 'tenderness', label: 'tenderness' },
            { value: 'what suits me', label: 'what suits me' }
          ]"
        />
      </div>
      <p v-if="where" class="where" role="status">
        “{{ where.name }}” is not the same everywhere. Where was it bought?
        <a-button v-for="m in where.means" :key="m.region" size="small" @click="settle(m.region, m.cut)">
          {{ REGION_NAMES[m.region] }}: {{ m.cut.name.toLowerCase() }}
        </a-button>
      </p>
      <p v-else-if="searching" class="quiet count" role="status">
        {{
          rows.length === 0
            ? 'No muscle by that name here. Try fewer letters, or answer a question or two: “No name on it”.'
            : rows.length === 1
              ? 'One muscle'
              : `${rows.length} muscles`
        }}
      </p>

      <identify-packet v-if="identifying" @choose="choose" @close="identifying = false" />
      <side-of-beef v-else :class="{ searching }" :chosen-id="counter.chosenId" :suits="suits" :found="found" @choose="choose" />

      <compare-three v-if="!searching && !identifying" />

      <h2 v-if="rows.length > 0" class="all">{{ searching ? 'Found' : `All ${CUTS.length} cuts, what suits you first` }}</h2>
      <a-radio-group
        class="table"
        :value="counter.chosenId"
        name="cut"
        role="radiogroup"
        aria-label="Cuts"
        @update:value="(id: string) => counter.choose(id)"
      >
        <a-radio
          v-for="r in rows"
          :key="r.cut.id"
          :value="r.cut.id"
          class="row"
          :class="{ on: r.cut.id === counter.chosenId, tough: !isTender(r.cut) }"
        >
          <cut-drawing :cut="r.cut" :scale="0.26" :width="92" :height="48" />
          <span class="called">
            <span class="name">{{ r.cut.name }}</span>
            <span class="quiet">{{ r.called }}</span>
          </span>
          <span class="tender">{{ tendernessWord(r.cut) }}</span>
          <span class="says"
            >{{ units.say(r.says.join(' ')) }} <em v-if="r.against">{{ r.against }}</em></span
          >
        </a-radio>
      </a-radio-group>
    </main>

    <on-slate>
      <aside class="slate" aria-label="The cut chosen">
        <pick-field
          class="region"
          label="Butcher in"
          :model-value="counter.region"
          :options="REGIONS.map(r => ({ value: r, label: REGION_NAMES[r] }))"
          @update:model-value="v => (counter.region = v as Region)"
        />
        <h2 class="chosen">{{ counter.chosen.name }}</h2>
        <p class="quiet">{{ nameIn(counter.chosen, counter.region) }} · {{ counter.chosen.muscle }}, {{ counter.chosen.primal }}</p>
        <tab-row
          v-model="sheet"
          class="sheets"
          label="Sheet"
          :options="[
            { value: 'about', label: 'About it' },
            { value: 'order', label: 'Order slip' }
          ]"
        >
          <template #about><cut-facts :cut="counter.chosen" /></template>
          <template #order><order-sheet /></template>
        </tab-row>
        <a-button v-if="isTender(counter.chosen)" class="go" block @click="take">Take it to the bench</a-button>
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  align-items: baseline;
  gap: 20px;
}
.larder {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--ink-2);
}
.search {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
}
.search > :first-child {
  flex: 1 1 300px;
}
.tinted {
  flex: none;
}
.where {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 8px;
}
.count {
  font-size: 14px;
  margin-top: 4px;
}
.all {
  margin: 18px 0 6px;
}
.table {
  display: block;
}
.row {
  display: flex;
  margin: 0;
  border-top: 1px solid var(--rule);
  padding: 5px 10px;
  cursor: pointer;
}
/* The whole row is the button: its dot is not shown. */
.row :deep(.ant-radio) {
  position: absolute;
  opacity: 0;
}
.row :deep(.ant-radio + span) {
  flex: 1;
  padding: 0;
  display: grid;
  grid-template-columns: 92px minmax(130px, 1fr) 110px minmax(180px, 2fr);
  gap: 0 14px;
  align-items: center;
  font-size: 14.5px;
}
.row:hover {
  background: #f6f7f4;
}
.row.on {
  background: var(--tile);
  box-shadow: inset 4px 0 0 var(--oxblood);
}
.row:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: -3px;
}
.called {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.called .quiet {
  font-size: 13px;
}
.name {
  font-family: var(--serif);
  font-size: 17px;
  font-weight: 600;
}
.says {
  font-size: 13.5px;
  line-height: 1.35;
}
.says em {
  color: #7a3d12;
}
.tough {
  color: var(--ink-2);
}
.chosen {
  font-size: 29px;
  margin-top: 8px;
}
.slate .quiet {
  font-size: 14px;
}
.slate :deep(.pick label) {
  color: var(--chalk-2);
}
.sheets {
  --tab-rule: #454b4d;
  --tab-quiet: var(--chalk-2);
  --tab-mark: var(--brass);
}
.go {
  margin-top: 18px;
  position: sticky;
  bottom: calc(20px + var(--foot, 0px));
  flex: none;
  box-shadow:
    0 0 0 6px var(--slate),
    0 26px 0 6px var(--slate);
}
@media (max-width: 760px) {
  /* What is found stands where the eye is. */
  .searching {
    display: none;
  }
  .row :deep(.ant-radio + span) {
    grid-template-columns: 70px 1fr;
  }
  .tender,
  .says {
    grid-column: 2;
  }
}
@media print {
  main,
  .region,
  .sheets,
  .go {
    display: none !important;
  }
  .place {
    display: block;
  }
  .slate,
  .slate :deep(*) {
    background: #fff !important;
    color: #000 !important;
  }
}
</style>
