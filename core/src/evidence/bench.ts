/** A cook on the bench: a piece, one of the methods with its usual settings, and times by hand. */
import type { Constants } from '#core/heat/constants'
import { valueAt } from '#core/heat/history'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { DEFAULT_STEPS } from '#core/heat/stepControl'
import { densityOf } from '#core/heat/properties'
import { KITCHEN } from '#core/kit/air'
import { cutById } from '#core/meat/cuts'
import { isFlat, type Piece } from '#core/meat/piece'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { timelineOf } from '#core/method/timeline'
import { USUAL_KIT, usualSettings } from '#core/method/usual'

const FRIDGE_C = 5

/** A steak of a usual face, mm and °C. */
export function steak(thicknessMm: number, more: Partial<Piece> = {}): Piece {
  const [lengthMm, widthMm] = [170, 95]
  const weightG = (lengthMm * widthMm * 0.8 * thicknessMm * 1.06) / 1000
  return { cutId: 'strip', count: 1, thicknessMm, lengthMm, widthMm, weightG, startC: FRIDGE_C, surface: 'patted', ...more }
}

/** A log of so much across, g. */
export function log(acrossMm: number, weightG: number, more: Partial<Piece> = {}): Piece {
  const cutId = more.cutId ?? 'fillet'
  const cut = cutById(cutId)
  if (!cut) throw new Error(`There is no cut “${cutId}”.`)
  const section = Math.PI * (acrossMm / 2) ** 2
  const lengthMm = ((weightG / 1000 / densityOf(cut.composition, FRIDGE_C)) * 1e9) / section
  const piece = { cutId, count: 1, thicknessMm: acrossMm, lengthMm, widthMm: acrossMm, weightG, startC: FRIDGE_C } as const
  return { ...piece, surface: 'patted', form: 'roast', ...more }
}

export interface Cooked {
  readonly run: Run
  /** s when it came off the heat. */
  readonly off: number
  /** What a probe shows. */
  readonly coreAt: (seconds: number) => number
}

const REST = 40 * 60

/** @param free the method's free time, s, as it was done */
export function cook<K extends MethodKind>(
  kind: K,
  piece: Piece,
  settings: Partial<SettingsOf[K]>,
  free: number,
  constants: Constants,
  fineness: 'fine' | 'coarse' = 'coarse'
): Cooked {
  const cut = cutById(piece.cutId)
  if (!cut) throw new Error(`There is no cut “${piece.cutId}”.`)
  const method = METHODS[kind] as unknown as Method<SettingsOf[K]>
  const all = { ...usualSettings(USUAL_KIT, 54)[kind], ...settings }
  const setup: Setup<SettingsOf[K]> = { piece, cut, room: KITCHEN, constants, flat: isFlat(piece, cut), settings: all }
  const { heating, rest } = timelineOf(method, setup, free)
  const stages = [...heating, rest(REST)]
  const outcome = run(method.subject(setup, fineness), stages, { ...KEEP_ENDS, every: 10 }, DEFAULT_STEPS)
  const { time, probe } = outcome.history
  return { run: outcome, off: outcome.stageEnds[heating.length - 1], coreAt: t => valueAt(time, probe, t) }
}

/** Rise of what a probe shows from coming off the heat to its peak. */
export function carryover({ run: { history }, off, coreAt }: Cooked): number {
  return history.probe.reduce((most, T, i) => (history.time[i] >= off ? Math.max(most, T) : most), -Infinity) - coreAt(off)
}

/** Time off the start at which a probe first shows a temperature, s; Infinity where it never does. */
export function reaches({ run: { history } }: Cooked, celsius: number): number {
  const i = history.probe.findIndex(T => T >= celsius)
  if (i <= 0) return i === 0 ? 0 : Infinity
  const share = (celsius - history.probe[i - 1]) / (history.probe[i] - history.probe[i - 1])
  return history.time[i - 1] + share * (history.time[i] - history.time[i - 1])
}
