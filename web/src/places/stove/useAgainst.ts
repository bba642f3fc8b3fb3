/** What was read, against what was expected, and what the forecast has made of it, in a sentence or two. */
import { computed, type ComputedRef } from 'vue'
import type { CookRecord } from '#core/book/record'
import type { Progress } from '#core/session/progress'
import { valueAt } from '#core/heat/history'
import type { MethodKind } from '#core/method/methods'
import type { Plan } from '#core/plan/plan'
import { showClock, showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'
import type { Heard } from '#core/usecase/forecast'

interface Given {
  readonly record: CookRecord
  readonly forecast: Plan | null
  readonly heard: Heard | null
  /** Whether the forecast has not heard the last reading yet. */
  readonly reckoning: boolean
  readonly progress: Progress | null
}

/** Ways whose heat nobody knows to the degree. */
const IN_HEAT: ReadonlySet<MethodKind> = new Set<MethodKind>([
  'sear then oven',
  'oven then sear',
  'roast',
  'grill',
  'two-zone grill',
  'in pastry'
])

/** Empty until something has been read. */
export function useAgainst(given: () => Given): ComputedRef<string> {
  const units = useUnits()
  const kit = useKit()
  const state = computed(() => given().progress?.state ?? 'ready')
  const exactly = (c: number): string => shownText(showTemperature(c, units.system, 1))

  const last = computed(() => {
    const readings = given().progress?.readings ?? []
    return readings.length > 0 ? readings[readings.length - 1] : null
  })
  const against = computed(() => {
    const { heard, forecast, reckoning } = given()
    if (!last.value || !forecast) return ''
    const { time, probe } = last.value
    // One that speaks for itself is put right where it speaks.
    const shows = probe === undefined ? kit.shows : (c: number): number => c
    const read = `${probe ?? 'You'} read ${exactly(shows(last.value.coreC))} at ${showClock(time)}`
    if (reckoning) return `${read}.`
    const expected = valueAt(forecast.history.time, forecast.history.probe, time)
    if (heard?.impossible.some(r => r.time === time))
      return `${read}: no middle of a piece is ${last.value.coreC < expected ? 'colder than it went in' : 'as hot as boiling water'}. Probe again, from the side, into the middle.`
    if (heard?.rejected.some(r => r.time === time)) {
      const done = last.value.coreC >= forecast.pull.probe ? ' If it does, it is done: take it off.' : ''
      return `${read}, where ${exactly(shows(expected))} was to be expected. Read once more, in the middle: if that agrees, the forecast goes by it.${done}`
    }
    if (heard?.expectedC == null) {
      return `${read}: ${offText(last.value.coreC - expected)}.`
    }
    const moved = forecast.pull.time - given().record.planned.pullS
    const later =
      state.value !== 'on the heat' && state.value !== 'lifted'
        ? ` It peaks at ${exactly(shows(forecast.peak.probe))}.`
        : Math.abs(moved) < 20
          ? ' The time stays as it was.'
          : ` Off the heat ${shownText(showDuration(Math.abs(moved)))} ${moved > 0 ? 'later' : 'sooner'} than planned.`
    const thicker =
      Math.abs(heard.thickerMm) < 1
        ? ''
        : ` It cooks like ${shownText(showLength(given().record.request.piece.thicknessMm + heard.thickerMm, units.system))}.`
    const { kind } = given().record.request.method
    const heat =
      !IN_HEAT.has(kind) || Math.abs(heard.hotterK) < 3
        ? ''
        : ` As if its heat were ${shownText(showTemperatureRise(Math.abs(heard.hotterK), units.system))} ${heard.hotterK > 0 ? 'more' : 'less'} than set.`
    return `${read}: ${offText(last.value.coreC - heard.expectedC)}.${thicker}${heat}${later}`
  })
  const offText = (off: number): string =>
    Math.abs(off) < 1
      ? 'just as forecast'
      : `${shownText(showTemperatureRise(Math.abs(off), units.system))} ${off > 0 ? 'ahead of' : 'behind'} the forecast`
  return against
}
