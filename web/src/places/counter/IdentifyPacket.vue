<script setup lang="ts">
/** A packet without a name, or a name nobody knows: one question at a time. */
import { Button as AButton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { candidatesFor, nextQuestion, type Answers } from '#core/shop/identify'
import { isTender } from '#core/meat/cut'
import { useUnits } from '../../stores/units'
import CutDrawing from '../../section/CutDrawing.vue'

const emit = defineEmits<{ choose: [cutId: string]; close: [] }>()
const units = useUnits()
const answers = ref<Answers>({})
const order = computed(() => Object.keys(answers.value))
const question = computed(() => nextQuestion(answers.value))
const left = computed(() => candidatesFor(answers.value))

function answer(id: string): void {
  if (question.value) answers.value = { ...answers.value, [question.value.id]: id }
}
function back(): void {
  const last = order.value.at(-1)
  if (last === undefined) return
  const { [last]: _, ...others } = answers.value
  answers.value = others
}
</script>

<template>
  <section class="identify" aria-live="polite">
    <template v-if="question">
      <h2>{{ units.say(question.text) }}</h2>
      <p class="quiet">{{ units.say(question.look) }}</p>
      <div class="answers">
        <a-button v-for="a in question.answers" :key="a.id" size="large" @click="answer(a.id)">{{ units.say(a.text) }}</a-button>
        <a-button size="large" type="text" @click="answer('unknown')">I cannot tell</a-button>
      </div>
    </template>
    <template v-else>
      <h2>{{ left.length === 1 ? 'It is this one.' : `It is one of these ${left.length}.` }}</h2>
      <p class="quiet">Compare shape, fat and grain.</p>
    </template>
    <p class="quiet count">
      {{ left.length }} it can still be
      <a-button v-if="order.length > 0" class="link" @click="back">One question back</a-button>
      <a-button class="link" @click="emit('close')">Stop asking</a-button>
    </p>
    <ul v-if="left.length <= 9">
      <li v-for="cut in left" :key="cut.id">
        <a-button class="card" @click="emit('choose', cut.id)">
          <cut-drawing :cut="cut" :scale="0.36" :width="112" :height="62" />
          <strong>{{ cut.name }}</strong>
          <span class="quiet">{{ isTender(cut) ? cut.grain.text : 'for a braise' }}</span>
        </a-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.identify {
  margin: 14px 0;
  padding: 18px 20px;
  background: var(--tile);
  border-left: 4px solid var(--oxblood);
}
h2 {
  font-size: 23px;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 12px 0;
}
.answers .ant-btn {
  min-height: 48px;
  white-space: normal;
  height: auto;
}
.count {
  display: flex;
  gap: 14px;
  align-items: center;
}
ul {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px;
}
.card.ant-btn {
  width: 100%;
  height: 100%;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  border: 1px solid var(--rule);
  background: var(--marble);
  padding: 8px 10px;
  gap: 2px;
}
li .quiet {
  font-size: 13px;
}
</style>
