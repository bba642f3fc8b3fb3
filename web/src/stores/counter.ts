/** What the cook is after at the counter: kept through reloads. */
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { APPETITES, chooseCuts, FIRST_ASK, purchaseOf, type Appetite, type Ask, type Table } from '#core/shop/choose'
import { HEATS, REGIONS, type Heat, type Region } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { orderFor, type Order } from '#core/shop/orderSlip'
import { DINERS_LIMITS } from '#core/service/ticket'
import { parseOrder } from '#core/shop/schema'
import { useDinner } from './dinner'
import { kept } from './kept'

const TABLES: readonly Table[] = ['alike', 'mixed', 'well done']
const MOST_PINNED = 3

function parseAsk(stored: unknown): Ask {
  const { guests, appetite, heats, minutes, table, budget, prices } = stored as Ask
  const number = (value: unknown, low: number, high: number): number => {
    if (typeof value !== 'number' || !(value >= low && value <= high)) throw new Error('not a number')
    return value
  }
  if (!(appetite in APPETITES) || !TABLES.includes(table)) throw new Error('not an ask')
  return {
    guests: Math.min(number(guests, 1, 60), DINERS_LIMITS[1]),
    appetite: appetite satisfies Appetite,
    heats: heats.filter((h: Heat) => HEATS.includes(h)),
    minutes: number(minutes, 10, 1440),
    table,
    budget: budget === null ? null : number(budget, 0.1, 10000),
    prices: Object.fromEntries(Object.entries(prices).filter(([id, p]) => cutById(id) && typeof p === 'number' && p > 0))
  }
}

export const useCounter = defineStore('counter', () => {
  const dinner = useDinner()
  const asked = kept<Ask>('macellaio.ask', () => FIRST_ASK, parseAsk)
  const ask = computed<Ask>({
    get: () => ({ ...asked.value, guests: dinner.diners ?? asked.value.guests }),
    set: next => {
      if (next.guests !== ask.value.guests) dinner.diners = next.guests
      asked.value = next
    }
  })
  const region = kept<Region>(
    'macellaio.region',
    () => 'UK',
    stored => REGIONS.find(r => r === stored) ?? 'UK'
  )
  const chosenId = kept<string>(
    'macellaio.chosen',
    () => 'strip',
    stored => (typeof stored === 'string' && cutById(stored) ? stored : 'strip')
  )
  const pinned = kept<readonly string[]>(
    'macellaio.pinned',
    () => [],
    stored => (stored as string[]).filter(id => cutById(id)).slice(0, MOST_PINNED)
  )
  /** Changes the cook has made to the order of the cut chosen. */
  const order = kept<Order | null>(
    'macellaio.order',
    () => null,
    stored => (stored === null ? null : parseOrder(stored))
  )
  const query = ref('')

  /** Meat is bought for those who eat it. */
  const eating = computed<Ask>(() => ({ ...ask.value, guests: Math.max(1, ask.value.guests - dinner.noMeat) }))
  const choices = computed(() => chooseCuts(eating.value))
  const chosen = computed(() => cutById(chosenId.value) ?? CUTS[0])
  const buy = computed(() => purchaseOf(chosen.value, eating.value))
  const compared = computed(() => {
    const best = choices.value.map(c => c.cut.id).filter(id => !pinned.value.includes(id))
    return [...pinned.value, ...best].slice(0, MOST_PINNED)
  })
  const slip = computed<Order>(() =>
    order.value?.cutId === chosen.value.id ? { ...order.value, region: region.value } : orderFor(chosen.value, region.value, buy.value)
  )

  function change(part: Partial<Ask>): void {
    ask.value = { ...ask.value, ...part }
  }
  function choose(id: string): void {
    chosenId.value = id
  }
  function pin(id: string): void {
    pinned.value = pinned.value.includes(id) ? pinned.value.filter(p => p !== id) : [...pinned.value.slice(-(MOST_PINNED - 1)), id]
  }
  function price(id: string, perKg: number | null): void {
    const { [id]: _, ...others } = ask.value.prices
    change({ prices: perKg === null ? others : { ...others, [id]: perKg } })
  }
  function changeOrder(part: Partial<Order>): void {
    order.value = { ...slip.value, ...part }
  }
  // Another party needs another amount: what was ordered for the old one no longer fits.
  watch(
    () => [eating.value.guests, ask.value.appetite, chosenId.value] as const,
    () => {
      order.value = null
    }
  )

  return { ask, eating, region, chosenId, pinned, query, choices, chosen, buy, compared, slip, change, choose, pin, price, changeOrder }
})
