import { useVisit } from '~/stores/visit'

/** Amounts in the shop's currency, whole units. */
export function useMoney() {
  const visit = useVisit()
  return (amount: number) =>
    new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency: visit.shop.rates.currency,
      maximumFractionDigits: 0,
    }).format(amount)
}
