<script setup lang="ts">
/** One shelf of the kit: what stands there, which of it is in use, and each opened to be changed. */
import { Button as AButton, Radio as ARadio } from 'ant-design-vue'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import { BATHS, POTS } from '#core/kit/bath'
import { GRILLS } from '#core/kit/grill'
import type { Chosen, Kit, KitShelf } from '#core/kit/kit'
import { OVENS } from '#core/kit/oven'
import { PANS, ratedPower, RINGS, type Pan, type Ring } from '#core/kit/pan'
import { TRUE_READER, type Thermometer } from '#core/kit/thermometer'
import type { BathMachine, Pot } from '#core/kit/bath'
import type { Grill } from '#core/kit/grill'
import type { Oven } from '#core/kit/oven'
import { showLength, showTemperatureRise, shownText, withArticle } from '#core/quantity/format'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import { tell } from '../../ui/tell'
import KitItemForm from './KitItemForm.vue'
import type { AnyItem } from './kitFields'

const props = defineProps<{ shelf: KitShelf; name: string }>()
const kit = useKit()
const draft = useDraft()
const units = useUnits()
const open = ref<string | null>(null)

const items = computed(() => kit.kit[props.shelf] as readonly AnyItem[])
const used = computed(() => {
  if (props.shelf === 'pans') return draft.request.kit.pan.id
  if (props.shelf === 'rings') return draft.request.kit.ring.id
  return items.value.find(i => i.id === kit.chosen[props.shelf as keyof Chosen])?.id ?? items.value.at(0)?.id
})
function use(id: string): void {
  if (props.shelf === 'pans' || props.shelf === 'rings') kit.use(props.shelf, id)
  else kit.choose(props.shelf, id)
}

const NEW: { readonly [S in KitShelf]: Kit[S][number] } = {
  pans: { ...PANS[0], name: 'New pan' },
  rings: { ...RINGS[0], heat: 'gas', name: 'New ring' },
  ovens: { ...OVENS[0], name: 'New oven' },
  grills: { ...GRILLS[0], name: 'New grill' },
  baths: { ...BATHS[0], name: 'New bath' },
  pots: { ...POTS[0], name: 'New pot' },
  thermometers: { ...TRUE_READER, name: 'New thermometer' }
}
function add(): void {
  const id = nanoid(8)
  if (kit.put(props.shelf, { ...NEW[props.shelf], id })) open.value = id
}
function remove(id: string): void {
  const name = items.value.find(i => i.id === id)?.name
  if (!kit.remove(props.shelf, id)) return
  open.value = null
  tell(`${name} is taken away.`, kit.undo)
}

const length = (mm: number): string => shownText(showLength(mm, units.system))
const off = (k: number): string =>
  k === 0 ? 'true to its dial' : `${k > 0 ? '+' : '−'}${shownText(showTemperatureRise(Math.abs(k), units.system))} off its dial`
function says(item: AnyItem): string {
  switch (props.shelf) {
    case 'pans': {
      const pan = item as Pan
      return `${pan.metal}, ${length(pan.diameterMm)} across the floor, ${shownText(showLength(pan.floorMm, units.system, true))} thick`
    }
    case 'rings': {
      const ring = item as Ring
      return `${ring.heat ?? 'gas'}, ${Math.round(ratedPower(ring) / 100) / 10} kW; ${Math.round(ring.powerW / 100) / 10} kW reaches the pan`
    }
    case 'ovens': {
      const oven = item as Oven
      return `${oven.fan ? 'fan' : 'still'}, ${off(oven.offsetC)}`
    }
    case 'grills': {
      const grill = item as Grill
      return `${grill.fuel ?? 'charcoal'}, ${grill.lid ? 'with a lid' : 'no lid'}, ${grill.twoZones === false ? 'fire all over' : 'two zones'}`
    }
    case 'baths': {
      const bath = item as BathMachine
      return `${units.say(`${bath.litres} L`)}, ${bath.offsetC === 0 ? 'true' : off(bath.offsetC)}`
    }
    case 'pots': {
      const pot = item as Pot
      return `${units.say(`${Math.round(pot.litres * 10) / 10} L`)} of water, ${length(pot.widthM * 1000)} across`
    }
    case 'thermometers': {
      const t = item as Thermometer
      const ice = t.inIceC === 0 ? 'true in ice' : `${off(t.inIceC).replace('its dial', 'in ice')}`
      return `${t.leaveIn ? 'stays in' : 'put in to read'}; ${ice}, ${t.inBoilingC === null ? 'not checked in boiling water' : 'checked in boiling water'}`
    }
  }
}
</script>

<template>
  <section class="shelf">
    <h2>{{ name }}</h2>
    <p v-if="items.length === 0" class="quiet none">None.</p>
    <ul>
      <li v-for="i in items" :key="i.id">
        <a-radio class="use" :name="shelf" :checked="i.id === used" @change="use(i.id)">
          <strong>{{ i.name }}</strong> <span class="quiet">{{ says(i) }}</span>
        </a-radio>
        <a-button class="link" :aria-expanded="open === i.id" @click="open = open === i.id ? null : i.id">
          {{ open === i.id ? 'close' : 'change' }}
        </a-button>
        <kit-item-form
          v-if="open === i.id"
          class="form"
          :shelf="shelf"
          :item="i"
          :last="(shelf === 'pans' || shelf === 'rings') && items.length === 1"
          @change="item => kit.put(shelf, item as Kit[KitShelf][number])"
          @remove="remove(i.id)"
        />
      </li>
    </ul>
    <a-button class="link add" @click="add">
      Add {{ name === 'Baths with a machine' ? 'a bath' : withArticle(name.toLowerCase().replace(/s$/, '')) }}
    </a-button>
  </section>
</template>

<style scoped>
.shelf {
  margin-top: 14px;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--rule);
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  align-items: start;
  padding: 7px 0;
}
.use {
  line-height: 1.35;
  margin: 0;
}
.use :deep(.ant-radio) {
  align-self: flex-start;
  margin-top: 3px;
}
.use .quiet {
  display: block;
  font-size: 13.5px;
}
.link.ant-btn {
  font-size: 14px;
  padding: 2px 0;
}
.form {
  grid-column: 1 / -1;
}
.none {
  font-size: 14px;
}
</style>
