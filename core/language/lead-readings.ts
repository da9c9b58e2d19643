import type { Unit } from '../quantity/units'
import { headBefore, type Make, type Measuring, note, unitOf } from './measuring'
import type { Quantity } from './quantities'
import { capacitorsHere } from './scene'
import type { Topic } from './topics'
import type { Answer } from './understanding'

/** Readings on leads and legs, to each other or to ground. */
export function leadAnswers(m: Measuring, quantity: Quantity, topic: Topic, make: Make): Answer[] | undefined {
  const { scene } = m
  const own = unitOf(quantity)
  const head = headBefore(m, topic)
  const { lead, leads } = topic
  if (topic.legs) {
    if (own === undefined || own === 'V')
      return [
        {
          label: 'each leg to ground',
          findings: ['l1', 'l2'].flatMap((leg) => make('supply-voltage', { lead: leg }).findings ?? []),
        },
      ]
    return undefined
  }
  if (leads) {
    const [a, b] = leads.split('-') as [string, string]
    if (a.startsWith('l') && b.startsWith('l') && a !== b)
      return own === undefined || own === 'V' ? [make(head === 'supply-voltage-loaded' ? head : 'supply-voltage')] : []
    if (a === b) {
      if (scene.kind !== 'well-two-wire') return []
      return own === 'V' ? [make('supply-voltage')] : [make('winding-resistance', { leads: 'run-common' })]
    }
    if (own === 'V' || own === 'A' || own === 'Mohm')
      return own === 'V' ? [make('supply-voltage'), note(topic.pieces)] : []
    const volts = scene.plate.volts
    if (own === undefined && quantity.value !== null && Math.abs(quantity.value - volts) < 0.15 * volts)
      return [make('supply-voltage'), make('winding-resistance', { leads })]
    return [make('winding-resistance', { leads })]
  }
  const at = lead ? { lead } : {}
  if (topic.ground) {
    if (own === 'V') return lead && (lead === 'l1' || lead === 'l2' || own === 'V') ? [make('supply-voltage', at)] : []
    if (own === 'A') return []
    if (quantity.value === null) {
      const insulation = head === 'insulation-resistance' || scene.lit?.check === 'insulation-resistance'
      return insulation
        ? [make('insulation-resistance', at)]
        : [{ label: 'ohmmeter to ground', findings: [{ check: 'ground-ohmmeter', outcome: 'open', ...at }] }]
    }
    if (own === undefined && (lead === 'l1' || lead === 'l2')) return [make('supply-voltage', at)]
    if (own === undefined && head !== 'insulation-resistance' && scene.lit?.check !== 'insulation-resistance') {
      if (quantity.value > 60) return [make('supply-voltage', at), make('insulation-resistance', at)]
      return [{ ...make('insulation-resistance', at), label: `${quantity.value} MΩ` }, note(topic.pieces)]
    }
    return [make('insulation-resistance', at)]
  }
  if (lead === 'run' || lead === 'start') return runOrStart(m, quantity, lead, head, own, make)
  if (lead === 'l1' || lead === 'l2') {
    if (own === 'A') return [make('lead-current', at)]
    return own === undefined || own === 'V'
      ? [make(head === 'supply-voltage-loaded' ? head : 'supply-voltage', at)]
      : undefined
  }
  if (own === 'A') return [make('lead-current', at)]
  if (own === 'Mohm' || (own === 'ohm' && /^k/i.test(quantity.unit ?? ''))) return [make('insulation-resistance', at)]
  if (own === 'V') return [make('supply-voltage', at), note(topic.pieces)]
  if (own === 'ohm') return []
  if (head === 'insulation-resistance' || head === 'ground-ohmmeter') return [make('insulation-resistance', at)]
  if (head === 'running-current' || head === 'lead-current') return [make('lead-current', at)]
  const lit = scene.lit?.check
  if (lit === 'insulation-resistance' || lit === 'lead-current') return [make(lit, at)]
  return []
}

/** `run 3.2 start 8.4`: windings on a motor without a run capacitor, else what is named before. */
function runOrStart(
  m: Measuring,
  quantity: Quantity,
  lead: 'run' | 'start',
  head: string | undefined,
  own: Unit | undefined,
  make: Make,
): Answer[] {
  const capacitor = {
    ...make('capacitance', { part: `${lead}-capacitor`, method: 'off-circuit' }),
    label: `${lead} capacitor`,
  }
  const winding = { ...make('winding-resistance', { leads: `${lead}-common` }), label: `${lead} winding` }
  if (own === 'uF') return [capacitor]
  if (own === 'ohm') return [winding]
  if (own === 'A') return lead === 'run' ? [make('running-current')] : [make('locked-current')]
  if (own !== undefined) return []
  if (head === 'capacitance') return [capacitor]
  if (head === 'winding-resistance') return [winding]
  if (quantity.value === null) return [winding]
  const has = (name: 'run' | 'start') => capacitorsHere({ ...m.scene, lit: null }).includes(`${name}-capacitor`)
  const both = m.topics.filter((topic) => topic.lead === 'run' || topic.lead === 'start').length > 1
  return both && !(has('run') && has('start')) ? [winding] : [capacitor, winding]
}
