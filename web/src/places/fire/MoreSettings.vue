<script setup lang="ts">
/** What stands in no sentence: every other setting of the method, each with what it changes. */
import { OILS } from '#core/kit/oil'
import { hotMetal } from '#core/request/setup'
import { besides } from '#core/words/sentence'
import { computed } from 'vue'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import DialBoard from '../../ui/DialBoard.vue'
import PickField from '../../ui/PickField.vue'
import { useSettings } from './useSettings'

const FATS = OILS.map(o => ({ value: o.id, label: o.name }))

defineProps<{
  /** What the method leaves free: "time in the oven". */
  free: string
}>()
const draft = useDraft()
const kit = useKit()
const { kind, round, sears, values, sentence, pans, rings, turn, complain } = useSettings()
const metal = computed(() => hotMetal(draft.request))
const others = computed(() => besides(kind.value, sentence.value))
</script>

<template>
  <div>
    <div v-if="metal" class="row">
      <template v-if="!sears">
        <pick-field
          class="pan"
          label="in the"
          :model-value="draft.request.kit.pan.id"
          :options="pans"
          @update:model-value="id => kit.use('pans', id)"
        />
        <pick-field
          class="pan"
          label="on the"
          :model-value="draft.request.kit.ring.id"
          :options="rings"
          @update:model-value="id => kit.use('rings', id)"
        />
      </template>
      <pick-field
        class="pan"
        label="Fat in the pan"
        :model-value="kit.oilId"
        :options="FATS"
        @update:model-value="id => (kit.oilId = id)"
      />
    </div>
    <dial-board :dials="others" :values="values" :free="free" :round="round" @turn="turn" @problem="complain" />
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  margin-bottom: 12px;
}
.pan {
  width: 210px;
}
</style>
