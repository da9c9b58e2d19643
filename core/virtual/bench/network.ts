import { Complex } from 'complex.js'

/** What lies between two nodes, as an admittance in siemens. */
export interface Branch {
  from: string
  to: string
  siemens: Complex
}
/** A current that is pushed into one node and taken out of another, amperes. */
export interface Injection {
  into: string
  outOf: string
  amps: number
}

/** The node that all volts are counted from. */
export const GROUND = 'ground'
/** What leaks from every node, siemens: nothing is left floating without a value, and no meter sees it. */
const LEAK = 1e-13

/**
 * Volts of every node of a network against ground.
 *
 * @returns complex volts by node; a node that nothing hangs on stands at zero
 * @source nodal analysis, with Gaussian elimination and the largest pivot: Chua, Desoer and Kuh, Linear and Nonlinear
 *   Circuits (1987)
 */
export function nodeVolts(branches: readonly Branch[], injections: readonly Injection[]): Map<string, Complex> {
  const names = [...new Set([...branches, ...injections.map(ends)].flatMap(({ from, to }) => [from, to]))].filter(
    (name) => name !== GROUND,
  )
  const at = new Map(names.map((name, index) => [name, index]))
  const size = names.length
  const rows = names.map((_, row) =>
    Array.from({ length: size + 1 }, (__, column) => (row === column ? new Complex(LEAK) : new Complex(0))),
  )
  const add = (row: number | undefined, column: number | undefined, value: Complex): void => {
    if (row === undefined || column === undefined) return
    const line = rows[row] as Complex[]
    line[column] = (line[column] as Complex).add(value)
  }
  for (const { from, to, siemens } of branches) {
    const [a, b] = [at.get(from), at.get(to)]
    add(a, a, siemens)
    add(b, b, siemens)
    add(a, b, siemens.neg())
    add(b, a, siemens.neg())
  }
  for (const { into, outOf, amps } of injections) {
    add(at.get(into), size, new Complex(amps))
    add(at.get(outOf), size, new Complex(-amps))
  }
  const solved = eliminate(rows)
  return new Map([[GROUND, new Complex(0)], ...names.map((name, index) => [name, solved[index] as Complex] as const)])
}

const ends = ({ into, outOf }: Injection) => ({ from: into, to: outOf })

/** Solves a system whose last column is its right side; the rows are used up. */
function eliminate(rows: Complex[][]): Complex[] {
  const size = rows.length
  const cell = (row: number, column: number) => (rows[row] as Complex[])[column] as Complex
  for (let pivot = 0; pivot < size; pivot++) {
    let best = pivot
    for (let row = pivot + 1; row < size; row++) if (cell(row, pivot).abs() > cell(best, pivot).abs()) best = row
    const [upper, lower] = [rows[pivot] as Complex[], rows[best] as Complex[]]
    rows[pivot] = lower
    rows[best] = upper
    for (let row = pivot + 1; row < size; row++) {
      const factor = cell(row, pivot).div(cell(pivot, pivot))
      if (factor.abs() === 0) continue
      const line = rows[row] as Complex[]
      for (let column = pivot; column <= size; column++)
        line[column] = cell(row, column).sub(factor.mul(cell(pivot, column)))
    }
  }
  const solved = Array.from({ length: size }, () => new Complex(0))
  for (let row = size - 1; row >= 0; row--) {
    let sum = cell(row, size)
    for (let column = row + 1; column < size; column++) sum = sum.sub(cell(row, column).mul(solved[column] as Complex))
    solved[row] = sum.div(cell(row, row))
  }
  return solved
}
