/** Calls out what is due: a tone ahead, two at the moment, and the words where the browser can speak. */
import { useEventListener } from '@vueuse/core'
import { watch, type Ref } from 'vue'
import { showDuration, shownText } from '#core/quantity/format'
import { kept } from '../stores/kept'

const AHEAD_S = 10
/** Later than that it says so, s. */
const LATE_S = 15
/** Longer ago than that it is no call any more but a question, which the page asks, s. */
const MISSED_S = 30 * 60
const MOST_RUNG = 200

export interface Called {
  /** Unlike that of any other call there was or will be. */
  readonly key: string
  /** s until it is due; null where it waits for nothing. */
  readonly left: number | null
  readonly words: string
}

export function useCaller(calls: Ref<readonly Called[]>) {
  const muted = kept(
    'macellaio.muted',
    () => false,
    stored => stored === true
  )
  /** What has rung: a page that comes again does not ring again. */
  const rung = kept<readonly string[]>(
    'macellaio.rung',
    () => [],
    stored => (Array.isArray(stored) ? stored.filter(k => typeof k === 'string').slice(-MOST_RUNG) : [])
  )
  let audio: AudioContext | null = null
  // A browser lets sound only after a hand was on the page.
  useEventListener(['pointerdown', 'keydown'], () => {
    audio ??= new AudioContext()
    if (audio.state === 'suspended') void audio.resume()
  })

  function tone(hertz: number, after: number): void {
    audio ??= new AudioContext()
    const sound = audio.createOscillator()
    const volume = audio.createGain()
    sound.frequency.value = hertz
    volume.gain.setValueAtTime(0.25, audio.currentTime + after)
    volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + after + 0.35)
    sound.connect(volume).connect(audio.destination)
    sound.start(audio.currentTime + after)
    sound.stop(audio.currentTime + after + 0.4)
  }
  const speak = (words: string): void => {
    if ('speechSynthesis' in window) speechSynthesis.speak(new SpeechSynthesisUtterance(words))
  }
  const buzz = (pattern: number[]): void => {
    if ('vibrate' in navigator) navigator.vibrate(pattern)
  }
  const AHEAD = 'ahead'
  const DUE = 'due'

  watch(calls, all => {
    if (muted.value) return
    const before = new Set(rung.value)
    const toRing = (key: string, what: string): boolean => !before.has(`${key} ${what}`)
    const soon = all.filter(c => c.left !== null && c.left <= AHEAD_S && c.left > 2 && toRing(c.key, AHEAD))
    // What fell due while the page slept is said as soon as it wakes.
    const due = all.filter(c => c.left !== null && c.left <= 0.5 && c.left > -MISSED_S && toRing(c.key, DUE))
    if (soon.length === 0 && due.length === 0) return
    rung.value = [...rung.value, ...soon.map(c => `${c.key} ${AHEAD}`), ...due.map(c => `${c.key} ${DUE}`)].slice(-MOST_RUNG)
    if (due.length > 0) {
      tone(880, 0)
      tone(1100, 0.4)
      buzz([250, 100, 250])
    } else {
      tone(660, 0)
      buzz([120])
    }
    for (const { left, words } of due) {
      const late = -(left ?? 0)
      speak(late > LATE_S ? `${shownText(showDuration(late))} ago: ${words}` : words)
    }
  })

  return { muted, toggle: () => void (muted.value = !muted.value) }
}
