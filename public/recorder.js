// Runs beside the page, in the browser's sound thread: hands on what the microphone hears, in pieces of a tenth of a
// second or so.
const PIECE = 4_096

class Recorder extends AudioWorkletProcessor {
  piece = new Float32Array(PIECE)
  filled = 0

  process([input]) {
    const heard = input?.[0]
    if (!heard) return true
    for (const value of heard) {
      this.piece[this.filled++] = value
      if (this.filled === PIECE) {
        this.port.postMessage(this.piece)
        this.piece = new Float32Array(PIECE)
        this.filled = 0
      }
    }
    return true
  }
}
registerProcessor('recorder', Recorder)
