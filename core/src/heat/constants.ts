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
  fibreFactor: constant(1.2, 1.0, 1.2, '1', 'heat conducts better along the fibres, which is how steaks are cut; fitted'),
  driedConductivity: constant(0.335, 0.1, 0.35, 'W/(m·K)', 'crust, with vapour moving through it; fitted'),
  panContact: constant(530, 250, 650, 'W/(m²·K)', 'oiled meat on hot metal; fitted'),
  roomConvection: constant(8, 5, 12, 'W/(m²·K)', 'natural convection beside a hot pan; textbook range'),
  restConvection: constant(7.3, 4, 9, 'W/(m²·K)', 'natural convection over a resting piece; fitted'),
  foilConvection: constant(4.3, 2, 6, 'W/(m²·K)', 'still air under loose foil; fitted'),
  boardContact: constant(8.8, 5, 25, 'W/(m²·K)', 'meat on a wooden board that warms under it; fitted'),
  meatEmissivity: constant(0.9, 0.85, 0.95, '1', 'textbook value for wet organic surfaces'),
  coolWaterDiffusivity: constant(1e-9, 1e-9, 4e-9, 'm²/s', 'water supply to the surface below 55 °C; fitted'),
  hotWaterDiffusivity: constant(1.16e-8, 6e-9, 2e-8, 'm²/s', 'water supply above 60 °C, juice pressed out; fitted'),
  ovenConvection: constant(10.1, 7, 12, 'W/(m²·K)', 'still oven; fitted'),
  fanConvection: constant(20, 15, 30, 'W/(m²·K)', 'oven with its fan on; textbook range'),
  ovenVapour: constant(0.058, 0.05, 0.1, 'kg/m³', 'oven air made humid by the meat in it; fitted'),
  lidConvection: constant(14, 8, 20, 'W/(m²·K)', 'air drawn through under the lid of a grill; fitted'),
  coalConvection: constant(30, 20, 40, 'W/(m²·K)', 'hot air rising from coals; fitted'),
  barShare: constant(0.2, 0.1, 0.3, '1', 'part of a face that lies on the bars of a grill; fitted'),
  rollingShare: constant(0.22, 0.1, 0.35, '1', 'part of a round piece that touches the pan while it is rolled; fitted'),
  bathConductance: constant(163, 100, 300, 'W/(m²·K)', 'bag in stirred water; fitted'),
  potConductance: constant(100, 50, 150, 'W/(m²·K)', 'bag in a still pot; fitted'),
  fridgeConvection: constant(8, 5, 12, 'W/(m²·K)', 'chilled air, moved a little by a fan; textbook range'),
  crustVapour: constant(
    1e-6,
    1e-6,
    8e-6,
    'm²/s',
    'vapour through a dry crust: free vapour’s 4e-5 by porosity over tortuosity, from memory; fitted'
  ),
  juiceEscape: constant(0.25, 0, 0.9, '1', 'part of the juice pressed out under a piece in a pan that runs out from beneath it; fitted'),
  clingingJuice: constant(0.08, 0.03, 0.15, 'kg/m²', 'juice a face holds before it drips; estimate')
} as const satisfies Record<string, Constant>

/** The values alone, as the solver takes them; a record so that what is not known can be varied. */
export type Constants = { readonly [name in keyof typeof CONSTANT_TABLE]: number }

export const CONSTANTS: Constants = Object.fromEntries(Object.entries(CONSTANT_TABLE).map(([name, c]) => [name, c.value])) as Constants
