import { defineProject, mergeConfig } from 'vitest/config'
import base from './vite.config.ts'

export default mergeConfig(
  base,
  defineProject({
    test: { name: 'chatbox', environment: 'happy-dom', include: ['test/**/*.test.{ts,tsx}'] },
  }),
)
