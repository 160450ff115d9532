import { defineProject, mergeConfig } from 'vitest/config'
import base from './vite.config.ts'

export default mergeConfig(
  base,
  defineProject({ test: { name: 'web', environment: 'happy-dom', include: ['test/**/*.test.ts'] } }),
)
