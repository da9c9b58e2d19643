import { getQuery } from 'h3'
import { KINDS, isIdOf } from '../../core/knowledge/vocabulary'
import { usualLevels } from '../../core/sound/usual-levels'
import { badField } from '../../core/validation/input-error'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** How loud the shop's machines of a kind are: what a recording of one of them is laid beside. */
export default api('look', async (event) => {
  const { kind, side = 'motor' } = getQuery(event)
  if (typeof kind !== 'string' || !isIdOf(KINDS, kind))
    throw badField('kind', kind, `one of ${Object.keys(KINDS).join(', ')}`)
  if (side !== 'motor' && side !== 'pump') throw badField('side', side, 'motor or pump')
  return usualLevels(await (await useShopApp()).repository.recordedOf(kind, side))
})
