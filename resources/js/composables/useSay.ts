import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

const TONE_HZ = 880
const TONE_S = 0.09
const LOUD = 0.2

/** Voices that speak on this machine: none is asked that would send its words elsewhere. */
const localVoice = () => (typeof speechSynthesis === 'undefined' ? undefined : speechSynthesis.getVoices().find((voice) => voice.localService))

/** What is said to somebody whose hands are full: a short tone, and in words if that is wanted and this machine has a voice. */
export function useSay() {
  const wantsVoice = useLocalStorage('linguator.voice', false)
  const hasVoice = computed(() => localVoice() !== undefined)
  let audio: AudioContext | null = null

  function tone(): void {
    try {
      audio ??= new AudioContext()
      const [from, gain] = [audio.createOscillator(), audio.createGain()]
      from.frequency.value = TONE_HZ
      gain.gain.value = LOUD
      from.connect(gain).connect(audio.destination)
      from.start()
      from.stop(audio.currentTime + TONE_S)
    } catch {
      // A machine without a sound output: what was taken is seen all the same.
    }
  }

  function speak(text: string): void {
    const voice = wantsVoice.value ? localVoice() : undefined
    if (!voice) return
    const words = new SpeechSynthesisUtterance(text)
    words.voice = voice
    speechSynthesis.cancel()
    speechSynthesis.speak(words)
  }

  return { tone, speak, wantsVoice, hasVoice }
}
