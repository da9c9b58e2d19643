// One seed, so that a check says the same of the same code on every machine. To look further: FUZZ_SEED=7
// FUZZ_RUNS=5000 npx vitest run core
import fc from 'fast-check'

const { FUZZ_SEED, FUZZ_RUNS } = process.env
fc.configureGlobal({ seed: Number(FUZZ_SEED ?? 20261125), ...(FUZZ_RUNS ? { numRuns: Number(FUZZ_RUNS) } : {}) })
