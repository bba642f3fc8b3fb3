/** A side or a sauce that scales with the diners, and with the ring it stands on. */
import type { Dish, DishKind, Step } from './dish'

/** For one diner. */
export interface Amount {
  readonly what: string
  readonly each: number
  readonly unit: 'g' | 'ml' | ''
}

/** For whom, and over how much heat. */
export interface Scaling {
  readonly diners: number
  /** Of the strongest ring, W at the pan. */
  readonly ringW: number
}

export interface Recipe {
  readonly id: string
  readonly name: string
  readonly kind: Extract<DishKind, 'side' | 'sauce'>
  readonly amounts: readonly Amount[]
  readonly steps: (scaling: Scaling) => readonly Step[]
  readonly inItsPan?: boolean
  /** What an eater must be told, or a cook look out for. */
  readonly caution?: string
}

export const dishOf = (id: string, recipe: Recipe, scaling: Scaling): Dish => ({
  id,
  name: recipe.name,
  kind: recipe.kind,
  steps: recipe.steps(scaling),
  ...(recipe.inItsPan ? { inItsPan: true } : {})
})

export interface Measured {
  readonly what: string
  readonly amount: number
  readonly unit: Amount['unit']
}

/** Rounded as a cook weighs: two figures. */
export const amountsFor = (recipe: Recipe, diners: number): Measured[] =>
  recipe.amounts.map(({ what, each, unit }) => ({ what, amount: unit === '' ? Math.ceil(each * diners) : twoFigures(each * diners), unit }))

function twoFigures(value: number): number {
  const size = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1)
  return Math.round(value / size) * size
}
