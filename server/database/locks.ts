/**
 * Numbers by which servers of one shop do one after the other what none may do beside another. Any numbers of our own,
 * each another and the same for all servers.
 */
export const LOCKS = {
  /** Lines are appended. */
  append: 0x70696b65,
  /** The tables are brought up to date. */
  migrate: 0x70696b66,
  /** What has arrived is taken into what can be found. */
  index: 0x70696b67,
  /** Who works here is changed. */
  people: 0x70696b68,
} as const
export type Lock = (typeof LOCKS)[keyof typeof LOCKS]
