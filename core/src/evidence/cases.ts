/**
 * What the engine is held against. Half of it was set aside before the constants were
 * fitted (scripts/fit.ts) and is only reported. Chart times are "removed at", fridge
 * start; sizes by eye are ranges.
 */
import { cook, log, reaches, steak } from './bench'
import { between, type Case } from './case'
import { ROASTS } from './roasts'
import {
  bagged,
  baldwin,
  beltGrill,
  bigRib,
  capPortions,
  GARCIA_SEGOVIA,
  grilled,
  minutes,
  PRACTICE,
  sooner,
  ribSteak,
  riseFrom,
  skillet,
  TENDERLOIN,
  tenderloin,
  USDA,
  VAUDAGNA,
  WHEELER
} from './setups'

export const CASES: readonly Case[] = [
  {
    id: 'belt-grill-peak',
    what: 'belt grill, platens at 163 °C, 21.6 mm, 5.7 min: peak afterwards',
    source: WHEELER,
    use: 'fitted',
    unit: '°C',
    seen: [67, 73],
    middleIs: '21.6 mm',
    figure: (_, c) => beltGrill(c).peak.core
  },
  {
    id: 'belt-grill-loss',
    what: 'cook loss of loin steaks to 60–71 °C',
    source: 'meat science surveys (from memory)',
    use: 'held out',
    unit: '%',
    seen: [18, 28],
    middleIs: '21.6 mm',
    figure: (_, c) => 100 * beltGrill(c).loss
  },
  ...([10, 20, 30, 40] as const).map((mm, i) => baldwin('held out', mm, [19, 50, 90, 150][i])),
  ...([15, 25, 35, 50] as const).map((mm, i) => baldwin('fitted', mm, [35, 75, 120, 210][i])),
  baldwin('held out', 40, 0.55 * 150, 'cylinder'),
  baldwin('held out', 50, 0.55 * 210, 'cylinder'),

  bagged('fitted', 50, VAUDAGNA, [7, 13]),
  bagged('fitted', 60, VAUDAGNA, [16, 24]),
  bagged('fitted', 65, VAUDAGNA, [21, 29]),
  bagged('fitted', 60, GARCIA_SEGOVIA, [13, 21]),
  bagged('fitted', 70, GARCIA_SEGOVIA, [23, 32]),
  bagged('fitted', 80, GARCIA_SEGOVIA, [31, 39]),

  ...ROASTS,

  skillet('fitted', 25, [12, 15]),
  skillet('held out', 19, [8, 11]),
  skillet('held out', 25, [12, 15], 'ribeye'),
  skillet('fitted', 25, [10, 13], 'fillet', { weightG: 150 }),
  skillet('held out', 19, [7, 9], 'fillet', { weightG: 115 }),
  grilled('fitted', 25, [11, 15], 'rump'),
  grilled('held out', 38, [22, 26], 'rump'),
  grilled('held out', 19, [7, 11], 'rump'),
  grilled('fitted', 51, [28, 33], 'rump'),
  grilled('held out', 25, [11, 14], 'strip'),
  grilled('fitted', 19, [7, 10], 'strip'),
  grilled('held out', 19, [8, 10], 'ribeye', USDA),

  {
    id: 'low-oven-strip',
    what: 'strip 36–40 mm from the fridge, rack in an oven of 120 °C for 35–55 min, before its sear',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [44, 50],
    middleIs: '38 mm, 45 min',
    figure: (ease, c) => {
      const piece = steak(between(40, 36, ease), { surface: 'aired' })
      const cooked = cook('oven then sear', piece, { ovenC: 120, searS: 0 }, minutes(between(35, 55, ease)), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'strip-pan',
    what: 'strip said to be 38 mm (30–38), half an hour out, 5 min a side and the fat edge: reads 50–54 °C within 10–12 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [50, 54],
    middleIs: '34 mm, 225 °C, 11 min',
    figure: (ease, c) => {
      const piece = steak(between(38, 30, ease), { weightG: 450, startC: 10 })
      // In the pan's last seconds and the first minute off it a probe reads the same to a degree or two.
      const cooked = cook('pan sear', piece, { panC: between(215, 235, ease), turning: 'once' }, minutes(between(10, 12, ease)), c)
      return cooked.coreAt(cooked.off + 60)
    }
  },
  {
    id: 'rib-steak-pull',
    what: 'rib steak 38–48 mm, 2 min a side twice, rack in the oven 5–10 min: pulled at 48–49 °C',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [47.5, 49.5],
    middleIs: '43 mm, 7½ min',
    figure: (ease, c) => {
      const cooked = ribSteak(ease, c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'rib-steak-rise',
    what: 'the same: rise read after 5 min',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [3, 6],
    middleIs: '43 mm',
    figure: (ease, c) => {
      const cooked = ribSteak(ease, c)
      return cooked.coreAt(cooked.off + 300) - cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'big-rib-first',
    what: 'bone-in rib steak, 1 kg, 44–52 mm, hard sear, oven 12–15 min: about 45 °C',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [43, 47],
    middleIs: '48 mm, 13½ min',
    figure: (ease, c) => {
      const cooked = bigRib(ease, between(12, 15, ease), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'big-rib-second',
    what: 'the same with 10 min more in the oven: 55–56 °C',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [54.5, 56.5],
    middleIs: '48 mm, 23½ min',
    figure: (ease, c) => {
      const cooked = bigRib(ease, between(22, 25, ease), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'tenderloin-time',
    what: 'tenderloin roast, 550 g, seared on four sides, 190 °C: at 52 °C after 25–32 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [51, 53],
    middleIs: '61 mm, 28½ min',
    figure: (ease, c) => {
      const cooked = tenderloin(ease, c, between(25, 32, ease))
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'tenderloin-rise',
    what: 'the same, out at 52 °C: rise in the rest',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [3, 8],
    middleIs: '61 mm',
    figure: (ease, c) => {
      const long = tenderloin(ease, c, 60)
      return riseFrom(
        52,
        core => reaches(long, core),
        s => tenderloin(ease, c, (s - TENDERLOIN.searS) / 60)
      )
    }
  },
  {
    id: 'tenderloin-large-rise',
    what: 'the whole centre, out near 48 °C for the same result: rise in the rest',
    source: PRACTICE,
    use: 'fitted',
    unit: 'K',
    seen: [4, 9],
    middleIs: '75 mm, 1.6 kg',
    figure: (ease, c) => {
      const piece = log(between(80, 70, ease), 1600)
      const long = cook('roast', piece, TENDERLOIN, minutes(90), c)
      return riseFrom(
        48,
        core => reaches(long, core),
        s => cook('roast', piece, TENDERLOIN, s - TENDERLOIN.searS, c)
      )
    }
  },
  {
    id: 'tenderloin-gap',
    what: 'the whole centre comes out near 48 °C where the piece of 550 g comes out at 52, to read the same after 20 min of rest: how much sooner',
    source: PRACTICE,
    use: 'fitted',
    unit: 'K',
    seen: [2, 5],
    middleIs: '61 and 75 mm',
    figure: (ease, c) => sooner(between(70, 80, ease), 1600, minutes(20), c)
  },
  {
    id: 'pastry-rise',
    what: 'pastry-wrapped fillet: out at 51.7 °C, rests 5–10 min to 54.4 °C',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [1.7, 5],
    middleIs: '60 mm, 600 g, 7½ min',
    figure: (ease, c) => {
      const piece = log(between(64, 56, ease), 600, { startC: 10 })
      const settings = { ovenC: 210, pasteMm: 4, pastryMm: 3, cover: 'bare' } as const
      const long = cook('in pastry', piece, settings, minutes(120), c)
      const cooked = cook('in pastry', piece, settings, reaches(long, 51.7), c)
      return cooked.coreAt(cooked.off + minutes(between(5, 10, ease))) - cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'hanger',
    what: 'hanger, 250 g, 200 °C pan, turned every 30 s: medium rare within a few minutes (3–6)',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [52, 57],
    middleIs: '20 mm, 4½ min',
    figure: (ease, c) => {
      const piece = steak(between(22, 18, ease), { cutId: 'hanger', weightG: 250, startC: 10 })
      return cook('pan sear', piece, { panC: 200, turning: 'every 30 s' }, minutes(between(3, 6, ease)), c).run.peak.core
    }
  },
  {
    id: 'sirloin-hot',
    what: 'sirloin, 25 mm, very hot pan, 2–3 min a side: rare to medium rare after the rest',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [48, 57],
    middleIs: '260 °C, 5 min',
    figure: (ease, c) =>
      cook('pan sear', steak(25, { startC: 12 }), { panC: between(240, 280, ease), turning: 'once' }, minutes(between(4, 6, ease)), c).run
        .peak.core
  },
  {
    id: 'fillet-grill',
    what: 'fillet steak, 170 g, grill, quarter turn at 2 min, about 7 min in all: medium rare',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [52, 57],
    middleIs: '36 mm, 7 min',
    figure: (ease, c) =>
      cook(
        'grill',
        steak(between(40, 32, ease), { cutId: 'fillet', weightG: 170, startC: 12 }),
        { grateC: between(260, 300, ease), turning: 'once', covered: true, lidC: 200 },
        minutes(between(6.5, 8, ease)),
        c
      ).run.peak.core
  },
  {
    id: 'cap-portions',
    what: 'top-sirloin cap portions, seared, then oven 3–4 min: medium rare',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [52, 58],
    middleIs: '32 mm',
    figure: (ease, c) => capPortions(ease, between(3, 4, ease), c).run.peak.core
  },
  {
    id: 'cap-portions-longer',
    what: 'the same, oven about 5 min: medium',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [57, 63],
    middleIs: '32 mm',
    figure: (ease, c) => capPortions(ease, between(4.5, 6, ease), c).run.peak.core
  },
  {
    id: 'cap-bath',
    what: 'rump cap portions, 30–35 mm, bath of 57 °C, 1 h, then a fast hard sear: pink edge to edge',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [54, 58],
    middleIs: '32 mm',
    figure: (ease, c) =>
      cook('bath then sear', steak(between(35, 30, ease), { cutId: 'rump-cap' }), { bathC: 57, fatEdgeS: 60 }, minutes(60), c).run.peak.core
  },
  {
    id: 'pot-falls',
    what: 'pot, 4 parts boiling and 1 cold, 400 g, lid on: about 70 °C after 30 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [68, 73],
    middleIs: '30 min',
    figure: (_, c) => {
      const { run: outcome, off } = cook('pot', steak(40, { weightG: 400 }), {}, minutes(30), c)
      const at = outcome.history.time.findIndex(t => t >= off)
      return outcome.history.plate[at] ?? NaN
    }
  },
  {
    id: 'pot-pink',
    what: 'the same: the centre pink after cooling',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [50, 62],
    middleIs: '40 mm',
    figure: (ease, c) =>
      cook('pot', steak(between(46, 34, ease), { weightG: 400, startC: 8 }), { cover: 'fridge' }, minutes(30), c).run.peak.core
  }
]
