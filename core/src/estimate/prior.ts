/**
 * What is not known of a cook before anything is read: thickness, start, contact, convection, heat, and how far the
 * model itself is to be believed, each a range by its middle and its standard deviation; and what a reading is worth.
 */
import type { Constants } from '#core/heat/constants'
import type { Setup } from '#core/method/setup'
import type { Randomness } from '#core/numerics/random'

/** A range by its middle and its standard deviation. */
export interface Gauss {
  readonly mean: number
  readonly sd: number
}

/**
 * Thickness and start as what is to be added, mm and K; contact and air as the logarithm of a factor; heat as
 * what an oven holds over what it is set to, K, or coals and the air under a lid by so much more as they are harder to judge.
 */
export interface Unknowns<T> {
  readonly thickness: T
  readonly start: T
  readonly contact: T
  readonly air: T
  readonly heat: T
  /** Of how fast heat goes through the meat, by its shape, its grain and all that no size tells: the logarithm of a factor. */
  readonly model: T
}
export const NAMES = ['thickness', 'start', 'contact', 'air', 'heat', 'model'] as const

/** Standard deviations from the middle to the end of a range that holds 80 %. */
export const EIGHTY = 1.2816
const within = (range: number): Gauss => ({ mean: 0, sd: range / EIGHTY })

/** Ranges that hold 80 % of what happens; common practice, no source. The model's own is what its cases show: see docs/physics.md. */
export const UNKNOWN = { thicknessMm: 2, startC: 3, contact: 0.3, convection: 0.3, ovenK: 10, model: 0.2 } as const

export const PRIOR: Unknowns<Gauss> = {
  thickness: within(UNKNOWN.thicknessMm),
  start: within(UNKNOWN.startC),
  contact: within(Math.log(1 + UNKNOWN.contact)),
  air: within(Math.log(1 + UNKNOWN.convection)),
  heat: within(UNKNOWN.ovenK),
  model: within(Math.log(1 + UNKNOWN.model))
}

export const each = <T>(of: (name: (typeof NAMES)[number]) => T): Unknowns<T> => ({
  thickness: of('thickness'),
  start: of('start'),
  contact: of('contact'),
  air: of('air'),
  heat: of('heat'),
  model: of('model')
})

export const drawUnknowns = (random: Randomness, prior: Unknowns<Gauss> = PRIOR): Unknowns<number> =>
  each(name => prior[name].mean + prior[name].sd * random.normal())

/** The book's constants as they are where contact, air and the model are such. */
export function uncertain(c: Constants, u: Pick<Unknowns<number>, 'contact' | 'air' | 'model'>): Constants {
  const contact = Math.exp(u.contact)
  const air = Math.exp(u.air)
  return {
    ...c,
    fibreFactor: c.fibreFactor * Math.exp(u.model),
    panContact: c.panContact * contact,
    roomConvection: c.roomConvection * air,
    restConvection: c.restConvection * air,
    foilConvection: c.foilConvection * air,
    ovenDraught: c.ovenDraught * air,
    fanConvection: c.fanConvection * air,
    lidConvection: c.lidConvection * air,
    coalConvection: c.coalConvection * air,
    bathConductance: c.bathConductance * air,
    potConductance: c.potConductance * air
  }
}

export function withUnknowns<S>(setup: Setup<S>, u: Unknowns<number>): Setup<S> {
  const { piece, constants: c } = setup
  const thicknessMm = Math.max(2, piece.thicknessMm + u.thickness)
  const thicker = thicknessMm / piece.thicknessMm
  const constants = uncertain(c, u)
  // A roast that is thicker is so both ways across; a steak keeps the face it has.
  const joint = piece.form === 'roast'
  const size = {
    thicknessMm,
    weightG: piece.weightG * (joint ? thicker * thicker : thicker),
    widthMm: joint ? piece.widthMm * thicker : piece.widthMm
  }
  const settings = hotterBy(setup.settings, u.heat)
  return {
    ...setup,
    settings,
    piece: { ...piece, ...size, startC: piece.startC + u.start },
    constants
  }
}

/** By hand over the bars, against an oven's dial; and air under a lid, whose thermometer is in the lid. Estimates. */
const COALS_HARDER = 3
const LID_HARDER = 1.5

interface Heated {
  readonly oven?: { readonly offsetC: number }
  readonly grateC?: number
  readonly lidC?: number
}
function hotterBy<S>(settings: S, kelvin: number): S {
  const { oven, grateC, lidC }: Heated = settings as Heated
  if (kelvin === 0) return settings
  return {
    ...settings,
    ...(oven ? { oven: { ...oven, offsetC: oven.offsetC + kelvin } } : {}),
    ...(grateC === undefined ? {} : { grateC: grateC + COALS_HARDER * kelvin }),
    ...(lidC === undefined ? {} : { lidC: lidC + LID_HARDER * kelvin })
  }
}

export interface Observation {
  /** s since the piece first met the heat. */
  readonly time: number
  readonly celsius: number
}

/** What a probe and a hand make of a core, K: off the coldest point, not yet steady; common practice, no source. */
export const READING_SD = 0.8
