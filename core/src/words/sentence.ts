/** A method's main settings as one sentence that can be read aloud: words, and between them what can be changed. */
import { dialsOf, type SettingKey } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'

/** What stands in it besides settings. */
export type KitWord = 'pan' | 'ring'
export type SentencePart = { readonly words: string } | { readonly kit: KitWord } | { readonly key: SettingKey }

const key = (of: SettingKey): SentencePart => ({ key: of })
const PAN: SentencePart = { kit: 'pan' }
const RING: SentencePart = { kit: 'ring' }
const words = (text: string): SentencePart => ({ words: text })

const IN_THE_PAN = [words('in the'), PAN, words('at'), key('panC'), words('on the'), RING] as const
const SEARED = [words('seared'), ...IN_THE_PAN] as const
const RESTED = [words('rested'), key('cover')] as const
/** Steaks are turned; a joint is rolled. */
const TURNED = [words('turned'), key('turning')] as const

const SENTENCES: Record<MethodKind, readonly SentencePart[]> = {
  'pan sear': [...IN_THE_PAN, ...TURNED, ...RESTED],
  'sear then oven': [...SEARED, words('then in the oven at'), key('ovenC'), ...RESTED],
  'oven then sear': [words('in the oven at'), key('ovenC'), words('then'), ...SEARED, ...RESTED],
  roast: [words('in the oven at'), key('ovenC'), words('and'), ...SEARED, ...RESTED],
  grill: [words('over coals that make the bars'), key('grateC'), ...TURNED, ...RESTED],
  'two-zone grill': [words('over coals that make the bars'), key('grateC'), words('then under the lid at'), key('lidC'), ...RESTED],
  'bath then sear': [words('in a bath at'), key('bathC'), words('then'), ...SEARED, ...RESTED],
  'sear then bath': [...SEARED, words('then in a bath at'), key('bathC'), ...RESTED],
  'short hot bath': [words('in a bath at'), key('bathC'), words('then'), ...SEARED, ...RESTED],
  pot: [words('in a pot of'), key('boilingParts'), words('boiling to'), key('coldParts'), words('cold water, then'), ...SEARED, ...RESTED],
  'in pastry': [words('in the oven at'), key('ovenC'), ...RESTED]
}

/** @param round a joint, that is rolled in its pan @param sears whether it touches a pan at all, as it is set */
export function sentenceOf(kind: MethodKind, round: boolean, sears: boolean): readonly SentencePart[] {
  const parts = SENTENCES[kind]
  if (!sears && parts.some(p => 'kit' in p) && kind !== 'pan sear') return withoutSear(parts)
  return round ? parts.filter((p, i) => !isTurning(p) && !isTurning(parts[i + 1] as SentencePart | undefined)) : parts
}
const isTurning = (part: SentencePart | undefined): boolean => part !== undefined && 'key' in part && part.key === 'turning'

/** All but the pan, and the word that led to it. */
function withoutSear(parts: readonly SentencePart[]): readonly SentencePart[] {
  const from = parts.findIndex(p => 'words' in p && p.words === 'seared')
  const led = from > 0 ? (parts[from - 1] as { readonly words?: string }).words : undefined
  const before = parts.slice(0, led === 'then' || led === 'and' ? from - 1 : from)
  return [...before, ...parts.slice(from + SEARED.length)].map(p =>
    'words' in p ? words(p.words.replace(/, then$/, '').replace(/^then /, '')) : p
  )
}

/** The settings that the sentence names. */
export const namedIn = (parts: readonly SentencePart[]): ReadonlySet<SettingKey> => new Set(parts.flatMap(p => ('key' in p ? [p.key] : [])))

/** Of a method's settings those that no sentence of it names. */
export const besides = (kind: MethodKind, parts: readonly SentencePart[]): ReturnType<typeof dialsOf> => {
  const named = namedIn(parts)
  return dialsOf(kind).filter(d => !named.has(d.key))
}
