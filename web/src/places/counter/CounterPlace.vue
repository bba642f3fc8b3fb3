<script setup lang="ts">
/** What do I buy, and what is this packet: every name finds its muscle. */
import { Button as AButton, Input as AInput } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { isTender, REGION_NAMES, tendernessWord, type Cut } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { findCuts, type NameMatch } from '#core/meat/names'
import { showLength, showMass, shownText } from '#core/quantity/format'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'
import CutShape from './CutShape.vue'

const draft = useDraft()
const units = useUnits()
const router = useRouter()
const query = ref('')
const chosen = ref<Cut>(draft.cut)

const matches = computed(() => findCuts(query.value))
const rows = computed<{ cut: Cut; match: NameMatch | null }[]>(() =>
  query.value.trim() === '' ? CUTS.map(cut => ({ cut, match: null })) : matches.value.map(match => ({ cut: match.cut, match }))
)
watch(rows, found => {
  if (found.length > 0 && !found.some(r => r.cut.id === chosen.value.id)) chosen.value = found[0].cut
})
watch(query, () => {
  const best = matches.value[0] as NameMatch | undefined
  if (best) chosen.value = best.cut
})

const range = (low: string, high: string): string => (low === high ? low : `${low}–${high}`)
const thickness = (cut: Cut): string => {
  const [low, high] = cut.shape.thicknessMm.map(t => showLength(t, units.system))
  return `${range(low.figure, high.figure)} ${high.unit}`
}
const weight = (cut: Cut): string => cut.shape.weightG.map(w => shownText(showMass(w, units.system))).join(' – ')
const share = (value: number): string => `${Math.round(value * 100)}\u00a0%`

function take(): void {
  draft.take(chosen.value)
  void router.push('/bench')
}
</script>

<template>
  <div class="place">
    <main>
      <h1>What have you found?</h1>
      <div class="search">
        <a-input
          v-model:value="query"
          size="large"
          allow-clear
          placeholder="Any name: picanha, onglet, eye fillet, top sirloin cap…"
          aria-label="Search cuts by any name"
          @press-enter="take"
        />
      </div>
      <p class="quiet count" role="status">
        {{
          query.trim() === ''
            ? `${CUTS.length} cuts`
            : rows.length === 0
              ? 'No muscle by that name here. Try fewer letters, or the name in another language.'
              : rows.length === 1
                ? 'One muscle'
                : `${rows.length} muscles`
        }}
      </p>
      <div v-if="rows.length > 0" class="table" role="radiogroup" aria-label="Cuts">
        <div class="headings quiet" aria-hidden="true">
          <span></span><span>Cut</span><span>Tenderness</span><span>Fat</span><span>Thick</span><span>Heat it suits</span>
        </div>
        <label v-for="{ cut, match } in rows" :key="cut.id" class="row" :class="{ on: cut.id === chosen.id, tough: !isTender(cut) }">
          <input type="radio" name="cut" :checked="cut.id === chosen.id" @change="chosen = cut" />
          <cut-shape :cut="cut" />
          <span class="called">
            <span class="name">{{ cut.name }}</span>
            <span class="quiet">{{ match?.region ? `${match.name}, ${REGION_NAMES[match.region]}` : cut.muscle }}</span>
          </span>
          <span>{{ tendernessWord(cut) }}</span>
          <span>{{ share(cut.composition.fat) }}</span>
          <span>{{ thickness(cut) }}</span>
          <span>{{ cut.suits.join(', ') }}</span>
        </label>
      </div>
    </main>

    <aside class="slate" aria-label="The cut chosen">
      <h2 class="chosen">{{ chosen.name }}</h2>
      <p class="quiet">{{ chosen.muscle }}, {{ chosen.primal }}</p>
      <p v-if="chosen.braise" class="braise" role="alert"><strong>Not for the pan.</strong> {{ chosen.braise }}</p>
      <p v-else class="because">{{ chosen.because }}</p>
      <dl>
        <div v-if="!chosen.braise">
          <dt>Usual piece</dt>
          <dd>{{ thickness(chosen) }}, {{ weight(chosen) }}</dd>
        </div>
        <div>
          <dt>Grain</dt>
          <dd>{{ chosen.grain }}</dd>
        </div>
        <div>
          <dt>Mind</dt>
          <dd>{{ chosen.pitfall }}</dd>
        </div>
        <div>
          <dt>Made of</dt>
          <dd>
            water {{ share(chosen.composition.water) }}, protein {{ share(chosen.composition.protein) }}, fat
            {{ share(chosen.composition.fat) }}
          </dd>
        </div>
      </dl>
      <h3>Called</h3>
      <dl class="names">
        <div v-for="r in chosen.regional" :key="r.region">
          <dt>{{ REGION_NAMES[r.region] }}</dt>
          <dd>{{ r.names.join(', ') }}</dd>
        </div>
      </dl>
      <a-button v-if="!chosen.braise" class="go" block @click="take">Take it to the bench</a-button>
    </aside>
  </div>
</template>

<style scoped>
.search {
  margin: 12px 0 6px;
  max-width: 620px;
}
.count {
  font-size: 14px;
  min-height: 22px;
}
.table {
  margin-top: 6px;
}
.headings,
.row {
  display: grid;
  grid-template-columns: 92px minmax(150px, 1.5fr) 120px 46px 86px minmax(130px, 1.2fr);
  gap: 0 14px;
  align-items: center;
}
.headings {
  font-size: 13px;
  padding: 4px 10px;
}
.row {
  position: relative;
  border-top: 1px solid var(--rule);
  padding: 6px 10px;
  font-size: 14.5px;
  cursor: pointer;
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
.row input {
  position: absolute;
  opacity: 0;
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
.tough {
  color: var(--ink-2);
}
.chosen {
  font-size: 29px;
}
.because,
.braise {
  margin: 10px 0 4px;
  line-height: 1.45;
}
.braise {
  border-left: 3px solid var(--hot);
  padding-left: 12px;
}
dl {
  margin: 8px 0 0;
}
dl > div {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 10px;
  border-top: 1px solid #454b4d;
  padding: 7px 0;
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
h3 {
  font-size: 16px;
  margin-top: 12px;
}
.names > div {
  padding: 3px 0;
  border: 0;
}
.names dt,
.names dd {
  font-size: 13px;
}
.go {
  margin-top: 18px;
  position: sticky;
  bottom: 20px;
}
@media (max-width: 760px) {
  .headings {
    display: none;
  }
  .row {
    grid-template-columns: 64px 1fr auto;
  }
  .row > span:nth-of-type(n + 3) {
    display: none;
  }
}
</style>
