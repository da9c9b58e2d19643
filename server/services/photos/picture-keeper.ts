/** Where pictures’ bytes lie, each under the SHA-256 of itself: one is kept once, and can never be another. */
export interface PictureKeeper {
  /** Where that is, in words for whoever started the server. */
  readonly place: string
  get: (hash: string) => Promise<Buffer | undefined>
  has: (hash: string) => Promise<boolean>
  /** The hashes of all that are here. */
  all: () => Promise<string[]>
  /** @returns whether it was new */
  keep: (hash: string, bytes: Uint8Array) => Promise<boolean>
  /** Gives up a picture that was kept for lines which were refused then, where nobody else can have kept it since. */
  drop: (hash: string) => Promise<void>
  /** Removes a picture for good: somebody's data are removed, and no line speaks of it. */
  forget: (hash: string) => Promise<void>
}

/** Is this the SHA-256 of something, as it names a picture? */
export const isHash = (text: string): boolean => /^[0-9a-f]{64}$/.test(text)
