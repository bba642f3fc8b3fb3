/** The sauces, butters and coats of the book. Amounts are its own. */
import type { Recipe } from './recipe'
import { atBoard, HOUR, MIN, more, offHeat, over, reduced, simmer, wait } from './recipeSteps'

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
    steps: [
      reduced('Pour off the fat, wine into the pan, scrape and reduce until nearly dry', 35, 0.2),
      reduced('Stock in, reduce by half', 40, 0.5),
      offHeat('Off the heat, butter in, the board’s juices back', MIN, [4 * MIN, 10 * MIN])
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
    steps: [
      over('Toast the pepper, brandy in, let it go nearly dry', 3 * MIN, [0, 0]),
      reduced('Cream in, reduce by a third', 55, 0.67),
      offHeat('Season the sauce', MIN, [10 * MIN, 25 * MIN])
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
    steps: [
      reduced('White wine on, reduce by half', 30, 0.5),
      reduced('Cream in, reduce by a quarter', 40, 0.75),
      offHeat('Off the heat, stir the cheese in', 2 * MIN, [8 * MIN, 20 * MIN])
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
    steps: [
      over('Reduce vinegar and shallot, melt the butter', 6 * MIN, [30 * MIN, 2 * HOUR]),
      over(
        `Beat the yolks over barely hot water, butter in by drops, to {65 °C}`,
        more(9 * MIN),
        [10 * MIN, 30 * MIN],
        'Keep it warm, not hot'
      )
    ],
    caution:
      'The yolks stay soft: tell the guests, and leave it out for whoever is pregnant, very young, old or weak. If it splits, a spoon of hot water and the whisk bring it back.'
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
    steps: [atBoard('Chop the herbs, stir in oil and vinegar', 10 * MIN, [2 * HOUR, 6 * HOUR])]
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
    steps: [atBoard('Grate the horseradish into cream and mustard', 6 * MIN, [4 * HOUR, 24 * HOUR])]
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
    steps: [
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
    steps: [
      over('Pour off the fat, shallots into the pan, low', 2 * MIN, [0, 0]),
      reduced('Wine in, scrape, reduce until nearly dry', 45, 0.15),
      reduced('Glaze in, reduce until it coats a spoon', 30, 0.6),
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
    steps: [
      reduced('Beer into the pan, scrape, reduce by four fifths', 70, 0.2),
      reduced('Stock in, reduce by half', 30, 0.5),
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
    steps: [
      over('Mushrooms into the fat, browned', more(5 * MIN), [0, 0]),
      reduced('Sherry in off the flame, scrape, nearly dry', 15, 0.2),
      reduced('Cream in, reduce by a third', 35, 0.67, 'The board’s juices back', [6 * MIN, 15 * MIN])
    ],
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
    steps: [
      simmer('Marinade on, to a full boil, and let it boil', 6 * MIN, [MIN, 15], [0, 0]),
      reduced('Stock in, reduce by a third', 60, 0.67, 'Pass it', [15 * MIN, 40 * MIN])
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
    steps: [atBoard('Rub crumbs, butter and herbs together, mustard beside', 6 * MIN, [6 * HOUR, 24 * HOUR])]
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
    steps: [
      atBoard('Chop mushrooms and shallot fine', 8 * MIN, [2 * HOUR, 6 * HOUR]),
      over('Cook them until dry, stirring, and the pan is nearly clean', more(14 * MIN), [4 * HOUR, 24 * HOUR], 'Spread it out to cool')
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
    steps: [
      atBoard('Work herbs into soft butter, roll it in paper', 6 * MIN, [0, 0]),
      wait('The butter sets in the fridge', HOUR, [6 * HOUR, 48 * HOUR])
    ]
  }
]
