/** What a plan says that is less sure than the rest, or not what was asked, in sentences. */
import { pastryMisses } from '#core/method/wrapped'
import { showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { Plan } from './plan'

/** K: a joint that climbs further is beyond what cooks report (5 to 10 for joints taken out later; common practice, no source). */
const LONG_CLIMB_K = 10
const OFF_TARGET_K = 1

export function planDoubts({ kind, free, pull, peak, target, geometry }: Plan, system: UnitSystem): string[] {
  const kelvin = (k: number): string => shownText(showTemperatureRise(k, system))
  const climb = peak.core - pull.core
  const off = peak.core - target
  const said: string[] = []
  if (kind === 'in pastry') {
    const missed = pastryMisses(free)
    if (missed !== null) said.push(missed)
    said.push(
      `In pastry the climb is less sure than elsewhere: ${kelvin(climb)} here, where cooks report ${kelvin(3)} to ${kelvin(10)}. Leave the probe in, and cut it when it is right.`
    )
  } else if (climb > LONG_CLIMB_K && geometry.mirrored) {
    said.push(
      `So long a climb is the engine’s least sure figure: ${kelvin(climb)} here, where cooks report ${kelvin(5)} to ${kelvin(10)} for joints taken out later. Leave the probe in, and put it back if it stops short. A gentler oven stores less and is surer.`
    )
  }
  if (Math.abs(off) > OFF_TARGET_K) {
    said.push(
      `So it peaks at ${shownText(showTemperature(peak.core, system))}, ${kelvin(Math.abs(off))} ${off > 0 ? 'above' : 'below'} what is wanted.`
    )
  }
  return said
}
