/** Roasts: by the charts, how much a joint loses, and how far it climbs once it is out. */
import { carryover, cook, log, reaches, steak, type Cooked } from './bench'
import { between, type Case } from './case'
import { CHARTS, minutes, PRACTICE, roasted, USDA } from './setups'
import type { Constants } from '#core/heat/constants'
import type { Piece } from '#core/meat/piece'
import type { SettingsOf } from '#core/method/methods'

type Roasting = Partial<SettingsOf['roast']>

/** Roasted until the core reads `pull`, and rested. */
function rested(piece: Piece, settings: Roasting, pull: number, c: Constants): Cooked {
  const all = { searS: 0, ...settings }
  const long = cook('roast', piece, all, minutes(480), c)
  return cook('roast', piece, all, reaches(long, pull), c)
}

const riseAfter = (cooked: Cooked, min: number): number => cooked.coreAt(cooked.off + minutes(min)) - cooked.coreAt(cooked.off)
/** Of the raw weight, by the time it comes out, %. */
const lossAtPull = ({ run: { history }, off }: Cooked): number => {
  const i = history.time.findIndex(t => t >= off)
  return 100 * (history.evaporated[i] + history.dripped[i])
}

/** Roasted bare to a core temperature: what it has lost. */
function lost(
  id: string,
  what: string,
  source: string,
  use: Case['use'],
  [ovenC, pullC]: readonly [number, number],
  across: readonly [number, number],
  weight: readonly [number, number],
  seen: readonly [number, number]
): Case {
  const middleIs = `${Math.round((across[0] + across[1]) / 2)} mm, ${(weight[0] + weight[1]) / 2} g`
  return {
    id,
    what,
    source,
    use,
    unit: '%',
    seen,
    middleIs,
    figure: (ease, c) =>
      lossAtPull(rested(log(between(...across, ease), between(...weight, ease), { cutId: 'strip' }), { ovenC, cover: 'bare' }, pullC, c))
  }
}

export const ROASTS: readonly Case[] = [
  roasted('eye-round', 'eye of round, 0.9–1.4 kg, 163 °C, 90–105 min', CHARTS, 'fitted', 163, [80, 95], [900, 1400], [90, 105], [55, 59]),
  roasted(
    'ribeye-roast',
    'boneless ribeye roast, 1.8–2.7 kg, 177 °C, 105–120 min',
    CHARTS,
    'held out',
    177,
    [105, 122],
    [1800, 2700],
    [105, 120],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'ribeye-large',
    'boneless ribeye roast, 2.7–3.6 kg, 177 °C, 120–135 min',
    CHARTS,
    'fitted',
    177,
    [115, 130],
    [2700, 3600],
    [120, 135],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'tenderloin-half',
    'centre-cut tenderloin, 0.9–1.4 kg, 218 °C, 35–40 min',
    CHARTS,
    'fitted',
    218,
    [60, 70],
    [900, 1400],
    [35, 40],
    [55, 59],
    'fillet'
  ),
  roasted(
    'tenderloin-whole',
    'whole tenderloin, 1.8–2.7 kg, 218 °C, 45–60 min, to 63 °C',
    USDA,
    'held out',
    218,
    [70, 85],
    [1800, 2700],
    [45, 60],
    [57, 65],
    'fillet'
  ),
  roasted(
    'round-usda',
    'round or rump roast, 1.1–1.8 kg, 163 °C, 30–35 min a pound, to 63 °C',
    USDA,
    'held out',
    163,
    [95, 115],
    [1150, 1800],
    [75, 140],
    [60, 65],
    'rump'
  ),
  roasted(
    'rib-usda',
    'boneless rolled rib roast, 1.8–2.7 kg, 163 °C, 28–33 min a pound, to 63 °C',
    USDA,
    'fitted',
    163,
    [115, 135],
    [1800, 2700],
    [112, 198],
    [60, 65],
    'ribeye'
  ),
  roasted(
    'rib-bone-in',
    'rib roast on its bones, 1.8–2.7 kg, 177 °C, 105–135 min',
    CHARTS,
    'held out',
    177,
    [120, 135],
    [1800, 2700],
    [105, 135],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'rib-bone-in-large',
    'rib roast on its bones, 2.7–3.6 kg, 177 °C, 135–150 min',
    CHARTS,
    'fitted',
    177,
    [125, 140],
    [2700, 3600],
    [135, 150],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'tenderloin-whole-chart',
    'whole tenderloin, 1.8–2.3 kg, 218 °C, 50–60 min',
    CHARTS,
    'fitted',
    218,
    [70, 85],
    [1800, 2300],
    [50, 60],
    [55, 59],
    'fillet'
  ),
  roasted(
    'tenderloin-half-usda',
    'half a tenderloin, 0.9–1.4 kg, 218 °C, 35–45 min, to 63 °C',
    USDA,
    'held out',
    218,
    [60, 70],
    [900, 1400],
    [35, 45],
    [57, 65],
    'fillet'
  ),
  roasted(
    'rib-usda-bone-in',
    'rib roast on its bones, 1.8–2.7 kg, 163 °C, 23–25 min a pound, to 63 °C',
    USDA,
    'fitted',
    163,
    [120, 135],
    [1800, 2700],
    [92, 150],
    [60, 65],
    'ribeye'
  ),
  roasted(
    'round-tip',
    'round tip roast, 1.4–1.8 kg, 163 °C, 105–120 min',
    CHARTS,
    'held out',
    163,
    [100, 115],
    [1400, 1800],
    [105, 120],
    [55, 59],
    'rump'
  ),
  roasted(
    'round-tip-large',
    'round tip roast, 1.8–2.7 kg, 163 °C, 120–150 min',
    CHARTS,
    'fitted',
    163,
    [110, 130],
    [1800, 2700],
    [120, 150],
    [55, 59],
    'rump'
  ),
  roasted(
    'bottom-round',
    'bottom round roast, 1.4–1.8 kg, 163 °C, 90–120 min',
    CHARTS,
    'held out',
    163,
    [90, 110],
    [1400, 1800],
    [90, 120],
    [55, 59],
    'rump'
  ),
  {
    id: 'tri-tip',
    what: 'tri-tip, 0.7–0.9 kg, 218 °C, 30–40 min',
    source: CHARTS,
    use: 'held out',
    unit: '°C',
    seen: [55, 59],
    middleIs: '45 mm disc, 35 min',
    figure: (ease, c) => {
      const piece = steak(between(50, 40, ease), { cutId: 'tri-tip', weightG: 800 })
      const cooked = cook('roast', piece, { searS: 0, ovenC: 218, cover: 'bare' }, minutes(between(30, 40, ease)), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'roast-rise',
    what: 'the charts’ standing: out at 57 °C, about 63 °C after 15–20 min (ribeye roast)',
    source: CHARTS,
    use: 'held out',
    unit: 'K',
    seen: [4, 8],
    middleIs: '113 mm',
    figure: (ease, c) => {
      const piece = log(between(122, 105, ease), 2250, { cutId: 'ribeye' })
      return riseAfter(rested(piece, { ovenC: 177, cover: 'loose foil' }, 57, c), 17.5)
    }
  },
  {
    id: 'big-roast-rise',
    what: 'big rib roast, 3–3.5 kg, 160–180 °C, out at 46–48 °C: rise read after 25 min under loose foil',
    source: PRACTICE,
    use: 'fitted',
    unit: 'K',
    seen: [5, 6],
    middleIs: '130 mm, 170 °C',
    figure: (ease, c) => {
      const piece = log(between(125, 135, ease), 3200, { cutId: 'ribeye' })
      return riseAfter(rested(piece, { ovenC: between(160, 180, ease), cover: 'loose foil' }, between(48, 46, ease), c), 25)
    }
  },
  {
    id: 'low-roast-rise',
    what: 'big rib roast in a low oven, 110–125 °C, out at 51 °C: rise to the peak',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [1.5, 5],
    middleIs: '130 mm, 118 °C',
    figure: (ease, c) => {
      const piece = log(between(125, 135, ease), 3200, { cutId: 'ribeye' })
      return carryover(rested(piece, { ovenC: between(110, 125, ease), cover: 'loose foil' }, 51, c))
    }
  },
  {
    id: 'roast-drip',
    what: 'boneless roasts, 1–2 kg, 163 °C to 60 °C: what of it drips',
    source: 'meat science surveys (from memory)',
    use: 'held out',
    unit: '%',
    seen: [3, 6],
    middleIs: '93 mm, 1500 g',
    figure: (ease, c) => {
      const piece = log(between(100, 85, ease), between(2000, 1000, ease), { cutId: 'strip' })
      const { run, off } = rested(piece, { ovenC: 163, cover: 'bare' }, 60, c)
      return 100 * run.history.dripped[run.history.time.findIndex(t => t >= off)]
    }
  },
  lost(
    'roast-loss-72',
    'eye of round, 0.6–1.1 kg, still oven of 172 °C to 72 °C at the core: loss',
    'S. M. Goñi and V. O. Salvadori, J. Food Engineering 100 (2010) (from memory)',
    'fitted',
    [172, 72],
    [75, 85],
    [600, 1100],
    [28, 36]
  ),
  lost(
    'roast-loss-60',
    'boneless roasts, 1–2 kg, 163 °C to 60 °C: loss',
    'USDA cooking yields of meat (from memory)',
    'held out',
    [163, 60],
    [100, 85],
    [2000, 1000],
    [17, 25]
  )
]
