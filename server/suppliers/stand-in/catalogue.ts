import type { PriceBreak } from '../../../core/visit/buying'
import { chance } from '../../../core/quantity/random'

/** Something that the made-up supplier sells: of no make. */
export interface CatalogueItem {
  code: string
  name: string
  /** The fewest first, whole cents. */
  prices: PriceBreak[]
  pack?: number
  /** Pieces that lie with the supplier on the first day. */
  stock: number
}

const RUN = [3, 4, 5, 6, 7.5, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80]
const START = [
  '21-25',
  '30-36',
  '43-53',
  '53-64',
  '72-88',
  '88-108',
  '108-130',
  '124-149',
  '145-175',
  '161-193',
  '189-227',
  '216-259',
  '233-280',
  '270-324',
  '324-389',
  '400-480',
]
const BEARINGS = [
  '6000',
  '6001',
  '6002',
  '6003',
  '6200',
  '6201',
  '6202',
  '6203',
  '6204',
  '6205',
  '6206',
  '6207',
  '6303',
  '6304',
  '6305',
  '6306',
]
const CLOSURES = ['2RS', '2RS C3', 'ZZ', 'ZZ C3']
const DASHES = [
  110, 112, 116, 117, 119, 120, 121, 123, 126, 130, 134, 210, 212, 214, 216, 218, 221, 224, 228, 230, 233, 236, 239,
  241, 242, 244, 246, 248, 250, 252, 254, 256, 258, 260, 336, 341, 347, 353, 358, 361, 366, 425, 432, 438, 443,
]
const STUFFS = ['EPDM', 'nitrile', 'FKM']
const SEALS = [
  '5/8 in shaft, 1.25 in seat, 1.25 in head',
  '3/4 in shaft, 1.437 in seat, 1.4 in head',
  '1/2 in shaft, 1 in seat, 1 in head',
  '16 mm shaft, 31 mm seat, 30 mm head',
  '12 mm shaft, 26 mm seat, 25 mm head',
  '20 mm shaft, 36 mm seat, 35 mm head',
]
const SWITCHES = ['20/40', '30/50', '40/60', '50/70']
const SIZES = ['1/2', '3/4', '1', '1 1/4', '1 1/2', '2']
const WIRES = [14, 12, 10, 8, 6]
const HORSES = ['1/3', '1/2', '3/4', '1', '1.5', '2', '3']

/** What a made-up supplier sells, some four hundred things: the same every time. */
export function catalogue(): CatalogueItem[] {
  const random = chance(400)
  const items: CatalogueItem[] = []
  const add = (shelf: string, name: string, price: number, pack?: number) => {
    const cents = Math.round(price * 100)
    const isSmall = cents < 5_000
    items.push({
      code: `${shelf}-${String(items.length + 101).padStart(4, '0')}`,
      name,
      prices: isSmall
        ? [
            { from: pack ?? 1, price: cents },
            { from: (pack ?? 1) * 10, price: Math.round(cents * 0.85) },
          ]
        : [{ from: 1, price: cents }],
      ...(pack === undefined ? {} : { pack }),
      stock: Math.floor(random.between(0, isSmall ? 60 : 6)),
    })
  }
  for (const microfarads of RUN)
    for (const volts of [370, 440])
      for (const body of ['round', 'oval'])
        add('CA', `${microfarads} μF ${volts} V ${body}`, 6 + microfarads * 0.21 + (volts - 370) * 0.02)
  for (const range of START) for (const volts of [125, 250, 330]) add('CS', `${range} μF ${volts} V`, 9 + volts * 0.02)
  for (const number of BEARINGS)
    for (const closure of CLOSURES) add('BE', `${number} ${closure}`, 3.2 + Number(number.slice(2)) * 0.7)
  for (const dash of DASHES) for (const stuff of STUFFS) add('OR', `-${dash} ${stuff}`, 0.3 + dash * 0.012, 5)
  for (const seal of SEALS) add('SE', seal, 14 + seal.length * 0.1)
  for (const range of SWITCHES) add('SW', `${range} psi 1/4 female`, 26)
  for (const size of SIZES) {
    add('FI', `${size} male x ${size} female`, 2.4)
    add('FI', `union ${size} slip x ${size} slip`, 7.5)
  }
  for (const [index, size] of SIZES.slice(1).entries()) add('FI', `${size} male x ${SIZES[index]} female`, 3.1)
  for (const wire of WIRES)
    for (const wires of [3, 4]) {
      add('WI', `${wire} awg ${wires} wires submersible`, 11 + (14 - wire) * 0.6)
      add('WI', `${wire} awg ${wires} wires submersible, by the metre`, 1.2 + (14 - wire) * 0.35)
    }
  for (const horsepower of HORSES)
    for (const volts of [115, 230])
      add('MO', `${horsepower} hp ${volts} V 60 Hz 3450 rpm 56J`, 150 + horsepower.length * 55)
  for (const litres of [20, 60, 120, 180, 240, 320]) add('TA', `tank ${litres} litres, 1 female`, 60 + litres * 0.8)
  for (const amps of [10, 13, 15])
    for (const feet of [10, 20, 30]) add('FL', `${amps} A, ${feet} ft piggyback`, 24 + feet * 0.5)
  for (const name of [
    'bleed resistor 20 kΩ 5 W',
    'PTFE tape',
    'silicone grease, food grade',
    'PVC cement, 8 fl oz',
    'PVC primer, 8 fl oz',
  ])
    add('ZZ', name, 4.5)
  return items
}
