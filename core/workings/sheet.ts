import { IsArray, IsIn } from 'class-validator'
import { MayBeAbsent, Uuid } from '../validation/rules'
import { foldVisit, type VisitState } from '../visit/fold'
import { jobOf } from '../visit/job'
import { ownerSheet } from '../visit/owner-sheet'
import { writeRecord } from '../visit/record'
import { writeSheet } from '../visit/sheet'
import { UNNAMED_SHOP } from '../visit/shop'
import { readVisitFile, type VisitFile } from '../visit/visit-file'
import { defineWorking } from './define-working'

/** The outside of a visit file; its lines are read by the rules of the journal. */
class SheetInput {
  @IsIn(['pike-lamp-visit'], { message: 'format must be "pike-lamp-visit": this is not a visit file' })
  format!: 'pike-lamp-visit'
  @IsIn([1, 2], { message: 'version must be 1 or 2: another Pike Lamp wrote this file' }) version!: 1 | 2
  @Uuid() visitId!: string
  @IsArray() entries!: unknown[]
  @MayBeAbsent() @IsArray() photos?: VisitFile['photos']
}

const BASIS = { kind: 'common-practice', name: 'what its owner is told, from the journal of a visit alone' } as const

export const sheetWorking = defineWorking({
  name: 'sheet',
  title: 'The sheet of a visit, from its file',
  input: SheetInput,
  basis: BASIS,
  run: (file) => {
    const { entries } = readVisitFile(file)
    const state = foldVisit(entries) as VisitState
    const job = jobOf(state, UNNAMED_SHOP)
    const sheet = ownerSheet(state, job, writeSheet(state, UNNAMED_SHOP, job), writeRecord(state, UNNAMED_SHOP, job))
    return { ...sheet, steps: sheet.record.map(({ at, text }) => `${at.slice(11, 16)} ${text}`), basis: BASIS }
  },
})
