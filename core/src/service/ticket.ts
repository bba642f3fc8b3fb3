/** What is to be on the table together, when, for how many and by how many cooks: as it is edited, kept and exported. */
import type { Kit } from '#core/kit/kit'
import type { PlanRequest } from '#core/request/request'
import type { Dish, Kitchen, Tool } from './dish'
import { asOneDish, byPan } from './onePan'
import type { Prepared } from './prepared'
import { dishOf, type Scaling } from './recipe'
import { recipeIn, type RecipeBook } from './recipes'

/** A side or sauce of the book, scaled when it is laid out; or a dish whole, as the beef or one of the cook's own. */
export type Line = RecipeLine | DishLine
export interface RecipeLine {
  readonly id: string
  /** By its id in the book. */
  readonly recipe: string
  /** For so many of the table, as for who eats no meat; left out, for all. */
  readonly portions?: number
}
export interface DishLine {
  readonly id: string
  readonly dish: Dish
  /** Of beef, what was asked for: it is this piece of the service, and at the fire it is changed. */
  readonly request?: PlanRequest
  /** How that piece is got ready. */
  readonly prepared?: Prepared
}

export interface Ticket {
  /** "2026-11-26T19:30", by the clock on the wall. */
  readonly serveAt: string
  readonly diners: number
  readonly cooks: number
  /** Who they are, as far as somebody has said. */
  readonly names?: readonly string[]
  /** Of the kitchen's rings, ovens and so on by name: those that are not to be had for it. */
  readonly without?: readonly string[]
  readonly lines: readonly Line[]
}

export const MOST_LINES = 12
export const DINERS_LIMITS = [1, 40] as const
export const COOKS_LIMITS = [1, 4] as const
export const NAME_LENGTH = 30
/** A dish of one's own may take from a minute to a day, s. */
export const STEP_LIMITS_S = [60, 24 * 3600] as const

/** Of the rings there are, W; 1 where there is none. */
export const strongestW = ({ rings }: Pick<Kit, 'rings'>): number => Math.max(0, ...rings.map(r => r.powerW)) || 1
const scalingOf = (diners: number, kit: Kit): Scaling => ({ diners, ringW: strongestW(kit) })

/** Whose hands: by name where it was said. @param by from 0; null where they are nobody's in particular, or there is one cook only */
export const whose = ({ cooks, names = [] }: Pick<Ticket, 'cooks' | 'names'>, by: number | null): string =>
  cooks < 2 || by === null ? '' : names.at(by)?.trim() || `cook ${by + 1}`

/** As they are typed: "Ines, Per". No more than can cook at once. */
export const namesIn = (written: string): string[] =>
  written
    .split(/[,;]/)
    .map(name => name.trim().slice(0, NAME_LENGTH))
    .filter(name => name !== '')
    .slice(0, COOKS_LIMITS[1])

/** The pieces of beef that are planned for it, each as it is at the fire. */
export const piecesOf = ({ lines }: Ticket): (DishLine & { readonly request: PlanRequest })[] =>
  lines.flatMap(line => ('dish' in line && line.request ? [{ ...line, request: line.request }] : []))

/** For how many it is made. */
export const portionsOf = (line: RecipeLine, { diners }: Pick<Ticket, 'diners'>): number => Math.min(line.portions ?? diners, diners)

/** Pieces in one pan are one dish, where the first of them stands. What the book has not is left out. */
export const dishesOf = (ticket: Ticket, kit: Kit, book: RecipeBook): Dish[] => {
  const pans = byPan(piecesOf(ticket)).filter(pan => pan.length > 1)
  return ticket.lines.flatMap(line => {
    const pan = pans.find(p => p.some(({ id }) => id === line.id))
    if (pan) return line.id === pan[0].id ? [asOneDish(pan)] : []
    if ('dish' in line) return [{ ...line.dish, id: line.id }]
    const recipe = recipeIn(book, line.recipe)
    return recipe ? [dishOf(line.id, recipe, scalingOf(portionsOf(line, ticket), kit))] : []
  })
}

/** What a kitchen could use, by name. */
export const toolsOf = (kit: Kit): Kitchen['tools'] => ({
  ring: kit.rings.map(r => r.name),
  oven: kit.ovens.filter((o, i) => i === 0 || !o.sameBox).map(o => o.name),
  grill: kit.grills.map(g => g.name),
  bath: kit.baths.map(b => b.name)
})

export function kitchenOf({ cooks, without = [] }: Ticket, kit: Kit): Kitchen {
  const all = toolsOf(kit)
  const there = (names: readonly string[]): string[] => names.filter(name => !without.includes(name))
  return { tools: { ring: there(all.ring), oven: there(all.oven), grill: there(all.grill), bath: there(all.bath) }, cooks }
}

interface Own {
  readonly tool: Tool | null
  readonly seconds: number
  /** The hands are kept all the while, or only at its beginning and end. */
  readonly busy: boolean
  readonly ovenC: number
}

/** A dish of the cook's own, in one step. */
export function ownDish(id: string, name: string, { tool, seconds, busy, ovenC }: Own): Dish {
  const within = tool === 'oven' ? { ovenC: [ovenC - OWN_WITHIN, ovenC + OWN_WITHIN] as const } : {}
  const hands = busy ? ([seconds, 0] as const) : ([60, 60] as const)
  return { id, name, kind: 'own', steps: [{ what: name, tool, ...within, seconds, hands, holds: [10 * 60, 30 * 60] }] }
}
/** Most things in an oven do as well a little hotter or cooler, K. */
const OWN_WITHIN = 10
