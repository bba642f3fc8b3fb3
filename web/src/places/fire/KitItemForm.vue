<script setup lang="ts">
/** One thing of the kit with the figures that count for its heat. What is typed is taken at once. */
import { computed } from 'vue'
import { metalOf, POT_SIZES, potFrom, type BathMachine, type Pot } from '#core/kit/bath'
import { GRILL_FUELS, type Grill, type GrillFuel } from '#core/kit/grill'
import type { KitShelf } from '#core/kit/kit'
import type { Oven } from '#core/kit/oven'
import {
  floorFromMass,
  massFromFloor,
  PAN_METALS,
  PAN_SIZES,
  powerAtPan,
  RATED_LIMITS_W,
  ratedPower,
  RING_HEATS,
  type Pan,
  type PanMetal,
  type Ring,
  type RingHeat
} from '#core/kit/pan'
import { boilingThere, OFF_LIMITS_K, type Thermometer } from '#core/kit/thermometer'
import { showTemperature, shownText } from '#core/quantity/format'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import type { AnyItem } from './kitItem'

const props = defineProps<{
  shelf: KitShelf
  item: AnyItem
  /** The last of what a kitchen cannot be without. */
  last: boolean
}>()
const emit = defineEmits<{ change: [item: AnyItem]; remove: [] }>()
const kit = useKit()
const units = useUnits()

const pan = computed(() => (props.shelf === 'pans' ? (props.item as Pan) : null))
const ring = computed(() => (props.shelf === 'rings' ? (props.item as Ring) : null))
const oven = computed(() => (props.shelf === 'ovens' ? (props.item as Oven) : null))
const grill = computed(() => (props.shelf === 'grills' ? (props.item as Grill) : null))
const bath = computed(() => (props.shelf === 'baths' ? (props.item as BathMachine) : null))
const pot = computed(() => (props.shelf === 'pots' ? (props.item as Pot) : null))
const thermometer = computed(() => (props.shelf === 'thermometers' ? (props.item as Thermometer) : null))

const change = (part: object): void => emit('change', { ...props.item, ...part })
const options = (values: readonly string[]): { value: string; label: string }[] => values.map(value => ({ value, label: value }))
const clamp = (value: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, value))

function rePot(part: { litres?: number; metalKg?: number; widthM?: number }): void {
  const p = pot.value
  if (!p) return
  emit('change', potFrom(p.id, p.name, part.litres ?? p.litres, part.metalKg ?? metalOf(p), part.widthM ?? p.widthM))
}
function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) change({ name })
  else (event.target as HTMLInputElement).value = props.item.name
}
const OFFSETS = [-40, 40] as const
/** The quantity fields know temperatures as points of a scale; an offset is a difference. */
const kelvin = computed(() => (units.system === 'metric' ? 1 : 1.8))
const unitOff = computed(() => (units.system === 'metric' ? '°C' : '°F'))
const shownOff = (k: number): number => Math.round(k * kelvin.value * 10) / 10
</script>

<template>
  <div class="form">
    <label class="name">Name <input :value="item.name" maxlength="60" @change="rename" /></label>
    <template v-if="pan">
      <pick-field
        label="Of"
        :model-value="pan.metal"
        :options="options(PAN_METALS)"
        @update:model-value="v => change({ metal: v as PanMetal })"
      />
      <quantity-field
        label="Across the flat floor"
        dimension="length"
        :range="PAN_SIZES.diameterMm"
        :model-value="pan.diameterMm"
        @update:model-value="v => change({ diameterMm: v })"
      />
      <quantity-field
        label="Floor thick"
        dimension="length"
        :range="PAN_SIZES.floorMm"
        :model-value="pan.floorMm"
        @update:model-value="v => change({ floorMm: v })"
      />
      <quantity-field
        label="or weighs, empty"
        dimension="mass"
        :range="[300, 12000]"
        :model-value="Math.round(1000 * massFromFloor(pan))"
        @update:model-value="
          v =>
            pan && change({ floorMm: Math.round(clamp(floorFromMass(pan.metal, pan.diameterMm, v / 1000), PAN_SIZES.floorMm) * 100) / 100 })
        "
      />
    </template>
    <template v-if="ring">
      <pick-field
        label="Heated by"
        :model-value="ring.heat ?? 'gas'"
        :options="options(RING_HEATS)"
        @update:model-value="v => ring && change({ heat: v, powerW: powerAtPan(v as RingHeat, ratedPower(ring)) })"
      />
      <count-field
        label="Rated"
        unit="W"
        :range="RATED_LIMITS_W"
        :step="50"
        :model-value="Math.round(ratedPower(ring))"
        @update:model-value="v => ring && change({ heat: ring.heat ?? 'gas', powerW: powerAtPan(ring.heat ?? 'gas', v) })"
      />
    </template>
    <template v-if="oven">
      <label class="yes"
        ><input type="checkbox" :checked="oven.fan" @change="e => change({ fan: (e.target as HTMLInputElement).checked })" /> Fan</label
      >
      <count-field
        label="Hotter than its dial by"
        :unit="unitOff"
        :range="[OFFSETS[0] * kelvin, OFFSETS[1] * kelvin]"
        :step="0.5"
        :model-value="shownOff(oven.offsetC)"
        @update:model-value="v => change({ offsetC: v / kelvin })"
      />
    </template>
    <template v-if="grill">
      <pick-field
        label="Burns"
        :model-value="grill.fuel ?? 'charcoal'"
        :options="options(GRILL_FUELS)"
        @update:model-value="v => change({ fuel: v as GrillFuel })"
      />
      <label class="yes"
        ><input type="checkbox" :checked="grill.lid" @change="e => change({ lid: (e.target as HTMLInputElement).checked })" /> Lid</label
      >
      <label class="yes"
        ><input
          type="checkbox"
          :checked="grill.twoZones !== false"
          @change="e => change({ twoZones: (e.target as HTMLInputElement).checked })"
        />
        Room beside the fire</label
      >
    </template>
    <template v-if="bath">
      <count-field
        label="Holds"
        unit="L"
        :range="[1, 200]"
        :step="0.5"
        :model-value="bath.litres"
        @update:model-value="v => change({ litres: v })"
      />
      <count-field
        label="Hotter than it shows by"
        :unit="unitOff"
        :range="[-5, 5]"
        :step="0.1"
        :model-value="shownOff(bath.offsetC)"
        @update:model-value="v => change({ offsetC: v / kelvin })"
      />
    </template>
    <template v-if="pot">
      <count-field
        label="Filled with"
        unit="L"
        :range="POT_SIZES.litres"
        :step="0.5"
        :model-value="pot.litres"
        @update:model-value="v => rePot({ litres: v })"
      />
      <quantity-field
        label="Across"
        dimension="length"
        :range="[100, 600]"
        :model-value="pot.widthM * 1000"
        @update:model-value="v => rePot({ widthM: v / 1000 })"
      />
      <quantity-field
        label="Weighs, empty"
        dimension="mass"
        :range="[200, 10000]"
        :model-value="Math.round(1000 * metalOf(pot))"
        @update:model-value="v => rePot({ metalKg: v / 1000 })"
      />
    </template>
    <template v-if="thermometer">
      <label class="yes"
        ><input type="checkbox" :checked="thermometer.leaveIn" @change="e => change({ leaveIn: (e.target as HTMLInputElement).checked })" />
        Stays in the meat</label
      >
      <quantity-field
        label="In ice water it shows"
        dimension="temperature"
        :range="[-OFF_LIMITS_K, OFF_LIMITS_K]"
        :model-value="thermometer.inIceC"
        @update:model-value="v => change({ inIceC: v })"
      />
      <label class="yes"
        ><input
          type="checkbox"
          :checked="thermometer.inBoilingC !== null"
          @change="
            e =>
              change({
                inBoilingC: (e.target as HTMLInputElement).checked ? Math.round(10 * boilingThere(kit.kit.altitudeM)) / 10 : null,
                checkedAtM: kit.kit.altitudeM
              })
          "
        />
        Checked in boiling water</label
      >
      <quantity-field
        v-if="thermometer.inBoilingC !== null"
        label="There it shows"
        dimension="temperature"
        :range="[85, 115]"
        :model-value="thermometer.inBoilingC"
        :hint="`It should be ${shownText(showTemperature(boilingThere(thermometer.checkedAtM), units.system))} up here.`"
        @update:model-value="v => change({ inBoilingC: v })"
      />
    </template>
    <button v-if="!last" type="button" class="remove" @click="emit('remove')">Take it away</button>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 8px 12px;
  align-items: end;
  background: var(--tile);
  padding: 10px 12px;
  border-radius: 3px;
}
.name {
  grid-column: 1 / -1;
  font-size: 13px;
  color: var(--ink-2);
}
.name input {
  display: block;
  width: 100%;
  height: 32px;
  font: inherit;
  font-size: 15px;
  color: var(--ink);
  border: 1px solid #a9b2ad;
  border-radius: 3px;
  background: #f8f9f6;
  padding: 0 10px;
}
.yes {
  display: flex;
  gap: 7px;
  align-items: center;
  min-height: 32px;
  font-size: 14.5px;
  cursor: pointer;
}
.yes input {
  width: 18px;
  height: 18px;
  accent-color: var(--oxblood);
}
.remove {
  font: inherit;
  font-size: 14px;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  text-align: left;
  padding: 6px 0;
  cursor: pointer;
  color: #8d1f1a;
}
</style>
