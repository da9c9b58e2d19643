import { describe, expect, it } from 'vitest'
import { judgeFinding } from '../diagnosis/judge-finding'
import { judgePrecharge } from '../hydraulics/tank'
import { PIPE_SIZES } from '../knowledge/water/pipes'
import { completePlate, type Pump } from '../motor/nameplate'
import { KPA_PER_PSI } from '../quantity/conversions'
import { usualInput, type ChoiceField } from '../questions/fields'
import { ask } from '../questions/ask'
import { questionById, QUESTIONS } from '../questions/questions'
import { runByName } from './registry'

describe('a thing that is judged in several places', () => {
  it('a precharge: as a reading, in the question and in the working', () => {
    const pump: Pump = {
      kind: 'well-two-wire',
      nameplate: { volts: 230 },
      installation: { cutInPsi: 40, cutOutPsi: 60 },
    }
    for (let psi = 10; psi <= 50; psi++) {
      const [prechargeKpa, cutInKpa, cutOutKpa] = [psi, 40, 60].map((each) => each * KPA_PER_PSI) as [
        number,
        number,
        number,
      ]
      const large = { pumpLitresPerSecond: 0.1, tankLitres: 400, minimumRunSeconds: 30 }
      const { verdict } = judgePrecharge(prechargeKpa, cutInKpa)
      const finding = { check: 'tank-precharge', value: psi }
      const said = [
        judgeFinding(finding, { pump, plate: completePlate(pump), findings: [] }).verdict,
        ask(questionById('tank-and-charge'), { prechargeKpa, cutInKpa, cutOutKpa, ...large }).solved.verdict,
        (runByName('tank-drawdown', { tankLitres: 400, prechargeKpa, cutInKpa, cutOutKpa }) as { verdict: string })
          .verdict,
      ]
      expect(said, `${psi} psi`).toEqual([verdict, verdict, verdict])
    }
  })

  it('a wire: as hot on the page as in the working', () => {
    const question = questionById('wire-size')
    const input = usualInput<Record<string, unknown>>(question.fields)
    const { sourceVolts, awg, oneWayMetres, amps, powerFactor } = input
    const { dropPercent } = ask(question, input).solved as unknown as { dropPercent: number }
    const working = runByName('voltage-drop', { sourceVolts, awg, oneWayMetres, amps, powerFactor })
    expect((working as unknown as { dropPercent: number }).dropPercent).toBeCloseTo(dropPercent, 6)
  })
})

describe('choices', () => {
  it('sizes stand smallest first, wire by its thickness, millimetres after inches', () => {
    const choices = (id: string, name: string) =>
      (questionById(id).fields.find((field) => field.name === name) as ChoiceField).choices.map((each) => each.id)
    expect(choices('wire-size', 'awg').slice(0, 5)).toEqual(['14', '12', '10', '8', '6'])
    expect(choices('string-to-pull', 'nominalInches')).toEqual(['0.75', '1', '1.25', '1.5', '2'])
    expect(PIPE_SIZES.slice(0, 4)).toEqual(['0.5', '0.75', '1', '1.25'])
    expect(PIPE_SIZES.slice(-2)).toEqual(['75 mm', '90 mm'])
  })
  it('each has its usual one among them', () => {
    for (const { id, fields } of QUESTIONS)
      for (const field of fields)
        if (field.as === 'choice' && field.usual !== undefined)
          expect(
            field.choices.map((each) => each.id),
            `${id} ${field.name}`,
          ).toContain(field.usual)
  })
})
