import type { Kit, KitShelf } from '#core/kit/kit'

/** Something on one of the shelves. */
export type AnyItem = Kit[KitShelf][number]
