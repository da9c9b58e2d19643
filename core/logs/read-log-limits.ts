/** What a logger's file may be. */
export const LOG_LIMITS = { mostCharacters: 40_000_000, mostLines: 1_000_000, fewestValues: 10 } as const
