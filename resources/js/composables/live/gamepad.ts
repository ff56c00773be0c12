import type { LiveSource } from './source'

/** A handset that plugs in as a game controller shows its own outputs: −1 to 1 for each axis, on or off for each button. */
const CENTRE_US = 1500
const HALF_US = 512

const valuesOf = (pad: Gamepad) => [
  ...pad.axes.map((axis) => Math.round((CENTRE_US + HALF_US * axis) * 10) / 10),
  ...pad.buttons.map((button) => CENTRE_US + HALF_US * (2 * button.value - 1)),
]

const connected = () => navigator.getGamepads().find((pad) => pad !== null) ?? null

/** The first game controller at this machine, read with every picture the screen draws. */
export function gamepadSource(): LiveSource {
  let frame = 0
  return {
    start({ take, ended }) {
      const first = connected()
      if (!first) return Promise.reject(new Error('No game controller is seen. Plug the handset in, move a stick, and try again.'))
      let many = 0
      const look = (): void => {
        const pad = navigator.getGamepads()[first.index]
        if (!pad?.connected) {
          ended('The game controller is gone: look at its plug.')
          return
        }
        const us = valuesOf(pad)
        // Channels are as many as at first: a row of another length is no row.
        if (many === 0) many = us.length
        if (us.length === many) take({ t_ms: performance.now(), us, axes_pct: pad.axes.map((axis) => Math.round(1000 * axis) / 10) })
        frame = requestAnimationFrame(look)
      }
      look()
      return Promise.resolve()
    },
    stop: () => cancelAnimationFrame(frame),
  }
}
