import type { Verdict } from '#core/judgement/judgement'
import type { Values } from '#core/handbook/live/live'

/** What a drawing with live numbers is given. */
export interface DrawingProps {
  values: Values
  /** A figure of it as it is read. */
  told: (figure: string) => string
  verdict: (figure: string) => Verdict | undefined
}

/** The ink of a figure by its verdict. */
export const inkOf = (verdict: Verdict | undefined): string =>
  verdict === 'failed'
    ? 'var(--rust)'
    : verdict === 'tired'
      ? 'var(--ochre)'
      : verdict === 'sound'
        ? 'var(--moss)'
        : 'var(--ink)'
