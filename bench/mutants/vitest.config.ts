import { configDefaults, defineConfig } from 'vitest/config'
import base from '../../vitest.config'

/**
 * What a mutant of core has to survive: core's own tests and the published references, no browser and no server. Left
 * out are the few that walk through thousands of cases: a mutant that only they would meet is not met within reason.
 */
export default defineConfig({
  ...base,
  test: {
    ...base.test,
    root: '.',
    // No server is started here, and the files that start one are not copied.
    setupFiles: ['tests/set-up/fast-check.ts'],
    include: ['core/**/*.test.ts', 'tests/reference/**/*.test.ts'],
    exclude: [
      ...configDefaults.exclude,
      'core/diagnosis/every-kind.test.ts',
      'core/virtual/*.test.ts',
      'core/visit/line-subject.test.ts',
      'core/workings/bad-numbers.test.ts',
      'tests/reference/inference.test.ts',
      'tests/reference/epanet.test.ts',
    ],
    // One module graph for all files of one mutant: most of its time went into loading the same modules anew.
    isolate: false,
    coverage: { ...base.test?.coverage, enabled: false },
  },
})
