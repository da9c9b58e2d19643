import { describe, expect, it } from 'vitest'
import { addressKey, askedWords, matchedIn, phoneKey, searchWords, streetOf } from './words'

const finds = (asked: string, ...texts: string[]) => {
  const words = searchWords(...texts)
  return askedWords(asked).every((each) => words.some((word) => word.startsWith(each)))
}

describe('the words of the register', () => {
  it.each([
    ['6204', 'bearings 6204-2RS'],
    ['2rs', 'bearings 6204-2RS'],
    ['Weir', 'Weir Street 9, Tarrow Mill'],
    ['weir st 9', 'Weir Street 9, Tarrow Mill'],
    ['weir street', 'Weir St 9'],
    ['0.2 meg', 'insulation, motor and cable 0.2 MΩ'],
    ['0,2', 'insulation 0.2 MΩ'],
    ['25 uf', 'run capacitor 25 μF'],
    ['25uf', 'run capacitor 25 µF'],
    ['mfd', 'run capacitor 25 μF'],
    ['01001019', '0100 1019'],
    ['0100 1019', '0100 1019'],
    ['1019', '0100 1019'],
    ['weavers', 'Weaver’s Yard'],
    ["weaver's", 'Weaver’s Yard'],
    ['muhle', 'Alte Mühle'],
    ['mühle', 'Alte Mühle'],
    ['1.5 hp', '1.5 horsepower'],
  ])('%s finds %s', (asked, text) => expect(finds(asked, text)).toBe(true))

  it.each([
    ['6205', 'bearings 6204-2RS'],
    ['weir 8', 'Weir Street 9'],
    ['eir', 'Weir Street 9'],
    ['0.3 meg', 'insulation 0.2 MΩ'],
  ])('%s does not find %s', (asked, text) => expect(finds(asked, text)).toBe(false))

  it('asks every word, from wherever in the texts', () => {
    expect(finds('filter weir', 'filter pump 2', 'Millrace Lido', 'Weir Street 1')).toBe(true)
    expect(finds('filter ferry', 'filter pump 2', 'Weir Street 1')).toBe(false)
  })

  it('shows what was matched, as far as it was asked', () => {
    const shown = (text: string, asked: string) =>
      matchedIn(text, askedWords(asked)).map(([from, to]) => text.slice(from, to))
    expect(shown('Weir Street 9, Tarrow Mill', 'wei str')).toEqual(['Wei', 'Str'])
    expect(shown('Weir Street 9', 'st')).toEqual(['St'])
    expect(shown('0.2 MΩ', '0.2')).toEqual(['0.2'])
    expect(shown('Alder Lane', 'weir')).toEqual([])
  })
})

describe('addresses and telephones', () => {
  it('knows the street that several houses have in common', () => {
    expect(streetOf('Weir Street 9, Tarrow Mill')).toBe('Weir Street, Tarrow Mill')
    expect(streetOf('14b Shuttle Street, Tarrow Mill')).toBe('Shuttle Street, Tarrow Mill')
    expect(streetOf('Pippin Lane, Tarrowside')).toBe('Pippin Lane, Tarrowside')
    expect(streetOf('by the weir')).toBeUndefined()
  })

  it('compares what is written differently and means the same', () => {
    expect(addressKey('Weir St 9, Tarrow Mill')).toBe(addressKey('Weir Street 9 Tarrow Mill'))
    expect(addressKey('Weir Street 8')).not.toBe(addressKey('Weir Street 9'))
    expect(phoneKey('+1 (0100) 1019-22')).toBe(phoneKey('0100 101922'))
    expect(phoneKey('12')).toBeUndefined()
    expect(phoneKey(undefined)).toBeUndefined()
  })
})
