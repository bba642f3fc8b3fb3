/**
 * Evenings to practise on: what is on the board, what the cook is told, and what he is not. Our own, set on the barge,
 * from easy to hard. In what they are not as told stands apart (`twists.ts`), where no page looks.
 */
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { PlanRequest } from '#core/request/request'

/** One piece of an exercise. */
export interface Part {
  readonly request: PlanRequest
  /** How it is told from the others; empty where it is the only one. */
  readonly called: string
}

/** What the page may know of one. */
export interface Exercise {
  readonly id: string
  readonly level: 1 | 2 | 3
  readonly name: string
  /** How the evening stands. */
  readonly tells: string
  readonly teaches: string
  readonly parts: readonly Part[]
  /** Whether the app calls, or the cook goes by signs alone. */
  readonly calls: boolean
  /** Whether there is a thermometer. */
  readonly probe: boolean
  /** Said once it is off the heat: the table is so much later, s. */
  readonly guestsLateS?: number
  /** What stands beside the beef, by its recipe, and for how many. */
  readonly sides?: readonly string[]
  readonly diners?: number
}

interface Given {
  readonly piece?: Partial<Piece>
  readonly coreC?: number
  readonly kind?: MethodKind
  readonly settings?: Settings
  readonly ring?: number
}
const { piece: USUAL, kit: KIT } = FIRST_REQUEST
const RINGS = [KIT.ring, { id: 'small-ring', name: 'Small ring', powerW: 800 }]
const asked = ({ piece = {}, coreC = 54, kind = 'pan sear', settings = {}, ring = 0 }: Given): PlanRequest => ({
  ...FIRST_REQUEST,
  piece: { ...USUAL, ...piece },
  kit: { ...KIT, ring: RINGS[ring] },
  target: { ...FIRST_REQUEST.target, coreC },
  method: { kind, settings }
})
const one = (given: Given): readonly Part[] => [{ request: asked(given), called: '' }]

const strip = (thicknessMm: number, weightG: number): Partial<Piece> => ({ thicknessMm, weightG })
const FILLET: Partial<Piece> = { cutId: 'fillet', thicknessMm: 42, weightG: 180, lengthMm: 70, widthMm: 70, surface: 'aired' }
const JOINT: Partial<Piece> = {
  cutId: 'ribeye',
  form: 'roast',
  thicknessMm: 105,
  widthMm: 105,
  lengthMm: 260,
  weightG: 2400,
  startC: 8,
  surface: 'aired'
}
const TENDERLOIN: Partial<Piece> = {
  cutId: 'fillet',
  form: 'roast',
  thicknessMm: 62,
  widthMm: 66,
  lengthMm: 240,
  weightG: 900,
  surface: 'patted'
}
const EVERY_MINUTE = { turning: 'every 60 s' } as const

export const EXERCISES: readonly Exercise[] = [
  {
    id: 'first-strip',
    level: 1,
    name: 'A strip, as it should be',
    tells: 'One strip steak, patted dry, the cast-iron pan, the large ring. Everything is nearly as it says on the sheet.',
    teaches: 'How an evening goes: light, lay in, turn, take off, rest, cut. The pull is not the end; the centre goes on climbing.',
    parts: one({ settings: EVERY_MINUTE }),
    calls: true,
    probe: true
  },
  {
    id: 'hot-pan',
    level: 1,
    name: 'When is it hot?',
    tells: 'The same strip. Nobody calls the pan: watch what a drop of water does in it, and lay the meat in when you would.',
    teaches: 'A pan has a window of half a minute: before it the meat stews in its own water, after it the oil burns.',
    parts: one({ settings: EVERY_MINUTE }),
    calls: false,
    probe: true
  },
  {
    id: 'wet-face',
    level: 1,
    name: 'Straight from the packet',
    tells: 'Flat irons that the boat boy says he has dried. Listen to them.',
    teaches: 'A face cannot brown before its water has boiled away: a long loud hiss and a pale face are the same thing.',
    parts: one({
      piece: { cutId: 'flat-iron', thicknessMm: 24, weightG: 210, lengthMm: 140, widthMm: 80 },
      coreC: 53,
      settings: EVERY_MINUTE
    }),
    calls: true,
    probe: true
  },
  {
    id: 'thin-steak',
    level: 1,
    name: 'Thin, and soon over',
    tells: 'Rump of 18 mm, two pieces in one pan. There is no time to think it over.',
    teaches: 'In a thin steak a minute is ten degrees: be ready before it goes in, and turn it once at the most.',
    parts: one({
      piece: { cutId: 'rump', count: 2, thicknessMm: 18, weightG: 210, lengthMm: 150, widthMm: 95 },
      coreC: 55,
      settings: { turning: 'once' }
    }),
    calls: true,
    probe: false
  },
  {
    id: 'cold-start',
    level: 2,
    name: 'Colder than he said',
    tells: 'A ribeye that is said to have stood out for an hour. It feels cold.',
    teaches: 'Ten degrees at the start are minutes at the end: a reading half-way tells it in time.',
    parts: one({
      piece: { cutId: 'ribeye', thicknessMm: 36, weightG: 420, lengthMm: 150, widthMm: 100, startC: 14 },
      settings: EVERY_MINUTE
    }),
    calls: true,
    probe: true
  },
  {
    id: 'weak-ring',
    level: 2,
    name: 'The bottle is nearly empty',
    tells: 'Two strips on the large ring. The flame looks smaller than it did.',
    teaches:
      'A weak ring does not get its heat back under cold meat: the hiss sinks and the pan greys the face. Wait longer before, and lay in one at a time.',
    parts: one({ piece: { ...strip(32, 340), count: 2, lengthMm: 150, widthMm: 80 }, settings: EVERY_MINUTE }),
    calls: true,
    probe: true
  },
  {
    id: 'by-feel',
    level: 2,
    name: 'No thermometer on board',
    tells: '38 mm of strip, and the thermometer lies at the bottom of the canal. Eyes, ears and a finger.',
    teaches: 'What a finger can tell and what it cannot. Press often, cut once.',
    parts: one({ settings: EVERY_MINUTE }),
    calls: false,
    probe: false
  },
  {
    id: 'two-donenesses',
    level: 2,
    name: 'Rare and medium, one pan',
    tells: 'Two strips alike, one to be rare and one medium, both carved at once.',
    teaches: 'The further one goes in first. Which is which is easily forgotten: say it aloud.',
    parts: [
      { request: asked({ piece: strip(32, 340), coreC: 59, settings: EVERY_MINUTE }), called: 'medium strip' },
      { request: asked({ piece: strip(32, 340), coreC: 50, settings: EVERY_MINUTE }), called: 'rare strip' }
    ],
    calls: true,
    probe: true
  },
  {
    id: 'lying-oven',
    level: 2,
    name: 'The oven lies',
    tells: 'A tenderloin in the half-size oven at 120 °C, then the pan. That oven was mended in spring.',
    teaches: 'A dial is a wish. Two readings twenty minutes apart say what the oven is.',
    parts: one({ piece: TENDERLOIN, kind: 'oven then sear', settings: { ovenC: 120 } }),
    calls: true,
    probe: true
  },
  {
    id: 'joint-for-eight',
    level: 2,
    name: 'A joint for eight',
    tells: 'A rib joint of 2.4 kg, seared and then roasted at 130 °C. Two hours and more: nobody can stand there.',
    teaches: 'A joint is steered early: what is seen at two thirds of the way can still be mended, at the end nothing can.',
    parts: one({ piece: JOINT, kind: 'roast', settings: { ovenC: 130, searS: 240 } }),
    calls: true,
    probe: true
  },
  {
    id: 'flare-up',
    level: 3,
    name: 'Fat in the coals',
    tells: 'A ribeye over the coals of the kettle on deck. It is a fat one.',
    teaches: 'Flames are moved away from, not fought: lift it out for as long as they burn.',
    parts: one({
      piece: { cutId: 'ribeye', thicknessMm: 34, weightG: 400, lengthMm: 150, widthMm: 100 },
      kind: 'grill',
      settings: EVERY_MINUTE
    }),
    calls: true,
    probe: true
  },
  {
    id: 'bath-then-sear',
    level: 2,
    name: 'Seared, not cooked again',
    tells: 'A rump cap portion comes out of its bath at 55 °C and wants a crust.',
    teaches: 'After a bath everything the pan does past the crust is grey. Dry it, the pan hotter than ever, in and out.',
    parts: one({
      piece: { cutId: 'rump-cap', thicknessMm: 32, weightG: 300, lengthMm: 130, widthMm: 80 },
      coreC: 55,
      kind: 'bath then sear',
      settings: { bathC: 55.5, searS: 60 }
    }),
    calls: false,
    probe: true
  },
  {
    id: 'pot',
    level: 2,
    name: 'A pot, and no machine',
    tells: 'Bagged strip in a pot of water poured together from the kettle and the tap. It only ever cools.',
    teaches: 'The more water, the slower it falls. The meat takes what the water has, and no more.',
    parts: one({ piece: strip(30, 300), coreC: 55, kind: 'pot' }),
    calls: true,
    probe: true
  },
  {
    id: 'guests-late',
    level: 3,
    name: 'The lock is shut',
    tells: 'Fillets for two, who are on their way by boat.',
    teaches: 'What is off the heat goes on; what waits under foil climbs, and bare it cools. Choose before it is carved.',
    parts: one({ piece: { ...FILLET, count: 2 }, settings: EVERY_MINUTE }),
    calls: true,
    probe: true,
    guestsLateS: 900
  },
  {
    id: 'wrapped-fillet',
    level: 3,
    name: 'Out of sight in pastry',
    tells: 'A wrapped fillet. Nothing can be seen, heard or felt until it is cut.',
    teaches: 'Behind pastry only the clock and a probe from the end are left, and the climb is long.',
    parts: one({ piece: { ...TENDERLOIN, thicknessMm: 60, widthMm: 62, weightG: 800 }, coreC: 53, kind: 'in pastry' }),
    calls: true,
    probe: true
  },
  {
    id: 'whole-service',
    level: 3,
    name: 'A whole service',
    tells:
      'Six at the table: a tenderloin from the oven, two strips and a fillet from the pan, all to be carved close together, with mash, a salad and horseradish cream. Made for thirty times speed.',
    teaches: 'Nothing is hard by itself. What is slow goes first, and the hands are where two things fall due at once.',
    parts: [
      { request: asked({ piece: TENDERLOIN, kind: 'oven then sear', settings: { ovenC: 120 } }), called: 'tenderloin' },
      { request: asked({ piece: { ...strip(32, 340), count: 2 }, coreC: 55, settings: EVERY_MINUTE }), called: 'strips' },
      { request: asked({ piece: FILLET, coreC: 52, settings: EVERY_MINUTE, ring: 1 }), called: 'fillet' }
    ],
    calls: true,
    probe: true,
    sides: ['mash', 'salad', 'horseradish'],
    diners: 6
  }
]

export const exerciseById = (id: string): Exercise | undefined => EXERCISES.find(e => e.id === id)
