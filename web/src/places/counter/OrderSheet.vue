<script setup lang="ts">
/** What to say to the butcher, and why that thickness. */
import {
  Button as AButton,
  Checkbox as ACheckbox,
  Form as AForm,
  FormItem as AFormItem,
  Input as AInput,
  InputNumber as AInputNumber,
  Modal as AModal
} from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { REGION_NAMES } from '#core/meat/cut'
import { slipOf, slipText } from '#core/shop/orderSlip'
import { NOTE_LENGTH, ORDER_LIMITS, parseOrder } from '#core/shop/schema'
import { PIECE_LIMITS } from '#core/meat/piece'
import { LATE_K, type Allows } from '#core/plan/thickness'
import { showDuration, showLength, showTemperatureRise, shownText } from '#core/quantity/format'
import { saveFile } from '../../ui/saveFile'
import QuantityField from '../../ui/QuantityField.vue'
import { useSchema } from '../../ui/useSchema'
import { api } from '../../api/client'
import { useCounter } from '../../stores/counter'
import { useUnits } from '../../stores/units'
import { askEngine } from '../../workers/engine'

const counter = useCounter()
const units = useUnits()
const slip = computed(() => slipOf(counter.slip, counter.chosen, units.system))
const text = computed(() => slipText(slip.value, counter.region))
const changing = ref(false)
const form = useSchema(parseOrder, () => counter.slip)
form.submit()
const said = ref('')

const allows = ref<readonly Allows[] | null>(null)
watch(
  () => (counter.slip.thicknessMm === null ? null : counter.chosenId),
  async id => {
    allows.value = null
    if (id === null) return
    const answer = await askEngine(worker => worker.thicknesses(id))
    if (counter.chosenId === id) allows.value = answer
  },
  { immediate: true }
)
const allowed = (a: Allows): string => {
  if (a.heatS === null) return 'too thick for a pan alone: oven, coals or bath'
  const grey = shownText(showLength(a.greyMm, units.system, true))
  return `${shownText(showDuration(a.heatS))} in the pan, grey edge ${grey}; ${shownText(showDuration(a.lateS))} late is ${shownText(showTemperatureRise(LATE_K, units.system))} too far`
}

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(text.value)
    said.value = 'Copied.'
  } catch {
    said.value = 'Copying is not allowed here: take the text file.'
  }
}
const fileName = computed(() => `order-${counter.chosenId}`)
function asText(): void {
  saveFile(new Blob([text.value], { type: 'text/plain;charset=utf-8' }), `${fileName.value}.txt`)
  said.value = 'Saved as text.'
}
async function asPdf(): Promise<void> {
  said.value = 'Making the page…'
  try {
    saveFile(await api.orderPdf(counter.slip, units.system), `${fileName.value}.pdf`)
    said.value = 'Saved as PDF.'
  } catch (error) {
    said.value = `${error instanceof Error ? error.message : 'That failed.'} Print or copy it instead.`
  }
}
const print = (): void => window.print()
</script>

<template>
  <div class="order">
    <blockquote class="print">“{{ slip.sentence }}”</blockquote>
    <dl class="print">
      <div v-for="l in slip.lines" :key="l.label">
        <dt>{{ l.label }}</dt>
        <dd>{{ l.value }}</dd>
      </div>
    </dl>
    <div class="acts">
      <a-button @click="changing = true">Change it</a-button>
      <a-button @click="copy">Copy</a-button>
      <a-button @click="asText">Text</a-button>
      <a-button @click="asPdf">PDF</a-button>
      <a-button @click="print">Print</a-button>
    </div>
    <p class="quiet said" role="status">{{ said }}</p>
    <template v-if="counter.slip.thicknessMm !== null">
      <h3>Why {{ shownText(showLength(counter.slip.thicknessMm, units.system)) }}</h3>
      <p v-if="!allows" class="quiet">Cooking three thicknesses…</p>
      <dl v-else>
        <div v-for="a in allows" :key="a.thicknessMm">
          <dt>{{ shownText(showLength(a.thicknessMm, units.system)) }}</dt>
          <dd>{{ allowed(a) }}</dd>
        </div>
      </dl>
      <p v-if="allows" class="quiet small">To medium rare in the pan and on the ring of the plan, from the fridge.</p>
    </template>

    <a-modal v-model:open="changing" :title="`${slip.title}, for ${REGION_NAMES[counter.region]}`" :footer="null">
      <a-form class="fields" layout="vertical">
        <a-form-item label="Number" html-for="order-pieces" v-bind="form.item('pieces')">
          <a-input-number
            id="order-pieces"
            :value="counter.slip.pieces"
            :min="ORDER_LIMITS.pieces[0]"
            :max="ORDER_LIMITS.pieces[1]"
            :precision="0"
            @change="n => typeof n === 'number' && counter.changeOrder({ pieces: n })"
          />
        </a-form-item>
        <quantity-field
          label="Weight of one"
          dimension="mass"
          :range="ORDER_LIMITS.pieceG"
          :model-value="counter.slip.pieceG"
          @update:model-value="v => counter.changeOrder({ pieceG: v })"
        />
        <quantity-field
          v-if="counter.slip.thicknessMm !== null"
          label="Thickness"
          dimension="length"
          :range="PIECE_LIMITS.thicknessMm"
          :model-value="counter.slip.thicknessMm"
          @update:model-value="v => counter.changeOrder({ thicknessMm: v })"
        />
        <quantity-field
          v-if="counter.slip.fatMm !== null"
          label="Fat left on"
          dimension="length"
          :range="ORDER_LIMITS.fatMm"
          :model-value="counter.slip.fatMm"
          @update:model-value="v => counter.changeOrder({ fatMm: v })"
        />
        <a-checkbox :checked="counter.slip.tied" @update:checked="(tied: boolean) => counter.changeOrder({ tied })">Tied</a-checkbox>
        <a-checkbox :checked="counter.slip.notNeedled" @update:checked="(notNeedled: boolean) => counter.changeOrder({ notNeedled })">
          Not tenderised by needles
        </a-checkbox>
        <a-form-item class="wide" label="Anything else" html-for="order-note" v-bind="form.item('note')">
          <a-input
            id="order-note"
            :value="counter.slip.note"
            show-count
            :maxlength="NOTE_LENGTH"
            @update:value="(v: string) => counter.changeOrder({ note: v })"
          />
        </a-form-item>
      </a-form>
    </a-modal>
  </div>
</template>

<style scoped>
blockquote {
  margin: 4px 0 12px;
  font-family: var(--serif);
  font-style: italic;
  font-size: 20px;
  line-height: 1.35;
  color: var(--hot-figure);
}
dl {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 10px;
  border-top: 1px solid #454b4d;
  padding: 7px 0;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
  line-height: 1.4;
}
h3 {
  font-size: 17px;
  margin: 12px 0 4px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
}
.acts .ant-btn {
  height: 40px;
}
.said {
  min-height: 22px;
  font-size: 14px;
}
.small {
  font-size: 13px;
  margin-top: 4px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 18px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
@media print {
  .acts,
  .said,
  h3,
  .small,
  dl:not(.print) {
    display: none;
  }
}
</style>
