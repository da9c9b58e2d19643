import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': root('./core'), '#server': root('./server'), '~': root('./app') } },
  esbuild: { tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core/**/*.test.ts', 'tests/reference/**/*.test.ts', 'tests/jobs/**/*.test.ts'],
          setupFiles: ['tests/set-up/fast-check.ts'],
          // What has no interface keeps nothing between two files: knowledge is read once for all of a worker's.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts', 'demo/**/*.test.ts', 'app/**/*.test.ts'],
          setupFiles: ['tests/set-up/fast-check.ts', 'tests/set-up/servers.ts'],
        },
      },
    ],
    // The runner would leave one of two cores to itself.
    maxWorkers: 2,
    testTimeout: 120_000,
    hookTimeout: 120_000,
    benchmark: { include: ['bench/**/*.bench.ts'] },
    coverage: {
      provider: 'v8',
      include: ['core/**/*.ts'],
      exclude: ['core/**/*.test.ts', 'core/knowledge/faults/model-types.ts', 'core/visit/test-{journal,device}.ts'],
      reporter: ['text-summary', 'json-summary'],
      thresholds: { lines: 90, statements: 90, branches: 80 },
    },
  },
})
