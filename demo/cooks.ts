/**
 * The demo's Book: five evenings of a six-seat supper club on a canal barge, with a
 * two-ring galley hob. Invented, but planned by the engine itself; what was "seen"
 * departs from each plan as such evenings do.
 */
import { parseCookPage } from '#core/book/cookSchema'
import type { Knex } from 'knex'
import { plannedOf, type Outcome } from '#core/book/record'
import { spreadOf } from '#core/estimate/spread'
import { valueAt } from '#core/heat/history'
import { kitInUse, READY_KITS } from '#core/kit/kit'
import type { Piece } from '#core/meat/piece'
import { planMethod, type Plan } from '#core/plan/plan'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { ChosenMethod, PlanRequest } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import type { CookEvent } from '#core/session/events'
import { preheatsOf } from '#core/session/warmUp'
import { CookRepository } from '#server/cooks/repository'

interface Evening {
  readonly id: string
  readonly title: string
  readonly daysAgo: number
  readonly piece: Partial<Piece>
  readonly targetC: number
  readonly method: ChosenMethod
  /** Seconds that each turn and the pull came after the plan. */
  readonly lateS: number
  /** K that the probe read above the plan at the pull, and at its highest. */
  readonly off: readonly [atPull: number, highest: number]
  readonly outcome: Outcome
}

const EVENINGS: readonly Evening[] = [
  {
    id: 'demo-strip-galley',
    title: 'Two strips, last table before the lock',
    daysAgo: 3,
    piece: { cutId: 'strip', count: 2, thicknessMm: 32, weightG: 340, lengthMm: 150, widthMm: 80 },
    targetC: 54,
    method: { kind: 'pan sear', settings: { panC: 215 } },
    lateS: 15,
    off: [0.8, 1.2],
    outcome: {
      doneness: 'as wanted',
      crust: 'good',
      notes: 'Swing bridge closed for twenty minutes, nobody minded. Pink right up to the rim.'
    }
  },
  {
    id: 'demo-rib-joint',
    title: 'A rib joint for six, moored for the night',
    daysAgo: 6,
    piece: { cutId: 'ribeye', count: 1, form: 'roast', thicknessMm: 105, widthMm: 105, lengthMm: 240, weightG: 2200, surface: 'aired' },
    targetC: 54,
    method: { kind: 'roast', settings: { ovenC: 140, searS: 240 } },
    lateS: 90,
    off: [-0.7, -1.4],
    outcome: {
      doneness: 'as wanted',
      crust: 'good',
      notes: 'The oven fell back whenever its door was opened: a quarter of an hour less looking, next time.'
    }
  },
  {
    id: 'demo-flat-iron',
    title: 'Flat irons for the lock-keepers',
    daysAgo: 11,
    piece: { cutId: 'flat-iron', count: 2, thicknessMm: 24, weightG: 210, lengthMm: 140, widthMm: 80, surface: 'wet' },
    targetC: 52,
    method: { kind: 'pan sear', settings: { panC: 225, turning: 'every 30 s' } },
    lateS: 40,
    off: [2.5, 3],
    outcome: {
      doneness: 'over',
      crust: 'pale',
      notes: 'Straight from the packet and wet: it hissed grey for a good minute. Dry them next time.'
    }
  },
  {
    id: 'demo-rump',
    title: 'Rump for a Tuesday',
    daysAgo: 19,
    piece: { cutId: 'rump', count: 1, thicknessMm: 30, weightG: 420, lengthMm: 170, widthMm: 105 },
    targetC: 57,
    method: {
      kind: 'pan sear',
      settings: { panC: 205, turning: 'twice a side', cover: 'loose foil', rest: { kind: 'clock', seconds: 480 } }
    },
    lateS: 0,
    off: [-1.5, -1],
    outcome: { doneness: 'as wanted', crust: 'good', notes: '' }
  },
  {
    id: 'demo-fillet',
    title: 'Fillets, one guest late',
    daysAgo: 26,
    piece: { cutId: 'fillet', count: 3, thicknessMm: 42, weightG: 180, lengthMm: 70, widthMm: 70, surface: 'aired' },
    targetC: 53,
    method: { kind: 'pan sear', settings: { panC: 220, cover: 'loose foil' } },
    lateS: 0,
    off: [1, -2],
    outcome: { doneness: 'under', crust: 'good', notes: 'Rested nearly ten minutes on a cold tray. Warm the tray.' }
  }
]

const GALLEY = kitInUse(READY_KITS[0].kit, {}, FIRST_REQUEST.kit.pan.id, FIRST_REQUEST.kit.ring.id)
const DAY_MS = 86_400_000
/** Half past seven in the evening, in minutes. */
const SERVICE_MINUTES = 19 * 60 + 30

/** Fills an empty Book; leaves one with anything in it alone. */
export async function fillWithDemo(db: Knex, now = Date.now()): Promise<void> {
  const cooks = new CookRepository(db)
  if ((await cooks.list(parseCookPage({ take: 1 }))).cooks.length > 0) return
  for (const evening of EVENINGS) {
    const { targetC, method: by } = evening
    const request: PlanRequest = {
      ...FIRST_REQUEST,
      kit: GALLEY,
      piece: { ...FIRST_REQUEST.piece, ...evening.piece },
      target: { ...FIRST_REQUEST.target, coreC: targetC },
      method: by
    }
    const { method, setup } = setupOf(request)
    const plan = planMethod(method, setup, targetC)
    const preheatS = preheatsOf(request, plan.marks).first
    const [, ...turns] = plan.marks
    const laidAt = Math.floor(now / DAY_MS) * DAY_MS - evening.daysAgo * DAY_MS + SERVICE_MINUTES * 60_000
    await cooks.add({
      id: evening.id,
      title: evening.title,
      createdAt: laidAt - 600_000,
      request,
      planned: plannedOf(plan, spreadOf(method, setup, plan), preheatS),
      service: null
    })
    const said = (
      name: string,
      seconds: number,
      what: { kind: 'lit' | 'laid' | 'turned' | 'moved' | 'pulled' | 'carved' } | { kind: 'reading'; coreC: number }
    ): CookEvent => {
      const at = laidAt + Math.round(seconds * 1000)
      return { id: `${evening.id}-${name}`, at, entered: at, ...what }
    }
    const tenth = (value: number): number => Math.round(value * 10) / 10
    const pulled = plan.pull.time + evening.lateS
    await cooks.addEvents(evening.id, [
      said('lit', -preheatS, { kind: 'lit' }),
      said('laid', 0, { kind: 'laid' }),
      ...turns.map(({ from, stage }, i) =>
        said(`turn-${i + 1}`, from + evening.lateS * ((i + 1) / turns.length), {
          kind: stage === plan.marks[i].stage ? 'turned' : 'moved'
        })
      ),
      said('probe-1', 0.85 * plan.pull.time, { kind: 'reading', coreC: tenth(coreAt(plan, 0.85 * plan.pull.time) + evening.off[0]) }),
      said('probe-2', pulled - 8, { kind: 'reading', coreC: tenth(plan.pull.core + evening.off[0]) }),
      said('pulled', pulled, { kind: 'pulled' }),
      said('probe-3', plan.peak.time + evening.lateS, { kind: 'reading', coreC: tenth(plan.peak.core + evening.off[1]) }),
      said('carved', plan.carve.time + evening.lateS + 45, { kind: 'carved' })
    ])
    await cooks.judge(evening.id, evening.outcome)
  }
}

const coreAt = ({ history }: Plan, seconds: number): number => valueAt(history.time, history.core, seconds)
