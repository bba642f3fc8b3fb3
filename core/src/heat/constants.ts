/**
 * The shared constants of the heat model that no book gives to better than a
 * range. One table, one value for every case: no case carries its own.
 */

interface Constant {
  readonly value: number
  /** What sources and trials leave open. */
  readonly range: readonly [low: number, high: number]
  readonly unit: string
  readonly source: string
}

const constant = (value: number, low: number, high: number, unit: string, source: string): Constant => ({
  value,
  range: [low, high],
  unit,
  source
})

export const CONSTANT_TABLE = {
  fibreFactor: constant(1.18, 1.0, 1.2, '1', 'heat conducts better along the fibres, which is how steaks are cut; fitted'),
  driedConductivity: constant(0.3, 0.1, 0.35, 'W/(m·K)', 'crust, with vapour moving through it; fitted'),
  panContact: constant(570, 250, 650, 'W/(m²·K)', 'oiled meat on hot metal; fitted'),
  roomConvection: constant(8, 5, 12, 'W/(m²·K)', 'natural convection beside a hot pan; textbook range'),
  restConvection: constant(6.4, 4, 9, 'W/(m²·K)', 'natural convection over a resting piece; fitted'),
  foilConvection: constant(2.2, 2, 6, 'W/(m²·K)', 'still air under loose foil; fitted'),
  boardContact: constant(14.5, 5, 25, 'W/(m²·K)', 'meat on a wooden board that warms under it; fitted'),
  meatEmissivity: constant(0.9, 0.85, 0.95, '1', 'textbook value for wet organic surfaces'),
  coolWaterDiffusivity: constant(1.5e-9, 1e-9, 4e-9, 'm²/s', 'water supply to the surface below 55 °C; fitted'),
  hotWaterDiffusivity: constant(1.16e-8, 6e-9, 2e-8, 'm²/s', 'water supply above 60 °C, juice pressed out; fitted'),
  ovenDraught: constant(1.05, 0.9, 1.4, '1', 'still oven, over natural convection: its element and its leaks stir the air; fitted'),
  fanConvection: constant(
    12,
    10,
    30,
    'W/(m²·K)',
    'oven with its fan on: a textbook has 15 to 30 in the stream itself; that a fan counts for 20 °C on the dial (common practice, no source) asks for less'
  ),
  ovenLeak: constant(5e-4, 1e-4, 2e-3, 'm³/s', 'air that a closed oven changes, which carries the meat’s vapour off; fitted'),
  lidConvection: constant(16, 8, 25, 'W/(m²·K)', 'air drawn through under the lid of a grill; fitted'),
  coalConvection: constant(30, 20, 40, 'W/(m²·K)', 'hot air rising from coals; fitted'),
  barShare: constant(0.25, 0.1, 0.4, '1', 'part of a face that lies on the bars of a grill; fitted'),
  rollingDent: constant(
    4.4e-3,
    0.5e-3,
    8e-3,
    'm',
    'how deep a round piece flattens on the pan it is rolled in: so that it touches a strip of 33 to 45 mm (about 40 is seen; common practice, no source). The cases cannot tell it from half as much'
  ),
  panPlume: constant(0.4, 0.05, 0.6, '1', 'warmth of the air beside a piece in a pan, as a share of the pan’s above the room; fitted'),
  bathConductance: constant(163, 100, 300, 'W/(m²·K)', 'bag in stirred water; fitted'),
  potConductance: constant(100, 50, 150, 'W/(m²·K)', 'bag in a still pot; fitted'),
  fridgeConvection: constant(8, 5, 12, 'W/(m²·K)', 'chilled air, moved a little by a fan; textbook range'),
  crustVapour: constant(
    2e-6,
    1e-6,
    8e-6,
    'm²/s',
    'vapour through a dry crust: free vapour’s 4e-5 by porosity over tortuosity, from memory; fitted'
  ),
  juiceEscape: constant(0.55, 0, 0.9, '1', 'part of the juice pressed out under a piece in a pan that runs out from beneath it; fitted'),
  juiceSeep: constant(5e-5, 0, 2e-4, '1/s', 'of the water heated muscle no longer holds, what finds its own way out and drips; fitted'),
  clingingJuice: constant(0.08, 0.03, 0.15, 'kg/m²', 'juice a face holds before it drips; estimate')
} as const satisfies Record<string, Constant>

/** The values alone, as the solver takes them; a record so that what is not known can be varied. */
export type Constants = { readonly [name in keyof typeof CONSTANT_TABLE]: number }

export const CONSTANTS: Constants = Object.fromEntries(Object.entries(CONSTANT_TABLE).map(([name, c]) => [name, c.value])) as Constants
