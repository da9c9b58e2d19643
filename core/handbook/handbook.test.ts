import { describe, expect, it } from 'vitest'
import { drawPractice } from '../practice/practice-case'
import { BASIS_WORDS } from '../judgement/judgement'
import { HARMS, IDEAS, type Harm, type Idea } from '../knowledge/practice/harms'
import { ideasOfFault } from '../knowledge/practice/ideas'
import { readCode, type CaseCode } from '../knowledge/practice/case-code'
import { sources } from '../knowledge/sources'
import { METRIC_READER, US_READER } from '../quantity/sentence'
import { allCautions, cautionsOf } from './cautions'
import { LESSON_PAGES, mustPage, PAGES, pageById } from './handbook'
import { HandbookSearch, wordsOf } from './search'
import { PAGE_OF_IDEA, pageOfBasis, pageOfCaution, pageOfHarm, pageOfKnownWords, sourcesOf } from './where'

describe('the handbook', () => {
  it('names each page once, and goes on to pages that there are', () => {
    expect(new Set(PAGES.map(({ id }) => id)).size).toBe(PAGES.length)
    for (const { see = [], id } of PAGES)
      for (const next of see) expect(pageById(next), `${id} → ${next}`).toBeDefined()
    expect(() => mustPage('nothing')).toThrow(/no page/)
  })
  it('is made of short pages', () => {
    for (const page of PAGES) {
      const words = wordsOf(page, US_READER).split(/\s+/).length
      expect(words, page.id).toBeGreaterThan(25)
      expect(words, page.id).toBeLessThan(260)
    }
  })
  it('says its numbers in the reader’s units', () => {
    const page = mustPage('suction')
    expect(wordsOf(page, US_READER)).toMatch(/about 25 ft/)
    expect(wordsOf(page, METRIC_READER)).toMatch(/about 7\.62 m/)
  })
  it('has a page with a picture for each idea', () => {
    for (const idea of Object.keys(IDEAS) as Idea[]) {
      const page = mustPage(PAGE_OF_IDEA[idea])
      expect(page.idea).toBe(idea)
      expect(page.live ?? page.drawing, idea).toBeDefined()
    }
  })
  it('has ten lessons, each with a picture, and a pump in which it is so', () => {
    expect(LESSON_PAGES).toHaveLength(10)
    for (const { id, live, case: code, idea } of LESSON_PAGES) {
      expect(live, id).toBeDefined()
      const { faults } = drawPractice(readCode(code as string) as CaseCode)
      expect(faults.flatMap(ideasOfFault), id).toContain(idea)
    }
  })
})

describe('what leads to the handbook', () => {
  it('every figure’s basis has a page, and no page of them is missing', () => {
    for (const source of sources()) expect(pageById(pageOfBasis(source)), source.name).toBeDefined()
    const named = PAGES.flatMap(({ id }) => sourcesOf(id))
    expect(named).toHaveLength(sources().length)
    for (const { kind } of named) expect(BASIS_WORDS[kind]).toBeDefined()
  })
  it.each([
    ['IEEE 43: 500 V DC for windings rated below 1,000 V', 'standard', 'insulation'],
    ['NEMA MG 1: ±10 % of nameplate volts at rated frequency', 'standard', 'volts'],
    ['printed tolerance; ±6 % where none can be read', 'common-practice', 'capacitors'],
    ['about 25 ft at sea level', 'common-practice', 'suction'],
    ['precharge a little below cut-in, tank empty of water', 'common-practice', 'pressure'],
    ['bleed resistor 20 kΩ 5 W, then prove below 5 V', 'handbook', 'charged'],
  ] as const)('%s', (name, kind, page) => expect(pageOfBasis({ kind, name })).toBe(page))
  it('a basis that says only who expects it is explained by its check', () => {
    const basis = { kind: 'common-practice', name: 'what the trade expects to see' } as const
    expect(pageOfBasis(basis, 'pot-look')).toBe('suction')
    expect(pageOfBasis(basis, 'weep-hole')).toBe('order')
    expect(pageOfBasis({ kind: 'maker', name: 'a sheet that nobody knows' }, 'cut-in')).toBe('pressure')
  })
  it('every caution is known by its words, and stands on its page', () => {
    expect(allCautions().length).toBeGreaterThan(90)
    expect(allCautions().filter((each) => pageOfKnownWords(each) === undefined)).toEqual([])
    for (const caution of allCautions()) expect(pageById(pageOfCaution(caution)), caution).toBeDefined()
  })
  it.each([
    ['A capacitor holds its charge with the power off: resistor, then meter, never a short.', 'charged'],
    ['Hands off the leads: the megohmmeter puts out 500 V. Discharge afterwards.', 'charged'],
    ['No power: it reads to ground. Split the fault off, dead, and read it again.', 'ground'],
    ['Filters and lids under pressure can fly. Open the relief first.', 'pressed'],
    ['A well string weighs: compute it before lifting.', 'lifting'],
    ['Never started dry: the seal burns.', 'seals'],
    ['Never a pry on one side; a plate that cracks is bought new.', 'force'],
    ['Potable water: local codes and licensed practice decide.', 'served'],
    ['Live tests only by qualified people with rated meter, leads and gloves.', 'dead'],
  ])('%s', (caution, page) => expect(pageOfCaution(caution)).toBe(page))
  it('every harm has a page that says why', () => {
    for (const harm of Object.keys(HARMS) as Harm[]) expect(pageById(pageOfHarm(harm)), harm).toBeDefined()
    expect(cautionsOf('dead').length).toBeGreaterThan(5)
  })
})

describe('searching it', () => {
  const search = new HandbookSearch(US_READER)
  const first = (typed: string) => search.find(typed)[0]?.id
  it.each([
    ['absorption', 'insulation'],
    ['bubbles lid', 'suction'],
    ['resistor', 'charged'],
    ['up-thrust', 'lesson-up-thrust'],
    ['galls', 'force'],
    ['capaciter', 'capacitors'],
    ['IEEE 43', 'insulation'],
  ])('%s', (typed, page) => expect(search.find(typed).map(({ id }) => id)).toContain(page))
  it('a title before a word in passing', () => expect(first('windings')).toBe('windings'))
  it('finds nothing where nothing is typed, or nothing fits', () => {
    expect(search.find('  ')).toEqual([])
    expect(search.find('zebra crossing')).toEqual([])
  })
})
