/**
 * A plan on the screen written as a case file and read back: the same open format that the
 * door for scripts takes, described in docs/case-format.md.
 */
import { dialsOf, dialValues, DIAL_KEYS, type Dial, type DialKey, type Dialled } from '#core/method/dials'
import type { KitInUse } from '#core/kit/kit'
import type { MethodKind, SettingsOf } from '#core/method/methods'
import type { TopUp } from '#core/method/pot'
import type { RestLength } from '#core/method/method'
import type { Piece } from '#core/meat/piece'
import type { PlanRequest } from '#core/request/request'
import { parsePlanCase } from './caseFile'

/** What a dial is called in a case file. Those of the rest, of topping up and of the clock are written otherwise. */
const IN_FILE: Partial<Record<DialKey, string>> = {
  panC: 'heat',
  turning: 'turning',
  searS: 'sear',
  fatEdgeS: 'fatEdge',
  basted: 'basted',
  ovenC: 'ovenHeat',
  standing: 'standing',
  grateC: 'grate',
  lidC: 'lid',
  directS: 'direct',
  order: 'order',
  covered: 'covered',
  bathC: 'bath',
  holdS: 'hold',
  coolS: 'cool',
  boilingParts: 'boilingParts',
  coldParts: 'coldParts',
  coldC: 'coldWater',
  lid: 'potLid',
  pasteMm: 'paste',
  pastryMm: 'pastry',
  searSpells: 'spells',
  directSpells: 'spells',
  cover: 'cover',
  rewarmS: 'rewarm'
}

const rounded = (value: number): number => Math.round(value * 1000) / 1000
const UNITS = { temperature: '°C', duration: 's', length: 'mm' } as const

const written = (dial: Dial, value: string | number | boolean): string | number | boolean =>
  dial.kind === 'quantity' && typeof value === 'number' ? `${rounded(value)} ${UNITS[dial.dimension]}` : value

/** @param settings what the method is planned with @param byClockS the free quantity, where the cook gives it */
export function writePlanCase<K extends MethodKind>(
  { piece, room, targetC, panId, ringId, kit }: PlanRequest,
  kind: K,
  settings: SettingsOf[K],
  byClockS: number
): object {
  const values = dialValues(kind, settings)
  const dials = dialsOf(kind).flatMap(dial => {
    const name = IN_FILE[dial.key]
    const value = values[dial.key]
    return name === undefined || value === undefined ? [] : [[name, written(dial, value)] as const]
  })
  const { rest } = settings
  const topUps = 'topUps' in settings ? settings.topUps : []
  // A pan of the cook's own comes along as part of the kit.
  const pan = 'pan' in settings && kind !== 'in pastry' && kit === undefined ? { pan: panId, ring: ringId } : {}
  return {
    piece: {
      cut: piece.cutId,
      count: piece.count,
      thickness: `${rounded(piece.thicknessMm)} mm`,
      weight: `${rounded(piece.weightG)} g`,
      length: `${rounded(piece.lengthMm)} mm`,
      width: `${rounded(piece.widthMm)} mm`,
      start: `${rounded(piece.startC)} °C`,
      surface: piece.surface,
      ...(piece.form === undefined ? {} : { form: piece.form }),
      ...(piece.thinEndMm === undefined ? {} : { thinEnd: `${rounded(piece.thinEndMm)} mm` }),
      ...(piece.intact === undefined ? {} : { intact: piece.intact }),
      ...(piece.coats === undefined
        ? {}
        : { coats: piece.coats.map(c => ({ what: c.what, on: c.on, thickness: `${rounded(c.thicknessMm)} mm` })) })
    },
    room: { temperature: `${rounded(room.temperatureC)} °C`, humidity: room.humidity, altitude: `${rounded(room.altitudeM)} m` },
    method: {
      kind,
      ...pan,
      ...Object.fromEntries(dials),
      rest: rest.kind === 'clock' ? `${rounded(rest.seconds)} s` : rest.kind,
      ...(topUps.length > 0 ? { topUps: topUps.slice(0, MOST_TOP_UPS).map(t => ({ at: `${t.at} s`, litres: t.litres })) } : {}),
      ...(byClockS > 0 ? { byClock: `${rounded(byClockS)} s` } : {})
    },
    target: { core: `${rounded(targetC)} °C` },
    ...(kit === undefined ? {} : { kit })
  }
}
const MOST_TOP_UPS = 20

export interface ReadCase {
  readonly piece: Piece
  readonly room: PlanRequest['room']
  readonly targetC: number
  readonly kind: MethodKind
  readonly turned: Dialled
  readonly kit: KitInUse | null
}

/** @throws InvalidInputError */
export function readPlanCase(input: unknown): ReadCase {
  const { piece, room, target, kind, method, kit } = parsePlanCase(input)
  const given = method as Readonly<Record<string, unknown>>
  const own = new Set(dialsOf(kind).map(d => d.key))
  const plain = DIAL_KEYS.flatMap(key => {
    const name = IN_FILE[key]
    const value = name === undefined || !own.has(key) ? undefined : given[name]
    return value === undefined ? [] : [[key, value] as const]
  })
  const rest = given['rest'] as RestLength | undefined
  const topUps = (given['topUps'] ?? []) as readonly TopUp[]
  const turned: Dialled = {
    ...Object.fromEntries(plain),
    ...(rest === undefined ? {} : { restSchool: rest.kind, ...(rest.kind === 'clock' ? { restS: rest.seconds } : {}) }),
    ...(topUps.length > 0 ? { topUpEveryS: topUps[0].at, topUpL: topUps[0].litres } : {}),
    ...(typeof given['byClock'] === 'number' ? { byClockS: given['byClock'] } : {})
  }
  return { piece, room, targetC: target.celsius, kind, turned, kit }
}
