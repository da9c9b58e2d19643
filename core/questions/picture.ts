import type { CurvePoint } from '../hydraulics/pump-curve'
import type { Sentence } from '../quantity/sentence'

export interface CurveLine {
  label: string
  points: readonly CurvePoint[]
  role: 'pump' | 'system' | 'beside'
}
/** A handle: the field it moves, between which values, and along which axis of the picture it is pulled. */
export interface Handle {
  field: string
  min: number
  max: number
  axis: 'up' | 'across'
  label: string
  step: number
}

/** A handle on a curve: its field moves with the point by as much, in proportion, or with the square root. */
export interface PulledHandle extends Handle {
  at: CurvePoint
  pull: 'shift' | 'scale' | 'root'
}

/** What is drawn beside an answer, as data in SI; the page knows how to draw each kind. */
export type Picture =
  | {
      kind: 'curves'
      lines: readonly CurveLine[]
      point?: CurvePoint
      marks: readonly (CurvePoint & { label: string })[]
      handles: readonly PulledHandle[]
    }
  | {
      kind: 'pit'
      diameterMetres: number
      offMetres: number
      onMetres: number
      floorMetres: number
      inflow: number
      pump: number
      riserLitres: number
      trace: readonly { seconds: number; metres: number }[]
      storm: readonly { seconds: number; metres: number }[]
      handles: readonly Handle[]
    }
  | {
      kind: 'tank'
      shares: readonly { label: string; pressureKpa: number; water: number }[]
      tankLitres: number
      handles: readonly Handle[]
    }
  | {
      kind: 'suction'
      profile: readonly { label: string; metres: number }[]
      liftMetres: number
      longestMetres: number
      limitMetres: number
      handles: readonly Handle[]
    }
  | {
      kind: 'cable'
      points: readonly { metres: number; volts: number }[]
      starting: readonly { metres: number; volts: number }[]
      sourceVolts: number
      leastVolts: number
      handles: readonly Handle[]
    }
  | {
      kind: 'drain'
      litres: number
      freeLitres: number
      freeboardMetres: number
      riseMetres: number
      raisedMetres: number
      handles: readonly Handle[]
    }
  | {
      kind: 'cans'
      rows: readonly {
        label: Sentence
        cans: readonly { microfarads: number; volts: number }[]
        together: 'alone' | 'parallel' | 'series'
      }[]
    }
  | {
      kind: 'string'
      lengthMetres: number
      waterMetres: number
      parts: readonly { label: string; kilograms: number }[]
      pull: readonly { outMetres: number; kilograms: number }[]
      handKilograms: number
      handles: readonly Handle[]
    }
