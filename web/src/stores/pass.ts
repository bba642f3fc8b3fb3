/** The ticket of the pass, kept through reloads; laid out by a worker of its own whenever it or the kitchen changes. */
import { MOMENT } from '../ui/moments'
import dayjs from 'dayjs'
import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch, watchSyncEffect } from 'vue'
import { parseTicket } from '#core/formats/ticketSchema'
import { InvalidInputError } from '#core/input/problem'
import { cutById } from '#core/meat/cuts'
import { piecesName } from '#core/meat/piece'
import type { Plan } from '#core/plan/plan'
import { capital } from '#core/quantity/format'
import type { Beside } from '#core/method/setup'
import { byItself, type PlanRequest } from '#core/request/request'
import { wantedOf } from '#core/request/guests'
import { parseRequest } from '#core/request/schema'
import { beefDish, refired, toSeveral } from '#core/service/beef'
import type { Dish, Kitchen } from '#core/service/dish'
import type { Service } from '#core/service/schedule'
import { callsOf, type PassCall } from '#core/service/calls'
import type { ServiceRecord } from '#core/service/record'
import { besideOf, byPan, goesIn, mayShare, withBeside } from '#core/service/onePan'
import type { Prepared } from '#core/service/prepared'
import type { Task } from '#core/words/preparation'
import { parsePrepared } from '#core/formats/preparedSchema'
import { recipeIn } from '#core/service/recipes'
import { asKept, keptAcross, keptThrough, type Kept } from '#core/service/underWay'
import { dishesOf, kitchenOf, MOST_LINES, piecesOf, whose, type DishLine, type Ticket } from '#core/service/ticket'
import { Queue } from '../workers/queue'
import { useCook } from './cook'
import { useDinner } from './dinner'
import { useDraft } from './draft'
import { canonical } from './canonical'
import { kept } from './kept'
import { useKit } from './kit'
import { usePreparation } from './preparation'
import { useRecipes } from './recipes'
import { useUnits } from './units'

const SUPPER_H = 19.5
/** So long after the serving an evening is over. */
const OVER_H = 3
/** g of raw beef, a usual plate; common practice, no source. */
const PLATE_G = 225

function nextSupper(): string {
  const today = dayjs().startOf('day').add(SUPPER_H, 'hour')
  return (today.isBefore(dayjs().add(2, 'hour')) ? today.add(1, 'day') : today).format(MOMENT)
}

/** A piece as it is asked for. */
interface Asked {
  readonly id: string
  readonly request: PlanRequest
  readonly prepared: Prepared
  readonly tasks: readonly Task[]
}
interface Left extends Asked {
  /** What the ticket said of it then. */
  readonly over: string
}
/** What lies beside it is not said of it, but by the ticket. */
const asSaid = (request: PlanRequest | undefined): string => (request ? canonical(byItself(request)) : '')
/** Of services long past some may never be planned. */
const MOST_LEFT = 20
const newest = (of: Readonly<Record<string, Left>>): Record<string, Left> => Object.fromEntries(Object.entries(of).slice(1 - MOST_LEFT))
const parseLeft = (stored: unknown): Record<string, Left> =>
  Object.fromEntries(
    Object.entries(stored as Record<string, Left>).map(([id, of]) => [
      id,
      { ...of, id, request: parseRequest(of.request), prepared: parsePrepared(of.prepared) }
    ])
  )

interface ServeQuestion {
  readonly key: string
  readonly dishes: readonly Dish[]
  readonly kitchen: Kitchen
}

export const usePass = defineStore('pass', () => {
  const draft = useDraft()
  const dinner = useDinner()
  const kit = useKit()
  const units = useUnits()
  const cook = useCook()
  const preparation = usePreparation()
  const recipes = useRecipes()
  /** Of this dinner: whatever is lit for it has it too. */
  const keptId = kept<string | null>(
    'macellaio.service',
    () => null,
    stored => (typeof stored === 'string' && /^[\w-]{6,40}$/.test(stored) ? stored : null)
  )
  keptId.value ??= nanoid(12)
  const serviceId = computed(() => keptId.value ?? '')

  const example = (): Ticket => {
    const { count, weightG } = draft.request.piece
    const usual = ['roast-potatoes', 'broccoli', 'pan-sauce']
    return {
      serveAt: nextSupper(),
      diners: Math.min(40, Math.max(1, Math.round((count * weightG) / PLATE_G))),
      cooks: 1,
      lines: usual.map(recipe => ({ id: recipe, recipe }))
    }
  }
  const written = kept<Ticket>('macellaio.ticket', example, parseTicket)
  const ticket = computed<Ticket>({
    get: () => ({ ...written.value, diners: dinner.diners ?? written.value.diners }),
    set: next => {
      const laterS = dayjs(next.serveAt).diff(dayjs(written.value.serveAt), 'second')
      if (laterS !== 0 && laidOut.value && done.value.length > 0) keeps.value = keptThrough(keeps.value, laidOut.value, done.value, laterS)
      if (next.diners !== ticket.value.diners) dinner.diners = next.diners
      written.value = next
    }
  })
  /** Whether a cook has had a hand in it: an example gets its beef by itself. */
  const touched = kept<boolean>(
    'macellaio.ticket.touched',
    () => false,
    stored => stored === true
  )
  /** Calls that have been done, by their ids. */
  const done = kept<readonly string[]>(
    'macellaio.ticket.done',
    () => [],
    stored => (Array.isArray(stored) ? stored.filter(id => typeof id === 'string') : [])
  )
  /** What was begun before the table was put off, and stays. */
  const keeps = kept<Kept>(
    'macellaio.ticket.keeps',
    () => ({}),
    stored => Object.fromEntries(Object.entries(stored as Kept).filter(([, s]) => Number.isFinite(s)))
  )
  const undoable = shallowRef<Ticket | null>(null)

  const dishes = computed(() => dishesOf(ticket.value, kit.kit, recipes.book))
  const kitchen = computed(() => kitchenOf(ticket.value, kit.kit))
  const keyOf = (): string => JSON.stringify([dishes.value, kitchen.value])
  const laid = shallowRef<{ readonly key: string; readonly service: Service } | null>(null)
  const failed = shallowRef(false)
  /** Null while it is being laid out. */
  const service = computed(() => (laid.value?.key === keyOf() ? laid.value.service : null))
  const stale = computed(() => laid.value?.service ?? null)

  const laidOut = computed(() => service.value ?? stale.value)
  /** The layout that there is, while a newer one is made the one before; with what is under way where it is. */
  const asItStands = computed(() => (laidOut.value ? asKept(laidOut.value, keeps.value) : null))
  const calls = computed((): PassCall[] => {
    const of = asItStands.value
    return of ? callsOf(of, kit.kit.grills.at(0)?.fuel ?? 'charcoal', units.system) : []
  })
  const onTheStove = computed(() => cook.cooks.some(c => c.service?.id === serviceId.value))
  /** Beef that is on the stove is called from there; what was lit before pieces had ids stands for all of it. */
  const atTheStove = computed(() => {
    const lit = cook.cooks.flatMap(c => (c.service?.id === serviceId.value ? [c.service.piece] : []))
    return dishes.value
      .filter(d => d.kind === 'beef' && (lit.includes(undefined) || (d.pieces ?? [d.id]).some(id => lit.includes(id))))
      .map(d => d.id)
  })
  const nextCall = computed(
    () => calls.value.find(c => !c.ahead && !done.value.includes(c.id) && !(c.dishId && atTheStove.value.includes(c.dishId))) ?? null
  )
  const begun = computed(() => calls.value.some(c => done.value.includes(c.id)))
  /** Epoch ms. */
  const servedAt = computed(() => dayjs(ticket.value.serveAt).valueOf())
  /** What has to be minded with it; empty where there is nothing. */
  function cautionOf({ dishId }: PassCall): string {
    const line = ticket.value.lines.find(l => l.id === dishId)
    return line && 'recipe' in line ? (recipeIn(recipes.book, line.recipe)?.caution ?? '') : ''
  }
  const nameOf = ({ dishId }: PassCall): string => dishes.value.find(d => d.id === dishId)?.name ?? ''
  /** "Potatoes, roasted; Ines" */
  const ofWhom = (call: PassCall): string => [nameOf(call), capital(whose(ticket.value, call.by))].filter(Boolean).join('; ')

  const queue = new Queue<ServeQuestion, Service>({
    ask: (remote, { dishes: what, kitchen: where }) => remote.serve(what, where) as Promise<Service>,
    answered: ({ key }, found) => {
      failed.value = false
      // Changed and changed back meanwhile: what is wanted is there already.
      if (laid.value?.key === keyOf()) return
      // Laid out anew while it is cooked: what is begun stays where it is.
      if (asItStands.value && done.value.length > 0) keeps.value = keptAcross(asItStands.value, found, done.value)
      laid.value = { key, service: found }
    },
    failed: () => (failed.value = true)
  })
  /** Only while somebody looks, or cooks by it. */
  const watched = shallowRef(false)
  const wanted = computed(() => watched.value || done.value.length > 0)
  watch(
    [dishes, kitchen, wanted],
    () => {
      if (wanted.value && service.value === null) queue.put({ key: keyOf(), dishes: dishes.value, kitchen: kitchen.value })
    },
    { immediate: true }
  )

  /** @returns what is wrong; null once it stands */
  function put(next: Ticket): string | null {
    try {
      const checked = parseTicket(next)
      undoable.value = ticket.value
      ticket.value = checked
      touched.value = true
      return null
    } catch (error) {
      if (error instanceof InvalidInputError) return error.problems[0].message
      throw error
    }
  }
  const change = (part: Partial<Ticket>): string | null => put({ ...ticket.value, ...part })
  const full = computed(() => ticket.value.lines.length >= MOST_LINES)
  const add = (line: { readonly recipe: string; readonly portions?: number } | { readonly dish: Dish }): string | null =>
    change({ lines: [...ticket.value.lines, { id: nanoid(8), ...line }] })
  const remove = (id: string): string | null => change({ lines: ticket.value.lines.filter(l => l.id !== id) })
  /** A side for so many of the table; for all of them it goes with the table. */
  function portion(id: string, many: number): string | null {
    const { lines, diners } = ticket.value
    return change({
      lines: lines.map(line => {
        if (line.id !== id || !('recipe' in line)) return line
        const { portions: _, ...all } = line
        return many >= diners ? all : { ...all, portions: many }
      })
    })
  }
  function undo(): void {
    if (undoable.value === null) return
    ticket.value = undoable.value
    undoable.value = null
  }
  function tick(id: string): void {
    done.value = done.value.includes(id) ? done.value.filter(d => d !== id) : [...done.value, id]
  }
  /** A ticket of another evening is for the next one, at the same time, with nothing done. */
  function renew(): void {
    const at = dayjs(ticket.value.serveAt)
    if (!at.isBefore(dayjs().subtract(OVER_H, 'hour'))) return
    const today = dayjs().hour(at.hour()).minute(at.minute())
    ticket.value = { ...ticket.value, serveAt: (today.isBefore(dayjs()) ? today.add(1, 'day') : today).format(MOMENT) }
    untick()
    keptId.value = nanoid(12)
  }
  function untick(): void {
    done.value = []
    keeps.value = {}
  }

  /** Another service takes the place of the one that stood here. */
  function stand({ id, ticket: of, done: calls, keeps: stays }: ServiceRecord): void {
    keptId.value = id
    done.value = []
    keeps.value = {}
    undoable.value = null
    // One of an older version has a plan file where there is a request now.
    if (of) ticket.value = parseTicket(of)
    done.value = calls
    keeps.value = stays
    touched.value = of !== null
  }
  /** A clean ticket for the same table, on the next evening there is time for. */
  function startAnew(): void {
    stand({ id: nanoid(12), name: '', ticket: null, request: null, piece: null, done: [], keeps: {}, sequence: 0 })
    ticket.value = { ...example(), diners: ticket.value.diners, cooks: ticket.value.cooks }
  }

  const pieces = computed(() => piecesOf(ticket.value))
  // Who eats of another piece sits at the same table.
  watchSyncEffect(() => {
    dinner.others = pieces.value.flatMap(p => (p.id === draft.pieceId ? [] : p.request.guests.named))
  })
  /** The piece at the fire, as it stands on the ticket. */
  const atTheFire = computed(() => pieces.value.find(p => p.id === draft.pieceId) ?? null)
  /** When it goes in by the ticket, epoch ms; null while that is not laid out, or it is not on it. */
  const goesInAt = computed(() => {
    const at = atTheFire.value && asItStands.value ? goesIn(asItStands.value.placed, atTheFire.value, preparation.tasks) : null
    return at === null ? null : servedAt.value + at * 1000
  })
  /** Those of the ticket as they stand now: the one at the fire as it is there. */
  const standing = computed(() => pieces.value.map(p => (p.id === draft.pieceId ? { ...p, request: draft.request } : p)))
  /** What lies in the pan beside a piece of the ticket. */
  const beside = (id: string): readonly Beside[] => besideOf(id, standing.value)
  /** Others on the ticket that can go in its pan with it: that do, or that would if both were as hot. */
  const mates = computed(() => {
    const mine = { id: draft.pieceId, request: draft.request }
    const all = atTheFire.value ? standing.value : [...standing.value, mine]
    const inOne = byPan<{ readonly id: string; readonly request: PlanRequest }>(all).find(pan => pan.some(p => p.id === mine.id)) ?? []
    return standing.value
      .filter(p => p.id !== mine.id && mayShare(p.request, draft.request))
      .map(p => ({ id: p.id, request: withBeside(p.request, beside(p.id)), shares: inOne.some(i => i.id === p.id) }))
  })
  /**
   * One that is not at the fire, and whose time was reckoned with something else in its pan than lies there now: by the
   * ticket, which all devices have.
   */
  const crowded = computed(() => {
    const [first] = pieces.value.flatMap(p => {
      if (p.id === draft.pieceId) return []
      const now = withBeside(p.request, besideOf(p.id, pieces.value))
      return canonical(now) === canonical(p.request) ? [] : [{ id: p.id, request: now }]
    })
    return first as typeof first | undefined
  })
  /** @param donenesses where it is cooked to several, all carved at once; the plan is that of the longest then */
  function beefLine({ id, request, prepared, tasks }: Asked, plan: Plan, donenesses = 1): DishLine {
    const cut = cutById(request.piece.cutId)
    const name = `${cut ? piecesName(request.piece, cut) : 'Beef'}, ${request.method.kind}`
    const dish = beefDish('beef', name, request, plan, ticket.value.diners, tasks)
    return { id, dish: donenesses > 1 ? toSeveral(dish, donenesses) : dish, request, prepared }
  }
  const atFire = (request: PlanRequest): Asked => ({ id: draft.pieceId, request, prepared: draft.prepared, tasks: preparation.tasks })
  /**
   * The piece at the fire is put on the ticket, where it is not on it yet: what is changed at the fire from then on, is.
   * @param byItself not by a cook's hand: an example stays one, and has one piece
   */
  function putBeef(request: PlanRequest, plan: Plan, byItself = false): string | null {
    const before = touched.value
    const line = beefLine(atFire(request), plan)
    const { lines } = ticket.value
    const there = lines.some(l => l.id === line.id)
    const others = byItself ? lines.filter(l => !('dish' in l && l.dish.kind === 'beef')) : lines
    const wrong = change({ lines: there ? lines.map(l => (l.id === line.id ? line : l)) : [line, ...others] })
    if (byItself) touched.value = before
    return wrong
  }
  /** The piece at the fire was changed there: so it is on the ticket, where it stands on it. */
  function follow(request: PlanRequest, plan: Plan, donenesses = 1): void {
    const there = atTheFire.value
    if (!there) return
    const line = beefLine(atFire(request), plan, donenesses)
    if (canonical(line) !== canonical(there)) stead(line)
  }
  const stead = (line: DishLine): void =>
    void (ticket.value = { ...ticket.value, lines: ticket.value.lines.map(l => (l.id === line.id ? line : l)) })

  const left = kept<Readonly<Record<string, Left>>>('macellaio.left', () => ({}), parseLeft)
  /** What was set of a piece of the ticket, and is not on it yet; null once that has been changed elsewhere. */
  function leftOf(id: string): Left | null {
    const line = pieces.value.find(p => p.id === id)
    const of = line && left.value[id]
    return of?.over === asSaid(line?.request) ? (of ?? null) : null
  }
  const forget = (id: string): void => void (left.value = Object.fromEntries(Object.entries(left.value).filter(([other]) => other !== id)))
  // Something else comes to the fire before what was set there was planned, or said yes to: it is not lost by that.
  watch(
    () => draft.pieceId,
    (_, id) => {
      const line = pieces.value.find(p => p.id === id)
      const same = asSaid(line?.request) === asSaid(draft.request) && canonical(line?.prepared ?? null) === canonical(draft.prepared)
      if (line && !same) left.value = { ...newest(left.value), [id]: { ...atFire(draft.request), id, over: asSaid(line.request) } }
    },
    { flush: 'sync' }
  )
  /** What cannot be planned, or is not safe by itself, waits for a hand at the fire. */
  const waits = shallowRef<readonly Left[]>([])
  /** What is yet to be planned of what was set. */
  const owed = computed<Asked | undefined>(() =>
    pieces.value.flatMap(({ id }) => leftOf(id) ?? []).find(of => of.id !== draft.pieceId && !waits.value.includes(of))
  )
  /** @param plan null where there is none that goes onto the ticket by itself */
  function settle(of: Asked, plan: Plan | null): void {
    const there = leftOf(of.id)
    if (!there) return
    if (!plan) {
      waits.value = [...waits.value, there]
      return
    }
    forget(of.id)
    stead(beefLine(of, plan, of.request.piece.count > 1 ? wantedOf(of.request).length : 1))
  }

  /** What it is planned to with what lies in its pan now. @param plan null where it cannot be so: it stays as it was */
  function refire(id: string, request: PlanRequest, plan: Plan | null): void {
    const again = (line: DishLine): DishLine =>
      plan
        ? { ...line, dish: refired(line.dish, beefDish('beef', line.dish.name, request, plan, ticket.value.diners)), request }
        : { ...line, request }
    ticket.value = { ...ticket.value, lines: ticket.value.lines.map(l => (l.id === id && 'dish' in l ? again(l) : l)) }
  }

  /** To the fire as it is wanted. @returns whether it is one of the ticket's pieces */
  function openBeef(id: string): boolean {
    const of = pieces.value.find(p => p.id === id)
    if (!of) return false
    if (of.id !== draft.pieceId) {
      const { request, prepared } = leftOf(id) ?? of
      draft.stand(of.id, request, prepared)
      forget(id)
    }
    return true
  }

  return {
    ticket,
    touched,
    done,
    undoable,
    dishes,
    service,
    asItStands,
    failed,
    serviceId,
    onTheStove,
    calls,
    nextCall,
    begun,
    servedAt,
    nameOf,
    ofWhom,
    cautionOf,
    atTheStove,
    pieces,
    atTheFire,
    goesInAt,
    beside,
    mates,
    crowded,
    refire,
    owed,
    settle,
    follow,
    watched,
    full,
    put,
    change,
    add,
    remove,
    portion,
    undo,
    tick,
    untick,
    renew,
    keeps,
    stand,
    startAnew,
    putBeef,
    openBeef
  }
})
