/** The sides of the book. Amounts are its own. */
import type { Recipe } from './recipe'
import { atBoard, bake, boiling, grill, HOUR, inLoads, MIN, more, over, potOf, simmer, wait, water } from './recipeSteps'

export const SIDES: readonly Recipe[] = [
  {
    id: 'roast-potatoes',
    name: 'Small potatoes, roasted',
    kind: 'side',
    amounts: [
      { what: 'small potatoes', each: 230, unit: 'g' },
      { what: 'oil', each: 10, unit: 'ml' },
      { what: 'salt', each: 3, unit: 'g' }
    ],
    steps: [
      atBoard('Wash, halve and oil the potatoes', 8 * MIN, [HOUR, 4 * HOUR]),
      bake('Potatoes into the oven, cut side down', 'Potatoes out, into a warm dish', [180, 220], 40 * MIN, [8 * MIN, 20 * MIN], 6)
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
    steps: [
      atBoard('Cut, rinse and dry the chips', 12 * MIN, [30 * MIN, 3 * HOUR]),
      bake('Chips into the oven on one layer', 'Chips out, salted', [190, 215], 40 * MIN, [3 * MIN, 10 * MIN], 4)
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
    steps: [
      atBoard('Cut, rinse and dry the chips', 12 * MIN, [30 * MIN, 3 * HOUR]),
      inLoads(4, over('Fry the chips soft in oil of {140 °C}', 8 * MIN, [0, 0], 'Lift them onto a rack')),
      wait('The chips cool through', HOUR, [2 * HOUR, 6 * HOUR]),
      simmer('Bring the oil to {180 °C}', 8 * MIN, [30, 0], [0, 0]),
      inLoads(4, over('Fry the chips crisp', 5 * MIN, [2 * MIN, 8 * MIN], 'Drain and salt them'))
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
    steps: [
      atBoard('Peel and cut the potatoes', 10 * MIN, [HOUR, 4 * HOUR]),
      simmer('Potatoes on in cold salted water', potOf(500), [MIN, 0], [0, 0]),
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
    steps: [
      simmer('Potatoes on in cold, well salted water', potOf(500), [MIN, 0], [0, 0]),
      simmer('Let the potatoes simmer', 25 * MIN, [30, MIN], [HOUR, 24 * HOUR], 'Drain, and let them dry'),
      atBoard('Slice the potatoes', 5 * MIN, [30 * MIN, 4 * HOUR]),
      inLoads(4, over('Sauté the slices brown', 12 * MIN, [4 * MIN, 12 * MIN]))
    ]
  },
  {
    id: 'broccoli',
    name: 'Broccoli',
    kind: 'side',
    amounts: [{ what: 'broccoli', each: 140, unit: 'g' }],
    steps: [
      atBoard('Cut the broccoli', 4 * MIN, [2 * HOUR, 12 * HOUR]),
      water(400),
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
    steps: [
      atBoard('Peel and cut the carrots', 8 * MIN, [2 * HOUR, 12 * HOUR]),
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
    steps: [
      atBoard('Slice and oil the vegetables', 10 * MIN, [2 * HOUR, 8 * HOUR]),
      grill('Vegetables onto the bars, turned as they colour', 'Vegetables off, dressed while hot', 10 * MIN, [45 * MIN, 2 * HOUR], 8)
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
    steps: [
      { ...wait('Rinse the rice and let it soak', 40 * MIN, [20 * MIN, HOUR]), hands: [2 * MIN, 0] },
      simmer('Rice on, to the boil, then low under its lid', boiling(110, 10 * MIN), [MIN, 15], [0, 0], 'Off the heat, lid on'),
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
    steps: [atBoard('Wash and dry the leaves', 6 * MIN, [3 * HOUR, 8 * HOUR]), atBoard('Dress the salad', 2 * MIN, [3 * MIN, 10 * MIN])]
  },
  {
    id: 'onion-puree',
    name: 'Onion purée',
    kind: 'side',
    amounts: [
      { what: 'onions', each: 150, unit: 'g' },
      { what: 'butter', each: 12, unit: 'g' },
      { what: 'cream', each: 15, unit: 'ml' }
    ],
    steps: [
      atBoard('Peel and slice the onions', 8 * MIN, [2 * HOUR, 12 * HOUR]),
      simmer('Onions on with butter and a little salt, low, lid on: soft and not brown', 35 * MIN, [2 * MIN, MIN], [HOUR, 4 * HOUR]),
      over('Cream in, blend it smooth, pass it, warm it through', 6 * MIN, [15 * MIN, 40 * MIN], 'Cover it and keep it warm')
    ],
    caution: 'Hot purée climbs in a closed blender: half full, lid vented, a cloth over it.'
  },
  {
    id: 'roots-roast',
    name: 'Root vegetables, roasted',
    kind: 'side',
    amounts: [
      { what: 'parsnips, beetroot, celeriac', each: 190, unit: 'g' },
      { what: 'oil', each: 10, unit: 'ml' }
    ],
    steps: [
      atBoard('Peel and cut the roots to one size, oil and salt them', 12 * MIN, [2 * HOUR, 8 * HOUR]),
      bake('Roots into the oven on one layer', 'Roots out, a little vinegar over them', [180, 210], 45 * MIN, [10 * MIN, 25 * MIN], 6)
    ]
  },
  {
    id: 'roots-mashed',
    name: 'Root vegetables, crushed with butter',
    kind: 'side',
    amounts: [
      { what: 'swede and carrots', each: 200, unit: 'g' },
      { what: 'butter', each: 15, unit: 'g' }
    ],
    steps: [
      atBoard('Peel and dice the roots', 10 * MIN, [2 * HOUR, 12 * HOUR]),
      simmer('Roots on in cold salted water', potOf(400), [MIN, 0], [0, 0]),
      simmer('Let the roots simmer until a knife falls out of them', 22 * MIN, [30, MIN], [0, 0], 'Drain them, and let them steam dry'),
      over('Crush the roots with butter and pepper', 4 * MIN, [20 * MIN, 45 * MIN], 'Cover them and keep them warm')
    ]
  },
  {
    id: 'green-beans',
    name: 'Green beans with shallot',
    kind: 'side',
    amounts: [
      { what: 'green beans', each: 120, unit: 'g' },
      { what: 'shallot', each: 10, unit: 'g' },
      { what: 'butter', each: 6, unit: 'g' }
    ],
    steps: [
      atBoard('Top the beans, chop the shallot', 6 * MIN, [3 * HOUR, 12 * HOUR]),
      water(400),
      simmer('Beans into the boiling water', 6 * MIN, [30, 45], [HOUR, 6 * HOUR], 'Drain them onto a tray, one layer, to cool'),
      over('Toss the beans in butter and shallot until hot', 3 * MIN, [3 * MIN, 8 * MIN])
    ]
  },
  {
    id: 'spinach',
    name: 'Wilted spinach',
    kind: 'side',
    amounts: [
      { what: 'spinach', each: 160, unit: 'g' },
      { what: 'butter', each: 8, unit: 'g' }
    ],
    steps: [
      atBoard('Wash the spinach twice and shake it', 6 * MIN, [3 * HOUR, 12 * HOUR]),
      over('Spinach into foaming butter by handfuls, nutmeg, pressed dry', more(3 * MIN), [4 * MIN, 12 * MIN])
    ]
  },
  {
    id: 'cabbage',
    name: 'Pointed cabbage from a hot pan',
    kind: 'side',
    amounts: [
      { what: 'pointed cabbage', each: 150, unit: 'g' },
      { what: 'butter', each: 10, unit: 'g' }
    ],
    steps: [
      atBoard('Cut the cabbage into wedges, core left in', 4 * MIN, [3 * HOUR, 12 * HOUR]),
      inLoads(6, over('Wedges face down in hot oil until dark', 5 * MIN, [0, 0], 'Turn them, butter and a splash of water in, lid on')),
      inLoads(6, simmer('The cabbage steams under its lid', 6 * MIN, [15, MIN], [6 * MIN, 15 * MIN]))
    ]
  },
  {
    id: 'gratin',
    name: 'Potatoes baked in cream',
    kind: 'side',
    amounts: [
      { what: 'waxy potatoes', each: 200, unit: 'g' },
      { what: 'cream', each: 75, unit: 'ml' },
      { what: 'milk', each: 50, unit: 'ml' },
      { what: 'garlic', each: 1, unit: 'g' }
    ],
    steps: [
      atBoard('Peel and slice the potatoes thin, unwashed', 12 * MIN, [20 * MIN, HOUR]),
      over('Bring slices, cream and milk to the boil, stirring', 8 * MIN, [30 * MIN, 3 * HOUR], 'Into a dish, pressed flat'),
      bake('Dish into the oven', 'Out when a knife goes through and the top is brown', [150, 180], 60 * MIN, [15 * MIN, 40 * MIN], 8)
    ]
  },
  {
    id: 'polenta',
    name: 'Soft polenta',
    kind: 'side',
    amounts: [
      { what: 'polenta', each: 45, unit: 'g' },
      { what: 'water and milk', each: 210, unit: 'ml' },
      { what: 'hard cheese', each: 12, unit: 'g' }
    ],
    steps: [
      simmer('Bring water and milk to the boil, salted', boiling(210), [30, 0], [0, 2 * MIN]),
      over('Rain the polenta in, whisking', 3 * MIN, [0, 0]),
      simmer('Polenta low, stirred every few minutes', 35 * MIN, [5 * MIN, 2 * MIN], [15 * MIN, 40 * MIN], 'Cheese and butter in')
    ],
    caution: 'Thick polenta spits: a deep pan, a long spoon.'
  },
  {
    id: 'mushrooms',
    name: 'Mushrooms, browned',
    kind: 'side',
    amounts: [
      { what: 'mushrooms', each: 120, unit: 'g' },
      { what: 'butter', each: 10, unit: 'g' },
      { what: 'garlic and parsley', each: 4, unit: 'g' }
    ],
    steps: [
      atBoard('Wipe and halve the mushrooms', 5 * MIN, [2 * HOUR, 8 * HOUR]),
      over('Mushrooms in a dry hot pan until their water is gone', more(6 * MIN), [0, 0]),
      over('Butter in, brown them, garlic and parsley last', 4 * MIN, [8 * MIN, 20 * MIN])
    ]
  },
  {
    id: 'celeriac-steaks',
    name: 'Celeriac steaks, for who eats no meat',
    kind: 'side',
    amounts: [
      { what: 'celeriac, in thick slices', each: 260, unit: 'g' },
      { what: 'butter or oil', each: 15, unit: 'g' },
      { what: 'hazelnuts', each: 10, unit: 'g' }
    ],
    steps: [
      atBoard('Peel the celeriac and slice it two fingers thick', 8 * MIN, [3 * HOUR, 12 * HOUR]),
      bake('Slices into the oven, oiled and covered', 'Uncovered, they are soft to the middle', [170, 200], 40 * MIN, [HOUR, 3 * HOUR], 4),
      inLoads(4, over('Sear the slices brown in a pan that had no meat in it', 6 * MIN, [6 * MIN, 15 * MIN], 'Hazelnuts over them'))
    ],
    caution: 'Own pan, own board, own tongs: meat’s juices stay away from it.'
  },
  {
    id: 'cauliflower-steaks',
    name: 'Cauliflower steaks from the grill, for who eats no meat',
    kind: 'side',
    amounts: [
      { what: 'cauliflower, in slices', each: 280, unit: 'g' },
      { what: 'oil', each: 15, unit: 'ml' },
      { what: 'yoghurt and lemon', each: 30, unit: 'g' }
    ],
    steps: [
      atBoard('Slice the cauliflower through its stalk, oil and salt it', 6 * MIN, [2 * HOUR, 8 * HOUR]),
      grill('Cauliflower onto clean bars, turned once', 'Off, yoghurt and lemon over it', 14 * MIN, [45 * MIN, 2 * HOUR], 4)
    ],
    beforeMeat: true,
    caution: 'On clean bars, before any meat.'
  },
  {
    id: 'braise',
    name: 'A small braise beside it',
    kind: 'side',
    amounts: [
      { what: 'shin or cheek, in pieces', each: 120, unit: 'g' },
      { what: 'onions and carrots', each: 60, unit: 'g' },
      { what: 'red wine and stock', each: 90, unit: 'ml' }
    ],
    steps: [
      atBoard('Cut and salt the meat, chop the vegetables', 12 * MIN, [2 * HOUR, 24 * HOUR]),
      over('Brown the meat in batches, then the vegetables, wine and stock in, to the boil', more(18 * MIN), [5 * MIN, 15 * MIN]),
      bake('Braise into the oven under its lid', 'Lid off', [140, 165], 2.5 * HOUR, [0, 0], 20),
      bake('Braise in the oven without its lid', 'Out when a spoon cuts it', [140, 180], 30 * MIN, [HOUR, 3 * HOUR], 20)
    ]
  },
  {
    id: 'batter-puddings',
    name: 'Batter puddings',
    kind: 'side',
    amounts: [
      { what: 'flour', each: 25, unit: 'g' },
      { what: 'eggs', each: 0.5, unit: '' },
      { what: 'milk', each: 50, unit: 'ml' },
      { what: 'dripping', each: 8, unit: 'g' }
    ],
    steps: [
      atBoard('Beat flour, eggs and milk, and let the batter stand', 5 * MIN, [6 * HOUR, 24 * HOUR]),
      bake('Tin with dripping into the oven until it smokes', 'Tin out', [210, 230], 10 * MIN, [0, 0], 12),
      bake('Batter into the hot tin, and the door stays shut', 'Out, risen and brown', [210, 230], 22 * MIN, [2 * MIN, 6 * MIN], 12)
    ],
    caution: 'The fat is at smoking point: pour away from yourself.'
  }
]
