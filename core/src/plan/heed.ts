/**
 * A cook under way that heeds its probe: from what has happened on the heat and what was
 * read meanwhile, the piece and the pan as they most likely are. The forecast is then made
 * for those. A reading that no likely piece could have given is not heeded; it is told.
 */
import type { Setup } from '#core/method/setup'
import { panSpells, panStages, panSubject, spellsToCome, withEdge, type PanSetup, type Spell } from '#core/method/panSear'
import {
  believe,
  drawMembers,
  EIGHTY,
  PRIOR,
  READING_SD,
  withUnknowns,
  type Gauss,
  type Member,
  type Reading,
  type Trial,
  type Unknowns
} from './belief'
import { percentile } from './random'

export interface Heeded<S = PanSetup['settings']> {
  /** As it most likely is. */
  readonly setup: Setup<S>
  /** The readings that no likely piece could have given. */
  readonly unheeded: readonly Reading[]
  /** What the last heeded reading was expected to be, °C; null where none was heeded. */
  readonly expectedC: number | null
  /** Thicker than said, mm, and contact with the pan over the book's, by what the probe says. */
  readonly thickerMm: number
  readonly contact: number
  /** How much sooner or later than the most likely the pull may come, as factors of the time on the metal: 10th and 90th percentile. */
  readonly sooner: number
  readonly later: number
}

/** A run of a round takes ten times that of a slab, and a cook waits for it. */
const MEMBERS = { flat: 100, round: 48 } as const
const SEED = 20263
const LONGEST_REST = 40 * 60
/** Standard deviations from what was expected beyond which a probe is in the wrong place. */
const UNLIKELY = 3.2
/** No reading moves a figure further than this many of its own standard deviations. */
const FURTHEST = 2.5

/**
 * @param past everything on the heat up to the last reading, as it happened
 * @param total time on the metal the cook is expected to take in all, s
 */
export const heed = (setup: PanSetup, target: number, past: readonly Spell[], readings: readonly Reading[], total: number): Heeded =>
  heedBy(trialFrom(setup, target, past, total), readings)

/** @param trial what happened up to the last reading, and any time to come */
export function heedBy<S>(trial: Trial<S>, readings: readonly Reading[]): Heeded<S> {
  const { setup } = trial
  const members = drawMembers(trial, setup.flat ? MEMBERS.flat : MEMBERS.round, SEED)
  const heard = likely(members, readings)
  const { unknowns, needed } = believe(members, heard)
  const last = heard.at(-1)
  const mean = limited(unknowns)
  return {
    setup: heard.length === 0 ? setup : withUnknowns(setup, mean),
    unheeded: readings.filter(r => !heard.includes(r)),
    expectedC: last ? expected(members, last.time).middle : null,
    thickerMm: heard.length === 0 ? 0 : mean.thickness,
    contact: heard.length === 0 ? 1 : Math.exp(mean.contact),
    sooner: needed[0] / needed[1],
    later: needed[2] / needed[1]
  }
}

/** All of it behind: what happened, and the rest. */
export const panTrialOfPast = (setup: PanSetup, target: number, past: readonly Spell[]): Trial<PanSetup['settings']> => ({
  setup,
  subject: panSubject,
  stages: varied => panStages(varied, past, LONGEST_REST),
  free: Math.max(
    1,
    past.reduce((sum, s) => sum + s.seconds, 0)
  ),
  goal: target
})

/** What happened stays as it was; what is to come is turned by the same school. */
function trialFrom(setup: PanSetup, target: number, past: readonly Spell[], total: number): Trial<PanSetup['settings']> {
  const spent = past.reduce((sum, s) => sum + (s.state === 'lifted' ? 0 : s.seconds), 0)
  const { turning, fatEdgeS = 0 } = setup.settings
  return {
    setup,
    subject: panSubject,
    stages: (varied, free) => {
      const remaining = Math.max(0, free - spent)
      const spells = remaining > 0 ? panSpells(past, remaining, spellsToCome(past, turning, remaining)) : [...past]
      return panStages(varied, withEdge(past, spells, fatEdgeS), LONGEST_REST)
    },
    free: Math.max(total, spent + 1),
    goal: target
  }
}

/** Those of the readings that some such piece could have given. */
const likely = (members: readonly Member[], readings: readonly Reading[]): Reading[] =>
  readings.filter(r => {
    const { middle, sd } = expected(members, r.time)
    return Math.abs(r.celsius - middle) <= UNLIKELY * Math.hypot(sd, READING_SD)
  })

function expected(members: readonly Member[], time: number): { readonly middle: number; readonly sd: number } {
  const cores = members.map(m => m.core(time))
  return { middle: percentile(cores, 0.5), sd: (percentile(cores, 0.9) - percentile(cores, 0.1)) / (2 * EIGHTY) }
}

function limited(unknowns: Unknowns<Gauss>): Unknowns<number> {
  const held = ({ mean }: Gauss, sd: number): number => Math.min(FURTHEST * sd, Math.max(-FURTHEST * sd, mean))
  return {
    thickness: held(unknowns.thickness, PRIOR.thickness.sd),
    start: held(unknowns.start, PRIOR.start.sd),
    contact: held(unknowns.contact, PRIOR.contact.sd),
    air: held(unknowns.air, PRIOR.air.sd),
    heat: held(unknowns.heat, PRIOR.heat.sd)
  }
}
