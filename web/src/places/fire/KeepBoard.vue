<script setup lang="ts">
/** Half of it kept for another day: how it is chilled, how long it keeps, and how it is brought back. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref, shallowRef, watch } from 'vue'
import { cutById } from '#core/meat/cuts'
import { COLD_C, type Kept } from '#core/plan/keeping'
import { KEEPS_DAYS } from '#core/shop/larder'
import { CHILLED_WITHIN_H } from '#core/safety/dangers'
import { showDuration, showTemperature, shownText } from '#core/quantity/format'
import { servedCold } from '#core/request/setup'
import { useDraft } from '../../stores/draft'
import { useLarder } from '../../stores/larder'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import { tell } from '../../ui/tell'
import type { PlanResult } from '../../stores/plan'
import { askEngine } from '../../workers/engine'

const props = defineProps<{ of: PlanResult | null }>()
const units = useUnits()
const found = shallowRef<{ readonly of: PlanResult; readonly kept: Kept } | null>(null)
let waiting: ReturnType<typeof setTimeout> | undefined
watch(
  () => props.of,
  of => {
    clearTimeout(waiting)
    if (!of) return
    waiting = setTimeout(() => {
      void askEngine(w => w.chilled(of.request, of.plan))
        .then(kept => {
          if (props.of === of) found.value = { of, kept }
        })
        .catch(() => (found.value = null))
    }, 600)
  },
  { immediate: true }
)
const kept = computed(() => (found.value && found.value.of === props.of ? found.value.kept : null))
const cold = computed(() => shownText(showTemperature(COLD_C, units.system)))
/** Held water can warm it again without cooking it further; hot water cannot. */
const again = computed(() =>
  props.of?.kind === 'bath then sear' || props.of?.kind === 'sear then bath'
    ? 'back in the bath at the same heat, then dried and seared'
    : 'sliced cold and thin, across the grain'
)
const time = (s: number): string => shownText(showDuration(s))

const draft = useDraft()
const larder = useLarder()
const count = computed(() => props.of?.request.piece.count ?? 1)
const parts = ref(1)
watch(count, most => (parts.value = Math.min(parts.value, most)))
/** Cooked, chilled and sealed: written down as what it is. */
function store(): void {
  if (!props.of) return
  const { request, plan } = props.of
  const { piece, target } = request
  const packet = larder.add({
    cutId: piece.cutId,
    label: '',
    pieces: parts.value,
    weightG: Math.round(parts.value * piece.weightG * (1 - plan.loss)),
    thicknessMm: piece.thicknessMm,
    wrap: 'vacuum',
    place: 'fridge',
    since: Date.now(),
    useBy: null,
    thawing: null,
    intact: piece.intact ?? 'yes',
    cookedC: Math.max(target.coreC, piece.cookedC ?? 0)
  })
  const name = cutById(piece.cutId)?.name ?? 'It'
  tell(`${parts.value} × ${name} in the larder, to be used within ${KEEPS_DAYS} days.`, () => larder.takeOut(packet))
}
/** From one day to the next, s. */
const OVERNIGHT_S = 15 * 3600
const QUARTER_S = 15 * 60
const sliced = computed(() => servedCold(draft.request))
function sliceCold(): void {
  if (!kept.value) return
  const { settings } = draft.request.method
  const seconds = Math.ceil(kept.value.inIceS / QUARTER_S) * QUARTER_S
  draft.turn({ cover: 'ice', rest: { kind: 'clock', seconds }, heldS: 0, rewarmS: 0, coldS: OVERNIGHT_S })
  tell('Planned to be sliced cold on the next day.', () => draft.turn({ ...WARM, ...settings }))
}
const WARM = { cover: 'bare', rest: { kind: 'to the peak' }, heldS: 0, rewarmS: 0, coldS: 0 } as const
</script>

<template>
  <section class="keep" :aria-busy="!kept">
    <h2>Kept for another day</h2>
    <p v-if="!kept" class="quiet">{{ of ? 'Chilling it…' : '' }}</p>
    <p v-else>
      In its bag, straight from the water into ice and water for <strong>{{ time(kept.inIceS) }}</strong>: then its middle is at {{ cold }}.
      <template v-if="kept.inFridgeS > CHILLED_WITHIN_H * 3600">The fridge alone would need {{ time(kept.inFridgeS) }}: too long.</template>
      <template v-else>The fridge alone needs {{ time(kept.inFridgeS) }}, and warms what stands beside it.</template>
      It keeps {{ KEEPS_DAYS }} days, sealed and cold. On the day: {{ again }}. Local codes come first.
    </p>
    <div v-if="kept" class="acts no-print">
      <count-field v-if="count > 1" v-model="parts" label="Kept" :unit="`of ${count}`" :range="[1, count]" :step="1" />
      <a-button @click="store">{{ count > 1 ? 'Write them in the larder' : 'Write it in the larder' }}</a-button>
      <a-button v-if="!sliced" @click="sliceCold">Plan all of it to be sliced cold</a-button>
      <a-button v-else @click="draft.turn(WARM)">Carve it warm after all</a-button>
    </div>
  </section>
</template>

<style scoped>
.keep {
  margin-top: 16px;
  max-width: 820px;
  min-height: 72px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 12px;
  margin-top: 10px;
}
p {
  margin-top: 4px;
  line-height: 1.5;
}
</style>
