/** The calls of several pieces as one stream: which is next, and which are made in one go. */
import type { NextAction } from './nextAction'

export interface Due {
  /** Of the cook, or of what else is called. */
  readonly id: string
  readonly does: NextAction['does'] | 'dish'
  /** Epoch ms; null where it waits for nothing but the cook. */
  readonly due: number | null
  /** Those at one and the same fire are turned and lit together; null for what has its own. */
  readonly fire: string | null
}

/** A call that stands large gives way only to one that is sooner by more than this, ms. */
const HOLD_MS = 15_000
/** Nearer than this two turns at one fire are one: under half a degree at the centre (see the test), ms. */
const TOGETHER_MS = 10_000
const AT_ONE_FIRE: ReadonlySet<Due['does']> = new Set<Due['does']>(['turned', 'lit'])

const moment = ({ due }: Due): number => due ?? 0

/** @param held what stands large now, if anything */
export function nextOf<D extends Due>(dues: readonly D[], held: string | null): D | null {
  const soonest = dues.reduce<D | null>((first, d) => (first === null || moment(d) < moment(first) ? d : first), null)
  const standing = dues.find(d => d.id === held)
  return standing && soonest && moment(standing) - moment(soonest) <= HOLD_MS ? standing : soonest
}

/** What is done with it in one go, itself first. */
export function togetherWith<D extends Due>(first: D, dues: readonly D[]): D[] {
  if (first.fire === null || !AT_ONE_FIRE.has(first.does)) return [first]
  const near = dues.filter(
    d => d !== first && d.fire === first.fire && d.does === first.does && Math.abs(moment(d) - moment(first)) <= TOGETHER_MS
  )
  return [first, ...near]
}
