import { ref } from 'vue'
import { enteredShop, type Shop } from '#core/visit/shop'
import type { EntryBodies } from '#core/visit/entry'

/** The shop as it stands at the server, and its next word on itself. */
export function useShopSettings() {
  const journal = useShopJournal()
  const shop = ref<Shop>()
  /** Where its mail goes. */
  const outlet = ref<{ by: 'folder' | 'smtp'; host?: string }>()
  const problem = ref('')
  async function load(): Promise<void> {
    problem.value = ''
    try {
      const response = await ask('/api/shop')
      if (!response.ok) throw new Error(response.statusText)
      const said = (await response.json()) as { shop: Shop; mail: { by: 'folder' | 'smtp'; host?: string } }
      shop.value = said.shop
      outlet.value = said.mail
      rememberShop(shop.value)
    } catch {
      problem.value = NO_WAY
    }
  }
  /** Writes the shop anew, with what changed. */
  async function save(change: Partial<EntryBodies['shop-set']>): Promise<void> {
    if (!shop.value) return
    await journal.append('shop-set', { ...enteredShop(shop.value), ...change })
    await load()
  }
  return { shop, outlet, problem, load, save }
}
