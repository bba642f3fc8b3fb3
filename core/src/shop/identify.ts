/**
 * The packet without a name: one question at a time, each the one that halves best what
 * it can still be, until a few muscles are left.
 */
import type { Cut } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'

interface Answer {
  readonly id: string
  readonly text: string
  readonly fits: (cut: Cut) => boolean
}

export interface Question {
  readonly id: string
  readonly text: string
  /** How to find out. */
  readonly look: string
  readonly answers: readonly Answer[]
}

/** Answers by question; an unknown answer, or none, rules nothing out. */
export type Answers = Readonly<Record<string, string>>

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
const has = (kind: string) => (cut: Cut) => cut.features.some(f => f.kind === kind)
const hasNot = (kind: string) => (cut: Cut) => !has(kind)(cut)

const QUESTIONS: readonly Question[] = [
  {
    id: 'bone',
    text: 'Is there bone in it?',
    look: 'Feel through the packet.',
    answers: [
      { id: 'yes', text: 'Bone', fits: c => c.bone },
      { id: 'no', text: 'No bone', fits: c => !c.bone }
    ]
  },
  {
    id: 'shape',
    text: 'What is its shape?',
    look: 'Lay it flat.',
    answers: [
      { id: 'thin', text: 'A thin sheet or strap, under 25 mm', fits: c => middle(c.shape.thicknessMm) < 25 },
      {
        id: 'steak',
        text: 'A slice or slab, 2–6 cm thick',
        fits: c => c.shape.outline === 'steak' && c.shape.thicknessMm[1] >= 25 && c.shape.thicknessMm[0] <= 60
      },
      { id: 'round', text: 'A small round slice', fits: c => c.shape.outline === 'round' && c.form === 'steak' },
      { id: 'log', text: 'A log or a joint', fits: c => c.form === 'roast' || (c.braise !== null && c.shape.thicknessMm[1] >= 75) }
    ]
  },
  {
    id: 'grain',
    text: 'Which way do its fibres run?',
    look: 'Look at the largest face in slanting light.',
    answers: [
      { id: 'ends', text: 'I see their ends: they go down through it', fits: c => c.grain.runs === 'through' || c.form === 'roast' },
      { id: 'along', text: 'Along its length', fits: c => c.grain.runs === 'along' },
      { id: 'across', text: 'Across its length, or slanting', fits: c => c.grain.runs === 'across' || c.grain.runs === 'slanting' },
      { id: 'many', text: 'Like a fan, or in several directions', fits: c => c.grain.runs === 'fanning' || c.grain.runs === 'turning' }
    ]
  },
  {
    id: 'fat',
    text: 'Is there a layer of fat on one side or edge?',
    look: 'White and firm, thicker than 3 mm.',
    answers: [
      { id: 'yes', text: 'Yes', fits: c => c.fatEdge },
      { id: 'no', text: 'No', fits: c => !c.fatEdge }
    ]
  },
  {
    id: 'marbling',
    text: 'How much fat is in the meat itself?',
    look: 'Fine white flecks between the fibres.',
    answers: [
      { id: 'lean', text: 'Hardly any', fits: c => c.fat[0] < 0.045 },
      { id: 'some', text: 'Some', fits: c => c.fat[0] <= 0.09 && c.fat[1] >= 0.07 },
      { id: 'much', text: 'A lot', fits: c => c.fat[1] >= 0.13 }
    ]
  },
  {
    id: 'sinew',
    text: 'Is there a band of sinew running through it?',
    look: 'Pearly and hard, on a cut face or felt with the thumb.',
    answers: [
      { id: 'yes', text: 'Yes, through it', fits: has('sinew strip') },
      { id: 'no', text: 'No', fits: hasNot('sinew strip') }
    ]
  },
  {
    id: 'quarter',
    text: 'Which quarter of the animal is it from?',
    look: 'Often stamped on the box; the front is everything before the last rib but one.',
    answers: [
      { id: 'fore', text: 'Forequarter', fits: c => ['head', 'chuck', 'rib', 'brisket', 'plate', 'shank'].includes(c.primal) },
      { id: 'hind', text: 'Hindquarter', fits: c => ['loin', 'rump', 'round', 'flank', 'shank'].includes(c.primal) }
    ]
  }
]

/** Few enough to look at one by one. */
const FEW = 3

/** What it can still be. An answer that would leave nothing is not believed. */
export function candidatesFor(answers: Answers, among: readonly Cut[] = CUTS): readonly Cut[] {
  let left = among
  for (const question of QUESTIONS) {
    const answer = question.answers.find(a => a.id === answers[question.id])
    if (!answer) continue
    const fitting = left.filter(answer.fits)
    if (fitting.length > 0) left = fitting
  }
  return left
}

/** The question not yet put whose answers tell the candidates apart best; null when few are left or none would help. */
export function nextQuestion(answers: Answers, among: readonly Cut[] = CUTS): Question | null {
  const left = candidatesFor(answers, among)
  if (left.length <= FEW) return null
  let best: Question | null = null
  let fewest = left.length - 0.5
  for (const question of QUESTIONS) {
    if (question.id in answers) continue
    const expected = expectedLeft(question, left)
    if (expected < fewest) {
      fewest = expected
      best = question
    }
  }
  return best
}

/** How many would be left on average, each candidate being as likely as the next. */
function expectedLeft({ answers }: Question, left: readonly Cut[]): number {
  let sum = 0
  for (const cut of left) {
    const fitting = answers.filter(a => a.fits(cut))
    // A cut that fits several answers may be answered for by any of them.
    const after = fitting.map(a => left.filter(a.fits).length)
    sum += after.length > 0 ? after.reduce((s, n) => s + n, 0) / after.length : left.length
  }
  return sum / left.length
}
