import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['packages/*/src/**/*.test.ts', 'apps/*/src/**/*.test.{ts,tsx}'],
    testTimeout: 180_000,
    maxWorkers: 2,
    setupFiles: ['tools/testing/toSay.ts'],
  },
})
