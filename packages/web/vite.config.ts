import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { noRings, pageFiles } from './vitePages.ts'

const version = Date.now().toString(36)

// Component tests need no styles; without them they run twice as fast.
const importStyle = process.env.VITEST ? false : 'css'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
    AutoImport({ resolvers: [ElementPlusResolver({ importStyle })], dts: 'auto-imports.d.ts' }),
    Components({ resolvers: [ElementPlusResolver({ importStyle })], dirs: [], dts: 'components.d.ts' }),
    pageFiles(version),
    noRings(),
    compression({
      algorithms: ['brotliCompress', 'gzip'],
      include: /\.(?:js|css|svg|html)$/,
      threshold: 1000,
    }),
  ],
  define: {
    __VERSION__: JSON.stringify(version),
    __VUE_OPTIONS_API__: true,
    __VUE_PROD_DEVTOOLS__: false,
    __VUE_I18N_LEGACY_API__: false,
    __INTLIFY_PROD_DEVTOOLS__: false,
  },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    cssCodeSplit: false,
    rolldownOptions: {
      output: {
        // Shared parts are named after all who share them; the address needs no such list.
        chunkFileNames: ({ name }) => `assets/${name.split('~')[0]}-[hash].js`,
        codeSplitting: {
          groups: [
            // What every page needs, in one file; what several pages share, of the libraries and of ours apart.
            { name: 'frame', tags: ['$initial'], priority: 3 },
            {
              name: 'library',
              test: /node_modules/,
              minShareCount: 2,
              entriesAware: true,
              entriesAwareMergeThreshold: 16000,
              priority: 2,
            },
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 4000 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://localhost:4600', '/oauth': 'http://localhost:4600' } },
})
