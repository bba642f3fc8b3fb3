/**
 * What can hurt someone in this plan, said once, where the decision is taken. The
 * usual cautions only: local food codes and licensed practice come first.
 */
import { PUBLIC_HEALTH } from '#core/doneness/scale'
import { showTemperature, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'

export interface Caution {
  readonly id: 'below public health' | 'smoke'
  readonly text: string
}

/** Most frying oils smoke between 200 and 235 °C (common practice, no source). */
const OIL_SMOKES = 230

export function cautionsFor(targetC: number, panC: number, system: UnitSystem): Caution[] {
  const cautions: Caution[] = []
  if (targetC < PUBLIC_HEALTH.celsius) {
    const safe = shownText(showTemperature(PUBLIC_HEALTH.celsius, system))
    cautions.push({
      id: 'below public health',
      text: `Public-health advice for whole cuts is ${safe} and 3 min of rest. Below it: only intact meat, never needled, rolled or minced, and not for guests who are pregnant, very young, old or immune-suppressed. Local codes come first.`
    })
  }
  if (panC > OIL_SMOKES) {
    cautions.push({
      id: 'smoke',
      text: `Above ${shownText(showTemperature(OIL_SMOKES, system))} most oils smoke and may catch: open a window, oil the meat and not the pan, keep a lid at hand.`
    })
  }
  return cautions
}
