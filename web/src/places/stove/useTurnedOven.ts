/** One oven has one dial: what turning it does to every piece that is in it, and how far the dishes in it let it go. */
import type { CookRecord } from '#core/book/record'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import { cookedWith } from '#core/method/dials'
import { progressOf } from '#core/session/progress'
import type { Forecast, TurnedOven } from '#core/usecase/forecast'
import { useCook } from '../../stores/cook'
import { asked } from '../../stores/forecast'
import { usePass } from '../../stores/pass'
import { useStove } from '../../stores/stove'
import { askEngine } from '../../workers/engine'

export interface Turned {
  readonly ovenC: number
  /** By piece that is in it. */
  readonly pieces: ReadonlyMap<string, Forecast>
  /** Dishes that are in it too, by name. */
  readonly dishes: readonly string[]
}

export function useTurnedOven() {
  const cook = useCook()
  const stove = useStove()
  const pass = usePass()

  /** What of the ticket is in the oven between now and then, and what that bears. */
  function beside(untilMs: number): { readonly dishes: readonly string[]; readonly within: readonly [number, number] } {
    const steps = (pass.asItStands?.placed ?? []).filter(
      ({ dish, index, from, to }) =>
        dish.kind !== 'beef' &&
        dish.steps[index].tool === 'oven' &&
        pass.servedAt + 1000 * to > stove.now &&
        pass.servedAt + 1000 * from < untilMs
    )
    const ranges = steps.flatMap(({ dish, index }) => {
      const { ovenC } = dish.steps[index]
      return ovenC ? [ovenC] : []
    })
    return {
      dishes: [...new Set(steps.map(s => s.dish.name))],
      within: [Math.max(OVEN_LIMITS_C[0], ...ranges.map(([least]) => least)), Math.min(OVEN_LIMITS_C[1], ...ranges.map(([, most]) => most))]
    }
  }

  /** @param first whose time it is that counts where it is to be sooner */
  async function turnedBy(laterS: number, first: CookRecord | null = null): Promise<Turned | null> {
    const open = cook.cooks.filter(c => c.id !== first?.id && progressOf(c.events).state !== 'carved')
    const on = open.filter(c => progressOf(c.events).laidAt !== null)
    // One that is still to go in was planned for the oven as it is.
    if (open.some(c => !on.includes(c) && cookedWith(c.request.method.kind).includes('oven'))) return null
    const pieces = [...(first ? [first] : []), ...on]
    if (pieces.length === 0) return null
    const { dishes, within } = beside(Math.max(...pieces.map(stove.carveAt)) + 1000 * Math.max(0, laterS))
    const questions = pieces.map(c => asked({ cook: c, now: stove.now }))
    const found = await askEngine(async engine => (await engine.turnedOven(questions, laterS, within)) as TurnedOven | null).catch(
      () => null
    )
    if (found === null) return null
    const those = pieces.flatMap((c, i) => {
      const forecast = found.forecasts[i]
      return forecast ? [[c.id, forecast] as const] : []
    })
    return { ovenC: found.ovenC, pieces: new Map(those), dishes }
  }

  return { turnedBy }
}
