/**
 * What is in the fridge and the freezer, how long it keeps there by plain rule, and when
 * it will be thawed. Times in ms since 1970, as clocks give them.
 */
import { thawingTime, THAWING_EXCHANGE } from '#core/heat/thawing'
import type { Cut } from '#core/meat/cut'
import type { SurfaceState } from '#core/meat/piece'

export type Place = 'fridge' | 'freezer'
export const WRAPS = ['vacuum', 'wrapped', 'open'] as const
export type Wrap = (typeof WRAPS)[number]

export interface Packet {
  readonly id: string
  /** Null while nobody knows what it is. */
  readonly cutId: string | null
  /** What is written on it. */
  readonly label: string
  readonly pieces: number
  /** Of all of it. */
  readonly weightG: number
  readonly thicknessMm: number | null
  readonly wrap: Wrap
  readonly place: Place
  /** Since when it has been where it is: bought, frozen, or put out to thaw. */
  readonly since: number
  /** Printed on it, end of that day; null where there is none. */
  readonly useBy: number | null
  /** Taken out of the freezer to thaw, and how; null otherwise. */
  readonly thawing: { readonly since: number; readonly how: ThawingHow } | null
  /** Needled, injected, rolled or minced; or not known. */
  readonly intact: 'yes' | 'no' | 'unknown'
  /** What its middle came to when it was cooked, before it was chilled, °C; left out, or null, while it is raw. */
  readonly cookedC?: number | null
}

/** Days in a cold fridge, sealed; the usual cautious figure for cooked meat (common practice, no source). */
export const KEEPS_DAYS = 3
export const isCooked = (packet: Packet): packet is Packet & { readonly cookedC: number } => typeof packet.cookedC === 'number'

export const THAWING_HOWS = ['fridge', 'cold water'] as const
export type ThawingHow = (typeof THAWING_HOWS)[number]
/** °C: a fridge, and tap water changed every half hour. */
export const THAWING_AROUND: Record<ThawingHow, number> = { fridge: 4, 'cold water': 12 }
const FREEZER_C = -18

const DAY = 24 * 3600 * 1000

export interface Keeping {
  /** Cook or freeze it by then. */
  readonly until: number
  readonly why: string
  readonly state: 'good' | 'soon' | 'past'
}

/**
 * Days in the fridge by plain rule: three for a whole piece and one for meat that is not
 * intact, after the cautious end of the USDA's cold storage chart (3–5 days, 1–2 days);
 * ten in vacuum without a date, after the UK FSA's guidance on vacuum packing; both from
 * memory. A printed date goes before every rule but that for opened packs.
 */
function fridgeDays(packet: Packet): { days: number; why: string } {
  if (isCooked(packet)) return { days: KEEPS_DAYS, why: 'cooked and chilled: three days, sealed and cold' }
  if (packet.intact === 'no') return { days: 1, why: 'needled, rolled or minced meat: a day or two' }
  if (packet.wrap === 'vacuum') return { days: 10, why: 'in vacuum without a date: at most ten days' }
  return { days: 3, why: 'unpacked whole pieces: three days, five at the most' }
}

export function keepingOf(packet: Packet, now: number): Keeping {
  const found = limitOf(packet)
  const left = found.until - now
  return { ...found, state: left < 0 ? 'past' : left < 1.5 * DAY && packet.place === 'fridge' ? 'soon' : 'good' }
}

function limitOf(packet: Packet): { until: number; why: string } {
  if (packet.place === 'freezer') {
    return { until: packet.since + 270 * DAY, why: 'frozen it stays safe; it is best within nine months' }
  }
  if (packet.thawing) {
    // Thawed meat is as old as it was when frozen: not known, so taken as half spent.
    return packet.thawing.how === 'cold water'
      ? { until: packet.thawing.since + DAY, why: 'thawed in water: cook it the same day' }
      : { until: packet.thawing.since + 3 * DAY, why: 'thawed in the fridge: within two days of being thawed' }
  }
  const { days, why } = fridgeDays(packet)
  const ruled = packet.since + days * DAY
  if (packet.useBy !== null && packet.wrap !== 'open') return { until: packet.useBy, why: 'the date printed on it' }
  return packet.useBy !== null && packet.useBy < ruled ? { until: packet.useBy, why: 'the date printed on it' } : { until: ruled, why }
}

/** When it will be thawed through, by the engine. @returns null where it is not thawing */
export function thawedAt(packet: Packet, cut: Cut): number | null {
  if (!packet.thawing) return null
  return packet.thawing.since + 1000 * thawSeconds(thicknessOf(packet, cut), cut, packet.thawing.how)
}

/** @param thicknessMm of the piece @returns s from a freezer at −18 °C */
export function thawSeconds(thicknessMm: number, cut: Cut, how: ThawingHow): number {
  return thawingTime({
    thickness: thicknessMm / 1000,
    composition: cut.composition,
    from: FREEZER_C,
    around: THAWING_AROUND[how],
    exchange: THAWING_EXCHANGE[how]
  })
}

export const thicknessOf = (packet: Packet, cut: Cut): number =>
  packet.thicknessMm ?? (cut.shape.thicknessMm[0] + cut.shape.thicknessMm[1]) / 2

/** What is most urgent first: past, then by how long is left; the freezer last. */
export function inOrder(packets: readonly Packet[], now: number): Packet[] {
  const rank = (p: Packet): number => (p.place === 'freezer' ? Infinity : keepingOf(p, now).until)
  return [...packets].sort((a, b) => rank(a) - rank(b) || a.since - b.since)
}

/** How its surface comes out of the packet. */
export const surfaceOf = (packet: Packet): SurfaceState => (packet.wrap === 'open' && !packet.thawing ? 'patted' : 'wet')
