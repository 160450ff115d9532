import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vite'

/** What draws first screens on the server: the application's own parts, in files that stand alone, without styles. */
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
    AutoImport({ resolvers: [ElementPlusResolver({ importStyle: false })], dts: false }),
    Components({ resolvers: [ElementPlusResolver({ importStyle: false })], dirs: [], dts: false }),
  ],
  ssr: { noExternal: true },
  define: {
    __VERSION__: '""',
    __VUE_OPTIONS_API__: true,
    __VUE_PROD_DEVTOOLS__: false,
    __VUE_I18N_LEGACY_API__: false,
    __INTLIFY_PROD_DEVTOOLS__: false,
    // Looked up with every part that is drawn, otherwise.
    'process.env.NODE_ENV': '"production"',
  },
  build: {
    ssr: 'src/firstScreen/draw.ts',
    outDir: 'drawn/dist',
    target: 'node20',
    copyPublicDir: false,
    reportCompressedSize: false,
  },
})
