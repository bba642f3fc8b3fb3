/** Where the plan by a method stands: one address for all of them, the method in it. */
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'

const slugOf = (kind: MethodKind): string => kind.replaceAll(' ', '-')

export const methodPath = (kind: MethodKind): string => `/fire/plan/${slugOf(kind)}`

/** @param slug as it stands in an address, of today or from before */
export const methodAt = (slug: string): MethodKind | undefined => METHOD_KINDS.find(kind => kind === slug || slugOf(kind) === slug)
