import { checkInfo } from '../../knowledge/checks/checks'
import { isIdOf, PARTS } from '../../knowledge/vocabulary'
import { checkKey, type Asked } from '../finding'

const TITLES: Readonly<Record<string, string>> = {
  'winding-resistance:common-run': 'Measure the run winding',
  'winding-resistance:common-start': 'Measure the start winding',
  'winding-resistance:common-run:motor': 'Measure the winding at the motor’s own leads',
  'winding-resistance:common-start:motor': 'Measure the start winding at the motor’s own leads',
  'insulation-resistance:motor-and-cable': 'Measure the insulation, motor and cable',
  'insulation-resistance:cable-alone': 'Measure the cable alone',
  'insulation-resistance:motor-alone': 'Measure the motor alone',
  'shaft-turn:motor': 'Turn the motor alone by hand',
  'shaft-turn:pump-end': 'Turn the pump end alone by hand',
}

/** How a check is asked for, saying which of its like it is. */
export function checkTitle(check: Asked): string {
  const info = checkInfo(check.check)
  const known = TITLES[checkKey(check)]
  if (known) return known
  const several = info?.parts !== undefined && check.part !== undefined && isIdOf(PARTS, check.part)
  if (!several) return info?.ask ?? check.check
  return `${info.unit ? 'Measure' : 'Look at'} the ${PARTS[check.part as keyof typeof PARTS]}`
}
