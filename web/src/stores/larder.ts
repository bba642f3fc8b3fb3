/**
 * The fridge and the freezer: written in the browser first and sent to the server from
 * an outbox, so that a dead server loses nothing.
 */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import { parsePacket } from '#core/shop/schema'
import { inOrder, type Packet } from '#core/shop/larder'
import { api, UnreachableError } from '../api/client'
import { kept } from './kept'

/** A packet to be stored, or the id of one to be taken out. */
type Letter = { readonly keep: Packet } | { readonly use: string }

const RETRY_MS = 4000
const parseAll = (stored: unknown): Packet[] => (stored as unknown[]).map(parsePacket)

export const useLarder = defineStore('larder', () => {
  const packets = kept<readonly Packet[]>('macellaio.larder', () => [], parseAll)
  const outbox = kept<readonly Letter[]>(
    'macellaio.larder.outbox',
    () => [],
    stored => (Array.isArray(stored) ? (stored as Letter[]) : [])
  )
  const offline = ref(false)
  const refused = ref<string | null>(null)
  const loaded = ref(false)
  /** The last one taken out, until something else happens. */
  const last = ref<Packet | null>(null)
  let sending = false
  let again: ReturnType<typeof setTimeout> | undefined

  const ordered = computed(() => inOrder(packets.value, Date.now()))

  function keep(packet: Packet): void {
    packets.value = [...packets.value.filter(p => p.id !== packet.id), packet]
    last.value = null
    post({ keep: packet })
  }
  function add(packet: Omit<Packet, 'id'>): void {
    keep({ ...packet, id: nanoid(12) })
  }
  function takeOut(id: string): void {
    const packet = packets.value.find(p => p.id === id)
    if (!packet) return
    packets.value = packets.value.filter(p => p.id !== id)
    last.value = packet
    post({ use: id })
  }
  function putBack(): void {
    if (last.value) keep(last.value)
  }

  /** What the server has, with what is still on its way to it laid over. */
  async function load(): Promise<void> {
    await send()
    if (outbox.value.length > 0) return
    try {
      packets.value = (await api.packets()).packets
      offline.value = false
    } catch (error) {
      if (!(error instanceof UnreachableError)) throw error
      offline.value = true
    } finally {
      loaded.value = true
    }
  }

  function post(letter: Letter): void {
    outbox.value = [...outbox.value, letter]
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(again)
    try {
      for (let letter = outbox.value.at(0); letter; letter = outbox.value.at(0)) {
        try {
          await ('keep' in letter ? api.keep(letter.keep) : api.use(letter.use))
          refused.value = null
        } catch (error) {
          if (error instanceof UnreachableError) throw error
          // Refused for good: kept here, and said.
          refused.value = error instanceof Error ? error.message : 'The server refused it.'
        }
        outbox.value = outbox.value.slice(1)
      }
      offline.value = false
    } catch {
      offline.value = true
      again = setTimeout(() => void send(), RETRY_MS)
    } finally {
      sending = false
    }
  }

  return { packets, ordered, offline, refused, loaded, last, keep, add, takeOut, putBack, load }
})
