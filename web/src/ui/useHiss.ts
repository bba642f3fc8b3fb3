/** A pan that is heard: noise made here, as loud and as high as water boils off under the meat. */
import { onScopeDispose, watch, type Ref } from 'vue'

const SECONDS = 2
/** s over which it rises and falls. */
const SWELLS = 0.4
const LOUDEST = 0.18

/** Even noise with a spit in it now and then. */
function sizzling(context: AudioContext): AudioBuffer {
  const buffer = context.createBuffer(1, SECONDS * context.sampleRate, context.sampleRate)
  const samples = buffer.getChannelData(0)
  let spit = 0
  for (let i = 0; i < samples.length; i++) {
    if (Math.random() < 0.0004) spit = 1
    spit *= 0.996
    samples[i] = (Math.random() * 2 - 1) * (0.4 + 0.6 * spit)
  }
  return buffer
}

/** @param loud 0 to 1. A browser lets sound only after a hand was on the page. */
export function useHiss(loud: Ref<number>, muted: Ref<boolean>): void {
  let playing: { readonly context: AudioContext; readonly gain: GainNode; readonly filter: BiquadFilterNode } | null = null
  function start(): NonNullable<typeof playing> {
    const context = new AudioContext()
    const source = context.createBufferSource()
    source.buffer = sizzling(context)
    source.loop = true
    const filter = context.createBiquadFilter()
    filter.type = 'bandpass'
    filter.Q.value = 0.5
    const gain = context.createGain()
    gain.gain.value = 0
    source.connect(filter).connect(gain).connect(context.destination)
    source.start()
    return { context, gain, filter }
  }
  watch(
    [loud, muted],
    ([level, quiet]) => {
      const heard = quiet ? 0 : level
      if (typeof AudioContext === 'undefined' || (playing === null && heard === 0)) return
      playing ??= start()
      const { context, gain, filter } = playing
      gain.gain.setTargetAtTime(LOUDEST * heard, context.currentTime, SWELLS)
      filter.frequency.setTargetAtTime(2500 + 4500 * heard, context.currentTime, SWELLS)
    },
    { immediate: true }
  )
  onScopeDispose(() => void playing?.context.close())
}
