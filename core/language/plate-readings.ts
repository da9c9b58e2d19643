import type { NameplateField } from '../knowledge/said/plate-said'
import { type Measuring, one, unitOf } from './measuring'
import type { Piece } from './phrases'
import { type Quantity, written } from './quantities'
import { capacitorsHere } from './scene'
import type { Topic } from './topics'

export function amperesOrVolts(quantity: Quantity, m: Measuring): NameplateField | 'ask' {
  if (quantity.unit === undefined) {
    const like = m.quantities.find((other) => other !== quantity && other.unit !== undefined)
    const unit = like ? unitOf(like) : undefined
    return unit === 'A' ? 'fullLoadAmps' : unit === 'V' ? 'volts' : 'ask'
  }
  const unit = unitOf(quantity)
  return unit === 'A' ? 'fullLoadAmps' : unit === 'V' ? 'volts' : 'ask'
}

export function plate(m: Measuring, field: NameplateField | 'ask', quantity: Quantity, pieces: Piece[]): void {
  if (field === 'ask') {
    const value = quantity.value as number
    one(m, pieces, `${written(quantity)} on the plate: what is it?`, [
      { label: `full load ${value} A`, other: [{ is: 'plate', field: 'fullLoadAmps', value }] },
      { label: `${value} V`, other: [{ is: 'plate', field: 'volts', value }] },
    ])
    return
  }
  if (field === 'frame' || field === 'codeLetter') {
    const end = m.pieces[quantity.last + 1]
    const glued = end?.words[0]?.glued ? end.words[0].raw : ''
    if (glued && end) pieces.push(end)
    m.said.push({
      other: { is: 'plate', field, value: `${(m.pieces[quantity.at] as Piece).words[0]?.raw}${glued.toUpperCase()}` },
      pieces,
    })
    return
  }
  m.said.push({ other: { is: 'plate', field, value: quantity.value as number }, pieces })
}

/** What is printed on a can, or wanted: a plate’s value, never a reading. */
export function printed(m: Measuring, quantity: Quantity, topic: Topic | undefined, pieces: Piece[]): void {
  const clause = (m.pieces[quantity.at] as Piece).clause
  const capacitor =
    topic?.checks.includes('capacitance') === true
      ? topic
      : m.topics.find(
          (other) => other.checks.includes('capacitance') && Math.abs((other.pieces[0] as Piece).clause - clause) <= 1,
        )
  const unit = unitOf(quantity)
  if (quantity.role === 'rated' && (capacitor || unit === 'uF') && (unit === 'uF' || unit === undefined)) {
    const part = capacitor?.part ?? (capacitorsHere(m.scene).length === 1 ? capacitorsHere(m.scene)[0] : undefined)
    const value: number | [number, number] =
      quantity.to === undefined ? (quantity.value as number) : [quantity.value as number, quantity.to]
    if (part)
      m.said.push({
        other: {
          is: 'plate',
          field: part === 'start-capacitor' ? 'startCapacitorMicrofarads' : 'runCapacitorMicrofarads',
          value,
        },
        pieces: quantity.pieces,
      })
    return
  }
  if (quantity.role === 'rated' && unit === 'A' && !capacitor) {
    m.said.push({ other: { is: 'plate', field: 'fullLoadAmps', value: quantity.value as number }, pieces })
    return
  }
  m.said.push({ pieces: quantity.pieces })
}
