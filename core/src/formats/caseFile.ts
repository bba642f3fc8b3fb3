/**
 * The case format: a piece and a question for the planner, as JSON that a person can write; the same request
 * that the page edits, every quantity as text with its unit. Described in docs/case-format.md.
 */
import * as yup from 'yup'
import { bandOf, OWN, SCALES, scaleById } from '#core/doneness/scale'
import type { Observation } from '#core/estimate/prior'
import { InvalidInputError, validate } from '#core/input/problem'
import { needed, quantity, share, word } from '#core/input/text'
import { KITCHEN, type Room } from '#core/kit/air'
import { potById, POTS } from '#core/kit/bath'
import type { KitInUse } from '#core/kit/kit'
import { OVENS, ovenById } from '#core/kit/oven'
import { kitInUseSchema } from '#core/kit/kitSchema'
import { panById, PANS, ringById, RINGS } from '#core/kit/pan'
import { CUTS, cutById } from '#core/meat/cuts'
import { COAT_KINDS, FREEZING_C, INTACTS, PIECE_LIMITS, weightFromSize, type Piece, type PieceCoat } from '#core/meat/piece'
import { DIALS, dialsOf, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { MOST_SPELLS, parseTurning, turningOf } from '#core/method/turning'
import { USUAL_KIT } from '#core/method/usual'
import { findUnit } from '#core/quantity/units'
import type { PlanRequest, Target } from '#core/request/request'
import { besideSchema, COAT_LIMITS_MM, COATS_ON, FORMS, MOST_COATS, ROOM_LIMITS, SURFACE_STATES, TARGET_LIMITS } from '#core/request/schema'
import { methodText, textOf } from '#core/request/settingsSchema'
import { wholeSettings } from '#core/request/setup'

export const pieceText = yup
  .object({
    cut: word(CUTS.map(c => c.id)).required('This is missing: the id of a cut.'),
    count: share(PIECE_LIMITS.count),
    thickness: needed('length', PIECE_LIMITS.thicknessMm),
    weight: quantity('mass', PIECE_LIMITS.weightG),
    length: quantity('length', PIECE_LIMITS.lengthMm),
    width: quantity('length', PIECE_LIMITS.widthMm),
    start: quantity('temperature', [-40, PIECE_LIMITS.startC[1]])
      .required('This is missing: the start temperature.')
      .test({
        name: 'frozen',
        test: (value, context) =>
          !(typeof value === 'number') ||
          value >= FREEZING_C ||
          context.createError({
            message: `“${String(context.originalValue)}” is frozen. Thaw it first, a day in the fridge for each 2 kg: what is planned is a thawed piece.`,
            params: { originalValue: context.originalValue as unknown, range: [`${FREEZING_C} °C`, `${PIECE_LIMITS.startC[1]} °C`] }
          })
      }),
    surface: word(SURFACE_STATES),
    form: word(FORMS),
    thinEnd: quantity('length', PIECE_LIMITS.thicknessMm),
    cookedTo: quantity('temperature', PIECE_LIMITS.cookedC),
    intact: word(INTACTS),
    coats: yup
      .array(
        yup
          .object({
            what: word(COAT_KINDS).required(`This is missing: one of ${COAT_KINDS.join(', ')}.`),
            on: word(COATS_ON).required('This is missing: “first”, “second” or “side”.'),
            thickness: needed('length', COAT_LIMITS_MM)
          })
          .noUnknown()
      )
      .max(MOST_COATS, 'At most six layers.')
  })
  .noUnknown()
  .required('This is missing: the piece.')

export const roomText = yup
  .object({
    temperature: quantity('temperature', ROOM_LIMITS.temperatureC),
    humidity: share(ROOM_LIMITS.humidity),
    altitude: quantity('length', ROOM_LIMITS.altitudeM, findUnit('length', 'm'))
  })
  .noUnknown()
  .default(undefined)

/** Fills in from the cut what was not measured: sizes from its usual ones, weight from the sizes. */
export function pieceOf(given: yup.InferType<typeof pieceText>): Piece {
  const cut = cutById(given.cut)
  if (!cut) throw new InvalidInputError([{ key: 'piece.cut', message: `There is no cut “${given.cut}”.`, value: given.cut }])
  const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
  const lengthMm = given.length ?? middle(cut.shape.lengthMm)
  const sizes = {
    thicknessMm: given.thickness,
    lengthMm,
    widthMm: given.width ?? (cut.shape.outline === 'round' ? lengthMm : middle(cut.shape.widthMm)),
    startC: given.start
  }
  return {
    cutId: cut.id,
    count: given.count ?? 1,
    ...sizes,
    weightG: given.weight ?? weightFromSize(sizes, cut),
    surface: given.surface ?? 'patted',
    ...(given.form === undefined ? {} : { form: given.form }),
    ...(given.thinEnd === undefined ? {} : { thinEndMm: given.thinEnd }),
    ...(given.cookedTo === undefined ? {} : { cookedC: given.cookedTo }),
    ...(given.intact === undefined ? {} : { intact: given.intact }),
    ...(given.coats === undefined
      ? {}
      : { coats: given.coats.map((c): PieceCoat => ({ what: c.what, on: c.on, thicknessMm: c.thickness })) })
  }
}

export const roomOf = (given: yup.InferType<typeof roomText> | undefined): Room => ({
  temperatureC: given?.temperature ?? KITCHEN.temperatureC,
  humidity: given?.humidity ?? KITCHEN.humidity,
  altitudeM: given?.altitude ?? KITCHEN.altitudeM
})

const targetText = yup
  .object({
    core: quantity('temperature', TARGET_LIMITS),
    scale: word(SCALES.map(s => s.id)),
    doneness: word([...new Set(SCALES.flatMap(s => s.bands.map(b => b.word)))])
  })
  .noUnknown()
  .required('This is missing: the target.')
  .test({
    name: 'one target',
    test: (value, context) =>
      (value.core === undefined) !== (value.doneness === undefined) || context.createError({ message: 'Give either “core” or “doneness”.' })
  })

function targetOf(given: yup.InferType<typeof targetText>): Target {
  const scale = scaleById(given.scale ?? 'middle') ?? SCALES[0]
  return { scaleId: scale.id, coreC: given.core ?? scale.bands.find(b => b.word === given.doneness)?.aim ?? bandOf(scale, 54).aim }
}

/** What of the kit a file may name beside the setting it is set by; and turns by the number of spells, as they were written first. */
const BESIDE = {
  panC: { pan: word(PANS.map(p => p.id)), ring: word(RINGS.map(r => r.id)) },
  ovenC: { oven: word(OVENS.map(o => o.id)) },
  boilingParts: { pot: word(POTS.map(p => p.id)) },
  turning: { spells: share([1, MOST_SPELLS]) }
} as const

const methodShape = methodText(BESIDE).test({
  name: 'pan heat',
  test: (value, context) =>
    value.kind !== 'pan sear' ||
    (value as MethodGiven)['heat'] !== undefined ||
    context.createError({ path: `${context.path}.heat`, message: 'This is missing: a temperature with its unit.' })
})

const planShape = yup
  .object({
    piece: pieceText,
    method: methodShape,
    target: targetText,
    room: roomText,
    kit: kitInUseSchema.default(undefined),
    guests: yup.object({ atRisk: yup.boolean().strict() }).noUnknown().default(undefined),
    beside: besideSchema,
    spread: yup.boolean().strict(),
    readings: yup
      .array(yup.object({ at: needed('duration', [1, 24 * 3600]), core: needed('temperature', [-5, 110]) }).noUnknown())
      .max(50, 'At most fifty readings.')
  })
  .noUnknown()
  .required()

/** By their names in the file, each already read. */
type MethodGiven = Readonly<Record<string, unknown>>

export interface PlanCase {
  readonly request: PlanRequest
  /** Whether the honest range is asked for; readings ask for it too. */
  readonly spread: boolean
  readonly readings: readonly Observation[]
}

/** @throws InvalidInputError */
export function readPlanCase(input: unknown): PlanCase {
  const given = validate(planShape, input)
  const method = given.method as MethodGiven
  const readings = (given.readings ?? []).map(r => ({ time: r.at, celsius: r.core }))
  const kind = kindOf(given.method.kind)
  return {
    request: {
      piece: pieceOf(given.piece),
      kit: kitOf((given.kit as KitInUse | undefined) ?? USUAL_KIT, method),
      room: roomOf(given.room),
      target: targetOf(given.target),
      guests: { atRisk: given.guests?.atRisk ?? false, named: [] },
      method: { kind, settings: settingsFrom(kind, method) },
      ...(given.beside === undefined ? {} : { beside: given.beside })
    },
    spread: (given.spread ?? false) || readings.length > 0,
    readings
  }
}

const kindOf = (word: string): MethodKind => METHOD_KINDS.find(k => k === word) ?? 'pan sear'

function kitOf(kit: KitInUse, given: MethodGiven): KitInUse {
  const called = <T>(name: string, byId: (id: string) => T | undefined, own: T): T =>
    (typeof given[name] === 'string' ? byId(given[name]) : undefined) ?? own
  return {
    ...kit,
    pan: called('pan', panById, kit.pan),
    ring: called('ring', ringById, kit.ring),
    oven: called('oven', ovenById, kit.oven),
    pot: called('pot', potById, kit.pot)
  }
}

function settingsFrom(kind: MethodKind, given: MethodGiven): Settings {
  const set = dialsOf(kind).flatMap(({ key, file }) => {
    const value = key === 'turning' ? turningFrom(given) : given[file]
    return value === undefined ? [] : [[key, value] as const]
  })
  return Object.fromEntries(set)
}

function turningFrom({ turning, spells }: MethodGiven): unknown {
  if (typeof turning === 'string') return parseTurning(turning)
  return typeof spells === 'number' ? turningOf(Math.round(spells)) : undefined
}

/** A request written as a case file: every setting as it stands, so that the file says the whole. */
export function writePlanCase(request: PlanRequest): object {
  const { piece, room, target, guests, kit, method, beside } = request
  const settings = wholeSettings(request)
  const dials = DIALS.flatMap(dial => {
    const value = settings[dial.key]
    const nothing = value === undefined || (dial.key === 'byClockS' && value === 0) || (Array.isArray(value) && value.length === 0)
    return nothing ? [] : [[dial.file, textOf(dial, value)] as const]
  })
  const mm = (value: number): string => `${rounded(value)} mm`
  return {
    piece: {
      cut: piece.cutId,
      count: piece.count,
      thickness: mm(piece.thicknessMm),
      weight: `${rounded(piece.weightG)} g`,
      length: mm(piece.lengthMm),
      width: mm(piece.widthMm),
      start: `${rounded(piece.startC)} °C`,
      surface: piece.surface,
      ...(piece.form === undefined ? {} : { form: piece.form }),
      ...(piece.thinEndMm === undefined ? {} : { thinEnd: mm(piece.thinEndMm) }),
      ...(piece.cookedC === undefined ? {} : { cookedTo: `${rounded(piece.cookedC)} °C` }),
      ...(piece.intact === undefined ? {} : { intact: piece.intact }),
      ...(piece.coats === undefined ? {} : { coats: piece.coats.map(c => ({ what: c.what, on: c.on, thickness: mm(c.thicknessMm) })) })
    },
    room: { temperature: `${rounded(room.temperatureC)} °C`, humidity: room.humidity, altitude: `${rounded(room.altitudeM)} m` },
    method: { kind: method.kind, ...Object.fromEntries(dials) },
    target: { core: `${rounded(target.coreC)} °C`, ...(target.scaleId === OWN ? {} : { scale: target.scaleId }) },
    ...(guests.atRisk ? { guests: { atRisk: true } } : {}),
    ...(beside === undefined ? {} : { beside }),
    kit
  }
}
const rounded = (value: number): number => Math.round(value * 1000) / 1000

const compareShape = yup
  .object({
    piece: pieceText,
    target: targetText,
    room: roomText,
    kit: kitInUseSchema.default(undefined),
    methods: yup.array(word(METHOD_KINDS).required('A method has no name.')).min(1, 'At least one method is needed.')
  })
  .noUnknown()
  .required()

export interface CompareCase {
  readonly request: PlanRequest
  readonly kinds: readonly MethodKind[]
}

/** @throws InvalidInputError */
export function readCompareCase(input: unknown): CompareCase {
  const given = validate(compareShape, input)
  const kinds = given.methods === undefined ? METHOD_KINDS : given.methods.map(kindOf)
  return {
    request: {
      piece: pieceOf(given.piece),
      kit: (given.kit as KitInUse | undefined) ?? USUAL_KIT,
      room: roomOf(given.room),
      target: targetOf(given.target),
      guests: { atRisk: false, named: [] },
      method: { kind: kinds[0], settings: {} }
    },
    kinds
  }
}

/** What a key of a request is called in a case file. */
export function keyInFile(key: string): string {
  const [head, ...rest] = key.split('.')
  const last = rest.at(-1) ?? ''
  if (head === 'piece') return `piece.${last === 'cutId' ? 'cut' : last}`
  if (head === 'kit') return last === 'pan' ? 'method.pan' : key
  if (head === 'target') return 'target'
  return head === 'method' ? `method.${DIALS.find(d => d.key === last)?.file ?? last}` : key
}
