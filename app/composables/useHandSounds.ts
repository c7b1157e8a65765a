import { useStorage } from '@vueuse/core'
import type { Feel } from '~~/core/feeler'

/** Pitch in Hz, length in seconds and loudness of each thing heard. */
const SOUNDS: Record<'click' | 'dead' | Feel, { hz: number; seconds: number; gain: number; buzz: number | number[] }> =
  {
    'click': { hz: 1800, seconds: 0.03, gain: 0.2, buzz: 12 },
    'dead': { hz: 110, seconds: 0.05, gain: 0.12, buzz: 0 },
    'free': { hz: 2400, seconds: 0.08, gain: 0.03, buzz: 5 },
    'drag': { hz: 900, seconds: 0.25, gain: 0.07, buzz: [15, 20, 15] },
    'pinched': { hz: 420, seconds: 0.3, gain: 0.1, buzz: [40, 20, 40] },
    'no-go': { hz: 160, seconds: 0.06, gain: 0.16, buzz: 60 },
  }

/** What a hand hears and feels through the metal, where the device has sound and can shake; it can be switched off. */
export function useHandSounds() {
  const on = useStorage('wembric-practice-sound', true)
  let context: AudioContext | null = null
  function play(what: keyof typeof SOUNDS): void {
    if (!on.value) return
    const { hz, seconds, gain, buzz } = SOUNDS[what]
    if (buzz) navigator.vibrate?.(buzz)
    try {
      context ??= new AudioContext()
      const [tone, loud] = [context.createOscillator(), context.createGain()]
      tone.type = what === 'click' || what === 'dead' ? 'square' : 'sawtooth'
      tone.frequency.value = hz
      loud.gain.setValueAtTime(gain, context.currentTime)
      loud.gain.exponentialRampToValueAtTime(0.0001, context.currentTime + seconds)
      tone.connect(loud).connect(context.destination)
      tone.start()
      tone.stop(context.currentTime + seconds)
    } catch {
      on.value = false
    }
  }
  return { on, play }
}
