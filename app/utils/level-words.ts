import { formatNumber } from '#core/quantity/format'
import type { ArticleLevel, ShelfPlan } from '#core/shelf/levels/plan'
import { counted } from './counted'

/** How often something is wanted, in words. */
export function rateWords(perYear: number): string {
  if (perYear >= 10) return `${Math.round(perYear)} a year`
  if (perYear >= 0.95) return `${formatNumber(Math.round(perYear * 10) / 10)} a year`
  if (perYear >= 0.01) return `one in ${formatNumber(Math.round(10 / perYear) / 10, 2)} years`
  return 'hardly ever'
}

/** Why so much of an article is kept: in one line. */
export function whyLevel(
  level: ArticleLevel,
  { secondTrip }: Pick<ShelfPlan, 'secondTrip'>,
  money: (amount: number) => string,
  about: (amount: number) => string,
): string {
  const { byRates, machines, foreseen, planned, keeping, pieces, level: best, fixed } = level
  if (machines === 0 && planned === 0) return 'no machine that the shop knows takes it'
  const need = machines > 0 ? `${rateWords(byRates)} on ${counted(machines, 'machine')}` : 'by what is planned'
  const ending = foreseen >= 0.05 ? `, ${formatNumber(foreseen, 2)} soon by their own readings` : ''
  const soon = planned >= 0.05 ? `, ${formatNumber(planned, 2)} likely in what is planned` : ''
  const pair = pieces === 1 ? 'one' : formatNumber(pieces)
  const cost =
    keeping === undefined
      ? '; it has no price'
      : `; keeping ${pair} costs ${money(keeping)} a year, a second trip ${about(secondTrip)}`
  const hand = fixed === undefined ? '' : `; by need it would be ${formatNumber(best)}`
  return `${need}${ending}${soon}${cost}${hand}`
}
