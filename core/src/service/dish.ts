/**
 * Something on the ticket, as the work that it is: steps one after the other, each with the tool it takes, the
 * time, the hands and how long it may stand afterwards. All in seconds and °C.
 */
export const TOOLS = ['ring', 'oven', 'grill', 'bath'] as const
export type Tool = (typeof TOOLS)[number]

/** Letters of what is called. */
export const WHAT_LENGTH = 120

export interface Step {
  /** What the cook does as it begins: "Boil the potatoes". */
  readonly what: string
  /** And as it ends, where that is anything: "Drain them". */
  readonly then?: string
  /** Null for what needs neither fire nor water. */
  readonly tool: Tool | null
  /** What an oven may be set to meanwhile. */
  readonly ovenC?: readonly [least: number, most: number]
  /** Shelves of the oven that it fills; left out, one. */
  readonly trays?: number
  readonly seconds: number
  /** So long before it its tool is taken already: an empty pan grows hot, s. */
  readonly setUp?: number
  /** How much of that keeps the cook's hands, at its beginning and before its end. */
  readonly hands: readonly [atFirst: number, atLast: number]
  /** How long it may wait for what comes next, or to be served: and is as good, and at all. */
  readonly holds: readonly [well: number, most: number]
}

export interface Ahead {
  readonly what: string
  readonly before: number
}

export const DISH_KINDS = ['beef', 'side', 'sauce', 'own'] as const
export type DishKind = (typeof DISH_KINDS)[number]

export interface Dish {
  /** Unlike any other on its ticket. */
  readonly id: string
  readonly name: string
  readonly kind: DishKind
  readonly steps: readonly Step[]
  /** What is done on another day: so long before its first step, s. No tool and no hand is taken by it. */
  readonly ahead?: readonly Ahead[]
  /** Of beef: what it reads when it comes off the heat, °C. */
  readonly pullC?: number
  /** Of beef that shares a pan: all its pieces on the ticket, by their ids. */
  readonly pieces?: readonly string[]
  /** A sauce made in the pan that the beef was seared in. */
  readonly inItsPan?: boolean
  /** On the bars before any meat was on them. */
  readonly beforeMeat?: boolean
}

/** What one kitchen has at once, and how many cook in it. */
export interface Kitchen {
  /** Each by its name. */
  readonly tools: Record<Tool, readonly string[]>
  readonly cooks: number
}

/** Until an oven has gone from one setting to another, s; common practice, no source. */
export const RESET_OVEN_S = 10 * 60
/** From the last of everything to the plates before the guests: sides and sauces go on while somebody plates, s. */
export const PLATE_S = 2 * 60
