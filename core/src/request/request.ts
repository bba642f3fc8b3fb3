/**
 * The whole question: this piece, with this kit, in this room, to this doneness, for these
 * guests, by this method. Plain data in base units, as it is edited, posted, stored and exported.
 */
import type { Scale } from '#core/doneness/scale'
import type { Room } from '#core/kit/air'
import type { KitInUse } from '#core/kit/kit'
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import type { Beside } from '#core/method/setup'

export interface Target {
  /** Peak of the least cooked point, °C. */
  readonly coreC: number
  /** The school whose words name it. */
  readonly scaleId: string
  /** The cook's own scale, where that is the one. */
  readonly ownScale?: Scale
}

export interface Guest {
  readonly id: string
  readonly name: string
  /** How this one wants it, °C at the core, at its peak. */
  readonly targetC: number
  /** Pregnant, very young, old or immune-suppressed. */
  readonly atRisk?: boolean
  /** Is at the table, and eats none of it. */
  readonly noMeat?: boolean
}

export interface Guests {
  /** Someone, whoever it is, is pregnant, very young, old or immune-suppressed. */
  readonly atRisk: boolean
  /** Those who want it as they say; nobody where all want what the target says. */
  readonly named: readonly Guest[]
}

export interface ChosenMethod {
  readonly kind: MethodKind
  /** What the cook has set; the rest is as usual. */
  readonly settings: Settings
}

export interface PlanRequest {
  readonly piece: Piece
  readonly kit: KitInUse
  readonly room: Room
  readonly target: Target
  readonly guests: Guests
  readonly method: ChosenMethod
  /** What else of the service lies in its pan with it; nothing where it is seared alone. */
  readonly beside?: readonly Beside[]
}

/** As it is asked for by itself, whatever else is in the pan. */
export function byItself({ beside: _, ...request }: PlanRequest): PlanRequest {
  return request
}

/** A request that is well formed but cannot be cooked: which key, and why. */
export class RequestError extends Error {
  override readonly name = 'RequestError'
  constructor(
    readonly key: string,
    message: string
  ) {
    super(message)
  }
}

/** The same question by another way. */
export const by = (request: PlanRequest, kind: MethodKind, settings: Settings = {}): PlanRequest => ({
  ...request,
  method: { kind, settings }
})
