<script setup lang="ts">
/** How it is cooked, as a sentence with each part to be changed in its place; the other settings behind it, each with what it changes. */
import { Button as AButton, Collapse as ACollapse, CollapsePanel as ACollapsePanel } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { OILS } from '#core/kit/oil'
import { ratedPower } from '#core/kit/pan'
import { dialsOf, type Dial, type SettingKey, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { turningSaid, turningsBeside } from '#core/method/turning'
import { capital } from '#core/quantity/format'
import { hotMetal, wholeSettings } from '#core/request/setup'
import { suitsBest, WHEN } from '#core/request/suits'
import { besides, sentenceOf } from '#core/words/sentence'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import CountField from '../../ui/CountField.vue'
import DialBoard from '../../ui/DialBoard.vue'
import PickField from '../../ui/PickField.vue'
import QuantityField from '../../ui/QuantityField.vue'
import { methodPath } from './methodPath'

defineProps<{
  /** What the method leaves free: "time in the oven". */
  free: string
}>()
const draft = useDraft()
const kit = useKit()
const router = useRouter()
const kind = computed(() => draft.request.method.kind)
const round = computed(() => draft.request.piece.form === 'roast')
const values = computed(() => wholeSettings(draft.request))
const metal = computed(() => hotMetal(draft.request))
const sears = computed(() => kind.value === 'pan sear' || (values.value.searS ?? 0) > 0)
const sentence = computed(() => sentenceOf(kind.value, round.value, sears.value))
const others = computed(() => besides(kind.value, sentence.value))
const dial = (key: SettingKey): Dial => dialsOf(kind.value).find(d => d.key === key)!
const changed = computed(() => Object.keys(draft.request.method.settings).length > 0)
const turn = (settings: Settings): void => draft.turn(settings)
const set = (key: SettingKey, value: unknown): void => turn({ [key]: value })
const named = (key: SettingKey): string => dialsOf(kind.value).find(d => d.key === key)?.label ?? key

const best = computed(() => suitsBest(draft.request))
const ways = computed(() => [
  { value: best.value as string, label: `${capital(best.value)}, usual for this piece` },
  ...METHOD_KINDS.filter(k => k !== best.value).map(k => ({ value: k as string, label: capital(k) }))
])
const go = (k: string): void => void router.push(methodPath(k as MethodKind))
const pans = computed(() => kit.kit.pans.map(p => ({ value: p.id, label: p.name })))
const rings = computed(() => kit.kit.rings.map(r => ({ value: r.id, label: `${r.name}, ${Math.round(ratedPower(r) / 100) / 10} kW` })))
const optionsOf = (d: Dial): readonly { readonly value: string; readonly label: string }[] =>
  d.kind === 'choice' ? d.options : turningsBeside(values.value.turning).map(value => ({ value, label: turningSaid(value) }))
const unfolded = ref<string[]>([])
</script>

<template>
  <div class="all">
    <p v-if="kind !== best" class="quiet best">
      For this piece {{ best }} is usual: {{ WHEN[best].charAt(0).toLowerCase() + WHEN[best].slice(1) }}
      <a-button class="link" @click="go(best)">Take that</a-button>
    </p>
    <div class="sentence" role="group" aria-label="How it is cooked">
      <pick-field class="by" inline="label hidden" label="Cooked by" :model-value="kind" :options="ways" @update:model-value="go" />
      <template v-for="(p, i) in sentence" :key="i">
        <span v-if="'words' in p">{{ p.words }}</span>
        <pick-field
          v-else-if="'kit' in p && p.kit === 'pan'"
          inline="label hidden"
          label="in the"
          :model-value="draft.request.kit.pan.id"
          :options="pans"
          @update:model-value="id => kit.use('pans', id)"
        />
        <pick-field
          v-else-if="'kit' in p"
          inline="label hidden"
          label="on the"
          :model-value="draft.request.kit.ring.id"
          :options="rings"
          @update:model-value="id => kit.use('rings', id)"
        />
        <template v-else>
          <template v-for="d in [dial(p.key)]" :key="d.key">
            <quantity-field
              v-if="d.kind === 'quantity'"
              inline
              :label="d.label"
              :dimension="d.dimension"
              :range="d.range"
              :model-value="Number(values[d.key] ?? 0)"
              @update:model-value="v => set(d.key, v)"
              @problem="m => draft.complain(named(d.key), m)"
            />
            <count-field
              v-else-if="d.kind === 'count'"
              inline
              :label="d.label"
              :unit="d.unit"
              :range="d.range"
              :step="d.step"
              :model-value="Number(values[d.key] ?? 0)"
              @update:model-value="v => set(d.key, v)"
            />
            <pick-field
              v-else
              inline="label hidden"
              :label="d.label"
              :options="optionsOf(d)"
              :model-value="String(values[d.key])"
              @update:model-value="v => set(d.key, v)"
            />
          </template>
        </template>
      </template>
    </div>
    <a-collapse v-model:active-key="unfolded" class="more" ghost>
      <a-collapse-panel key="all" header="All settings">
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
            :options="OILS.map(o => ({ value: o.id, label: o.name }))"
            @update:model-value="id => (kit.oilId = id)"
          />
        </div>
        <dial-board
          :dials="others"
          :values="values"
          :free="free"
          :round="round"
          @turn="turn"
          @problem="(key, message) => draft.complain(named(key), message)"
        />
      </a-collapse-panel>
    </a-collapse>
    <a-button v-if="changed" class="link usual" @click="draft.asUsual()">As it is usually set</a-button>
  </div>
</template>

<style scoped>
.all {
  position: relative;
}
.best {
  font-size: 14px;
  margin-bottom: 4px;
}
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 7px;
  font-size: 17px;
  line-height: 36px;
}
.sentence :deep(.ant-input),
.sentence :deep(.ant-input-suffix) {
  font-size: 17px;
}
.more :deep(.ant-collapse-header) {
  padding: 6px 0;
}
.more :deep(.ant-collapse-content-box) {
  padding: 4px 0 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  margin-bottom: 12px;
}
.pan {
  width: 210px;
}
.usual.ant-btn {
  position: absolute;
  right: 0;
  bottom: 8px;
  font-size: 14px;
}
@media (max-width: 760px) {
  .usual.ant-btn {
    position: static;
    min-height: 44px;
  }
}
</style>
