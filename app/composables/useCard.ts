import type { CardView } from '~/utils/register-views'

/** A machine's card as the server has it. */
export function useCard(id: Ref<string>) {
  return useServed<CardView>(() => `/api/machines/${id.value}/card`, { heard: ({ shop }) => rememberShop(shop) })
}
