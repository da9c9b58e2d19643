import { formatAboutMoney, formatMoney } from '#core/quantity/number-style'
import { useShelf } from '~/stores/shelf'

/** Amounts in the shop's currency, as the shelves are told in: to the cent, or about. */
export function useShelfMoney() {
  const shelf = useShelf()
  return {
    money: (amount: number) => formatMoney(amount, shelf.currency),
    about: (amount: number) => formatAboutMoney(amount, shelf.currency),
  }
}
