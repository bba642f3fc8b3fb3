/** From the stove to the plan of a piece for the same table that is not lit yet: it is lit from there. */
import { useRouter } from 'vue-router'
import type { PlanRequest } from '#core/request/request'
import { usePass } from '../../stores/pass'
import { methodPath } from '../fire/methodPath'

export function useNotLit(): { toItsPlan(piece: { readonly id: string; readonly request: PlanRequest }): void } {
  const pass = usePass()
  const router = useRouter()
  return {
    toItsPlan({ id, request }) {
      pass.openBeef(id)
      void router.push(methodPath(request.method.kind))
    }
  }
}
