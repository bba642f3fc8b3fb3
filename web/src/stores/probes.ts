/** Thermometers that speak for themselves, as the server has heard them; which piece each is in is said here. */
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Probe, Tip } from '#core/session/probes'
import { api } from '../api/client'

export const useProbes = defineStore('probes', () => {
  const probes = shallowRef<readonly Probe[]>([])
  /** What went wrong with the last that was asked of one. */
  const trouble = ref<string | null>(null)

  function put(probe: Probe): void {
    const known = probes.value.some(p => p.id === probe.id)
    probes.value = known ? probes.value.map(p => (p.id === probe.id ? probe : p)) : [...probes.value, probe]
  }
  /** What came down the stream. */
  function hear(data: string): void {
    try {
      put(JSON.parse(data) as Probe)
    } catch {
      // Half a line of a stream that broke; the next is whole.
    }
  }
  /** What there is; where it cannot be had, what there was. */
  async function load(): Promise<void> {
    try {
      const { probes: there } = await api.probes()
      probes.value = Array.isArray(there) ? there : []
    } catch {
      // They will be heard when they speak.
    }
  }
  async function asked(work: () => Promise<void>): Promise<void> {
    trouble.value = null
    try {
      await work()
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : String(error)
    }
  }
  const place = (id: string, cook: string | null, tip: Tip): Promise<void> => asked(async () => put(await api.placeProbe(id, cook, tip)))
  const forget = (id: string): Promise<void> =>
    asked(async () => {
      await api.forgetProbe(id)
      probes.value = probes.value.filter(p => p.id !== id)
    })

  return { probes, trouble, hear, load, place, forget }
})
