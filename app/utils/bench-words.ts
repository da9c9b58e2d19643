import { UNIT_LABELS } from '#core/quantity/units'
import type { Dial, MeterShows } from '#core/virtual/bench/meter'

/** What stands at each position of the dial. */
export const DIAL_WORDS: Readonly<Record<Dial, string>> = {
  off: 'off',
  volts: 'volts',
  ohms: 'ohms',
  microfarads: 'μF',
  amps: 'amps',
  'volts-250': '250 V',
  'volts-500': '500 V',
  'volts-1000': '1000 V',
}

/** Figures as a display has room for them: four that count. */
export function figureText(value: number): string {
  if (value === 0) return '0'
  const size = Math.abs(value)
  return size >= 1000 ? String(Math.round(value)) : Number(value.toPrecision(4)).toString()
}

const stepOf = (ohms: number): readonly [by: number, letter: string] =>
  ohms >= 1e6 ? [1e6, 'M'] : ohms >= 1e4 ? [1e3, 'k'] : [1, '']

/** The figure and its unit as the display has them: thousands and millions of ohms by their letter. */
export function shownText(shows: MeterShows): { figure: string; unit: string } {
  if (shows.is === 'shorted-can') return { figure: '– – –', unit: UNIT_LABELS.uF }
  if (shows.is === 'over') {
    const over = shows.unit === 'ohm' ? shows.from / 1e6 : shows.from
    return { figure: 'open', unit: `over ${over} ${UNIT_LABELS.Mohm}` }
  }
  if (shows.is !== 'figure') return { figure: '', unit: '' }
  if (shows.unit === 'ohm') {
    const [by, letter] = stepOf(shows.value)
    return { figure: figureText(shows.value / by), unit: `${letter}Ω` }
  }
  return { figure: figureText(shows.value), unit: `${UNIT_LABELS[shows.unit]}${shows.isDirect ? ' DC' : ''}` }
}

/** The span that the true value lies in, by the meter’s own error. */
export function spanText(shows: MeterShows): string {
  if (shows.is !== 'figure') return ''
  const [by] = shows.unit === 'ohm' ? stepOf(shows.value) : [1]
  const text = (value: number) => figureText(Number((value / by).toPrecision(3)))
  return `${text(shows.low)} to ${text(shows.high)}`
}
