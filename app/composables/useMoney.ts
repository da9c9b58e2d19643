import { moneyOf } from '#core/visit/shop'
import { useVisit } from '~/stores/visit'

/** Amounts in the shop's currency, to the cent: the same on every screen. */
export function useMoney() {
  const visit = useVisit()
  return (amount: number) => moneyOf(visit.shop)(amount)
}
