import { createHash } from 'node:crypto'

/** How long a content is, and its SHA-256. */
export interface Seal {
  bytes: number
  sha256: string
}

/** Seals a content as it passes through. */
export function sealing(content: AsyncIterable<Buffer>): { passed: AsyncGenerator<Buffer>; seal: () => Seal } {
  const sha = createHash('sha256')
  let bytes = 0
  async function* passing() {
    for await (const chunk of content) {
      sha.update(chunk)
      bytes += chunk.length
      yield chunk
    }
  }
  return { passed: passing(), seal: () => ({ bytes, sha256: sha.digest('hex') }) }
}
