/** Complex numbers for phasors: volts, amps and ohms as real and imaginary part. */
export interface Complex {
  re: number
  im: number
}

export const complex = (re: number, im = 0): Complex => ({ re, im })
export const add = (...terms: Complex[]): Complex => ({
  re: terms.reduce((sum, { re }) => sum + re, 0),
  im: terms.reduce((sum, { im }) => sum + im, 0),
})
export const subtract = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im })
export const multiply = (a: Complex, b: Complex): Complex => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
})
export const scale = (a: Complex, by: number): Complex => ({ re: a.re * by, im: a.im * by })
export const modulus = ({ re, im }: Complex): number => Math.hypot(re, im)
export const argument = ({ re, im }: Complex): number => Math.atan2(im, re)
export function divide(a: Complex, b: Complex): Complex {
  const square = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / square, im: (a.im * b.re - a.re * b.im) / square }
}
/** Two impedances side by side. */
export const parallel = (a: Complex, b: Complex): Complex => divide(multiply(a, b), add(a, b))
