/** Calls out what is due: a tone ahead, two at the moment, and the words where the browser can speak. */
import { ref, watch, type Ref } from 'vue'
import { kept } from '../stores/kept'

const AHEAD_S = 10

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
  const called = ref<Record<string, true>>({})
  let audio: AudioContext | null = null

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

  function once(what: string, call: () => void): void {
    if (called.value[what] || muted.value) return
    called.value[what] = true
    call()
  }

  watch(calls, all => {
    for (const { key, left, words } of all) {
      if (left === null) continue
      if (left <= AHEAD_S && left > 2) once(`${key} ahead`, () => tone(660, 0))
      if (left > 0.5 || left <= -5) continue
      once(`${key} due`, () => {
        tone(880, 0)
        tone(1100, 0.4)
        if ('speechSynthesis' in window) speechSynthesis.speak(new SpeechSynthesisUtterance(words))
      })
    }
  })

  return { muted, toggle: () => void (muted.value = !muted.value) }
}
