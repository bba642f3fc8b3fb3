/** The sauces, butters and coats of the book. Amounts are its own. */
import type { Recipe } from './recipe'
import { atBoard, halfMinutes, HOUR, MIN, offHeat, over, reduced, simmer } from './recipeSteps'

export const SAUCES: readonly Recipe[] = [
  {
    id: 'pan-sauce',
    name: 'Red-wine sauce in the beef’s pan',
    kind: 'sauce',
    inItsPan: true,
    amounts: [
      { what: 'red wine', each: 35, unit: 'ml' },
      { what: 'good stock', each: 40, unit: 'ml' },
      { what: 'cold butter', each: 8, unit: 'g' }
    ],
    steps: s => [
      reduced('Pour off the fat, wine into the pan, scrape and reduce until nearly dry', 35, 0.2, s),
      reduced('Stock in, reduce by half', 40, 0.5, s),
      { ...over('Off the heat, butter in, the board’s juices back', MIN, [4 * MIN, 10 * MIN]), tool: null }
    ],
    caution: 'Burnt residue is thrown away. Wine is poured off the flame.'
  },
  {
    id: 'pepper-cream',
    name: 'Pepper and cream sauce',
    kind: 'sauce',
    amounts: [
      { what: 'cream', each: 55, unit: 'ml' },
      { what: 'brandy', each: 10, unit: 'ml' },
      { what: 'peppercorns, crushed', each: 1.5, unit: 'g' }
    ],
    steps: s => [
      over('Toast the pepper, brandy in, let it go nearly dry', 3 * MIN, [0, 0]),
      reduced('Cream in, reduce by a third', 55, 0.67, s),
      { ...over('Season the sauce', MIN, [10 * MIN, 25 * MIN]), tool: null }
    ],
    caution: 'Spirit goes in off the flame, hood off, lid at hand.'
  },
  {
    id: 'blue-cheese',
    name: 'Blue-cheese sauce',
    kind: 'sauce',
    amounts: [
      { what: 'white wine', each: 30, unit: 'ml' },
      { what: 'cream', each: 40, unit: 'ml' },
      { what: 'blue cheese', each: 20, unit: 'g' }
    ],
    steps: s => [
      reduced('White wine on, reduce by half', 30, 0.5, s),
      reduced('Cream in, reduce by a quarter', 40, 0.75, s),
      { ...over('Off the heat, stir the cheese in', 2 * MIN, [8 * MIN, 20 * MIN]), tool: null }
    ]
  },
  {
    id: 'egg-butter',
    name: 'Warm egg-and-butter sauce',
    kind: 'sauce',
    amounts: [
      { what: 'egg yolks', each: 0.5, unit: '' },
      { what: 'butter, melted', each: 45, unit: 'g' },
      { what: 'vinegar and shallot, reduced', each: 8, unit: 'ml' }
    ],
    steps: s => [
      over('Reduce vinegar and shallot, melt the butter', 6 * MIN, [30 * MIN, 2 * HOUR]),
      over(
        `Beat the yolks over barely hot water, butter in by drops, to {65 °C}`,
        halfMinutes(9 * MIN * Math.sqrt(s.diners / 4)),
        [10 * MIN, 30 * MIN],
        'Keep it warm, not hot'
      )
    ],
    caution: 'The yolks stay soft: tell the guests, and leave it out for whoever is pregnant, very young, old or weak.'
  },
  {
    id: 'herb-vinegar',
    name: 'Raw herb-and-vinegar sauce',
    kind: 'sauce',
    amounts: [
      { what: 'parsley and oregano', each: 10, unit: 'g' },
      { what: 'oil', each: 25, unit: 'ml' },
      { what: 'vinegar', each: 8, unit: 'ml' },
      { what: 'garlic', each: 1.5, unit: 'g' }
    ],
    steps: s => [atBoard('Chop the herbs, stir in oil and vinegar', 10 * MIN, s, [2 * HOUR, 6 * HOUR])]
  },
  {
    id: 'horseradish',
    name: 'Horseradish cream',
    kind: 'sauce',
    amounts: [
      { what: 'thick cream', each: 20, unit: 'g' },
      { what: 'horseradish', each: 10, unit: 'g' },
      { what: 'mustard', each: 10, unit: 'g' }
    ],
    steps: s => [atBoard('Grate the horseradish into cream and mustard', 6 * MIN, s, [4 * HOUR, 24 * HOUR])]
  },
  {
    id: 'egg-butter-blender',
    name: 'Warm egg-and-butter sauce, by blender',
    kind: 'sauce',
    amounts: [
      { what: 'egg yolks', each: 0.5, unit: '' },
      { what: 'butter, melted and hot', each: 45, unit: 'g' },
      { what: 'lemon', each: 4, unit: 'ml' }
    ],
    steps: () => [
      over('Melt the butter to {85 °C}', 5 * MIN, [0, 3 * MIN]),
      offHeat('Blend yolks and lemon, hot butter in by a thread', 3 * MIN, [10 * MIN, 30 * MIN])
    ],
    caution:
      'The yolks stay soft: leave it out for whoever is pregnant, very young, old or weak. If it splits, a spoon of hot water and the whisk bring it back.'
  },
  {
    id: 'shallot-glaze',
    name: 'Shallot and red-wine glaze in the beef’s pan',
    kind: 'sauce',
    inItsPan: true,
    amounts: [
      { what: 'shallots', each: 12, unit: 'g' },
      { what: 'red wine', each: 45, unit: 'ml' },
      { what: 'meat glaze or strong stock', each: 30, unit: 'ml' },
      { what: 'cold butter', each: 8, unit: 'g' }
    ],
    steps: s => [
      over('Pour off the fat, shallots into the pan, low', 2 * MIN, [0, 0]),
      reduced('Wine in, scrape, reduce until nearly dry', 45, 0.15, s),
      reduced('Glaze in, reduce until it coats a spoon', 30, 0.6, s),
      offHeat('Off the heat, butter in, the board’s juices back', MIN, [4 * MIN, 10 * MIN])
    ],
    caution: 'Burnt residue is thrown away. Wine is poured off the flame.'
  },
  {
    id: 'dark-beer',
    name: 'Dark-beer sauce in the beef’s pan',
    kind: 'sauce',
    inItsPan: true,
    amounts: [
      { what: 'dark beer', each: 70, unit: 'ml' },
      { what: 'stock', each: 30, unit: 'ml' },
      { what: 'mustard', each: 3, unit: 'g' },
      { what: 'cold butter', each: 8, unit: 'g' }
    ],
    steps: s => [
      reduced('Beer into the pan, scrape, reduce by four fifths', 70, 0.2, s),
      reduced('Stock in, reduce by half', 30, 0.5, s),
      offHeat('Mustard and butter in, off the heat', MIN, [5 * MIN, 12 * MIN])
    ]
  },
  {
    id: 'mushroom-sauce',
    name: 'Mushroom sauce in the beef’s pan',
    kind: 'sauce',
    inItsPan: true,
    amounts: [
      { what: 'mushrooms', each: 45, unit: 'g' },
      { what: 'dry sherry, or stock', each: 15, unit: 'ml' },
      { what: 'cream', each: 35, unit: 'ml' }
    ],
    steps: s =>
      [
        over('Mushrooms into the fat, browned', halfMinutes(5 * MIN * Math.sqrt(s.diners / 4)), [0, 0]),
        reduced('Sherry in off the flame, scrape, nearly dry', 15, 0.2, s),
        reduced('Cream in, reduce by a third', 35, 0.67, s, 'The board’s juices back')
      ].map((step, i, all) => (i === all.length - 1 ? { ...step, holds: [6 * MIN, 15 * MIN] as const } : step)),
    caution: 'Spirit and wine go in off the flame.'
  },
  {
    id: 'boiled-marinade',
    name: 'The marinade as a sauce',
    kind: 'sauce',
    amounts: [
      { what: 'marinade the meat lay in', each: 40, unit: 'ml' },
      { what: 'stock', each: 20, unit: 'ml' }
    ],
    steps: s => [
      simmer('Marinade on, to a full boil, and let it boil', 6 * MIN, [MIN, 15], [0, 0]),
      { ...reduced('Stock in, reduce by a third', 60, 0.67, s, 'Pass it'), holds: [15 * MIN, 40 * MIN] as const }
    ],
    caution: 'Raw meat lay in it: at a full boil for some minutes before anybody tastes it, or it is thrown away.'
  },
  {
    id: 'mustard-crust',
    name: 'Mustard and crumb crust',
    kind: 'sauce',
    amounts: [
      { what: 'mustard', each: 8, unit: 'g' },
      { what: 'breadcrumbs', each: 12, unit: 'g' },
      { what: 'soft butter and herbs', each: 12, unit: 'g' }
    ],
    steps: s => [atBoard('Rub crumbs, butter and herbs together, mustard beside', 6 * MIN, s, [6 * HOUR, 24 * HOUR])]
  },
  {
    id: 'mushroom-paste',
    name: 'Mushroom paste for a wrap',
    kind: 'sauce',
    amounts: [
      { what: 'mushrooms', each: 90, unit: 'g' },
      { what: 'shallot', each: 12, unit: 'g' },
      { what: 'butter', each: 6, unit: 'g' }
    ],
    steps: s => [
      atBoard('Chop mushrooms and shallot fine', 8 * MIN, s, [2 * HOUR, 6 * HOUR]),
      over(
        'Cook them until dry, stirring, and the pan is nearly clean',
        halfMinutes(14 * MIN * Math.sqrt(s.diners / 4)),
        [4 * HOUR, 24 * HOUR],
        'Spread it out to cool'
      )
    ]
  },
  {
    id: 'herb-butter',
    name: 'Herb butter in slices',
    kind: 'sauce',
    amounts: [
      { what: 'butter', each: 15, unit: 'g' },
      { what: 'herbs, garlic, lemon', each: 4, unit: 'g' }
    ],
    steps: s => [
      atBoard('Work herbs into soft butter, roll it in paper', 6 * MIN, s, [0, 0]),
      { what: 'The butter sets in the fridge', tool: null, seconds: HOUR, hands: [0, 0], holds: [6 * HOUR, 48 * HOUR] }
    ]
  }
]
