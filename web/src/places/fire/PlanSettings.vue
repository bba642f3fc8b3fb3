<script setup lang="ts">
/** How it is cooked, as a sentence with each part to be changed in its place; the other settings behind it, each with what it changes. */
import { Button as AButton, Collapse as ACollapse, CollapsePanel as ACollapsePanel, Drawer as ADrawer } from 'ant-design-vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { dialsOf, type Dial, type SettingKey } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { capital } from '#core/quantity/format'
import { suitsBest, WHEN } from '#core/request/suits'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import DialField from '../../ui/DialField.vue'
import PickField from '../../ui/PickField.vue'
import { methodPath } from './methodPath'
import MoreSettings from './MoreSettings.vue'
import { useSettings } from './useSettings'

defineProps<{
  /** What the method leaves free: "time in the oven". */
  free: string
}>()
const draft = useDraft()
const kit = useKit()
const router = useRouter()
const { kind, values, sentence, pans, rings, turn, complain } = useSettings()
const dial = (key: SettingKey): Dial => dialsOf(kind.value).find(d => d.key === key)!
const changed = computed(() => Object.keys(draft.request.method.settings).length > 0)

const best = computed(() => suitsBest(draft.request))
const ways = computed(() => [
  { value: best.value as string, label: `${capital(best.value)}, usual for this piece` },
  ...METHOD_KINDS.filter(k => k !== best.value).map(k => ({ value: k as string, label: capital(k) }))
])
const usePan = (id: string): void => kit.use('pans', id)
const useRing = (id: string): void => kit.use('rings', id)
const go = (k: string): void => void router.push(methodPath(k as MethodKind))
/** On a narrow screen the others come up from below. */
const narrow = useMediaQuery('(max-width: 760px)')
const drawn = ref(false)
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
          @update:model-value="usePan"
        />
        <pick-field
          v-else-if="'kit' in p"
          inline="label hidden"
          label="on the"
          :model-value="draft.request.kit.ring.id"
          :options="rings"
          @update:model-value="useRing"
        />
        <dial-field v-else inline :dial="dial(p.key)" :value="values[p.key]" @turn="turn" @problem="complain" />
      </template>
    </div>
    <template v-if="narrow">
      <a-button class="link open" @click="drawn = true">All settings</a-button>
      <a-drawer v-model:open="drawn" class="drawn" placement="bottom" height="76%" title="All settings">
        <more-settings :free="free" />
      </a-drawer>
    </template>
    <a-collapse v-else v-model:active-key="unfolded" class="more" ghost>
      <a-collapse-panel key="all" header="All settings"><more-settings :free="free" /></a-collapse-panel>
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
.open.ant-btn {
  min-height: 44px;
  margin-right: 18px;
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
