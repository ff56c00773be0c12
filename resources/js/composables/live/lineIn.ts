import type { LiveSeen } from '@/api/captures'
import { postJson, sentenceOf } from '@/api/http'
import samplesUrl from './samples.worklet.js?url'
import { type LiveSource, rowsFor } from './source'

/** The last stretch is sent for reading; it holds a few frames, and six of a servo's slowest. */
const WINDOW_S = 0.12
const FULL = 32767
const HEX = 16
const WORD = 4
const WORD_MASK = 0xffff

/** Signed 16-bit samples as hex, low byte first. */
function hexOf(samples: Float32Array): string {
  let hex = ''
  for (const sample of samples) {
    const word = (Math.round(Math.max(-1, Math.min(1, sample)) * FULL) & WORD_MASK).toString(HEX).padStart(WORD, '0')
    hex += word.slice(2) + word.slice(0, 2)
  }
  return hex
}

/** The sound input of this machine, as it is: nothing is made quieter, louder or cleaner on the way. Only a pulse train comes through it. */
export function lineInSource(): LiveSource {
  let context: AudioContext | null = null
  let stream: MediaStream | null = null

  function stop(): void {
    stream?.getTracks().forEach((track) => track.stop())
    void context?.close().catch(() => undefined)
    context = stream = null
  }

  return {
    async start(listener) {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
        })
        context = new AudioContext()
        await context.audioWorklet.addModule(samplesUrl)
      } catch (error) {
        stop()
        throw new Error('The sound input cannot be heard: allow it for this page, and look whether the machine has one.', { cause: error })
      }
      const rate = context.sampleRate
      const window_ = new Float32Array(Math.round(rate * WINDOW_S))
      const hand = rowsFor(listener)
      const node = new AudioWorkletNode(context, 'samples', { numberOfOutputs: 0 })
      let isAsking = false
      // As soon as one stretch is read the next is sent: whoever moves a stick sees it at once.
      node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
        window_.copyWithin(0, data.length)
        window_.set(data, window_.length - data.length)
        if (isAsking || context === null) return
        isAsking = true
        const at = performance.now()
        postJson<LiveSeen>('/live/sound', { rate, hex: hexOf(window_) })
          .then((now) => context !== null && hand(now, at))
          .catch((error: unknown) => listener.ended(sentenceOf(error)))
          .finally(() => (isAsking = false))
      }
      context.createMediaStreamSource(stream).connect(node)
      stream.getAudioTracks()[0]?.addEventListener('ended', () => listener.ended('The sound input is gone: look at its plug.'))
    },
    stop,
  }
}
