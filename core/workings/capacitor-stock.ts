import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, ValidateNested } from 'class-validator'
import { inParallel, inSeries, seriesVolts, substitutes, type Substitute } from '../electrical/capacitor-stock'
import type { Basis } from '../judgement/judgement'
import { formatNumber as n } from '../quantity/format'
import { StockRow } from '../questions/ask'
import { badField } from '../validation/input-error'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { defineWorking } from './define-working'

const COMBINED: Basis = {
  kind: 'standard',
  name: 'parallel: sum; series: reciprocal sum, volts inverse to capacitance',
}

class CombinationInput {
  @IsIn(['series', 'parallel']) connection!: 'series' | 'parallel'
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(50) microfarads!: number[]
  @OptionalQuantity({ above: 0, max: 1e5 }) volts?: number
}

export const capacitorCombination = defineWorking({
  name: 'capacitor-combination',
  title: 'What do these capacitors make together?',
  input: CombinationInput,
  basis: COMBINED,
  run: ({ connection, microfarads, volts }) => {
    microfarads.forEach((value, index) => {
      if (typeof value !== 'number' || !Number.isFinite(value) || value <= 0)
        throw badField(`microfarads.${index}`, value, 'a capacitance above 0 μF')
    })
    const stock = microfarads.map((value) => ({ microfarads: value, volts: Infinity }))
    const total = (connection === 'parallel' ? inParallel(stock) : inSeries(stock)).microfarads
    const voltsEach =
      volts === undefined
        ? undefined
        : connection === 'series'
          ? seriesVolts(microfarads, volts)
          : microfarads.map(() => volts)
    return {
      microfarads: total,
      ...(voltsEach ? { voltsEach } : {}),
      basis: COMBINED,
      steps: [
        connection === 'parallel'
          ? `${microfarads.map((value) => n(value)).join(' + ')} = ${n(total, 4)} μF`
          : `1 / (${microfarads.map((value) => `1/${n(value)}`).join(' + ')}) = ${n(total, 4)} μF`,
        ...(voltsEach ? [`volts across each: ${voltsEach.map((value) => n(value, 4)).join(', ')} V`] : []),
      ],
    }
  },
})

class SubstituteInput {
  @Quantity({ above: 0, max: 1e5 }) wantedMicrofarads!: number
  @Quantity({ above: 0, max: 1e4 }) wantedVolts!: number
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => StockRow) stock!: StockRow[]
  @MayBeAbsent() @Quantity({ above: 0, max: 50 }) tolerancePercent?: number
}

export const capacitorSubstitute = defineWorking({
  name: 'capacitor-substitute',
  title: 'Which capacitor can I make from what is in the van?',
  input: SubstituteInput,
  basis: COMBINED,
  run: ({ wantedMicrofarads, wantedVolts, stock, tolerancePercent }) => {
    const found = substitutes({ microfarads: wantedMicrofarads, volts: wantedVolts }, stock, tolerancePercent)
    const say = (name: string, { of, microfarads, volts, deviationPercent }: Substitute) =>
      `${name} ${of.map((each) => `${n(each.microfarads)} μF ${n(each.volts)} V`).join(' with ')}: ` +
      `${n(microfarads, 4)} μF, ${n(volts)} V, ${n(deviationPercent)} % off`
    const lines = [
      ...(found.single ? [say('alone', found.single)] : []),
      ...found.parallel.map((each) => say('side by side', each)),
      ...found.series.map((each) => say('in series', each)),
    ]
    return {
      ...found,
      basis: COMBINED,
      steps:
        lines.length > 0 ? lines : [`nothing in this stock makes ${n(wantedMicrofarads)} μF at ${n(wantedVolts)} V`],
      cautions: ['Run capacitors for run duty, start for start. Secure each can so that it cannot chafe.'],
    }
  },
})
