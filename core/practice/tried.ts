import { harmsIn, type TryState } from './fold-try'
import { LAMP_HELP } from '../knowledge/practice/lamp-help'
import type { PracticeTried } from '../visit/entry'
import type { Afterwards } from './afterwards'
import { actsOf, type TryLine } from './try'

/** What a try that is over says of whoever made it: the one line that leaves the device. */
export function triedOf(
  after: Pick<Afterwards, 'isFound' | 'isGivenUp' | 'marks'>,
  state: TryState,
  lines: readonly TryLine[],
): PracticeTried {
  const seen = [state.begun.body.lamp, ...actsOf(lines, 'lamp').map(({ body }) => body.is)]
  return {
    code: state.begun.body.of.code,
    ended: after.isGivenUp ? 'given-up' : 'handed-over',
    found: after.isFound,
    minutes: Math.round(state.minutes * 10) / 10,
    price: Math.round(state.spent.total * 100),
    lamp: LAMP_HELP.findLast((help) => seen.includes(help)) ?? 'off',
    harms: harmsIn(state),
    marks: after.marks,
  }
}
