/** What callers hold the cause to be, and are as often wrong as right. Invented. */
export const THEORIES: readonly string[] = [
  'The neighbour says it is the capacitor, it always is.',
  'It needs a new pump, I was told so on the telephone.',
  'Nothing was done to it, but my brother looked at the wires in spring.',
  'It began with the thunderstorm, so it must be the motor.',
  'It is only a seal, please bring one.',
]
