/**
 * A plan on the screen written as a case file and read back: the same open format that the
 * door for scripts takes, described in docs/case-format.md.
 */
import { DIAL_KEYS, type DialKey, type Dialled } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import type { Piece } from '#core/meat/piece'
import type { PlanRequest } from '#core/plan/request'
import { parsePlanCase } from './caseFile'

/** What a dial is called in a case file, and its unit there. */
const IN_FILE: Record<DialKey, readonly [key: string, unit: string]> = {
  panC: ['heat', '°C'],
  searS: ['sear', 's'],
  fatEdgeS: ['fatEdge', 's'],
  ovenC: ['ovenHeat', '°C'],
  grateC: ['grate', '°C'],
  lidC: ['lid', '°C'],
  directS: ['direct', 's'],
  bathC: ['bath', '°C'],
  holdS: ['hold', 's'],
  rewarmS: ['rewarm', 's']
}

const rounded = (value: number): number => Math.round(value * 1000) / 1000

/** @param turned every dial of the method, turned or not */
export function writePlanCase({ piece, room, targetC }: PlanRequest, kind: MethodKind, turned: Dialled): object {
  const dials = DIAL_KEYS.flatMap(key => {
    const value = turned[key]
    if (value === undefined) return []
    const [name, unit] = IN_FILE[key]
    return [[name, `${rounded(value)} ${unit}`] as const]
  })
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
      ...(piece.form === undefined ? {} : { form: piece.form })
    },
    room: { temperature: `${rounded(room.temperatureC)} °C`, humidity: room.humidity, altitude: `${rounded(room.altitudeM)} m` },
    method: { kind, ...Object.fromEntries(dials) },
    target: { core: `${rounded(targetC)} °C` }
  }
}

export interface ReadCase {
  readonly piece: Piece
  readonly room: PlanRequest['room']
  readonly targetC: number
  readonly kind: MethodKind
  readonly turned: Dialled
}

/** @throws InvalidInputError */
export function readPlanCase(input: unknown): ReadCase {
  const { piece, room, target, kind, method } = parsePlanCase(input)
  const given = method as Readonly<Record<string, unknown>>
  const turned = DIAL_KEYS.flatMap(key => {
    const value = given[IN_FILE[key][0]]
    return typeof value === 'number' ? [[key, value] as const] : []
  })
  return { piece, room, targetC: target.celsius, kind, turned: Object.fromEntries(turned) }
}
