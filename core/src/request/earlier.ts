/**
 * Requests as they were kept before every method had one: the pan's own settings on the request itself, those of
 * any other method beside it as a “way”, turns as a number of spells, the rest in two. Cooks in the Book, drafts and
 * tickets of that time are read by this.
 */
import { panById, PANS, ringById, RINGS } from '#core/kit/pan'
import { toppedUp, type Settings } from '#core/method/dials'
import type { RestLength } from '#core/method/method'
import { turningOf } from '#core/method/turning'
import { USUAL_KIT } from '#core/method/usual'

type Loose = Readonly<Record<string, unknown>>
const isRecord = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value)
const given = (record: Loose): Loose => Object.fromEntries(Object.entries(record).filter(([, v]) => v !== undefined && v !== null))

/** Anything else is given back as it is. @param way the method and its dials, where it was not the pan */
export function fromEarlier(input: unknown, way: unknown = null): unknown {
  if (!isRecord(input) || !('panId' in input)) return input
  const { piece, room, panId, ringId, kit, scaleId, ownScale, targetC, vulnerable } = input
  const { panC, turning, cover, rest, basted, fatEdgeS, rewarmS } = input
  return {
    piece,
    kit: kitOf(kit, String(panId), String(ringId)),
    room,
    target: given({ coreC: targetC, scaleId, ownScale }),
    guests: { atRisk: vulnerable === true, named: [] },
    method: isRecord(way)
      ? { kind: way['kind'], settings: settingsFromEarlier(way['dials']) }
      : { kind: 'pan sear', settings: given({ panC, turning, cover, rest, basted, fatEdgeS, rewarmS }) }
  }
}

function kitOf(kit: unknown, panId: string, ringId: string): Loose {
  const own = isRecord(kit) ? kit : USUAL_KIT
  const named = (item: unknown, id: string): unknown => (isRecord(item) && item['id'] === id ? item : undefined)
  return {
    ...own,
    pan: named(own.pan, panId) ?? panById(panId) ?? own.pan ?? PANS[0],
    ring: named(own.ring, ringId) ?? ringById(ringId) ?? own.ring ?? RINGS[0]
  }
}

const USUAL_REST_S = 600

/** Dials as they stood: how many spells, the rest as a school and its seconds, topping up as a rhythm. */
export function settingsFromEarlier(dials: unknown): Settings {
  if (!isRecord(dials)) return {}
  const { searSpells, directSpells, restSchool, restS, topUpEveryS, topUpL, ...plain } = dials
  const spells = searSpells ?? directSpells
  return {
    ...given(plain),
    ...(typeof spells === 'number' ? { turning: turningOf(spells) } : {}),
    ...(restSchool === undefined && restS === undefined ? {} : { rest: restFrom(restSchool, restS) }),
    ...(typeof topUpEveryS === 'number' ? { topUps: toppedUp(topUpEveryS, typeof topUpL === 'number' ? topUpL : 0.5) } : {})
  }
}

const restFrom = (school: unknown, seconds: unknown): RestLength =>
  school === 'to the peak' || school === 'half the cooking time'
    ? { kind: school }
    : { kind: 'clock', seconds: typeof seconds === 'number' ? seconds : USUAL_REST_S }
