import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'

/** One file that a script tag loads; it lies beside the web application, which the server serves it with. */
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  oxc: { jsx: { runtime: 'automatic', importSource: 'preact' } },
  plugins: [compression({ algorithms: ['brotliCompress', 'gzip'], threshold: 0 })],
  build: {
    target: 'es2022',
    outDir: '../web/dist/chat',
    emptyOutDir: true,
    lib: { entry: 'src/main.tsx', formats: ['iife'], name: 'murrabelChat', fileName: () => 'box.js' },
  },
})
