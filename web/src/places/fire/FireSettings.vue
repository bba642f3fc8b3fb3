<script setup lang="ts">
/** How it is to be cooked, every setting in sight. */
import { computed } from 'vue'
import { ratedPower } from '#core/kit/pan'
import type { RestLength } from '#core/method/method'
import { PAN_LIMITS, type Cover, type Turning } from '#core/method/panSear'
import { OILS } from '#core/kit/oil'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import DonenessRow from './DonenessRow.vue'

const draft = useDraft()
const kit = useKit()
const request = computed(() => draft.request)

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
    <doneness-row />
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
        :options="kit.kit.pans.map(p => ({ value: p.id, label: p.name }))"
        @update:model-value="v => draft.change({ panId: v })"
      />
      <pick-field
        class="ring"
        label="on the"
        :model-value="request.ringId"
        :options="kit.kit.rings.map(r => ({ value: r.id, label: `${r.name}, ${Math.round(ratedPower(r) / 100) / 10} kW` }))"
        @update:model-value="v => draft.change({ ringId: v })"
      />
      <choice-row label="Turn" :model-value="request.turning" :options="TURNING" @update:model-value="v => draft.change({ turning: v })" />
    </div>
    <div class="row">
      <choice-row label="Rest" :model-value="rest" :options="RESTS" @update:model-value="changeRest" />
      <quantity-field
        class="narrow"
        label="Fat edge"
        dimension="duration"
        :range="[0, 600]"
        :model-value="request.fatEdgeS ?? 0"
        @update:model-value="v => draft.change({ fatEdgeS: v })"
        @problem="m => draft.complain('Fat edge', m)"
      />
      <pick-field
        class="oil"
        label="Fat in the pan"
        :model-value="kit.oilId"
        :options="OILS.map(o => ({ value: o.id, label: o.name }))"
        @update:model-value="v => (kit.oilId = v)"
      />
      <label class="yes">
        <input
          type="checkbox"
          :checked="request.basted ?? false"
          @change="e => draft.change({ basted: (e.target as HTMLInputElement).checked })"
        />
        Basted
      </label>
    </div>
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
.oil {
  width: 160px;
}
.yes {
  display: flex;
  align-items: center;
  gap: 7px;
  height: 32px;
  margin-top: 21px;
  font-size: 14.5px;
  cursor: pointer;
}
.yes input {
  width: 18px;
  height: 18px;
  accent-color: var(--oxblood);
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
