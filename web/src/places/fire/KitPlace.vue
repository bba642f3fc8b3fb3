<script setup lang="ts">
/** What the kitchen has: each thing with what counts for the heat, to be changed, added and taken away; and what the pan on its ring does by the minute. */
import FileField from '../../ui/FileField.vue'
import OnSlate from '../../ui/OnSlate.vue'
import { Button as AButton } from 'ant-design-vue'
import { computed, onMounted, ref } from 'vue'
import { parseKit } from '#core/kit/kitSchema'
import { READY_KITS, type KitShelf } from '#core/kit/kit'
import { boilingThere } from '#core/kit/thermometer'
import { showTemperature, shownText } from '#core/quantity/format'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import CountField from '../../ui/CountField.vue'
import { saveFile } from '../../ui/saveFile'
import { openFile } from '../../ui/openFile'
import FireTabs from './FireTabs.vue'
import KitShelfList from './KitShelfList.vue'
import PanByTheMinute from './PanByTheMinute.vue'

const kit = useKit()
const units = useUnits()
onMounted(() => void kit.load())
const said = ref('')
const feet = computed(() => (units.system === 'metric' ? 1 : 3.28084))

const SHELF_NAMES: Record<KitShelf, string> = {
  pans: 'Pans',
  rings: 'Rings',
  ovens: 'Ovens',
  grills: 'Grills',
  baths: 'Baths with a machine',
  pots: 'Pots',
  thermometers: 'Thermometers'
}
const LEFT: readonly KitShelf[] = ['pans', 'rings', 'ovens']
const RIGHT: readonly KitShelf[] = ['grills', 'baths', 'pots', 'thermometers']
const counts = computed(() => `${kit.kit.pans.length} pans, ${kit.kit.rings.length} rings`)

function start(id: string): void {
  const ready = READY_KITS.find(r => r.id === id)
  if (ready && kit.replace({ ...ready.kit, altitudeM: kit.kit.altitudeM })) said.value = `Now the ${ready.name.toLowerCase()} kit.`
}
function save(): void {
  saveFile(new Blob([JSON.stringify(kit.kit, null, 2)], { type: 'application/json' }), 'kit.json')
}
async function open(file: File): Promise<void> {
  said.value = await openFile(file, 'a kit file', json => void kit.replace(parseKit(json)))
}
</script>

<template>
  <div class="place">
    <main>
      <fire-tabs />
      <h1>The kit</h1>
      <p class="quiet">{{ counts }}. What is marked is what plans are made with. Change a figure and every plan follows.</p>
      <p v-if="kit.problem" class="wrong" role="alert">{{ kit.problem }}</p>
      <p v-if="kit.offline" class="quiet" role="status">The server does not answer. All is kept here and sent when it does.</p>
      <div class="shelves">
        <div>
          <kit-shelf-list v-for="s in LEFT" :key="s" :shelf="s" :name="SHELF_NAMES[s]" />
        </div>
        <div>
          <kit-shelf-list v-for="s in RIGHT" :key="s" :shelf="s" :name="SHELF_NAMES[s]" />
        </div>
      </div>
    </main>
    <on-slate>
      <aside class="slate" aria-label="Pan and kits">
        <pan-by-the-minute />
        <h2>Where it stands</h2>
        <count-field
          label="Above the sea"
          :unit="units.system === 'metric' ? 'm' : 'ft'"
          :range="[Math.round(-400 * feet), Math.round(4500 * feet)]"
          :step="1"
          :model-value="Math.round(kit.kit.altitudeM * feet)"
          @update:model-value="v => kit.replace({ ...kit.kit, altitudeM: v / feet })"
        />
        <p class="quiet">
          Water boils at
          {{ shownText(showTemperature(boilingThere(kit.kit.altitudeM), units.system, units.system === 'us' ? 0 : 1)) }} here.
        </p>
        <h2>Start from</h2>
        <ul class="ready">
          <li v-for="r in READY_KITS" :key="r.id">
            <a-button class="link" @click="start(r.id)">{{ r.name }}</a-button> <span class="quiet">{{ r.says }}</span>
          </li>
        </ul>
        <div class="acts">
          <a-button :disabled="!kit.before" @click="kit.undo()">Undo</a-button>
          <a-button @click="save">Kit file</a-button>
        </div>
        <file-field label="Open a kit file" @file="open" />
        <p class="quiet" role="status">{{ said }}</p>
      </aside>
    </on-slate>
  </div>
</template>

<style scoped>
.shelves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 36px;
  margin-top: 8px;
}
.wrong {
  color: #9a211b;
}
aside h2 {
  margin-top: 20px;
}
aside :deep(.typed label) {
  color: var(--chalk-2);
}
.ready {
  list-style: none;
  margin: 6px 0 10px;
  padding: 0;
}
.ready li {
  border-top: 1px solid #454b4d;
  padding: 6px 0;
  font-size: 13.5px;
}
.ready .ant-btn {
  font-weight: 600;
  font-size: 15px;
}
.acts .ant-btn {
  height: 40px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-bottom: 10px;
}
@media (max-width: 1000px) {
  .shelves {
    grid-template-columns: 1fr;
  }
}
</style>
