/** In what each exercise is not as it is told. Only for who keeps the truth: no page imports this. */
import type { Twist } from './truth'

const TWISTS: Readonly<Record<string, Twist>> = {
  'first-strip': { thickness: 0, heat: 0 },
  'hot-pan': { thickness: 0, model: 0, heat: 0 },
  'wet-face': { surface: 'wet' },
  'thin-steak': { thickness: -0.8 },
  'cold-start': { start: -10 },
  'weak-ring': { ring: 0.45 },
  'by-feel': { thickness: 1.5 },
  'two-donenesses': {},
  'lying-oven': { heat: 22 },
  'joint-for-eight': { thickness: 5, heat: -8 },
  'flare-up': { flare: { fromS: 150, forS: 60 } },
  'bath-then-sear': { surface: 'wet' },
  pot: { start: 3 },
  'guests-late': {},
  'wrapped-fillet': { thickness: -3, heat: 9 },
  'whole-service': {}
}

/** Null for a plan of one's own: its truth is drawn, all of it. */
export const twistOf = (exercise: string | null): Twist | null => (exercise === null ? null : (TWISTS[exercise] ?? null))
