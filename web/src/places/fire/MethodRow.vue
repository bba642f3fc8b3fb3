<script setup lang="ts">
/** One method in the comparison: its section on the common scale and its figures, or why it does not suit. */
import { Button as AButton, Radio as ARadio } from 'ant-design-vue'
import { computed } from 'vue'
import type { MethodKind } from '#core/method/methods'
import { showLength, showTemperatureRise, shownText } from '#core/quantity/format'
import { WHEN } from '#core/request/suits'
import RoundSection from '../../section/RoundSection.vue'
import SectionDrawing from '../../section/SectionDrawing.vue'
import { useGuests } from '../../stores/guests'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'
import { sectionOf } from './sectionOf'
import type { Compared } from '../../stores/comparison'
import { spanText } from './spanText'

const props = defineProps<{ kind: MethodKind; compared: Compared | null; chosen: boolean; pinned: boolean }>()
const emit = defineEmits<{ choose: []; pin: [] }>()
const draft = useDraft()
const units = useUnits()
const guests = useGuests()
const piece = computed(() => draft.request.piece)
type Suited = Extract<Compared, { readonly plan: unknown }>
const found = computed((): Suited | null => (props.compared && 'plan' in props.compared ? props.compared : null))

/** Of a joint its side, all round, says more than its ends. */
const depth = (c: Suited, of: 'greyMm' | 'crustMm'): string => {
  const { section: read } = c.plan
  const mm = piece.value.form === 'roast' && read.side ? read.side[of] : (read[of][0] + read[of][1]) / 2
  return shownText(showLength(mm, units.system, true))
}
/** By the reference that is gone by. */
const safe = computed(() =>
  (found.value?.plan.lethal.find(l => l.reference === guests.reference)?.core ?? 0) >= 1
    ? ' Kills at the core what the reference asks for.'
    : ''
)
const off = (kelvin: number): string =>
  Math.abs(kelvin) < 0.5 ? 'the same' : `${kelvin > 0 ? '+' : '−'}${shownText(showTemperatureRise(Math.abs(kelvin), units.system))}`
const cut = computed(() => (found.value ? sectionOf(found.value.plan, piece.value, found.value.plan.carve.time) : null))
</script>

<template>
  <div class="line">
    <a-radio class="row" :class="{ on: chosen, off: compared && !found }" name="method" :checked="chosen" @change="emit('choose')">
      <template v-if="found">
        <span class="cut">
          <round-section
            v-if="cut?.kind === 'round'"
            class="disc"
            plain
            :hottest="cut.hottest"
            :radii-mm="cut.radiiMm"
            :aspect="cut.aspect"
            :core="null"
            :height="50"
          />
          <section-drawing
            v-else-if="cut"
            plain
            :width-mm="piece.widthMm"
            :thickness-mm="cut.thicknessMm"
            :fat-edge="false"
            :fat-share="0"
            :field="cut.field"
            :edges-mm="cut.edgesMm"
            :core="null"
            :height="46"
          />
        </span>
        <span class="name"
          ><span class="kind">{{ kind }}</span
          ><span class="quiet">{{ units.say(WHEN[kind]) }}{{ safe }}</span></span
        >
        <span>{{ spanText(found.plan.carve.time) }}</span>
        <span>{{ spanText(found.plan.handsOn) }}</span>
        <span>{{ Math.round(100 * found.plan.section.evenness) }}&nbsp;%</span>
        <span>{{ depth(found, 'greyMm') }}</span>
        <span>{{ depth(found, 'crustMm') }}</span>
        <span>{{ Math.round(100 * found.plan.loss) }}&nbsp;%</span>
        <span>{{ found.lateS === null ? 'any' : spanText(found.lateS ?? 0) }}</span>
        <span>{{ found.misjudged ? off(found.misjudged.thickerK) : '…' }}</span>
      </template>
      <template v-else>
        <span></span>
        <span class="name">{{ kind }}</span>
        <span class="reason">{{ compared && 'refused' in compared ? units.say(compared.refused) : 'working it out…' }}</span>
      </template>
    </a-radio>
    <a-button v-if="found" class="pin" size="small" :aria-pressed="pinned" :aria-label="`Pin ${kind}`" @click="emit('pin')">
      {{ pinned ? 'pinned' : 'pin' }}
    </a-button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  margin: 0;
  border-top: 1px solid var(--rule);
  padding: 5px 8px;
  font-size: 14px;
  min-height: 58px;
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
  grid-template-columns: 124px minmax(150px, 1fr) repeat(8, 57px);
  gap: 0 10px;
  align-items: center;
}
.row.on {
  background: var(--tile);
  box-shadow: inset 4px 0 0 var(--oxblood);
}
.row:hover {
  background: #f6f7f4;
}
.row:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: -3px;
}
.row.off {
  color: var(--ink-2);
  min-height: 0;
}
.cut {
  display: block;
  width: 122px;
}
.disc {
  display: block;
  margin: 0 auto;
}
.name {
  font-family: var(--serif);
  font-size: 17px;
  font-weight: 600;
  display: flex;
  flex-direction: column;
}
.kind::first-letter {
  text-transform: uppercase;
}
.kind {
  display: inline-block;
}
.line {
  position: relative;
}
.pin.ant-btn {
  position: absolute;
  right: 552px;
  top: 4px;
  height: 20px;
  font-size: 12.5px;
  line-height: 17px;
  color: var(--ink-2);
  border-color: var(--rule);
  padding: 0 7px;
}
.pin.ant-btn[aria-pressed='true'] {
  background: var(--oxblood);
  border-color: var(--oxblood);
  color: #fff;
}
.name .quiet {
  font-family: var(--sans);
  font-weight: 400;
  font-size: 12.5px;
  line-height: 1.3;
}
.reason {
  grid-column: 3 / -1;
  font-size: 13.5px;
  line-height: 1.35;
}
@media (max-width: 1100px) {
  .pin.ant-btn {
    right: 238px;
  }
  .row :deep(.ant-radio + span) {
    grid-template-columns: 124px minmax(120px, 1fr) repeat(3, 62px);
  }
  .row :deep(.ant-radio + span) > span:nth-of-type(n + 6) {
    display: none;
  }
}
@media (max-width: 600px) {
  .pin.ant-btn {
    display: none;
  }
  .row :deep(.ant-radio + span) {
    grid-template-columns: 72px minmax(0, 1fr) 62px;
  }
  .row :deep(.ant-radio + span) > span:nth-of-type(n + 4) {
    display: none;
  }
  .cut {
    width: 70px;
  }
}
</style>
