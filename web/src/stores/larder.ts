/**
 * The fridge and the freezer: written in the browser first and sent to the server from
 * an outbox, so that a dead server loses nothing.
 */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import { parsePacket } from '#core/shop/schema'
import { inOrder, type Packet } from '#core/shop/larder'
import { api } from '../api/client'
import { kept } from './kept'
import { outbox } from './outbox'

/** A packet to be stored, or the id of one to be taken out. */
type Letter = { readonly keep: Packet } | { readonly use: string }

const parseAll = (stored: unknown): Packet[] => (stored as unknown[]).map(parsePacket)

export const useLarder = defineStore('larder', () => {
  const packets = kept<readonly Packet[]>('macellaio.larder', () => [], parseAll)
  const { letters, offline, refused, post, answered } = outbox<Letter>(
    'macellaio.larder.outbox',
    l => ('keep' in l ? api.keep(l.keep) : api.use(l.use)),
    { heard: lay }
  )
  const loaded = ref(false)
  /** The last one taken out, until something else happens. */
  const last = ref<Packet | null>(null)

  const ordered = computed(() => inOrder(packets.value, Date.now()))

  /** Over what stands here, what is on its way to the server. */
  function lay(letter: Letter): void {
    const id = 'keep' in letter ? letter.keep.id : letter.use
    packets.value = [...packets.value.filter(p => p.id !== id), ...('keep' in letter ? [letter.keep] : [])]
  }

  function keep(packet: Packet): void {
    lay({ keep: packet })
    last.value = null
    refused.value = null
    post({ keep: packet })
  }
  /** @returns its id */
  function add(packet: Omit<Packet, 'id'>): string {
    const id = nanoid(12)
    keep({ ...packet, id })
    return id
  }
  function takeOut(id: string): void {
    const packet = packets.value.find(p => p.id === id)
    if (!packet) return
    lay({ use: id })
    last.value = packet
    post({ use: id })
  }
  function putBack(): void {
    if (last.value) keep(last.value)
  }

  /** What the server has, with what is still on its way to it laid over. */
  async function load(): Promise<void> {
    try {
      const there = await answered(api.packets)
      if (!there) return
      packets.value = there.packets
      offline.value = false
    } catch {
      // Dead or failing: what stands here is what there is.
      offline.value = true
    } finally {
      loaded.value = true
    }
  }

  // Another page may have written over what this one kept.
  for (const letter of letters.value) lay(letter)
  return { packets, ordered, offline, refused, loaded, last, keep, add, takeOut, putBack, load }
})
