import { defineProject } from 'vitest/config'

export default defineProject({
  test: {
    name: 'server',
    include: ['test/**/*.test.ts'],
    globalSetup: ['test/support/postgres.mjs'],
    testTimeout: 150_000,
    hookTimeout: 150_000,
    // Each file has a database and processes of its own. Files share what was loaded, not what they made: loading the server anew took longer than many a file's tests.
    isolate: false,
    sequence: { groupOrder: 2 },
  },
})
