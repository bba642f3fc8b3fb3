<script setup lang="ts">
/** The whole kitchen on one file, for another machine or a safe place; and brought back, into an empty kitchen or a full one. */
import { Button as AButton, Progress as AProgress } from 'ant-design-vue'
import { ref } from 'vue'
import { NOTHING_TAKEN, partsOf, type TakenIn } from '#core/formats/everythingSchema'
import { listed } from '#core/quantity/format'
import { api } from '../../api/client'
import FileField from '../../ui/FileField.vue'
import { openFile } from '../../ui/openFile'

const emit = defineEmits<{ taken: [] }>()
/** A Book of thirty years. */
const MOST_VALUES = 2e7
const said = ref('')
/** Share of it that is told; null while nothing is. */
const told = ref<number | null>(null)
const WORDS: readonly (readonly [keyof TakenIn, one: string, many: string])[] = [
  ['cooks', 'cook', 'cooks'],
  ['services', 'service', 'services'],
  ['packets', 'packet', 'packets'],
  ['recipes', 'recipe', 'recipes'],
  ['kit', 'kit', 'kits'],
  ['probes', 'thermometer', 'thermometers'],
  ['scores', 'result of an exercise', 'results of exercises'],
  ['drills', 'drill gone through', 'drills gone through']
]
function inWords(taken: TakenIn): string {
  const news = WORDS.flatMap(([key, one, many]) => (taken[key] === 0 ? [] : [`${taken[key]} ${taken[key] === 1 ? one : many}`]))
  return news.length === 0 ? 'All of it was here already.' : `Brought back: ${listed(news)}. What was here already stays as it was.`
}
async function bring(file: File): Promise<void> {
  let parts: ReturnType<typeof partsOf> = []
  said.value = ''
  const wrong = await openFile(
    file,
    'a saved kitchen',
    json => {
      parts = partsOf(json)
    },
    MOST_VALUES
  )
  if (parts.length === 0) {
    said.value = wrong === 'Opened.' ? 'There is nothing in it.' : wrong
    return
  }
  const all = { ...NOTHING_TAKEN }
  try {
    for (const [i, part] of parts.entries()) {
      told.value = i / parts.length
      const taken = await api.takeIn(part)
      for (const [key] of WORDS) all[key] += taken[key]
    }
    said.value = inWords(all)
  } catch (error) {
    said.value = `It stopped: ${error instanceof Error ? error.message : ''} What came in before that is here; bring the file again, nothing comes twice.`
  }
  told.value = null
  emit('taken')
}
</script>

<template>
  <section class="all">
    <h2>The whole kitchen</h2>
    <p class="quiet">
      Book, services, larder, recipes, kit, thermometers and what exercises came to, on one file. Brought back, it adds what is missing and
      changes nothing that is here.
    </p>
    <div class="acts">
      <a-button :href="api.everythingAt" download>Save everything</a-button>
      <file-field label="Bring a saved kitchen back" @file="bring" />
    </div>
    <a-progress v-if="told !== null" :percent="Math.round(100 * told)" :show-info="false" />
    <p role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.all {
  margin-top: 34px;
  max-width: 620px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  margin: 8px 0;
}
.acts .ant-btn {
  height: 42px;
  line-height: 32px;
}
</style>
