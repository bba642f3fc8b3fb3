<script setup lang="ts">
/** One packet, written down. */
import MomentField from '../../ui/MomentField.vue'
import CountField from '../../ui/CountField.vue'
import { Button as AButton, Checkbox as ACheckbox, Form as AForm, FormItem as AFormItem, Input as AInput } from 'ant-design-vue'
import dayjs from 'dayjs'
import { nanoid } from 'nanoid'
import { computed, reactive, ref } from 'vue'
import { LABEL_LENGTH, PACKET_LIMITS, parsePacket } from '#core/shop/schema'
import { CUTS, cutById } from '#core/meat/cuts'
import { isCooked, WRAPS, type Packet, type Place, type Wrap } from '#core/shop/larder'
import { findCuts } from '#core/meat/names'
import { PIECE_LIMITS, type Intact } from '#core/meat/piece'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useSchema } from '../../ui/useSchema'
import { useLarder } from '../../stores/larder'

const props = defineProps<{ packet: Packet | null }>()
const emit = defineEmits<{ done: [] }>()
const larder = useLarder()

const given = reactive({
  cutId: props.packet?.cutId ?? '',
  label: props.packet?.label ?? '',
  pieces: props.packet?.pieces ?? 1,
  weightG: props.packet?.weightG ?? 500,
  thicknessMm: props.packet?.thicknessMm ?? 30,
  thicknessKnown: props.packet ? props.packet.thicknessMm !== null : false,
  wrap: props.packet?.wrap ?? ('vacuum' as Wrap),
  place: props.packet?.place ?? ('fridge' as Place),
  intact: props.packet?.intact ?? ('yes' as Intact),
  cooked: props.packet ? isCooked(props.packet) : false,
  cookedC: props.packet?.cookedC ?? 54,
  since: dayjs(props.packet?.since ?? Date.now()).format('YYYY-MM-DD'),
  useBy: props.packet?.useBy ? dayjs(props.packet.useBy).format('YYYY-MM-DD') : ''
})
/** What a field itself cannot read, by its key. */
const unread = ref<Record<string, string | null>>({})
const held = computed(() => Object.values(unread.value).some(Boolean))
const id = props.packet?.id ?? nanoid(12)
const guess = computed(() => (given.cutId === '' && given.label.trim().length > 1 ? findCuts(given.label)[0]?.cut : undefined))
const cuts = [
  { value: '', label: 'not known yet' },
  ...CUTS.map(c => ({ value: c.id, label: c.name })).sort((a, b) => a.label.localeCompare(b.label))
]

function written(): Packet {
  const since = dayjs(given.since)
  const today = since.isSame(dayjs(), 'day')
  return {
    id,
    cutId: given.cutId === '' ? null : given.cutId,
    label: given.label.trim(),
    pieces: given.pieces,
    weightG: given.weightG,
    thicknessMm: given.thicknessKnown ? given.thicknessMm : null,
    wrap: given.wrap,
    place: given.place,
    since: (since.isValid() && !today ? since : dayjs()).valueOf(),
    useBy: given.useBy ? dayjs(given.useBy).endOf('day').valueOf() : null,
    thawing: props.packet?.thawing ?? null,
    intact: given.intact,
    cookedC: given.cooked ? given.cookedC : null
  }
}
const form = useSchema(parsePacket, written)
function save(): void {
  const packet = held.value ? null : form.submit()
  if (packet === null) return
  larder.keep(packet)
  emit('done')
}
</script>

<template>
  <a-form class="packet" layout="vertical" @submit="save">
    <a-form-item class="wide" label="What is written on it" :html-for="`${id}-label`" v-bind="form.item('label')">
      <a-input
        :id="`${id}-label`"
        v-model:value="given.label"
        placeholder="BNLS BF STRPLN STK, box 3…"
        show-count
        :maxlength="LABEL_LENGTH"
      />
      <span v-if="guess" class="quiet">
        That reads like {{ guess.name.toLowerCase() }}. <a-button class="link" @click="given.cutId = guess.id">It is</a-button>
      </span>
    </a-form-item>
    <pick-field v-model="given.cutId" label="Cut" long :options="cuts" />
    <count-field v-model="given.pieces" label="Pieces" unit="" :range="PACKET_LIMITS.pieces" :step="1" />
    <quantity-field
      v-model="given.weightG"
      label="Weight of all"
      dimension="mass"
      :range="PACKET_LIMITS.weightG"
      @problem="m => (unread = { ...unread, weightG: m })"
    />
    <div>
      <a-checkbox v-model:checked="given.thicknessKnown">Thickness measured</a-checkbox>
      <quantity-field
        v-if="given.thicknessKnown"
        v-model="given.thicknessMm"
        label="Thickness"
        dimension="length"
        :range="PIECE_LIMITS.thicknessMm"
        @problem="m => (unread = { ...unread, thicknessMm: m })"
      />
      <span v-else-if="given.cutId" class="quiet">taken as usual for {{ cutById(given.cutId)?.name.toLowerCase() }}</span>
    </div>
    <div>
      <a-checkbox v-model:checked="given.cooked">Cooked already, and chilled</a-checkbox>
      <quantity-field
        v-if="given.cooked"
        v-model="given.cookedC"
        label="Its middle came to"
        dimension="temperature"
        :range="PIECE_LIMITS.cookedC"
        @problem="m => (unread = { ...unread, cookedC: m })"
      />
    </div>
    <choice-row
      v-model="given.place"
      label="Where"
      :options="[
        { value: 'fridge', label: 'fridge' },
        { value: 'freezer', label: 'freezer' }
      ]"
    />
    <choice-row v-model="given.wrap" label="Packed" :options="WRAPS.map(w => ({ value: w, label: w === 'open' ? 'unpacked' : w }))" />
    <choice-row
      v-model="given.intact"
      label="Whole muscle, not needled"
      :options="[
        { value: 'yes', label: 'yes' },
        { value: 'unknown', label: 'not known' },
        { value: 'no', label: 'needled or rolled' }
      ]"
    />
    <a-form-item v-bind="form.item('since')"><moment-field v-model="given.since" day label="There since" /></a-form-item>
    <a-form-item v-bind="form.item('useBy')"><moment-field v-model="given.useBy" day optional label="Printed use-by date" /></a-form-item>
    <div class="wide acts">
      <a-button type="primary" html-type="submit" :disabled="held">{{ packet ? 'Keep the change' : 'Put it in' }}</a-button>
      <a-button type="text" @click="emit('done')">Leave it</a-button>
    </div>
  </a-form>
</template>

<style scoped>
.packet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 14px 20px;
  padding: 16px 18px;
  background: var(--tile);
  margin: 8px 0 14px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.acts .ant-btn {
  height: 42px;
}
</style>
