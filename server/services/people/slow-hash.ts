import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import type { Hashing } from './people'

/**
 * Work for each guess: 32 MB, and some tenths of a second on two cores.
 *
 * @source OWASP Password Storage Cheat Sheet, scrypt: N = 2^15, r = 8, p = 3
 */
const scrypt = new Hash(
  new Scrypt({
    cost: 2 ** 15,
    blockSize: 8,
    parallelization: 3,
    saltSize: 16,
    keyLength: 64,
    maxMemory: 64 * 1024 * 1024,
  }),
)

/** The slow hash of passphrases, as text that says by itself how it was made. */
export const slowHash: Hashing = {
  hash: (passphrase) => scrypt.make(passphrase.normalize('NFKC')),
  verify: (hash, passphrase) => scrypt.verify(hash, passphrase.normalize('NFKC')).catch(() => false),
}
