/**
 * A method's program laid out as what the engine runs: each stage cut at its turns into
 * spells, then the rest and the moment back in the pan. Seconds since the piece first met the heat.
 */
import type { Stage } from '#core/heat/program'
import type { Method, Phase, PlannedStage, Program, Resting, RestLength } from './method'
import type { Setup } from './setup'
import { spellLengths, spellsToCome } from './turning'

/** Which of its two faces is down, where that counts. */
export type Down = 'first' | 'second'
export const otherDown = (down: Down): Down => (down === 'first' ? 'second' : 'first')

/** What is done between two turns or moves. */
export interface Spell extends Stage {
  readonly phase: Phase
  readonly busy: boolean
  readonly seconds: number
  /** The stage of the program it is a part of, by number; out of the heat, in no stage. */
  readonly stage: number | 'out'
  readonly down: Down
}

export interface Timeline {
  readonly heating: readonly Spell[]
  readonly rest: (seconds: number) => Spell
  readonly rewarm: readonly Spell[]
}

/** @param count spells of the open stage, where that is held; otherwise as many as its schedule gives */
export const timelineOf = <S extends Resting>(method: Method<S>, setup: Setup<S>, free: number, count: number | null = null): Timeline =>
  layOut(method.program(setup, free), 0, count)

/** @param first the number of its first stage in the whole program */
export function layOut({ heating, rest, rewarm }: Program, first = 0, count: number | null = null): Timeline {
  const spells = heating.flatMap((stage, i) => spellsOf(stage, first + i, stage.open === true ? count : null))
  const after = first + heating.length + 1
  return { heating: spells, rest: restAfter(spells, rest), rewarm: rewarm.flatMap((stage, i) => spellsOf(stage, after + i, null)) }
}

/** The face that was down last lies on the board. */
export function restAfter(heating: readonly Spell[], rest: Program['rest']): Timeline['rest'] {
  const down = heating.at(-1)?.down ?? 'first'
  return seconds => {
    const stage = rest(seconds)
    const { first, second, side } = stage.faces
    return {
      ...spellOf(stage, heating.length, down, seconds),
      faces: down === 'first' ? stage.faces : { first: second, second: first, side }
    }
  }
}

function spellsOf(stage: PlannedStage, number: number, count: number | null): Spell[] {
  if (!stage.turned) return [spellOf(stage, number, 'first', stage.seconds)]
  const spells = count ?? spellsToCome(stage.turned.turning, stage.seconds)
  return spellLengths(stage.seconds, spells).map((seconds, i) => spellOf(stage, number, i % 2 === 0 ? 'first' : 'second', seconds, i === 0))
}

/** @param fresh whether the stage begins with it: what is done to a pan or pot then is done once */
export function spellOf(stage: PlannedStage, number: number | 'out', down: Down, seconds: number, fresh = true): Spell {
  const { phase, busy, name, faces, turned, burners, changes, beside } = stage
  const over = down === 'second' && turned ? turned : { name, faces }
  return {
    phase,
    busy,
    name: over.name,
    faces: over.faces,
    seconds,
    end: { after: seconds },
    stage: number,
    down,
    ...(burners ? { burners } : {}),
    ...(changes && fresh ? { changes } : {}),
    ...(beside === undefined ? {} : { beside })
  }
}

/** How many spells the open stage is cut into at a free time; null where it is not turned. */
export function openSpells<S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): number | null {
  const open = method.program(setup, free).heating.find(s => s.open === true && s.turned !== undefined)
  return open?.turned ? spellsToCome(open.turned.turning, open.seconds) : null
}

export const secondsOf = (spells: readonly { readonly seconds: number }[]): number => spells.reduce((sum, s) => sum + s.seconds, 0)

/** A piece may lie in the fridge for as long as it likes. */
const LONGEST_REST = 90 * 60
/** A joint kept longer goes cold outside: by then it is carved, whatever its middle would still do; common practice, no source. */
const LONGEST_JOINT_REST = 30 * 60
/** Kept running after the carving, so that the curves show where things go. */
export const AFTERWARDS = 120

/**
 * A timeline with as much rest as counts toward its peak. A steak climbs on on the plate; a joint only until it
 * is carved, by the clock where the cook rests it so.
 */
export function rested({ heating, rest: resting }: Timeline, { piece, settings }: Setup<Resting>): Spell[] {
  const joint = piece.form === 'roast' && settings.cover !== 'fridge' && settings.cover !== 'ice'
  const least = restSeconds(settings.rest, secondsOf(heating), 0)
  if (joint && settings.rest.kind !== 'to the peak') return [...heating, resting(Math.max(SHORTEST_REST, least))]
  return [...heating, resting(Math.max(joint ? LONGEST_JOINT_REST : LONGEST_REST, least + AFTERWARDS))]
}
/** s: as long as it takes to find the knife. */
const SHORTEST_REST = 60

/** How long the school rests a piece that spent `cooking` on the heat and peaks after `toPeak`. */
export function restSeconds(rest: RestLength, cooking: number, toPeak: number): number {
  switch (rest.kind) {
    case 'clock':
      return rest.seconds
    case 'half the cooking time':
      return cooking / 2
    case 'to the peak':
      return toPeak
  }
}
