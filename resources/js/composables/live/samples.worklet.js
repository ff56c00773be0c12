/** Hands samples on as they come, some milliseconds of them at a time; it runs beside the page. */
const LOT = 256

class Samples extends AudioWorkletProcessor {
  constructor() {
    super()
    this.lot = new Float32Array(LOT)
    this.filled = 0
  }

  process(inputs) {
    const side = inputs[0]?.[0]
    if (side) {
      for (const sample of side) {
        this.lot[this.filled++] = sample
        if (this.filled === LOT) {
          this.port.postMessage(this.lot.slice())
          this.filled = 0
        }
      }
    }
    return true
  }
}

registerProcessor('samples', Samples)
