/** The server's interface, with its problem details turned into errors that say what is wrong. */
import type { CookRecord, CookSummary, Outcome, ProbeLog } from '#core/book/record'
import type { CookEvent } from '#core/session/events'
import type { Probe, Tip } from '#core/session/probes'
import type { CookPage, NewCook } from '#core/book/cookSchema'
import type { Everything, TakenIn } from '#core/formats/everythingSchema'
import type { Claim, House } from '#core/formats/houseSchema'
import type { PrintedSheet } from '#core/formats/sheetSchema'
import type { Kit } from '#core/kit/kit'
import type { CutOpen } from '#core/rehearsal/cutOpen'
import type { Rehearsal, RehearsalSummary } from '#core/rehearsal/record'
import type { DrillDone } from '#core/rehearsal/schema'
import type { Packet } from '#core/shop/larder'
import type { Recipe } from '#core/service/recipe'
import type { Order } from '#core/shop/orderSlip'
import type { ServiceEvent, ServiceRecord, ServiceSummary } from '#core/service/record'
import type { UnitSystem } from '#core/quantity/units'
import { shallowRef } from 'vue'

/** The server answered, and refused. */
export class RefusedError extends Error {
  override readonly name = 'RefusedError'
  constructor(
    readonly status: number,
    message: string
  ) {
    super(message)
  }
}

/** Whether the kitchen does not know this device, or not any more. */
export const unpaired = shallowRef(false)

/** Nobody answered. */
export class UnreachableError extends Error {
  override readonly name = 'UnreachableError'
}

const PATIENCE_MS = 8000

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } })
    })
  } catch {
    throw new UnreachableError('The server does not answer.')
  }
  // A proxy in front of a dead server answers for it.
  if (response.status >= 502 && response.status <= 504) throw new UnreachableError('The server does not answer.')
  if (response.status === 204) return undefined as T
  const answer = (await response.json().catch(() => null)) as ({ detail?: string; title?: string } & T) | null
  if (response.status === 401) unpaired.value = true
  if (!response.ok) throw new RefusedError(response.status, answer?.detail ?? answer?.title ?? `The server answered ${response.status}.`)
  return answer as T
}

export interface BookPage {
  readonly cooks: CookSummary[]
  /** On this page: kept, and not to be read any more. */
  readonly unreadable: readonly { readonly id: string; readonly title: string; readonly createdAt: number }[]
  /** On all pages. */
  readonly total: number
}

const cookPath = (id: string): string => `/cooks/${encodeURIComponent(id)}`

async function askPdf(path: string, body: unknown): Promise<Blob> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method: 'POST',
      signal: AbortSignal.timeout(PATIENCE_MS),
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' }
    })
  } catch {
    throw new UnreachableError('The server does not answer.')
  }
  if (response.status >= 502 && response.status <= 504) throw new UnreachableError('The server does not answer.')
  if (!response.ok) throw new RefusedError(response.status, `The server answered ${response.status}.`)
  return response.blob()
}

const rehearsalPath = (id: string): string => `/rehearsals/${encodeURIComponent(id)}`
const servicePath = (id: string): string => `/services/${encodeURIComponent(id)}`

export const api = {
  health: (): Promise<{ now: number; machineS: number }> => ask('GET', '/health'),
  house: (): Promise<House> => ask('GET', '/house'),
  openHouse: (open: boolean): Promise<void> => ask('PUT', '/house/open', { open }),
  setPasscode: (passcode: string | null): Promise<void> => ask('PUT', '/house/passcode', { passcode }),
  invite: (): Promise<{ url: string; until: number }> => ask('POST', '/house/invitations', {}),
  comeIn: (claim: Claim): Promise<{ name: string }> => ask('POST', '/house/devices', claim),
  putOut: (device: string): Promise<void> => ask('DELETE', `/house/devices/${encodeURIComponent(device)}`),
  services: (skip: number): Promise<{ services: ServiceSummary[]; total: number }> => ask('GET', `/services?skip=${skip}`),
  service: (id: string): Promise<ServiceRecord> => ask('GET', servicePath(id)),
  cooksFor: (service: string): Promise<{ cooks: CookRecord[]; thrownAway: string[] }> => ask('GET', `${servicePath(service)}/cooks`),
  /** Each change of a service as it comes, and each time the way there is open again. */
  changesOf: (service: string): EventSource => new EventSource(`/api${servicePath(service)}/changes`),
  tellService: (id: string, events: readonly ServiceEvent[]): Promise<ServiceRecord> =>
    ask('POST', `${servicePath(id)}/events`, { events }),
  removeService: (id: string): Promise<void> => ask('DELETE', servicePath(id)),
  restoreService: (id: string): Promise<ServiceRecord> => ask('POST', `${servicePath(id)}/restored`),
  packets: (): Promise<{ packets: Packet[] }> => ask('GET', '/packets'),
  keep: (packet: Packet): Promise<Packet> => ask('PUT', `/packets/${encodeURIComponent(packet.id)}`, packet),
  use: (id: string): Promise<void> => ask('DELETE', `/packets/${encodeURIComponent(id)}`),
  /** Where all that is kept is had as one file. */
  everythingAt: '/api/everything',
  takeIn: (part: Partial<Everything>): Promise<TakenIn> => ask('POST', '/everything', part),
  recipes: (): Promise<{ recipes: Recipe[] }> => ask('GET', '/recipes'),
  putRecipe: (recipe: Recipe): Promise<Recipe> => ask('PUT', `/recipes/${encodeURIComponent(recipe.id)}`, recipe),
  probes: (): Promise<{ probes: Probe[] }> => ask('GET', '/probes'),
  placeProbe: (id: string, cook: string | null, tip: Tip): Promise<Probe> =>
    ask('PUT', `/probes/${encodeURIComponent(id)}/place`, { cook, tip }),
  forgetProbe: (id: string): Promise<void> => ask('DELETE', `/probes/${encodeURIComponent(id)}`),
  drills: (): Promise<{ drills: DrillDone[] }> => ask('GET', '/drills'),
  drilled: (done: DrillDone): Promise<DrillDone> => ask('PUT', `/drills/${encodeURIComponent(done.id)}`, done),
  rehearsals: (): Promise<{ rehearsals: RehearsalSummary[]; best: Readonly<Record<string, number>> }> => ask('GET', '/rehearsals'),
  beginRehearsal: (id: string, exercise: string | null): Promise<Rehearsal> => ask('POST', '/rehearsals', { id, exercise }),
  rehearsal: (id: string): Promise<Rehearsal> => ask('GET', rehearsalPath(id)),
  goAt: (id: string, speed: number): Promise<Rehearsal> => ask('PUT', `${rehearsalPath(id)}/speed`, { speed }),
  didSide: (id: string, call: string, done: boolean): Promise<Rehearsal> =>
    ask(done ? 'PUT' : 'DELETE', `${rehearsalPath(id)}/sides/${encodeURIComponent(call)}`),
  probe: (id: string, cook: string): Promise<{ at: number; celsius: number }> => ask('POST', `${rehearsalPath(id)}${cookPath(cook)}/probe`),
  cutOpen: (id: string, cook: string): Promise<CutOpen> => ask('GET', `${rehearsalPath(id)}${cookPath(cook)}/cut`),
  kit: (): Promise<{ kit: Kit | null }> => ask('GET', '/kit'),
  putKit: (kit: Kit): Promise<{ kit: Kit }> => ask('PUT', '/kit', kit),
  sheetPdf: (sheet: PrintedSheet): Promise<Blob> => askPdf('/print/call-sheet', sheet),
  orderPdf: (order: Order, units: UnitSystem): Promise<Blob> => askPdf('/print/order-slip', { order, units }),
  cooks: ({ search, skip, take, sort, order }: CookPage): Promise<BookPage> =>
    ask('GET', `/cooks?${new URLSearchParams({ search, skip: String(skip), take: String(take), order, ...(sort ? { sort } : {}) })}`),
  cooksOf: (service: string): Promise<{ cooks: CookSummary[] }> => ask('GET', `/cooks?service=${encodeURIComponent(service)}`),
  rename: (id: string, title: string): Promise<CookRecord> => ask('PUT', `${cookPath(id)}/title`, { title }),
  readCooks: (): Promise<{ cooks: CookRecord[] }> => ask('GET', '/cooks/read'),
  cook: (id: string): Promise<CookRecord> => ask('GET', cookPath(id)),
  begin: (cook: NewCook): Promise<CookRecord> => ask('POST', '/cooks', cook),
  tell: (id: string, events: readonly CookEvent[]): Promise<CookRecord> => ask('POST', `${cookPath(id)}/events`, { events }),
  judge: (id: string, outcome: Outcome): Promise<CookRecord> => ask('PUT', `${cookPath(id)}/outcome`, outcome),
  keepLog: (id: string, log: ProbeLog): Promise<CookRecord> => ask('PUT', `${cookPath(id)}/log`, log),
  dropLog: (id: string): Promise<CookRecord> => ask('DELETE', `${cookPath(id)}/log`),
  remove: (id: string): Promise<void> => ask('DELETE', cookPath(id)),
  restore: (id: string): Promise<CookRecord> => ask('POST', `${cookPath(id)}/restored`)
}
