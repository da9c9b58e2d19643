import { addDays, format, subYears } from 'date-fns'
import { getQuery } from 'h3'
import { isKind, pumpQuery, type PumpFilter } from '../../../core/pumps/pump-query'
import { badField } from '../../../core/validation/input-error'
import type { MachineFilter } from '../../database/search'
import { serverNow, useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

const MOST_ASKED = 200
const MOST_LINES = 40
const FEW_LINES = 8
const MOST_STREETS = 6
const MOST_TWINS = 8

/**
 * Customers, places, machines and what was said and read of them, by words and by what narrows the machines: how many
 * of each group, and the first of them.
 */
export default api('look', async (event) => {
  const { q = '', kind, what } = getQuery(event)
  if (typeof q !== 'string' || q.length > MOST_ASKED)
    throw badField('q', q, `words to look for, at most ${MOST_ASKED} letters`)
  if (kind !== undefined && kind !== '' && !isKind(kind)) throw badField('kind', kind, 'a kind of pump')
  const { words, filter } = pumpQuery(q)
  const app = await useShopApp()
  await app.index.caughtUpSoon()
  const wanted = { ...filter, ...(isKind(kind) ? { kind } : {}) }
  // One after the other: the embedded engine has one connection, and a server's are for others too.
  const counts = await app.index.counts()
  const {
    groups,
    isCut,
    streets: named,
  } = await app.search.find(words, onThisDay(wanted), words.length > 0 && !what ? FEW_LINES : MOST_LINES)
  const streets = await app.search.machinesIn(named.slice(0, MOST_STREETS))
  const shown = groups.find((group) => group.what === 'customer')?.lines.slice(0, MOST_TWINS) ?? []
  const twins = await app.register.twinsOf(shown.flatMap(({ customerId }) => customerId ?? []))
  return { ...counts, words, filter: wanted, groups, isCut, streets, twins, behind: app.index.behind }
})

function onThisDay({ kind, overYears, dueWithin, verdict, retired }: PumpFilter): MachineFilter {
  const today = new Date(serverNow())
  const day = (date: Date) => format(date, 'yyyy-MM-dd')
  return {
    ...(kind ? { kind } : {}),
    ...(overYears === undefined ? {} : { installedBy: day(subYears(today, overYears)) }),
    ...(dueWithin === undefined ? {} : { dueBy: day(addDays(today, dueWithin)) }),
    ...(verdict ? { verdict } : {}),
    ...(retired ? { retired } : {}),
  }
}
