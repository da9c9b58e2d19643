/**
 * Words of an address, a plate or a reading that are written in more than one way: whoever asks for one finds the
 * others. Common practice.
 */
const TOGETHER: readonly (readonly string[])[] = [
  ['street', 'st', 'str'],
  ['road', 'rd'],
  ['lane', 'ln'],
  ['avenue', 'ave'],
  ['court', 'ct'],
  ['drive', 'dr'],
  ['mohm', 'megohm', 'meg', 'megohms'],
  ['ohm', 'ohms'],
  ['μf', 'uf', 'mfd', 'microfarad', 'microfarads'],
  ['v', 'volt', 'volts'],
  ['a', 'amp', 'amps'],
  ['hp', 'horsepower'],
  ['cap', 'capacitor'],
]

/** Each word with its other spellings. */
export const REGISTER_SPELLINGS: ReadonlyMap<string, readonly string[]> = new Map(
  TOGETHER.flatMap((words) => words.map((word) => [word, words.filter((each) => each !== word)] as const)),
)
