import type { FamilyId } from '../fits/families'
import type { Spec } from '../fits/family'
import type { Kind, Part } from '../vocabulary'

/** An article whose price is known: what the shop pays for one, whole cents, and the day on which that was so. */
export interface PricedArticle {
  id: string
  name: string
  part?: Part
  family?: FamilyId
  spec: Spec
  kinds?: Kind[]
  codes?: string[]
  price: number
  pricedOn: string
}
