import { describe, expect, it } from 'vitest'
import { buildModel } from '../diagnosis/model'
import { checkInfo } from '../knowledge/checks/checks'
import { KINDS, MOTOR_TYPES, type Kind, type MotorType } from '../knowledge/vocabulary'
import { completePlate } from '../motor/nameplate'
import { lineOf } from './line-subject'
import { understand } from '../language/understand'

const machines = (Object.keys(KINDS) as Kind[]).flatMap((kind) =>
  (Object.keys(MOTOR_TYPES) as MotorType[]).map((motorType) => ({ kind, nameplate: { volts: 230, motorType } })),
)

describe('a line that names a check and what it read', () => {
  it('is understood as that check, for every check of every kind and motor type, whatever is lit', () => {
    const misread: string[] = []
    for (const pump of machines) {
      const plate = completePlate(pump)
      for (const { check, part, leads, setup, half } of buildModel(pump).checks) {
        const info = checkInfo(check)
        if (info?.recorded) continue
        const answers = info?.outcomes
          ? Object.keys(info.outcomes).map((outcome) => ({ outcome }))
          : [
              {
                value:
                  info?.unit === 'V' && check !== 'battery-voltage'
                    ? 231
                    : Math.max(info?.plausible?.[0] ?? 0, Math.min(7, info?.plausible?.[1] ?? 7)),
              },
            ]
        for (const answer of answers) {
          const line = lineOf({ check, part, leads, setup, half }, answer)
          const understood = understand(line, {
            kind: pump.kind,
            plate,
            printed: pump.nameplate,
            standing: 'bench',
            gates: new Set(),
          })
          const found = understood.findings[0]
          const right =
            found?.check === check &&
            found.outcome === ('outcome' in answer ? answer.outcome : undefined) &&
            (part === undefined || found.part === part || (found.part === undefined && info?.part === part)) &&
            (half === undefined || found.half === half) &&
            (setup === undefined || setup === 'surface-motor' || found.setup === setup) &&
            (leads === undefined || found.leads?.includes('start') === leads.includes('start'))
          if (!right)
            misread.push(`${pump.kind} “${line}” as ${JSON.stringify(found ?? understood.ask ?? understood.note)}`)
        }
      }
    }
    expect([...new Set(misread)]).toEqual([])
  })
})
