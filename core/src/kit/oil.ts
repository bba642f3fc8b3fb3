/**
 * Fats a cook sears in, and where each begins to smoke: of an ordinary bottle, fresh. Old
 * or strained oil smokes sooner. From memory of trade tables, ± 10 °C.
 */

export interface Oil {
  readonly id: string
  readonly name: string
  readonly smokesC: number
}

export const OILS: readonly Oil[] = [
  { id: 'rapeseed', name: 'Refined rapeseed', smokesC: 220 },
  { id: 'sunflower', name: 'Refined sunflower', smokesC: 227 },
  { id: 'groundnut', name: 'Refined groundnut', smokesC: 230 },
  { id: 'grapeseed', name: 'Grapeseed', smokesC: 216 },
  { id: 'light-olive', name: 'Refined olive', smokesC: 230 },
  { id: 'virgin-olive', name: 'Virgin olive', smokesC: 195 },
  { id: 'avocado', name: 'Refined avocado', smokesC: 265 },
  { id: 'dripping', name: 'Beef dripping', smokesC: 205 },
  { id: 'clarified', name: 'Clarified butter', smokesC: 240 },
  { id: 'butter', name: 'Butter', smokesC: 160 }
]
export const oilById = (id: string): Oil | undefined => OILS.find(o => o.id === id)
