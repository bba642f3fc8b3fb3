/**
 * What can hurt someone in this plan, said once, where the decision is taken. The
 * usual cautions only: local food codes and licensed practice come first.
 */
import { PUBLIC_HEALTH } from '#core/doneness/scale'
import { showTemperature, shownText } from '#core/quantity/format'
import type { Intact } from '#core/meat/piece'
import { OILS, type Oil } from '#core/kit/oil'
import type { UnitSystem } from '#core/quantity/units'

export interface Caution {
  readonly id: 'below public health' | 'smoke' | 'not intact' | 'vulnerable' | 'warmed again'
  readonly text: string
}

/** Minced or needled meat: 71 °C at once (USDA), or 70 °C for 2 min (UK FSA); both from memory. */
export const NOT_INTACT_C = 71

export interface Table {
  readonly intact: Intact
  readonly vulnerable: boolean
  /** What somebody gets rarer than the rest, °C; left out where nobody does. */
  readonly rarestC?: number
  /** How done theirs is, °C; left out where it is as done as all. */
  readonly atRiskC?: number
  /** Cooked before, and chilled. */
  readonly warmedAgain?: boolean
}
/** What was cooked before and is warmed again (USDA, from memory). */
const REHEATED_C = 74
/** What guests at risk should have. */
export const guardedC = ({ warmedAgain }: Pick<Table, 'warmedAgain'>): number => (warmedAgain ? REHEATED_C : PUBLIC_HEALTH.celsius)
const ORDINARY: Table = { intact: 'yes', vulnerable: false }

export function cautionsFor(targetC: number, panC: number, system: UnitSystem, table: Table = ORDINARY, oil: Oil = OILS[0]): Caution[] {
  const cautions: Caution[] = []
  if (table.intact !== 'yes' && Math.min(targetC, table.rarestC ?? targetC) < NOT_INTACT_C) {
    const safe = shownText(showTemperature(NOT_INTACT_C, system))
    cautions.push({
      id: 'not intact',
      text: `${table.intact === 'no' ? 'Needled, rolled or injected meat carries' : 'Meat that may have been needled may carry'} what was outside into its middle: that needs ${safe}, or 2 min at 1 degree less. Ask the butcher, or cook it through.`
    })
  }
  const guarded = guardedC(table)
  if (table.vulnerable && (table.atRiskC ?? targetC) < guarded) {
    const safe = shownText(showTemperature(guarded, system))
    const rest = table.warmedAgain ? '' : ' and 3 min of rest'
    cautions.push({ id: 'vulnerable', text: `Someone at the table should have ${safe}${rest}: cook theirs to that.` })
  }
  if (table.warmedAgain && targetC < REHEATED_C) {
    const safe = shownText(showTemperature(REHEATED_C, system))
    cautions.push({
      id: 'warmed again',
      text: `The usual advice for cooked meat that is warmed again is ${safe}. Below it: only what was cooked as whole muscle, chilled at once and kept cold and sealed; warmed once, and eaten at once. Local codes come first.`
    })
  } else if (targetC < PUBLIC_HEALTH.celsius) {
    const safe = shownText(showTemperature(PUBLIC_HEALTH.celsius, system))
    cautions.push({
      id: 'below public health',
      text: `Public-health advice for whole cuts is ${safe} and 3 min of rest. Below it: only intact meat, never needled, rolled or minced, and not for guests who are pregnant, very young, old or immune-suppressed. Local codes come first.`
    })
  }
  if (panC > oil.smokesC) {
    cautions.push({
      id: 'smoke',
      text: `${oil.name} smokes from about ${shownText(showTemperature(oil.smokesC, system))} and may catch further on: open a window, oil the meat and not the pan, keep a lid at hand${better(panC, oil)}.`
    })
  }
  return cautions
}

/** Another fat that bears this pan, if there is one. */
function better(panC: number, oil: Oil): string {
  const [other] = OILS.filter(o => o.smokesC >= panC && o.id !== oil.id).sort((a, b) => a.smokesC - b.smokesC)
  return (other as Oil | undefined) ? `; ${other.name.toLowerCase()} bears it` : ''
}
