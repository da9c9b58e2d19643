import type { Basis } from '../../judgement/judgement'

/** Boundary dimensions of deep-groove ball bearings by designation: bore, outside, width, millimetres. */
export const BEARINGS: Readonly<Record<string, readonly [bore: number, outside: number, width: number]>> = {
  '607': [7, 19, 6],
  '608': [8, 22, 7],
  '609': [9, 24, 7],
  '626': [6, 19, 6],
  '627': [7, 22, 7],
  '629': [9, 26, 8],
  '6000': [10, 26, 8],
  '6001': [12, 28, 8],
  '6002': [15, 32, 9],
  '6003': [17, 35, 10],
  '6004': [20, 42, 12],
  '6005': [25, 47, 12],
  '6006': [30, 55, 13],
  '6007': [35, 62, 14],
  '6008': [40, 68, 15],
  '6009': [45, 75, 16],
  '6010': [50, 80, 16],
  '6200': [10, 30, 9],
  '6201': [12, 32, 10],
  '6202': [15, 35, 11],
  '6203': [17, 40, 12],
  '6204': [20, 47, 14],
  '6205': [25, 52, 15],
  '6206': [30, 62, 16],
  '6207': [35, 72, 17],
  '6208': [40, 80, 18],
  '6209': [45, 85, 19],
  '6210': [50, 90, 20],
  '6300': [10, 35, 11],
  '6301': [12, 37, 12],
  '6302': [15, 42, 13],
  '6303': [17, 47, 14],
  '6304': [20, 52, 15],
  '6305': [25, 62, 17],
  '6306': [30, 72, 19],
  '6307': [35, 80, 21],
  '6308': [40, 90, 23],
  '6309': [45, 100, 25],
  '6310': [50, 110, 27],
}
export const BEARING_BASIS: Basis = {
  kind: 'standard',
  name:
    'ISO 15 boundary dimensions (from memory); bore code 00, 01, 02, 03 = 10, 12, 15, 17 mm, then five times the ' +
    'code',
}
export const BEARING_TONES_BASIS: Basis = { kind: 'handbook', name: 'kinematics of a ball bearing without slip' }
export const BEARING_LIFE_BASIS: Basis = {
  kind: 'standard',
  name: 'ISO 281: basic rating life (C/P)^p million revolutions',
}
