import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'

/**
 * As long as it must be, and as long as it may.
 *
 * @source OWASP ASVS 4.0.3, 2.1.1 and 2.1.2
 */
export const PASSPHRASE_LETTERS = { least: 12, most: 128 } as const
/** How hard to guess it must be, of 4: beyond what can be tried against a slow hash. */
const LEAST_SCORE = 3
/** So many letters that are neither of the name nor of this program. */
const LEAST_OF_ITS_OWN = 8

const guesses = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })

/**
 * What is wrong with a passphrase that somebody chooses; nothing where it will do. There are no rules on its letters.
 *
 * @source OWASP ASVS 4.0.3, 2.1.7 (against lists of what is commonly chosen) and 2.1.9
 */
export async function passphraseProblem(passphrase: string, name: string): Promise<string | undefined> {
  const letters = [...passphrase].length
  if (letters < PASSPHRASE_LETTERS.least)
    return `At least ${PASSPHRASE_LETTERS.least} letters: some words in a row will do.`
  if (letters > PASSPHRASE_LETTERS.most) return `At most ${PASSPHRASE_LETTERS.most} letters.`
  const own = [name, ...name.split(/\s+/), 'pike', 'lamp', 'pump'].filter((word) => word.length > 2)
  const { score } = await guesses.checkAsync(passphrase, own)
  const rest = own.reduce((left, word) => left.replaceAll(word.toLowerCase(), ''), passphrase.toLowerCase())
  return score < LEAST_SCORE || rest.replace(/\s/g, '').length < LEAST_OF_ITS_OWN
    ? 'This one is guessed too soon: take some words that do not belong together.'
    : undefined
}
