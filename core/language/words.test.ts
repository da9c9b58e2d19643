import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { spokenNumberAt } from './spoken-number'
import { wordsOf } from './words'

const figures = (line: string) => wordsOf(line).flatMap(({ value }) => (value === undefined ? [] : [value]))
const texts = (line: string) => wordsOf(line).map(({ text }) => text)

describe('numbers as they are said', () => {
  it.each([
    ['two thirty six', 236],
    ['one nineteen', 119],
    ['two forty one', 241],
    ['one oh five', 105],
    ['a hundred and twenty', 120],
    ['two hundred thirty eight', 238],
    ['four hundred fifty', 450],
    ['thirty four fifty', 3450],
    ['seventeen twenty five', 1725],
    ['twelve point six', 12.6],
    ['point nine', 0.9],
    ['point oh five', 0.05],
    ['thirty point four', 30.4],
    ['two and a half', 2.5],
    ['two thousand five hundred', 2500],
    ['zero', 0],
  ])('%s is %d', (said, value) => expect(figures(said)).toEqual([value]))

  it('says every whole number up to a thousand again', () => {
    const ones = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine']
    const teens = ['ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen']
    const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety']
    const below100 = (n: number): string =>
      n < 10
        ? (ones[n] as string)
        : n < 20
          ? (teens[n - 10] ?? 'nineteen')
          : `${tens[Math.floor(n / 10)]} ${ones[n % 10]}`
    for (let n = 1; n < 1000; n++) {
      const hundreds = Math.floor(n / 100)
      const said = `${hundreds ? `${ones[hundreds]} hundred ` : ''}${n % 100 ? below100(n % 100) : ''}`.trim()
      expect(figures(said), said).toEqual([n])
    }
  })

  it('is none where nothing is said of a number', () => {
    expect(spokenNumberAt(['point', 'of', 'it'], 0)).toBeUndefined()
    expect(spokenNumberAt(['hundred'], 0)).toBeUndefined()
  })
})

describe('figures as they are typed', () => {
  it.each([
    ['118,5 V', [118.5]],
    ['.032', [0.032]],
    ['-3 V', [-3]],
    ['b-b -3.4', [-3.4]],
    ['1/2', [0.5]],
    ['1 1/2 hp', [1.5]],
    ['½', [0.5]],
    ['171uF', [171]],
    ['1-2 4.1', [1, 2, 4.1]],
    ['half a meg', [0.5]],
    ['valve half shut', []],
    ['till the 14th', []],
  ])('%s', (line, values) => expect(figures(line)).toEqual(values))

  it('splits a unit off its figure and remembers that it stood against it', () => {
    expect(wordsOf('171uF')).toMatchObject([{ value: 171 }, { text: 'uf', raw: 'uF', glued: true }])
    expect(texts('60l/min')).toEqual(['60', 'l/min'])
  })

  it('keeps hyphens for pairs of leads', () => {
    expect(wordsOf('b-y 3.4')).toMatchObject([{ text: 'b' }, { text: 'y', joined: true }, { value: 3.4 }])
  })

  it('makes a denial of a verb and its not', () => {
    expect(texts("shaft doesn't turn")).toEqual(['shaft', 'not', 'turn'])
    expect(texts('it will not budge')).toEqual(['it', 'not', 'budge'])
    expect(texts('cannot turn')).toEqual(['not', 'turn'])
  })

  it('loses nothing of a line: every letter and digit is in a word', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) => {
        const plain = line.replace(/[\u2018\u2019\u00b4]/g, "'")
        const covered = new Set(
          wordsOf(plain).flatMap(({ start, end }) => [...Array(end - start).keys()].map((i) => start + i)),
        )
        const lost = [...plain.matchAll(/[a-zA-Z0-9]/g)].filter(({ index }) => !covered.has(index))
        expect(lost.map(([letter]) => letter)).toEqual([])
      }),
    )
  })
})
