/** What a step says, with the temperatures and volumes in it as its reader measures: "{140 °C}", "{2.5 l}". */
import { showTemperature, showVolume, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'

const MEASURE = /\{(\d+(?:\.\d+)?) (°C|l)\}/g
const ML = 1000

export const said = (text: string, system: UnitSystem): string =>
  text.replace(MEASURE, (_, figure: string, unit: string) =>
    shownText(unit === 'l' ? showVolume(ML * Number(figure), system) : showTemperature(Number(figure), system))
  )
