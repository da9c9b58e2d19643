import { defineConfig } from 'vitest/config'
import base from '../../vitest.config'

/** What a mutant of core has to survive: core's own tests and the published references, no browser and no server. */
export default defineConfig({
  ...base,
  test: {
    ...base.test,
    root: '.',
    include: ['core/**/*.test.ts', 'tests/reference/**/*.test.ts'],
    coverage: undefined,
  },
})
