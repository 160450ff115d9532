import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: ['packages/*/vitest.config.ts'],
    // Two files at a time suit two cores. One group of projects after the other: a worker keeps what it has loaded.
    maxWorkers: 2,
  },
})
