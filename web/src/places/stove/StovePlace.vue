<script setup lang="ts">
/** What do I do now, and how long: one action at a time, readable from across the kitchen. */
import OnSlate from '../../ui/OnSlate.vue'
import { Button as AButton } from 'ant-design-vue'
import { onKeyStroke } from '@vueuse/core'
import { defineAsyncComponent } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { useStove } from '../../stores/stove'
import StoveCall from './StoveCall.vue'
import StoveDish from './StoveDish.vue'
import StoveKeys from './StoveKeys.vue'
import StoveLeft from './StoveLeft.vue'
import StoveSide from './StoveSide.vue'
import StoveTiles from './StoveTiles.vue'
import RehearsalBar from './RehearsalBar.vue'
import RehearsalSigns from './RehearsalSigns.vue'
import { useNotLit } from './useNotLit'
import { useAtTheStove } from './useAtTheStove'
import { useSingleKeys } from '../../ui/useSingleKeys'
import { useStaysLit } from '../../ui/useStaysLit'

/** For the end of a cook: it comes with the other places. */
const OutcomeForm = defineAsyncComponent(() => import('../book/OutcomeForm.vue'))

const clock = useClock()
const cook = useCook()
const stove = useStove()
const router = useRouter()
const at = useAtTheStove()
const { toItsPlan } = useNotLit()

useStaysLit(() => (at.state === 'ready' || at.state === 'carved' ? null : at.state))

useSingleKeys({
  ' ': () => at.act(),
  r: at.openReading,
  p: () => at.dish || at.pull(),
  l: at.lift,
  e: () => at.show({ earlier: !at.earlier }),
  u: at.undo,
  g: () => at.show({ guestsLate: !at.guestsLate }),
  m: () => stove.caller.toggle()
})
onKeyStroke('Escape', () => at.show({ reading: false, earlier: false, guestsLate: false, lost: false }))

function finish(): void {
  const id = at.record?.id
  if (!id) return
  void router.push(`/book/${id}`).then(() => cook.clear(id))
}
</script>

<template>
  <on-slate service>
    <rehearsal-bar />
    <div v-if="!at.record && !at.dish" class="stove empty">
      <main>
        <h1>Nothing on the stove</h1>
        <template v-if="stove.notLit.length > 0">
          <p>Of this dinner not lit yet:</p>
          <div class="keys">
            <a-button v-for="p in stove.notLit" :key="p.id" @click="toItsPlan(p)">{{ p.dish.name }}: to its plan</a-button>
          </div>
        </template>
        <p>Make a plan at the <router-link to="/fire">fire</router-link> and light the stove from there.</p>
        <p>Or <router-link to="/rehearse">rehearse</router-link>: practise on a piece that costs nothing.</p>
      </main>
    </div>
    <div v-else class="stove" :class="{ alone: !at.record || at.bySigns, rehearsed: clock.rehearsing }">
      <main>
        <stove-tiles />
        <template v-if="stove.first?.dish">
          <stove-dish :call="stove.first" />
          <div class="foot">
            <div class="keys">
              <a-button class="act" @click="at.act()">Done<kbd>space</kbd></a-button>
              <a-button v-if="!clock.rehearsing" @click="router.push('/pass')">The pass</a-button>
            </div>
          </div>
        </template>
        <stove-left
          v-else-if="at.record && at.found && at.carriedOn !== at.record.id"
          :record="at.record"
          :left="at.found"
          @on="at.carryOn"
        />
        <template v-else-if="at.record && at.state === 'carved' && clock.rehearsing">
          <h1>{{ at.record.title }}: cut</h1>
          <p class="advice">Now it can be seen what was inside all the while.</p>
          <div class="keys">
            <a-button class="act" @click="router.push(`/rehearse/${clock.rehearsing.id}`)">See it cut open</a-button>
            <a-button @click="at.undo">Not carved yet<kbd>undo</kbd></a-button>
          </div>
        </template>
        <template v-else-if="at.record && at.state === 'carved'">
          <h1>{{ at.record.title }}: carved</h1>
          <p class="advice">Look at the cut face before it is eaten, and write it down: nobody remembers.</p>
          <outcome-form class="outcome" dark :outcome="at.record.outcome" @change="o => at.record && cook.judge(at.record.id, o)" />
          <div class="keys">
            <a-button class="act" @click="finish">To the book</a-button>
            <a-button @click="at.undo">Not carved yet<kbd>undo</kbd></a-button>
          </div>
        </template>
        <template v-else-if="at.record">
          <stove-call
            class="call"
            :headline="at.headline"
            :left="at.left"
            :advice="at.bySigns ? at.unsaid : (at.call?.advice ?? '')"
            :against="at.bySigns ? null : at.against"
            :trouble="at.trouble"
          />
          <rehearsal-signs v-if="clock.rehearsing" :cook-id="at.record.id" :readable="at.readable" />
          <div class="foot"><stove-keys :at="at" /></div>
        </template>
      </main>
      <stove-side
        v-if="at.record && !at.bySigns"
        :record="at.record"
        :forecast="at.forecast"
        :heard="at.heard"
        :reckoning="at.reckoning"
        :elapsed="at.elapsed"
        :on-heat="at.onHeat"
        :progress="at.progress"
      />
    </div>
  </on-slate>
</template>

<style src="./keys.css"></style>
<style scoped>
.stove {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 392px;
  min-height: calc(100vh - var(--header));
  background: var(--service);
  color: var(--chalk);
}
.stove.alone {
  grid-template-columns: 1fr;
}
/* Under its bar, with its signs. */
.stove.rehearsed {
  min-height: calc(100vh - var(--header) - 50px);
}
.stove.rehearsed main {
  padding-top: 12px;
}
.stove.rehearsed .call :deep(.clock) {
  font-size: clamp(84px, 14vw, 176px);
}
.stove.rehearsed .call :deep(h1) {
  font-size: clamp(30px, 4vw, 50px);
}
.stove.empty {
  grid-template-columns: 1fr;
  font-size: 19px;
}
.empty .keys {
  margin: 12px 0 28px;
}
.empty a {
  color: var(--hot);
  text-decoration: underline;
}
main {
  display: flex;
  flex-direction: column;
  padding: 22px 40px 28px;
  min-width: 0;
}
h1 {
  font-size: clamp(34px, 5.2vw, 66px);
  line-height: 1.12;
}
.advice {
  font-size: 21px;
  line-height: 1.4;
  color: #b5bab6;
  margin-top: 12px;
}
.foot {
  margin-top: auto;
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding-top: 16px;
}
.outcome {
  margin: 24px 0;
  max-width: 640px;
}
@media (max-width: 900px) {
  .stove {
    grid-template-columns: 1fr;
  }
  main {
    padding: 14px 16px 16px;
    min-height: calc(100svh - var(--header) - var(--foot, 0px));
  }
  .stove.rehearsed main {
    min-height: calc(100svh - var(--header) - var(--foot, 0px) - 112px);
  }
  .advice {
    font-size: 18px;
  }
}
@media (max-height: 520px) and (min-width: 560px) {
  .stove {
    grid-template-columns: 1fr;
  }
  main {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(236px, 38%);
    align-content: start;
    gap: 0 18px;
    padding: 8px 16px;
    min-height: calc(100svh - var(--header) - var(--foot, 0px));
  }
  main > * {
    grid-column: 1 / -1;
  }
  main > .call {
    grid-column: 1;
  }
  main > .call + .foot {
    grid-column: 2;
    margin: 0;
    padding: 0;
    gap: 6px;
  }
}
</style>
