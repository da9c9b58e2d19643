import type { CurvePoint } from '../hydraulics/pump-curve'
import { PIPE_FAMILIES, PIPE_SIZES } from '../knowledge/water/pipes'
import type { StockCapacitor } from '../electrical/capacitor-stock'
import { fromShown, type Measure } from '../quantity/measures'

interface Common<Name extends string> {
  name: Name
  label: string
  group: string
  hint?: string
}
export interface NumberField<Name extends string = string> extends Common<Name> {
  as: 'number'
  measure: Measure
  min?: number
  above?: number
  max: number
  whole?: boolean
  usual?: number
}
export interface Choice {
  id: string
  label: string
}
export interface ChoiceField<Name extends string = string> extends Common<Name> {
  as: 'choice'
  /** In the order in which they are offered. */
  choices: readonly Choice[]
  usual?: string
}
export interface CurveField<Name extends string = string> extends Common<Name> {
  as: 'curve'
  usual?: readonly CurvePoint[]
}
export interface StockField<Name extends string = string> extends Common<Name> {
  as: 'stock'
  usual: readonly StockCapacitor[]
}
/**
 * One thing a question asks for: its form, its rule and its usual value are one row. Without a usual value it may be
 * left out.
 */
export type Field<Name extends string = string> =
  NumberField<Name> | ChoiceField<Name> | CurveField<Name> | StockField<Name>

/** The input with which a question opens when nothing is known. */
export function usualInput<Input extends object>(fields: readonly Field[]): Input {
  return Object.fromEntries(
    fields.flatMap(({ name, usual }) => (usual === undefined ? [] : [[name, structuredClone(usual)]])),
  ) as Input
}

/** A usual value that is round where most shops read it. */
export const us = (value: number, measure: Measure) => fromShown(value, measure, 'us')

export interface LineOfPipe {
  pipeMaterial: string
  pipeSize: string
  pipeMetres: number
  elbows: number
}

/** The fields of one line of pipe, which several questions ask for. */
export function pipeFields(usual: LineOfPipe, group = 'The pipe'): Field<keyof LineOfPipe>[] {
  return [
    {
      name: 'pipeMaterial',
      label: 'Pipe',
      as: 'choice',
      group,
      choices: Object.entries(PIPE_FAMILIES).map(([id, { label }]) => ({ id, label })),
      usual: usual.pipeMaterial,
    },
    {
      name: 'pipeSize',
      label: 'Size',
      as: 'choice',
      group,
      choices: PIPE_SIZES.map((size) => ({ id: size, label: size.endsWith('mm') ? size : `${size} in` })),
      usual: usual.pipeSize,
      hint: 'nominal',
    },
    {
      name: 'pipeMetres',
      label: 'Length of pipe',
      as: 'number',
      group,
      measure: 'length',
      min: 0,
      max: 5000,
      usual: usual.pipeMetres,
    },
    {
      name: 'elbows',
      label: 'Elbows',
      as: 'number',
      group,
      measure: 'count',
      min: 0,
      max: 200,
      whole: true,
      usual: usual.elbows,
    },
  ]
}
