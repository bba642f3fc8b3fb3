/** The table later than it was, for everything that is on and for what the pass has still to call; taken back in one. */
import dayjs from 'dayjs'
import { computed, type ComputedRef } from 'vue'
import { showDuration, shownText } from '#core/quantity/format'
import { useCook } from '../../stores/cook'
import { usePass } from '../../stores/pass'
import { useStove } from '../../stores/stove'
import { MOMENT } from '../../ui/moments'
import { tell } from '../../ui/tell'

/** Another day's ticket has nothing to do with these guests. */
const TONIGHT_MS = 6 * 3600_000

export function useLaterTable(): {
  readonly tonight: ComputedRef<boolean>
  /** @param said when what belongs to it was entered, to be taken back with it @param undo what else belongs to it */
  readonly putOff: (seconds: number, said: readonly number[], undo?: () => void) => void
} {
  const cook = useCook()
  const pass = usePass()
  const stove = useStove()
  const tonight = computed(() => pass.dishes.length > 0 && (pass.begun || Math.abs(pass.servedAt - stove.now) < TONIGHT_MS))
  function putOff(seconds: number, said: readonly number[], undo?: () => void): void {
    const moved = tonight.value
    const before = pass.ticket.serveAt
    if (moved) pass.change({ serveAt: dayjs(before).add(seconds, 'second').format(MOMENT) })
    tell(`The table is ${shownText(showDuration(seconds))} later, for everything that is on.`, () => {
      for (const entered of new Set(said)) cook.takeBack(entered)
      if (moved) pass.change({ serveAt: before })
      undo?.()
    })
  }
  return { tonight, putOff }
}
