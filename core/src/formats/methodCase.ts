/**
 * The method of a case file: any of them, by kind, with whichever of its settings the
 * file gives and the usual ones for the rest. Described in docs/case-format.md.
 */
import * as yup from 'yup'
import { BATH_LIMITS_C, POTS, potById } from '#core/kit/bath'
import { GRATE_LIMITS_C, LID_LIMITS_C } from '#core/kit/grill'
import { OVEN_LIMITS_C, OVENS, ovenById } from '#core/kit/oven'
import { panById, PANS, ringById, RINGS } from '#core/kit/pan'
import type { RestLength } from '#core/method/method'
import { METHOD_KINDS, type MethodKind, type SettingsOf } from '#core/method/methods'
import { PAN_LIMITS, TURNINGS } from '#core/method/panSear'
import { usualSettings, wholeKit } from '#core/method/usual'
import type { KitInUse } from '#core/kit/kit'
import { needed, quantity, restShape, share, word } from './caseFields'
import { InvalidInputError } from '#core/input/problem'

const RESTING = ['cover', 'rest', 'rewarm', 'byClock']
const SEARING = ['pan', 'ring', 'heat', 'sear', 'spells', 'fatEdge', 'basted']
const BATH = ['bath', 'hold', 'cool']
const ZONES = ['grate', 'lid', 'spells', 'covered']

/** What each kind may be told, beside its rest. */
const ALLOWED: Record<MethodKind, readonly string[]> = {
  'pan sear': ['pan', 'ring', 'heat', 'turning', 'basted', 'fatEdge'],
  'sear then oven': [...SEARING, 'oven', 'ovenHeat', 'standing'],
  'oven then sear': [...SEARING, 'oven', 'ovenHeat'],
  roast: [...SEARING, 'oven', 'ovenHeat'],
  grill: ZONES,
  'two-zone grill': [...ZONES, 'order', 'direct'],
  'bath then sear': [...SEARING, ...BATH],
  'sear then bath': [...SEARING, ...BATH],
  'short hot bath': [...SEARING, 'bath'],
  pot: [...SEARING, 'pot', 'boilingParts', 'coldParts', 'coldWater', 'potLid', 'topUps'],
  'in pastry': ['oven', 'ovenHeat', 'paste', 'pastry']
}

const yes = yup.boolean().strict()

export const methodShape = yup
  .object({
    kind: word(METHOD_KINDS).required(`This is missing: one of ${METHOD_KINDS.join(', ')}.`),
    pan: word(PANS.map(p => p.id)),
    ring: word(RINGS.map(r => r.id)),
    heat: quantity('temperature', PAN_LIMITS.panC),
    turning: word(TURNINGS),
    basted: yes,
    sear: quantity('duration', [0, 1800]),
    spells: share([1, 40]),
    fatEdge: quantity('duration', [0, 600]),
    oven: word(OVENS.map(o => o.id)),
    ovenHeat: quantity('temperature', OVEN_LIMITS_C),
    standing: word(['rack', 'pan floor'] as const),
    grate: quantity('temperature', GRATE_LIMITS_C),
    lid: quantity('temperature', LID_LIMITS_C),
    order: word(['direct first', 'indirect first'] as const),
    direct: quantity('duration', [0, 3600]),
    covered: yes,
    bath: quantity('temperature', BATH_LIMITS_C),
    hold: quantity('duration', [0, 24 * 3600]),
    cool: quantity('duration', [0, 7200]),
    pot: word(POTS.map(p => p.id)),
    boilingParts: share([0, 20]),
    coldParts: share([0, 20]),
    coldWater: quantity('temperature', [0, 40]),
    potLid: yes,
    topUps: yup
      .array(
        yup
          .object({
            at: needed('duration', [0, 8 * 3600]),
            litres: share([0.05, 5]).required('This is missing: litres of boiling water.')
          })
          .noUnknown()
      )
      .max(20, 'At most twenty top-ups.'),
    paste: quantity('length', [0, 20]),
    pastry: quantity('length', [1, 12]),
    cover: word(['bare', 'loose foil', 'tucked foil', 'fridge'] as const),
    rest: restShape,
    rewarm: quantity('duration', [0, 300]),
    byClock: quantity('duration', [1, 24 * 3600])
  })
  .noUnknown()
  .required('This is missing: the method.')
  .test({
    name: 'belongs',
    test: (value, context) => {
      const kind = METHOD_KINDS.find(k => k === value.kind)
      if (!kind) return true
      const allowed = ['kind', ...RESTING, ...ALLOWED[kind]]
      const stray = Object.keys(value).filter(k => value[k as keyof typeof value] !== undefined && !allowed.includes(k))
      return (
        stray.length === 0 ||
        context.createError({
          path: `${context.path}.${stray[0]}`,
          message: `“${stray[0]}” is nothing to “${kind}”. It takes: ${allowed.join(', ')}.`
        })
      )
    }
  })
  .test({
    name: 'pan heat',
    test: (value, context) =>
      value.kind !== 'pan sear' ||
      value.heat !== undefined ||
      context.createError({ path: `${context.path}.heat`, message: 'This is missing: a temperature with its unit.' })
  })

export type MethodGiven = yup.InferType<typeof methodShape>

/** @param targetC what the core is to reach, °C: baths are usually set by it */
export function settingsFrom<K extends MethodKind>(
  kind: K,
  given: MethodGiven,
  targetC: number,
  own: KitInUse | null = null
): SettingsOf[K] {
  const grill = kind === 'grill' || kind === 'two-zone grill'
  if (kind === 'pot' && given.boilingParts === 0 && given.coldParts === 0)
    throw new InvalidInputError([{ key: 'method.boilingParts', message: 'A pot needs some water: boiling, cold or both.' }])
  const told = {
    pan: given.pan === undefined ? undefined : panById(given.pan),
    ring: given.ring === undefined ? undefined : ringById(given.ring),
    panC: given.heat,
    turning: given.turning,
    basted: given.basted,
    searS: given.sear,
    ...(grill ? { directSpells: given.spells } : { searSpells: given.spells }),
    fatEdgeS: given.fatEdge,
    oven: given.oven === undefined ? undefined : ovenById(given.oven),
    ovenC: given.ovenHeat,
    standing: given.standing,
    grateC: given.grate,
    lidC: given.lid,
    order: given.order,
    directS: given.direct,
    covered: given.covered,
    bathC: given.bath,
    holdS: given.hold,
    coolS: given.cool,
    pot: given.pot === undefined ? undefined : potById(given.pot),
    boilingParts: given.boilingParts,
    coldParts: given.coldParts,
    coldC: given.coldWater,
    lid: given.potLid,
    topUps: given.topUps,
    pasteMm: given.paste,
    pastryMm: given.pastry,
    cover: given.cover,
    rest: given.rest as RestLength | undefined,
    rewarmS: given.rewarm
  }
  const said = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined))
  return { ...usualSettings(wholeKit(own), targetC)[kind], ...said }
}
