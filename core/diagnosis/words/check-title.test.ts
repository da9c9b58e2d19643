import { describe, expect, it } from 'vitest'
import { checkInfo } from '../../knowledge/checks/checks'
import { checkTitle } from './check-title'

describe('how a check is asked for', () => {
  it.each([
    [{ check: 'winding-resistance', leads: 'common-run' }, 'Measure the run winding'],
    [{ check: 'winding-resistance', leads: 'run-common' }, 'Measure the run winding'],
    [
      { check: 'winding-resistance', leads: 'common-start', half: 'motor' },
      'Measure the start winding at the motor’s own leads',
    ],
    [{ check: 'insulation-resistance', setup: 'cable-alone' }, 'Measure the cable alone'],
    [{ check: 'shaft-turn', half: 'motor' }, 'Turn the motor alone by hand'],
    [{ check: 'capacitance', part: 'run-capacitor' }, 'Measure the run capacitor'],
    [{ check: 'o-ring-look', part: 'lid-o-ring' }, 'Look at the lid O-ring'],
    [{ check: 'capacitance', part: 'no-part' }, checkInfo('capacitance')?.ask],
    [{ check: 'capacitance' }, checkInfo('capacitance')?.ask],
    [
      { check: 'weep-hole', part: 'shaft-seal' },
      checkInfo('weep-hole')?.parts ? 'Look at the shaft seal' : checkInfo('weep-hole')?.ask,
    ],
    [{ check: 'weep-hole' }, checkInfo('weep-hole')?.ask],
    [{ check: 'no-such-check' }, 'no-such-check'],
  ] as const)('%j', (asked, title) => expect(checkTitle(asked)).toBe(title))
})
