import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const common = {
  // How quick anything is says the bench. A test waits so long that only what never comes fails, on a machine that is held up too.
  testTimeout: 600_000,
  hookTimeout: 600_000,
  expect: { poll: { timeout: 60_000 } },
  setupFiles: ['toSay', 'sameDraws'].map((file) => fileURLToPath(new URL(`tools/testing/${file}.ts`, import.meta.url))),
}

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        test: {
          ...common,
          name: 'computations',
          // Files share what they import: half the time. A test leaves nothing behind that another could trip over.
          isolate: false,
          include: ['packages/*/src/**/*.test.ts', 'apps/*/src/**/*.test.ts', 'tools/**/*.test.ts'],
        },
      },
      {
        test: {
          ...common,
          name: 'screens',
          // One app has one store: every file has its own.
          isolate: true,
          include: ['apps/web/src/**/*.test.tsx'],
          setupFiles: [...common.setupFiles, fileURLToPath(new URL('apps/web/src/testing/setup.tsx', import.meta.url))],
          environment: fileURLToPath(new URL('tools/testing/screens.ts', import.meta.url)),
        },
      },
    ],
  },
})
