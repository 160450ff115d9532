import { defineProject, mergeConfig } from 'vitest/config'
import base from './vite.config.ts'

export default mergeConfig(
  base,
  defineProject({
    // Whole pages are mounted; on a busy machine that takes its time.
    test: {
      name: 'web',
      environment: 'happy-dom',
      include: ['test/**/*.test.ts'],
      setupFiles: ['test/afterEach.ts'],
      testTimeout: 20_000,
      isolate: false,
      sequence: { groupOrder: 1 },
    },
  }),
)
