import type { PracticeShop } from '#core/practice/try'
import { UNNAMED_SHOP, withoutArticles, type Shop } from '#core/visit/shop'
import { useSelf } from '~/stores/self'

/** What a try is reckoned with: the shop’s own rates where they can be had, else the usual ones. */
export async function practiceShop(): Promise<PracticeShop> {
  if (!useSelf().may('look')) return UNNAMED_SHOP
  const response = await ask('/api/shop').catch(() => undefined)
  if (!response?.ok) return UNNAMED_SHOP
  return withoutArticles(((await response.json()) as { shop: Shop }).shop)
}
