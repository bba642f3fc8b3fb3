/** What a rehearsal came to, in sentences. */
import { showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { PlanRequest } from '#core/request/request'
import type { CutOpen, Hidden, Priced, ProbedWrong, Served } from './cutOpen'
import type { Score } from './score'

const long = (seconds: number): string => shownText(showDuration(Math.abs(seconds)))
/** mm: below that nobody sees it; and K. */
const SEEN = { greyMm: 0.4, kelvin: 0.7, shareLost: 0.008, ml: 3 } as const

const INTO = { oven: 'Put into an oven', grill: 'Laid over a fire', bath: 'Hung into a bath' } as const
/** What was done. */
function did({ what, of = 'oven', by }: Priced, system: UnitSystem): string {
  switch (what) {
    case 'pan':
      return `Laid in with the pan ${shownText(showTemperatureRise(Math.abs(by), system))} ${by < 0 ? 'too cold' : 'too hot'}`
    case 'fire':
      return `${INTO[of]} that was still ${shownText(showTemperatureRise(-by, system))} too cold`
    case 'turns':
      return `Turned ${by === 1 ? 'once' : `${by} times`} less than planned`
    case 'pull':
      return `Taken off ${long(by)} ${by > 0 ? 'late' : 'early'}`
    case 'rest':
      return `Cut ${long(by)} early`
    case 'flames':
      return 'Left over the flames'
  }
}

/** "Taken off 2 min late: 3 °C hotter in the middle, 1 mm more grey." */
export function pricedText(priced: Priced, served: Served, system: UnitSystem): string {
  const { instead } = priced
  const parts: string[] = []
  const middle = served.peakC - instead.peakC
  if (Math.abs(middle) >= SEEN.kelvin)
    parts.push(`${shownText(showTemperatureRise(Math.abs(middle), system))} ${middle > 0 ? 'hotter' : 'colder'} in the middle`)
  const grey = served.greyMm - instead.greyMm
  if (Math.abs(grey) >= SEEN.greyMm)
    parts.push(`${shownText(showLength(Math.abs(grey), system, true))} ${grey > 0 ? 'more' : 'less'} grey edge`)
  if (served.crust && instead.crust && served.crust.shade !== instead.crust.shade)
    parts.push(`a crust that is ${served.crust.shade} instead of ${instead.crust.shade}`)
  const lost = served.loss - instead.loss
  if (Math.abs(lost) >= SEEN.shareLost) parts.push(`${Math.round(Math.abs(lost) * 100)} % ${lost > 0 ? 'more' : 'less'} of its weight gone`)
  const ml = served.boardMl - instead.boardMl
  if (priced.what === 'rest' && ml >= SEEN.ml) parts.push(`${ml} ml more on the board`)
  return `${did(priced, system)}: ${parts.length === 0 ? 'nobody would notice' : new Intl.ListFormat('en', { type: 'unit' }).format(parts)}.`
}

/** "At 6:10 its tip stood 6 mm off the centre: it showed 4 °C too much." */
export function probedText({ offMm, shownC, trueC }: ProbedWrong, system: UnitSystem): string {
  const off = shownC - trueC
  const said = `It showed ${shownText(showTemperature(shownC, system, 1))}, ${shownText(showLength(offMm, system, true))} off the centre`
  if (Math.abs(off) < SEEN.kelvin) return `${said}: as good as right.`
  return `${said}: ${shownText(showTemperatureRise(Math.abs(off), system))} ${off > 0 ? 'more' : 'less'} than was there.`
}

/** Within these nobody would call it other than as was said. */
const AS_SAID = { mm: 1, kelvin: 1.5, share: 0.1, heatK: 4 } as const
const share = (factor: number): string => `${Math.round(Math.abs(factor - 1) * 100)} %`

/** What was not as it was said, in the order in which it would be found out. */
export function hiddenTexts(hidden: Hidden, { piece, method }: Pick<PlanRequest, 'piece' | 'method'>, system: UnitSystem): string[] {
  const { thicknessMm, startC, contact, air, heatK, meat, ring, surface } = hidden
  const texts: string[] = []
  const mm = (x: number): string => shownText(showLength(x, system))
  if (surface !== null && surface !== piece.surface) texts.push('Its faces were wet, whatever was said of them.')
  if (Math.abs(thicknessMm - piece.thicknessMm) > AS_SAID.mm) texts.push(`It was ${mm(thicknessMm)} thick, not ${mm(piece.thicknessMm)}.`)
  if (Math.abs(startC - piece.startC) > AS_SAID.kelvin)
    texts.push(`It went in at ${shownText(showTemperature(startC, system))}, not at ${shownText(showTemperature(piece.startC, system))}.`)
  if (ring < 1) texts.push(`The ring had ${Math.round(100 * ring)} % of its power.`)
  const { kind } = method
  if (Math.abs(heatK) > AS_SAID.heatK && HEAT_UNSURE.has(kind))
    texts.push(`Its heat was ${shownText(showTemperatureRise(Math.abs(heatK), system))} ${heatK > 0 ? 'over' : 'under'} what was set.`)
  if (Math.abs(contact - 1) > AS_SAID.share && kind !== 'roast')
    texts.push(
      `It lay ${contact > 1 ? 'closer to' : 'less close to'} the metal: ${share(contact)} ${contact > 1 ? 'more' : 'less'} heat went over.`
    )
  if (Math.abs(air - 1) > AS_SAID.share && HEAT_UNSURE.has(kind))
    texts.push(`The air round it gave ${share(air)} ${air > 1 ? 'more' : 'less'} than usual.`)
  if (Math.abs(meat - 1) > AS_SAID.share)
    texts.push(`Heat went ${share(meat)} ${meat > 1 ? 'faster' : 'slower'} through this piece than through most.`)
  return texts
}
const HEAT_UNSURE: ReadonlySet<string> = new Set(['sear then oven', 'oven then sear', 'roast', 'grill', 'two-zone grill', 'in pastry'])

/** What it lost points by, the dearest first. */
export function noticed(
  { served, wanted, targetC, score }: Pick<CutOpen, 'served' | 'wanted' | 'targetC' | 'score'>,
  system: UnitSystem
): string[] {
  const off = served.peakC - targetC
  const texts: Record<Exclude<keyof Score, 'points'>, string> = {
    degrees: `${shownText(showTemperatureRise(Math.abs(off), system, 1))} ${off > 0 ? 'over' : 'under'} what was wanted`,
    cold: `${shownText(showTemperature(served.carvedC, system))} as it came to the table`,
    grey: `${shownText(showLength(served.greyMm - wanted.greyMm, system, true))} more grey than it need have had`,
    crust: `a crust that is ${served.crust?.shade ?? 'not to be seen'}`,
    loss: `${Math.round(100 * (served.loss - wanted.loss))} % of its weight more gone than planned`,
    minutes: 'the table waited, or the meat did'
  }
  return (Object.entries(texts) as [keyof typeof texts, string][])
    .filter(([key]) => score[key] > 0)
    .sort(([a], [b]) => score[b] - score[a])
    .map(([key, text]) => `${text} (−${score[key]})`)
}
