import { formatMoney } from '#core/quantity/number-style'
import { useVisit } from '~/stores/visit'

/** Amounts in the shop's currency, to the cent: the same on every screen. */
export function useMoney() {
  const visit = useVisit()
  return (amount: number) => formatMoney(amount, visit.shop.rates.currency, visit.shop.numbers)
}
