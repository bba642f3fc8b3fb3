/**
 * A cook under way that heeds its probe: from what has happened on the heat and what was
 * read meanwhile, the piece and the pan as they most likely are. The forecast is then made
 * for those. A reading that no likely piece could have given is not heeded; it is told.
 */
import type { Setup } from '#core/method/setup'
import { panSpells, panStages, panSubject, spellsToCome, withEdge, type PanSetup, type Spell } from '#core/method/panSear'
import { EIGHTY, neededBy, PRIOR, withUnknowns, type Gauss, type Reading, type Trial, type Unknowns } from './belief'
import { finish } from '#core/numerics/steps'
import { toldBy } from './straight'

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
  /** What its oven or fire is over what it is set to, K, by what the probe says. */
  readonly hotterK: number
  /** How much sooner or later than the most likely the pull may come, as factors of the time on the metal: 10th and 90th percentile. */
  readonly sooner: number
  readonly later: number
}

const LONGEST_REST = 40 * 60
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
  const needed = neededBy(trial)
  const outputs = (u: Unknowns<number>): number[] => {
    const { core, logNeeded } = needed(u)
    return [...readings.map(r => core(r.time)), logNeeded]
  }
  const told = finish(toldBy(outputs, readings, PRIOR))
  const last = told.heard.lastIndexOf(true)
  const mean = limited(told.unknowns)
  const range = EIGHTY * told.outputs[readings.length].sd
  return {
    setup: last < 0 ? setup : withUnknowns(setup, mean),
    unheeded: readings.filter((_, i) => !told.heard[i]),
    expectedC: last < 0 ? null : told.expected[last],
    thickerMm: last < 0 ? 0 : mean.thickness,
    contact: last < 0 ? 1 : Math.exp(mean.contact),
    hotterK: last < 0 ? 0 : mean.heat,
    sooner: Math.exp(-range),
    later: Math.exp(range)
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
