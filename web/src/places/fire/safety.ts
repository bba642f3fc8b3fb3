/** What can hurt in a plan, a yes to it that holds for exactly that plan, and what a thermometer that is off will show. */
import { computed, shallowRef, type ComputedRef } from 'vue'
import { shownC } from '#core/kit/thermometer'
import type { Plan } from '#core/plan/plan'
import { showTemperature, shownText } from '#core/quantity/format'
import { cautionsFor, type Caution } from '#core/safety/cautions'
import { dangersOf, type Danger } from '#core/safety/dangers'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import { useKit } from '../../stores/kit'
import { useUnits } from '../../stores/units'

interface Watched {
  /** What is current: a yes is to this, and lapses with it. */
  readonly now: () => object | null
  readonly plan: () => Plan | null
  /** The hottest metal, °C. */
  readonly metalC: () => number
}

interface Safety {
  readonly cautions: ComputedRef<readonly Caution[]>
  readonly dangers: ComputedRef<readonly Danger[]>
  readonly agreed: ComputedRef<boolean>
  /** Nothing leaves the page yet. */
  readonly held: ComputedRef<boolean>
  readonly agree: (yes: boolean) => void
}

export function useSafety({ now, plan, metalC }: Watched): Safety {
  const draft = useDraft()
  const kit = useKit()
  const guests = useGuests()
  const units = useUnits()
  const agreedTo = shallowRef<object | null>(null)
  const targetC = computed(() => draft.request.target.coreC)
  /** By the clock it may come to less than was wanted. */
  const comesToC = computed(() => Math.min(targetC.value, (plan()?.peak.core ?? Infinity) + SOLVED_TO_K))
  const cautions = computed(() => cautionsFor(comesToC.value, metalC(), units.system, draft.table, kit.oil))
  const dangers = computed(() => dangersOf(targetC.value, draft.table, plan(), guests.reference))
  const agreed = computed(() => agreedTo.value !== null && agreedTo.value === now())
  const held = computed(() => dangers.value.length > 0 && !agreed.value)
  const agree = (yes: boolean): void => {
    agreedTo.value = yes ? now() : null
  }
  return { cautions, dangers, agreed, held, agree }
}

/** Nearer than this a plan is at its target. */
const SOLVED_TO_K = 0.6
const WORTH_SAYING_K = 0.25

export function useOnProbe(): (pullC: number) => string {
  const kit = useKit()
  const units = useUnits()
  return pullC => {
    const reads = shownC(kit.thermometer, pullC)
    return Math.abs(reads - pullC) < WORTH_SAYING_K
      ? ''
      : ` ${kit.thermometer.name} is off: that is what it shows where there are ${shownText(showTemperature(pullC, units.system))}.`
  }
}
