<script setup lang="ts">
/** What can be said of the cook in sight: the great key for what is due, the others beside it, and what each opens. */
import { Button as AButton } from 'ant-design-vue'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { useStove } from '../../stores/stove'
import ReadingEntry from './ReadingEntry.vue'
import StoveBehind from './StoveBehind.vue'
import StoveLate from './StoveLate.vue'
import StoveLost from './StoveLost.vue'
import type { AtTheStove } from './useAtTheStove'

const props = defineProps<{ at: AtTheStove }>()
const clock = useClock()
const cook = useCook()
const { caller } = useStove()
/** What is rehearsed costs nothing, and is begun again. */
const canBeLost = computed(() => !clock.rehearsing && props.at.record !== null && props.at.state !== 'carved')
const entry = useTemplateRef<{ focus(): void }>('entry')
watch(
  () => props.at.reading,
  open => {
    if (open) void nextTick(() => entry.value?.focus())
  }
)
</script>

<template>
  <p class="then">
    <span v-for="t in at.then" :key="t.what"
      ><span class="dim">then</span> <b>{{ t.what }}</b> <span class="dim">{{ t.when }}</span></span
    >
    <span v-if="at.reckoning" class="dim" role="status">reckoning…</span>
    <span v-if="at.undone" role="status">{{ at.undone }}</span>
  </p>
  <reading-entry v-if="at.reading" ref="entry" @read="at.read" @close="at.show({ reading: false })" />
  <stove-behind v-if="at.record && at.forecast && at.heard && !at.guestsLate && !at.bySigns" :record="at.record" :forecast="at.forecast" />
  <stove-late v-if="at.guestsLate" @close="at.show({ guestsLate: false })" />
  <stove-lost v-if="at.lost && at.record" :record="at.record" @close="at.show({ lost: false })" />
  <div v-if="at.earlier" class="keys earlier" role="group" aria-label="When it was done">
    <a-button v-for="m in at.moments" :key="m.label" @click="at.act(m.at)">{{ at.call?.done }}, {{ m.label }}</a-button>
  </div>
  <div class="keys">
    <a-button v-for="(p, i) in at.plain" :key="p.kind" :class="{ act: i === 0 }" @click="at.say({ kind: p.kind })">{{ p.words }}</a-button>
    <a-button v-if="at.plain.length === 0" class="act" :disabled="!at.action" @click="at.act()"
      >{{ at.call?.done ?? '…' }}<kbd>space</kbd></a-button
    >
    <a-button v-if="at.typed" @click="at.openReading">Reading<kbd>R</kbd></a-button>
    <a-button
      v-if="at.plain.length === 0 && ((at.state === 'on the heat' && at.action?.does !== 'pulled') || at.state === 'lifted')"
      @click="at.pull"
    >
      Off the heat<kbd>P</kbd>
    </a-button>
    <a-button v-if="at.plain.length === 0 && (at.state === 'on the heat' || at.state === 'resting')" @click="at.lift">
      {{ at.state === 'resting' ? 'Back to the heat' : 'Pause: lift out' }}<kbd>L</kbd>
    </a-button>
  </div>
  <div class="keys tools">
    <a-button v-if="!at.bySigns" :aria-expanded="at.earlier" @click="at.show({ earlier: !at.earlier })">I’m late<kbd>E</kbd></a-button>
    <a-button :aria-expanded="at.guestsLate" @click="at.show({ guestsLate: !at.guestsLate })">Guests are late<kbd>G</kbd></a-button>
    <a-button v-if="canBeLost" :aria-expanded="at.lost" @click="at.show({ lost: !at.lost })">It is lost</a-button>
    <a-button :disabled="!cook.canUndo" @click="at.undo">Undo<kbd>U</kbd></a-button>
    <a-button :aria-pressed="caller.muted" @click="caller.toggle()">
      {{ caller.muted ? 'Sound is off' : 'Sound is on' }}<kbd>M</kbd>
    </a-button>
  </div>
</template>

<style scoped>
.then {
  font-size: 20px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 34px;
  min-height: 30px;
}
.dim {
  color: #a0a6a2;
}
@media (max-width: 900px) {
  .then {
    font-size: 18px;
  }
}
@media (max-height: 520px) and (min-width: 560px) {
  .then {
    order: 9;
    font-size: 15px;
    min-height: 0;
  }
}
</style>
