/** The settings of the method planned with, for the sentence and for what stands behind it. */
import { computed } from 'vue'
import { ratedPower } from '#core/kit/pan'
import { dialsOf, type SettingKey, type Settings } from '#core/method/dials'
import { wholeSettings } from '#core/request/setup'
import { sentenceOf } from '#core/words/sentence'
import { useDraft } from '../../stores/draft'
import { useKit } from '../../stores/kit'

export function useSettings() {
  const draft = useDraft()
  const kit = useKit()
  const kind = computed(() => draft.request.method.kind)
  const round = computed(() => draft.request.piece.form === 'roast')
  const values = computed(() => wholeSettings(draft.request))
  const sears = computed(() => kind.value === 'pan sear' || (values.value.searS ?? 0) > 0)
  const sentence = computed(() => sentenceOf(kind.value, round.value, sears.value))
  const pans = computed(() => kit.kit.pans.map(p => ({ value: p.id, label: p.name })))
  const rings = computed(() => kit.kit.rings.map(r => ({ value: r.id, label: `${r.name}, ${Math.round(ratedPower(r) / 100) / 10} kW` })))
  const turn = (settings: Settings): void => draft.turn(settings)
  const complain = (key: SettingKey, message: string | null): void =>
    draft.complain(dialsOf(kind.value).find(d => d.key === key)?.label ?? key, message)
  return { kind, round, sears, values, sentence, pans, rings, turn, complain }
}
