/**
 * The sides and sauces a cook may put on the ticket. Amounts are this book's own; the times of boiling, roasting
 * and standing are common practice, no source; what hangs on water and a ring is worked out.
 */
import type { Step } from './dish'
import type { Recipe, Scaling } from './recipe'
import { boilSeconds, reduceSeconds } from './water'

const MIN = 60
const HOUR = 60 * MIN
/** No cook times closer. */
const halfMinutes = (seconds: number): number => Math.round(seconds / 30) * 30

/** Board work: longer for more, but not in step with it. */
const atBoard = (what: string, forFour: number, { diners }: Scaling, holds: Step['holds']): Step => {
  const seconds = halfMinutes(forFour * Math.sqrt(diners / 4))
  return { what, tool: null, seconds, hands: [seconds, 0], holds }
}
/** Left to itself at the ring but for its beginning and end. */
const simmer = (what: string, seconds: number, hands: Step['hands'], holds: Step['holds'], then?: string): Step => ({
  what,
  ...(then ? { then } : {}),
  tool: 'ring',
  seconds,
  hands,
  holds
})
/** At the ring, and nothing else meanwhile. */
const over = (what: string, seconds: number, holds: Step['holds'], then?: string): Step => simmer(what, seconds, [seconds, 0], holds, then)
const wait = (what: string, seconds: number, holds: Step['holds']): Step => ({ what, tool: null, seconds, hands: [0, 0], holds })
const water = (litres: number, { ringW }: Scaling): Step => {
  const seconds = halfMinutes(boilSeconds(litres, ringW))
  return simmer(`Bring {${litres.toFixed(1)} l} of salted water to the boil`, seconds, [30, 0], [0, 5 * MIN])
}
/** A litre for every two or three, and never less than two. */
const potFor = ({ diners }: Scaling, each: number): number => Math.max(2, Math.round(2 * each * diners) / 2)
const reduced = (what: string, mlEach: number, leaves: number, s: Scaling, then?: string): Step => {
  const seconds = Math.max(60, halfMinutes(reduceSeconds((mlEach * s.diners) / 1000, leaves, s.ringW)))
  return simmer(what, seconds, [60, 60], [0, 0], then)
}

export const RECIPES: readonly Recipe[] = [
  {
    id: 'roast-potatoes',
    name: 'Small potatoes, roasted',
    kind: 'side',
    amounts: [
      { what: 'small potatoes', each: 230, unit: 'g' },
      { what: 'oil', each: 10, unit: 'ml' },
      { what: 'salt', each: 3, unit: 'g' }
    ],
    steps: s => [
      atBoard('Wash, halve and oil the potatoes', 8 * MIN, s, [HOUR, 4 * HOUR]),
      {
        what: 'Potatoes into the oven, cut side down',
        then: 'Potatoes out, into a warm dish',
        tool: 'oven',
        ovenC: [180, 220],
        seconds: 40 * MIN,
        hands: [MIN, MIN],
        holds: [8 * MIN, 20 * MIN]
      }
    ]
  },
  {
    id: 'oven-chips',
    name: 'Oven chips',
    kind: 'side',
    amounts: [
      { what: 'floury potatoes', each: 260, unit: 'g' },
      { what: 'oil', each: 15, unit: 'ml' }
    ],
    steps: s => [
      atBoard('Cut, rinse and dry the chips', 12 * MIN, s, [30 * MIN, 3 * HOUR]),
      {
        what: 'Chips into the oven on one layer',
        then: 'Chips out, salted',
        tool: 'oven',
        ovenC: [190, 215],
        seconds: 40 * MIN,
        hands: [MIN, MIN],
        holds: [3 * MIN, 10 * MIN]
      }
    ]
  },
  {
    id: 'fried-chips',
    name: 'Chips fried twice',
    kind: 'side',
    amounts: [
      { what: 'floury potatoes', each: 280, unit: 'g' },
      { what: 'oil for frying', each: 250, unit: 'ml' }
    ],
    steps: s => [
      atBoard('Cut, rinse and dry the chips', 12 * MIN, s, [30 * MIN, 3 * HOUR]),
      over('Fry the chips soft in oil of {140 °C}', 8 * MIN, [0, 0], 'Lift them onto a rack'),
      wait('The chips cool through', HOUR, [2 * HOUR, 6 * HOUR]),
      simmer('Bring the oil to {180 °C}', 8 * MIN, [30, 0], [0, 0]),
      over('Fry the chips crisp', 5 * MIN, [2 * MIN, 8 * MIN], 'Drain and salt them')
    ],
    caution: 'Hot oil: fill the pan to a third at most, never leave it, and have its lid at hand.'
  },
  {
    id: 'mash',
    name: 'Mash',
    kind: 'side',
    amounts: [
      { what: 'floury potatoes', each: 250, unit: 'g' },
      { what: 'butter', each: 30, unit: 'g' },
      { what: 'milk', each: 40, unit: 'ml' }
    ],
    steps: s => [
      atBoard('Peel and cut the potatoes', 10 * MIN, s, [HOUR, 4 * HOUR]),
      simmer('Potatoes on in cold salted water', halfMinutes(boilSeconds(potFor(s, 0.5), s.ringW)), [MIN, 0], [0, 0]),
      simmer('Let the potatoes simmer', 20 * MIN, [30, MIN], [0, 0], 'Drain them and let them steam dry'),
      over('Rice the potatoes and beat in butter and hot milk', 6 * MIN, [20 * MIN, 45 * MIN], 'Cover the mash and keep it warm')
    ]
  },
  {
    id: 'saute-potatoes',
    name: 'Sautéed potatoes',
    kind: 'side',
    amounts: [
      { what: 'waxy potatoes', each: 230, unit: 'g' },
      { what: 'butter and oil', each: 20, unit: 'g' }
    ],
    steps: s => [
      simmer('Potatoes on in cold, well salted water', halfMinutes(boilSeconds(potFor(s, 0.5), s.ringW)), [MIN, 0], [0, 0]),
      simmer('Let the potatoes simmer', 25 * MIN, [30, MIN], [HOUR, 24 * HOUR], 'Drain, and let them dry'),
      atBoard('Slice the potatoes', 5 * MIN, s, [30 * MIN, 4 * HOUR]),
      over('Sauté the slices brown', 12 * MIN, [4 * MIN, 12 * MIN])
    ]
  },
  {
    id: 'broccoli',
    name: 'Broccoli',
    kind: 'side',
    amounts: [{ what: 'broccoli', each: 140, unit: 'g' }],
    steps: s => [
      atBoard('Cut the broccoli', 4 * MIN, s, [2 * HOUR, 12 * HOUR]),
      water(potFor(s, 0.4), s),
      simmer('Broccoli into the boiling water', 3 * MIN, [30, 45], [3 * MIN, 10 * MIN], 'Drain it; no cold water')
    ]
  },
  {
    id: 'carrots',
    name: 'Glazed carrots',
    kind: 'side',
    amounts: [
      { what: 'carrots', each: 130, unit: 'g' },
      { what: 'stock', each: 50, unit: 'ml' },
      { what: 'butter', each: 8, unit: 'g' },
      { what: 'sugar', each: 3, unit: 'g' }
    ],
    steps: s => [
      atBoard('Peel and cut the carrots', 8 * MIN, s, [2 * HOUR, 12 * HOUR]),
      simmer(
        'Carrots on with stock, butter and sugar, lid ajar',
        18 * MIN,
        [MIN, 3 * MIN],
        [10 * MIN, 25 * MIN],
        'Toss them in what is left until it shines'
      )
    ]
  },
  {
    id: 'grilled-vegetables',
    name: 'Vegetables from the grill',
    kind: 'side',
    amounts: [
      { what: 'courgettes, peppers, onions', each: 180, unit: 'g' },
      { what: 'oil', each: 10, unit: 'ml' }
    ],
    steps: s => [
      atBoard('Slice and oil the vegetables', 10 * MIN, s, [2 * HOUR, 8 * HOUR]),
      {
        what: 'Grill the vegetables, before the meat needs the bars',
        then: 'Vegetables off, dressed while hot',
        tool: 'grill',
        seconds: 10 * MIN,
        hands: [10 * MIN, 0],
        holds: [45 * MIN, 2 * HOUR]
      }
    ]
  },
  {
    id: 'rice',
    name: 'Rice',
    kind: 'side',
    amounts: [
      { what: 'rice', each: 70, unit: 'g' },
      { what: 'water', each: 110, unit: 'ml' }
    ],
    steps: s => [
      { what: 'Rinse the rice and let it soak', tool: null, seconds: 40 * MIN, hands: [2 * MIN, 0], holds: [20 * MIN, HOUR] },
      simmer(
        'Rice on, to the boil, then low under its lid',
        halfMinutes(boilSeconds(0.11 * s.diners, s.ringW)) + 10 * MIN,
        [MIN, 15],
        [0, 0],
        'Off the heat, lid on'
      ),
      wait('The rice swells under its lid', 10 * MIN, [15 * MIN, 30 * MIN])
    ]
  },
  {
    id: 'salad',
    name: 'Green salad',
    kind: 'side',
    amounts: [
      { what: 'leaves', each: 45, unit: 'g' },
      { what: 'oil and vinegar, three to one', each: 16, unit: 'ml' }
    ],
    steps: s => [
      atBoard('Wash and dry the leaves', 6 * MIN, s, [3 * HOUR, 8 * HOUR]),
      atBoard('Dress the salad', 2 * MIN, s, [3 * MIN, 10 * MIN])
    ]
  },
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
  }
]

export const recipeById = (id: string): Recipe | undefined => RECIPES.find(r => r.id === id)
