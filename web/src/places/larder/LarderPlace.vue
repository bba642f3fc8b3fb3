<script setup lang="ts">
/** What is in the fridge and the freezer, what must be cooked first, and when it is thawed. */
import { timeWritten } from '../../ui/moments'
import NothingHere from '../../ui/NothingHere.vue'
import { Button as AButton } from 'ant-design-vue'
import { useIntervalFn } from '@vueuse/core'
import dayjs from 'dayjs'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { isTender } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { isCooked, keepingOf, surfaceOf, thicknessOf, THAWING_AROUND, type Packet, type ThawingHow } from '#core/shop/larder'
import { showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import CutDrawing from '../../section/CutDrawing.vue'
import { useDraft } from '../../stores/draft'
import { useLarder } from '../../stores/larder'
import { usePreparation } from '../../stores/preparation'
import { useUnits } from '../../stores/units'
import { askEngine } from '../../workers/engine'
import PacketForm from './PacketForm.vue'

const larder = useLarder()
const preparation = usePreparation()
const draft = useDraft()
const units = useUnits()
const router = useRouter()
const editing = ref<Packet | 'new' | null>(null)
const now = ref(Date.now())
onMounted(() => void larder.load())
useIntervalFn(() => (now.value = Date.now()), 60_000)

const fridge = computed(() => larder.ordered.filter(p => p.place === 'fridge'))
const freezer = computed(() => larder.ordered.filter(p => p.place === 'freezer'))

/** Seconds until thawed, by packet: worked out once each, off the page. */
const thaws = reactive<Record<string, number>>({})
watch(
  () => larder.packets,
  packets => {
    for (const p of packets) {
      const key = thawKey(p)
      if (!p.cutId || !p.thawing || key in thaws) continue
      const cut = cutById(p.cutId)
      if (!cut) continue
      const { how } = p.thawing
      thaws[key] = NaN
      void askEngine(w => w.thaw(cut.id, thicknessOf(p, cut), how)).then(seconds => (thaws[key] = seconds))
    }
  },
  { immediate: true }
)
const thawKey = (p: Packet): string => `${p.cutId}-${p.thicknessMm}-${p.thawing?.how}`
const thawed = (p: Packet): number | null => {
  const seconds = thaws[thawKey(p)] as number | undefined
  return p.thawing && seconds !== undefined && !Number.isNaN(seconds) ? p.thawing.since + seconds * 1000 : null
}

const name = (p: Packet): string => (p.cutId ? (cutById(p.cutId)?.name ?? p.label) : p.label || 'Unknown packet')
const size = (p: Packet): string =>
  [
    p.pieces > 1 ? `${p.pieces} pieces` : '',
    shownText(showMass(p.weightG, units.system)),
    p.thicknessMm === null ? '' : `${shownText(showLength(p.thicknessMm, units.system))} thick`,
    p.wrap === 'vacuum' ? 'in vacuum' : p.wrap === 'open' ? 'unpacked' : 'wrapped'
  ]
    .filter(Boolean)
    .join(', ')
const by = (p: Packet): string => {
  const { until, state } = keepingOf(p, now.value)
  const day = dayjs(until).format(p.place === 'freezer' ? 'MMMM YYYY' : 'dddd D MMM')
  if (state === 'past') return `was to be used by ${day}`
  return p.place === 'freezer' ? `best by ${day}` : state === 'soon' ? `use by ${day}: soon` : `use by ${day}`
}

function toBench(p: Packet): void {
  const cut = p.cutId ? cutById(p.cutId) : undefined
  if (!cut || !isTender(cut)) return
  draft.take(cut, { pieces: p.pieces, pieceG: Math.round(p.weightG / p.pieces), thicknessMm: p.thicknessMm })
  draft.changePiece({ surface: surfaceOf(p), intact: p.intact })
  if (isCooked(p)) draft.cookedBefore(p.cookedC)
  preparation.cameFrom(p)
  // It lies in the freezer until its day.
  if (p.place === 'fridge') larder.takeOut(p.id)
  void router.push('/bench')
}
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
function thaw(p: Packet, how: ThawingHow): void {
  larder.keep({ ...p, place: 'fridge', thawing: { since: Date.now(), how } })
}
function freeze(p: Packet): void {
  larder.keep({ ...p, place: 'freezer', since: Date.now(), thawing: null })
}
const cold = (how: ThawingHow): string => degrees(THAWING_AROUND[how])
</script>

<template>
  <div class="place single">
    <main>
      <div class="top">
        <h1>Fridge and freezer</h1>
        <router-link to="/counter">Back to the counter</router-link>
        <a-button class="add" type="primary" @click="editing = 'new'">A new packet</a-button>
      </div>
      <p v-if="larder.offline" class="quiet" role="status">The server does not answer. All is kept here and sent when it does.</p>
      <p v-if="larder.refused" class="wrong" role="alert">The server refused the last change: {{ larder.refused }}</p>
      <p v-if="larder.last" class="undo" role="status">
        {{ name(larder.last) }} is out. <a-button class="link" @click="larder.putBack()">Put it back</a-button>
      </p>
      <packet-form v-if="editing" :packet="editing === 'new' ? null : editing" @done="editing = null" />

      <nothing-here v-if="larder.packets.length === 0 && !editing">
        Nothing here yet. Write down what you bought or what came with the quarter: {{ CUTS.length }} cuts are known, and a packet without a
        name can be found out.
      </nothing-here>
      <template
        v-for="shelf in [
          { title: 'Fridge', packets: fridge },
          { title: 'Freezer', packets: freezer }
        ]"
        :key="shelf.title"
      >
        <section v-if="shelf.packets.length > 0">
          <h2>{{ shelf.title }}</h2>
          <ul>
            <li v-for="p in shelf.packets" :key="p.id" :class="keepingOf(p, now).state">
              <cut-drawing v-if="p.cutId && cutById(p.cutId)" :cut="cutById(p.cutId)!" :scale="0.3" :width="104" :height="56" />
              <span v-else class="unknown" aria-hidden="true">?</span>
              <div class="what">
                <strong>{{ name(p) }}</strong>
                <span class="quiet">{{ size(p) }}{{ p.label && p.cutId ? `, “${p.label}”` : '' }}</span>
                <span v-if="isCooked(p)" class="care"
                  >cooked to {{ degrees(p.cookedC) }}: sliced cold, or warmed in a bath no hotter than that, then dried and seared; warmed
                  once, and eaten at once</span
                >
                <span v-if="p.intact !== 'yes' && !isCooked(p)" class="care">{{
                  p.intact === 'no' ? 'needled or rolled: cook it through' : 'perhaps needled: ask'
                }}</span>
              </div>
              <div class="when">
                <strong>{{ by(p) }}</strong>
                <span class="quiet">{{ keepingOf(p, now).why }}</span>
                <span v-if="p.thawing">
                  {{
                    thawed(p) === null
                      ? p.cutId
                        ? 'thawing…'
                        : 'thawing; say what it is and when follows'
                      : (thawed(p) ?? 0) <= now
                        ? 'thawed'
                        : `thawed ${dayjs(thawed(p)).format(`dddd ${timeWritten}`)}, in ${p.thawing.how === 'fridge' ? 'the fridge' : 'cold water'} at ${cold(p.thawing.how)}`
                  }}
                </span>
              </div>
              <div class="acts">
                <a-button v-if="p.place === 'freezer'" @click="thaw(p, 'fridge')">Thaw in the fridge</a-button>
                <a-button v-if="p.place === 'freezer'" @click="thaw(p, 'cold water')">in cold water</a-button>
                <a-button
                  v-if="p.cutId && isTender(cutById(p.cutId)!)"
                  class="bench"
                  :disabled="keepingOf(p, now).state === 'past'"
                  @click="toBench(p)"
                  >{{ p.place === 'freezer' ? 'Plan it, thawed' : isCooked(p) ? 'Warm it again' : 'To the bench' }}</a-button
                >
                <router-link v-if="!p.cutId" class="find" to="/counter?ask=packet">Find out what it is</router-link>
                <a-button v-if="p.place === 'fridge' && !p.thawing" @click="freeze(p)">Freeze</a-button>
                <a-button type="text" @click="editing = p">Change</a-button>
                <a-button type="text" @click="larder.takeOut(p.id)">Used up</a-button>
              </div>
            </li>
          </ul>
        </section>
      </template>
      <p class="quiet note">
        Past its date a packet is not offered to the bench. When in doubt, smell does not decide: throw it away. Local rules come first.
      </p>
    </main>
  </div>
</template>

<style scoped>
.single {
  grid-template-columns: minmax(0, 1180px);
}
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 8px 20px;
  margin-bottom: 10px;
}
.top a,
.find {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--ink-2);
}
.add {
  margin-left: auto;
  height: 42px;
}
section {
  margin-top: 14px;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 110px minmax(150px, 1fr) minmax(190px, 1.2fr) 430px;
  gap: 6px 16px;
  align-items: center;
  border-top: 1px solid var(--rule);
  padding: 9px 8px;
}
li.soon {
  box-shadow: inset 4px 0 0 var(--brass);
}
li.past {
  box-shadow: inset 4px 0 0 #a3261f;
  background: #f5e9e6;
}
.unknown {
  font-family: var(--serif);
  font-size: 34px;
  text-align: center;
  color: var(--ink-2);
}
.what,
.when {
  display: flex;
  flex-direction: column;
  font-size: 14px;
  min-width: 0;
}
.what strong {
  font-family: var(--serif);
  font-size: 18px;
}
.care {
  color: #7a3d12;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  justify-content: flex-end;
  max-width: 430px;
}
.bench:not(:disabled) {
  background: var(--brass);
  border-color: var(--brass);
  color: #17120a;
  font-weight: 600;
}
.wrong {
  color: #9a211b;
}
.note {
  margin-top: 18px;
  font-size: 13.5px;
}
@media (max-width: 1000px) {
  li {
    grid-template-columns: 106px 1fr;
  }
  .when,
  .acts {
    grid-column: 1 / -1;
  }
  .acts {
    justify-content: flex-start;
    max-width: none;
  }
  .acts .ant-btn {
    min-height: 44px;
  }
}
</style>
