<script setup lang="ts">
/** How done, by the words of a school and by the figure that counts. */
import { computed } from 'vue'
import { bandOf, scaleOf } from '#core/doneness/scale'
import { TARGET_LIMITS } from '#core/request/schema'
import { showTemperature, shownText } from '#core/quantity/format'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useUnits } from '../../stores/units'
import ChoiceRow from '../../ui/ChoiceRow.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'

const draft = useDraft()
const guests = useGuests()
const units = useUnits()
// Of the draft no more than it shows: it is not drawn anew when something else of it is turned.
const target = computed(() => draft.request.target)
const scale = computed(() => scaleOf(target.value))
const scales = computed(() => guests.scales.map(s => ({ value: s.id, label: s.name.replace(' school', '') })))
const doneness = computed(() =>
  scale.value.bands.map(b => ({
    value: String(b.aim),
    label: `${b.word} ${showTemperature(b.aim, units.system).figure}`,
    hint: shownText(showTemperature(b.aim, units.system))
  }))
)
/** What was cooked before is only warmed. */
const label = computed(() => (draft.request.piece.cookedC === undefined ? 'Doneness' : 'Warmed to'))
const chosenBand = computed(() => String(bandOf(scale.value, target.value.coreC).aim))
</script>

<template>
  <div class="row">
    <pick-field
      class="school"
      label="Scale"
      :model-value="scale.id"
      :options="scales"
      :title="scale.says"
      @update:model-value="id => guests.goBy(id, bandOf(scale, target.coreC).word)"
    />
    <choice-row :label="label" :model-value="chosenBand" :options="doneness" @update:model-value="v => draft.aim({ coreC: Number(v) })" />
    <quantity-field
      class="narrow"
      label="Centre"
      dimension="temperature"
      :range="TARGET_LIMITS"
      :model-value="target.coreC"
      @update:model-value="v => draft.aim({ coreC: v })"
      @problem="m => draft.complain('Centre', m)"
    />
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: flex-start;
}
.school {
  width: 96px;
}
.narrow {
  width: 92px;
}
@media (max-width: 760px) {
  .school {
    width: 130px;
  }
  .row > :nth-child(2) {
    order: 3;
  }
}
</style>
