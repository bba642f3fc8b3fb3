/** A recipe in words: what goes in, and of each step where, how long, whose hands, and how long it keeps. */
import { showDuration, showMass, showTemperature, showVolume, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { Step, Tool } from '#core/service/dish'
import type { Measured } from '#core/service/recipe'

export function amountText({ what, amount, unit }: Measured, system: UnitSystem): string {
  const shown = unit === 'g' ? shownText(showMass(amount, system)) : unit === 'ml' ? shownText(showVolume(amount, system)) : String(amount)
  return `${shown} ${what}`
}

export const WHERE: Readonly<Record<Tool | 'board', string>> = {
  ring: 'on a ring',
  oven: 'in the oven',
  grill: 'on the grill',
  bath: 'in the bath',
  board: 'at the board'
}

const long = (seconds: number): string => shownText(showDuration(seconds))

/** "in the oven at 180–220 °C, two trays" */
export function whereText({ tool, ovenC, trays = 1 }: Step, system: UnitSystem): string {
  if (tool === null) return ''
  const [least, most] = ovenC ?? [null, null]
  const at =
    least === null || most === null
      ? ''
      : least === most
        ? ` at ${shownText(showTemperature(least, system))}`
        : ` at ${showTemperature(least, system).figure}–${shownText(showTemperature(most, system))}`
  return `${WHERE[tool]}${at}${trays > 1 ? `, ${trays} trays` : ''}`
}

/** "12 min by hand" */
export function timeText({ seconds, hands: [first, last] }: Step): string {
  const busy = first + last
  return busy >= seconds
    ? `${long(seconds)} by hand`
    : busy === 0
      ? `${long(seconds)} by itself`
      : `${long(seconds)}, ${long(busy)} of it by hand`
}

/** "then keeps 10 min, 25 min at most"; nothing where what follows cannot wait */
export function keepsText({ holds: [well, most] }: Step): string {
  if (most <= 0) return ''
  return well >= most || well === 0 ? `keeps ${long(most)}` : `as good for ${long(well)}, keeps ${long(most)}`
}
