declare module 'fft.js' {
  /** Radix-4 transform of a power of two of points. Complex arrays are real and imaginary parts in turn. */
  export default class FFT {
    constructor(size: number)
    createComplexArray(): number[]
    realTransform(out: number[] | Float64Array, data: ArrayLike<number>): void
    inverseTransform(out: number[] | Float64Array, data: ArrayLike<number>): void
  }
}
