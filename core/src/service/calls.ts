/** A service as what is called out: one line for each thing to do, in the order of time. Seconds, negative before serving. */
import { showTemperature, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { WARM_UP_S } from '#core/kit/warmUp'
import { PLATE_S, type Step } from './dish'
import { said } from './said'
import type { Placed } from './placed'
import type { Service } from './schedule'

export interface PassCall {
  /** Unlike any other of its service. */
  readonly id: string
  readonly at: number
  readonly text: string
  /** Of which dish; null for an oven or a grill that is lit for several. */
  readonly dishId: string | null
  /** Whose hands, from 0; null where it is nobody's in particular. */
  readonly by: number | null
  /** Of another day: nothing waits for it, and it waits for nothing. */
  readonly ahead?: boolean
}

/** A day ahead nobody looks at the minute, s. */
const ROUND_S = 15 * 60

/** A setting of one oven, for as long as what is in it agrees on one. */
interface Setting {
  readonly oven: string
  readonly from: number
  readonly to: number
  readonly ovenC: readonly [least: number, most: number]
}

export function callsOf(service: Service, fuel: 'charcoal' | 'gas' = 'charcoal', system: UnitSystem = 'metric'): PassCall[] {
  const { placed } = service
  const show = (celsius: number): string => shownText(showTemperature(celsius, system))
  const lit = (['grill', 'bath'] as const).flatMap((tool): PassCall[] => {
    const first = placed.find(p => p.dish.steps[p.index].tool === tool)
    if (!first) return []
    const ahead = tool === 'grill' ? WARM_UP_S[fuel] : WARM_UP_S.bath
    return [{ id: tool, at: first.from - ahead, text: tool === 'grill' ? 'Light the grill' : 'Heat the bath', dishId: null, by: null }]
  })
  const ovens = settingsOf(placed).map((s, i, all): PassCall => {
    const before = all.slice(0, i).filter(b => b.oven === s.oven)
    const at = before.length > 0 ? Math.max(...before.map(b => b.to)) : s.from - WARM_UP_S.oven
    const which = all.some(other => other.oven !== s.oven) ? `“${s.oven}”` : 'the oven'
    return {
      id: `oven ${i}`,
      at,
      text: `${before.length > 0 ? 'Turn' : 'Set'} ${which} to ${show(middleOf(s.ovenC))}`,
      dishId: null,
      by: null
    }
  })
  const steps = placed.flatMap((p): PassCall[] => {
    const step = p.dish.steps[p.index]
    const call = (part: string, at: number, text: string, by: number | null): PassCall => ({
      id: `${p.dish.id} ${p.index} ${part}`,
      at,
      text: said(text, system),
      dishId: p.dish.id,
      by
    })
    const next = p.dish.steps.at(p.index + 1)
    const out = !idle(step) && next !== undefined && idle(next) ? next : null
    const then = step.then ?? (out && p.dish.pullC !== undefined ? `Out at ${show(p.dish.pullC)}: ${out.what.toLowerCase()}` : null)
    // What begins by itself has been called as the end of what went before.
    const before = p.dish.steps.at(p.index - 1)
    const told = before !== undefined && before.holds[1] <= 0 && (before.then !== undefined || p.dish.pullC !== undefined)
    const called = p.index > 0 && idle(step) && told && !idle(before)
    const pan = step.setUp ? [call('pan', p.from - step.setUp, 'Heat the pan', null)] : []
    return [
      ...pan,
      ...(called ? [] : [call('on', p.from, step.what, p.by[0])]),
      ...(then ? [call('off', p.to, then, p.by[1] ?? p.by[0])] : [])
    ]
  })
  const ahead = [...new Set(placed.map(p => p.dish))].flatMap(dish =>
    (dish.ahead ?? []).map(({ what, before }, i): PassCall => {
      const first = Math.min(...placed.filter(p => p.dish === dish).map(p => p.from))
      const at = Math.round((first - before) / ROUND_S) * ROUND_S
      return { id: `${dish.id} ahead ${i}`, at, text: said(what, system), dishId: dish.id, by: null, ahead: true }
    })
  )
  const plate: PassCall[] = placed.length > 0 ? [{ id: 'plate', at: -PLATE_S, text: 'Plate up', dishId: null, by: null }] : []
  return [...ahead, ...lit, ...ovens, ...steps, ...plate].sort((a, b) => a.at - b.at)
}

/** By its id, the call with which a step begins. */
export const onCall = ({ dish, index }: Pick<Placed, 'dish' | 'index'>): string => `${dish.id} ${index} on`

/** Neither tool nor hands: it lies there. */
const idle = ({ tool, hands }: Step): boolean => tool === null && hands[0] === 0

/** The rounder the better, within what all agree on. */
const middleOf = ([least, most]: Setting['ovenC']): number => {
  const middle = (least + most) / 2
  const round = Math.round(middle / 5) * 5
  return round >= least && round <= most ? round : Math.round(middle)
}

/** What overlaps, or follows within its heat, is one setting. */
function settingsOf(placed: readonly Placed[]): Setting[] {
  const found: Setting[] = []
  for (const p of placed) {
    const { ovenC } = p.dish.steps[p.index]
    if (!ovenC || p.on === null) continue
    const at = found.map(s => s.oven).lastIndexOf(p.on)
    const last = at < 0 ? null : found[at]
    const both = last ? ([Math.max(last.ovenC[0], ovenC[0]), Math.min(last.ovenC[1], ovenC[1])] as const) : null
    if (last && both && both[0] <= both[1]) found[at] = { ...last, to: Math.max(last.to, p.to), ovenC: both }
    else found.push({ oven: p.on, from: p.from, to: p.to, ovenC })
  }
  return found
}
