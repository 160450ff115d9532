import { defineProject } from 'vitest/config'

export default defineProject({
  // Simulations take their time; how fast the machine is must fail none.
  test: { name: 'core', include: ['test/**/*.test.ts'], isolate: false, testTimeout: 60_000 },
})
