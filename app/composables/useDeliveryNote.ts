import type { CheckedDelivery } from '#core/shelf/papers/delivery'

/** A delivery note that was read from a file, until the page of its order has it. */
export const useDeliveryNote = () => useState<CheckedDelivery | undefined>('delivery-note', () => undefined)
