import { defineProject } from 'vitest/config'

export default defineProject({
  test: {
    name: 'server',
    include: ['test/**/*.test.ts'],
    globalSetup: ['test/support/postgres.mjs'],
    testTimeout: 150_000,
    hookTimeout: 150_000,
    // Each file has a database and processes of its own; two at a time suit two cores.
    maxWorkers: 2,
    // Files share what was loaded, not what they made: loading the server anew took longer than many a file's tests.
    isolate: false,
    sequence: { groupOrder: 1 },
  },
})
