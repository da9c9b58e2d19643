import sharp from 'sharp'

/** Bits of a picture's grey values below which nothing but ground is on it: an empty shop’s first page has 0.45. */
const LEAST_ENTROPY = 0.2

/**
 * Is there next to nothing on a picture?
 *
 * @param {Buffer} png
 */
export async function isBlank(png) {
  const { entropy } = await sharp(png).stats()
  return entropy < LEAST_ENTROPY
}
