<script setup lang="ts">
/** How it is to be cooked, every setting in sight. */
import { computed } from 'vue'
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { PANS, RINGS } from '#core/kit/pan'
import type { RestLength } from '#core/method/method'
import { PAN_LIMITS, type Cover, type Turning } from '#core/method/panSear'
import { showTemperature, shownText } from '#core/quantity/format'
import { TARGET_LIMITS } from '#core/formats/requestSchema'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'

const draft = useDraft()
const units = useUnits()
const request = computed(() => draft.request)
const scale = computed(() => scaleById(request.value.scaleId) ?? SCALES[0])

const doneness = computed(() =>
  scale.value.bands.map(b => ({
    value: String(b.aim),
    label: `${b.word} ${showTemperature(b.aim, units.system).figure}`,
    hint: shownText(showTemperature(b.aim, units.system))
  }))
)
const chosenBand = computed(() => String(bandOf(scale.value, request.value.targetC).aim))

function changeScale(id: string): void {
  const next = scaleById(id)
  if (!next) return
  const word = bandOf(scale.value, request.value.targetC).word
  draft.change({ scaleId: id, targetC: next.bands.find(b => b.word === word)?.aim ?? request.value.targetC })
}

const TURNING: readonly { value: Turning; label: string }[] = [
  { value: 'once', label: 'once' },
  { value: 'twice a side', label: 'twice a side' },
  { value: 'every 60 s', label: 'every 60 s' },
  { value: 'every 30 s', label: 'every 30 s' }
]

type RestSchool = 'bare' | 'foil' | 'half' | 'peak'
const RESTS: readonly { value: RestSchool; label: string; cover: Cover; rest: RestLength }[] = [
  { value: 'peak', label: 'bare, to its peak', cover: 'bare', rest: { kind: 'to the peak' } },
  { value: 'bare', label: 'bare, 6 min', cover: 'bare', rest: { kind: 'clock', seconds: 360 } },
  { value: 'foil', label: 'loose foil, 12 min', cover: 'loose foil', rest: { kind: 'clock', seconds: 720 } },
  { value: 'half', label: 'half the cooking time', cover: 'bare', rest: { kind: 'half the cooking time' } }
]
const rest = computed<RestSchool>(() => {
  const { cover, rest } = request.value
  if (cover === 'loose foil') return 'foil'
  return rest.kind === 'to the peak' ? 'peak' : rest.kind === 'clock' ? 'bare' : 'half'
})
function changeRest(value: RestSchool): void {
  const school = RESTS.find(r => r.value === value)
  if (school) draft.change({ cover: school.cover, rest: school.rest })
}
</script>

<template>
  <div class="settings">
    <div class="row">
      <pick-field
        class="school"
        label="School"
        :model-value="scale.id"
        :options="SCALES.map(s => ({ value: s.id, label: s.name.replace(' school', '') }))"
        :title="scale.says"
        @update:model-value="changeScale"
      />
      <choice-row
        label="Doneness"
        :model-value="chosenBand"
        :options="doneness"
        @update:model-value="v => draft.change({ targetC: Number(v) })"
      />
      <quantity-field
        class="narrow"
        label="Peak"
        dimension="temperature"
        :range="TARGET_LIMITS"
        :model-value="request.targetC"
        @update:model-value="v => draft.change({ targetC: v })"
        @problem="m => draft.complain('Peak at the core', m)"
      />
    </div>
    <div class="row">
      <quantity-field
        class="narrow"
        label="Pan"
        dimension="temperature"
        :range="PAN_LIMITS.panC"
        :model-value="request.panC"
        @update:model-value="v => draft.change({ panC: v })"
        @problem="m => draft.complain('Pan temperature', m)"
      />
      <pick-field
        class="pan"
        label="in the"
        :model-value="request.panId"
        :options="PANS.map(p => ({ value: p.id, label: p.name }))"
        @update:model-value="v => draft.change({ panId: v })"
      />
      <pick-field
        class="ring"
        label="on the"
        :model-value="request.ringId"
        :options="RINGS.map(r => ({ value: r.id, label: `${r.name}, ${r.powerW / 1000} kW` }))"
        @update:model-value="v => draft.change({ ringId: v })"
      />
      <choice-row label="Turn" :model-value="request.turning" :options="TURNING" @update:model-value="v => draft.change({ turning: v })" />
    </div>
    <choice-row label="Rest" :model-value="rest" :options="RESTS" @update:model-value="changeRest" />
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: flex-start;
}
.school {
  width: 96px;
}
.pan {
  width: 204px;
}
.ring {
  width: 172px;
}
.narrow {
  width: 92px;
}
</style>
