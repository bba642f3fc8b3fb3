<script setup lang="ts">
/** Which piece of the service this is about, where there are several; and another one. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useDraft } from '../stores/draft'
import { usePass } from '../stores/pass'
import { usePieces } from '../stores/pieces'
import ChoiceRow from './ChoiceRow.vue'
import { tell } from './tell'

const draft = useDraft()
const pass = usePass()
const pieces = usePieces()
const router = useRouter()
const emit = defineEmits<{ chosen: [] }>()

const options = computed(() => pieces.all.map(p => ({ value: p.id, label: p.there ? p.name : `${p.name}, not on the ticket` })))
function choose(id: string): void {
  if (id === draft.pieceId) return
  const [before, was, prepared] = [draft.pieceId, draft.request, draft.prepared]
  const loose = pass.atTheFire === null
  if (!pass.openBeef(id)) return
  emit('chosen')
  // What stands on no ticket would be gone.
  if (loose) tell('The piece that was not on the ticket is off the bench.', () => draft.stand(before, was, prepared))
}
function putOn(): void {
  tell(pieces.putOn() ?? 'On the ticket: what you change here is changed there.', pass.undo)
}
function another(): void {
  draft.another()
  void router.push('/counter')
}
</script>

<template>
  <div v-if="pass.touched && pass.pieces.length > 0" class="pieces no-print">
    <choice-row :model-value="draft.pieceId" label="For this service" :options="options" @update:model-value="choose" />
    <a-button v-if="pass.atTheFire" class="link" @click="another">Another piece</a-button>
    <a-button v-else class="link" :disabled="pieces.ready === null || pass.full" @click="putOn">Put it on the ticket</a-button>
  </div>
</template>

<style scoped>
.pieces {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 2px 14px;
  margin-bottom: 10px;
}
.pieces :deep(.ant-radio-button-wrapper) {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.link.ant-btn {
  min-height: 32px;
}
</style>
