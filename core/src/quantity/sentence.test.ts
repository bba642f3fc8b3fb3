/** Metric sentences as they are read in inches, ounces and °F. */
import { describe, expect, it } from 'vitest'
import { sayIn } from './sentence'

const us = (text: string): string => sayIn(text, 'us').replace(/\u00a0/g, ' ')

describe('a sentence in United States measures', () => {
  it.each([
    ['Leave 5–8 mm and render it.', 'Leave 3⁄16–5⁄16 in and render it.'],
    ['Snip it every 3 cm.', 'Snip it every 1⅛ in.'],
    ['The centre comes only to 45 °C, not to 54 °C.', 'The centre comes only to 113 °F, not to 129 °F.'],
    ['Each is good to ±15 °C.', 'Each is good to ±27 °F.'],
    ['Buy 1.5 kg, or 400 g and 250 ml of stock.', 'Buy 3¼ lb, or 14 oz and 8 fl oz of stock.'],
    ['From 45 mm up: 900 g to 1.2 kg', 'From 1¾ in up: 2 lb to 2¾ lb'],
    ['Cooks differ by up to eight degrees; each ± 15 degrees.', 'Cooks differ by up to 14 degrees; each ± 27 degrees.'],
    ['Some degrees behind, in 4 litres, a 5 L pot.', 'Some degrees behind, in 4¼ qt, a 5¼ qt pot.'],
    ['a 25 to 38 mm steak', 'a 1 to 1½ in steak'],
    ['9 W/(m²·K), 3 minutes, 5 guests, 40 mm² and 120 g/m²', '9 W/(m²·K), 3 minutes, 5 guests, 40 mm² and 120 g/m²']
  ])('%s', (metric, expected) => expect(us(metric)).toBe(expected))

  it('is as it was for who reads metric', () => expect(sayIn('Leave 5–8 mm.', 'metric')).toBe('Leave 5–8 mm.'))
})
