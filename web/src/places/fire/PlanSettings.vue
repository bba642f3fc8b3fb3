<script setup lang="ts">
/** By which method, in and on what, and how each of its dials stands. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { OILS } from '#core/kit/oil'
import { ratedPower } from '#core/kit/pan'
import { dialsOf, type SettingKey, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { hotMetal, wholeSettings } from '#core/request/setup'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import DialBoard from '../../ui/DialBoard.vue'
import PickField from '../../ui/PickField.vue'
import { methodPath } from './methodPath'

defineProps<{
  /** What the method leaves free: "time in the oven". */
  free: string
}>()
const draft = useDraft()
const kit = useKit()
const router = useRouter()
const kind = computed(() => draft.request.method.kind)
const dials = computed(() => dialsOf(kind.value))
const values = computed(() => wholeSettings(draft.request))
const metal = computed(() => hotMetal(draft.request))
const named = (key: SettingKey): string => dials.value.find(d => d.key === key)?.label ?? key
const changed = computed(() => Object.keys(draft.request.method.settings).length > 0)
const turn = (settings: Settings): void => draft.turn(settings)
</script>

<template>
  <div class="all">
    <div class="row">
      <pick-field
        class="by"
        label="Cooked by"
        :model-value="kind"
        :options="METHOD_KINDS.map(k => ({ value: k, label: k }))"
        @update:model-value="k => router.push(methodPath(k as MethodKind))"
      />
      <template v-if="metal">
        <pick-field
          class="pan"
          label="in the"
          :model-value="draft.request.kit.pan.id"
          :options="kit.kit.pans.map(p => ({ value: p.id, label: p.name }))"
          @update:model-value="id => kit.use('pans', id)"
        />
        <pick-field
          class="ring"
          label="on the"
          :model-value="draft.request.kit.ring.id"
          :options="kit.kit.rings.map(r => ({ value: r.id, label: `${r.name}, ${Math.round(ratedPower(r) / 100) / 10} kW` }))"
          @update:model-value="id => kit.use('rings', id)"
        />
        <pick-field
          class="oil"
          label="Fat in the pan"
          :model-value="kit.oilId"
          :options="OILS.map(o => ({ value: o.id, label: o.name }))"
          @update:model-value="id => (kit.oilId = id)"
        />
      </template>
      <a-button v-if="changed" class="usual" type="link" @click="draft.asUsual()">As it is usually set</a-button>
    </div>
    <dial-board
      :dials="dials"
      :values="values"
      :free="free"
      :round="draft.request.piece.form === 'roast'"
      @turn="turn"
      @problem="(key, message) => draft.complain(named(key), message)"
    />
  </div>
</template>

<style scoped>
.all {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: flex-end;
}
.by {
  width: 156px;
}
.pan {
  width: 196px;
}
.ring {
  width: 166px;
}
.oil {
  width: 140px;
}
.usual {
  padding-inline: 0;
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
