import { useVisit } from '~/stores/visit'

/** Amounts in the shop's currency, to the cent: the same on every screen. */
export function useMoney() {
  const visit = useVisit()
  return (amount: number) =>
    new Intl.NumberFormat('en-US', { style: 'currency', currency: visit.shop.rates.currency }).format(amount)
}
