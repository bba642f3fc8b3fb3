/** Which method suits a piece and a kit best, before anything is worked out: where the plan opens. */
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { by, RequestError, type PlanRequest } from './request'
import { setupOf } from './setup'

/** The first that the kit has everything for and that does not refuse the piece is taken. Common practice, no source. */
const FOR_JOINTS: readonly MethodKind[] = ['roast', 'two-zone grill', 'sear then bath', 'pot']
const FOR_STEAKS: readonly MethodKind[] = ['pan sear']
/** Past this a pan alone overdoes the outside, mm. */
const THICK_MM = 50
const FOR_THICK: readonly MethodKind[] = ['sear then oven', 'two-zone grill', 'sear then bath', 'pot']

/** Warmed to its middle without cooking its outside anew. */
const FOR_COOKED: readonly MethodKind[] = ['bath then sear', 'oven then sear', 'roast', 'pot']

/** By whatever method the request asks now. Where every one refuses, the first that was wanted says why. */
export function suitsBest(request: PlanRequest): MethodKind {
  const { form, thicknessMm, cookedC } = request.piece
  const raw = form === 'roast' ? FOR_JOINTS : thicknessMm > THICK_MM ? FOR_THICK : FOR_STEAKS
  const wanted = cookedC === undefined ? raw : FOR_COOKED
  return [...wanted, ...METHOD_KINDS].find(kind => suits(by(request, kind))) ?? wanted[0]
}

function suits(request: PlanRequest): boolean {
  try {
    const { method, setup, targetC } = setupOf(request)
    return method.unsuited(setup, targetC) === null
  } catch (error) {
    if (error instanceof RequestError) return false
    throw error
  }
}

/** When to choose it, in a sentence. Common practice, no source. */
export const WHEN: Record<MethodKind, string> = {
  'pan sear': 'For steaks up to about 4 cm: quickest, the most crust, one pan.',
  'sear then oven': 'For thick steaks when the oven is free and somebody is waiting.',
  'oven then sear': 'Slow, and it waits for you: dry from the oven it browns at once. Keep the sear short.',
  roast: 'For joints: little work, a long rest, gravy in the tin.',
  grill: 'For thin and middling pieces over a lively fire.',
  'two-zone grill': 'For thick pieces outdoors: colour over the coals, the middle under the lid.',
  'bath then sear': 'When being late must not matter, and it should be alike from edge to edge.',
  'sear then bath': 'When it is kept in its bag for another day.',
  'short hot bath': 'When there is a hot bath and little time: out by the clock.',
  pot: 'Without any machine: a big pot, a lid and a kettle.',
  'in pastry': 'For a feast: fillet in its crust, and both must be ready at once.'
}
