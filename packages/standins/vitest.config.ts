import { defineProject } from 'vitest/config'

export default defineProject({
  test: { name: 'standins', include: ['test/**/*.test.ts'], testTimeout: 30_000 },
})
