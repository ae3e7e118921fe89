import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'

const core = fileURLToPath(new URL('./core', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  srcDir: 'app/',
  serverDir: 'server/',
  ssr: false,
  telemetry: false,
  nitro: { compressPublicAssets: true },
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  imports: { scan: false, autoImport: false },
  components: false,
  // A leaf's script is fetched when its tab is pointed at, so that the first load carries only what it shows.
  experimental: { defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } } },
  alias: { '#core': core },
  css: ['~/assets/lamellon.css'],
  app: {
    head: {
      title: 'Lamellon',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'description', content: 'Plans cake decorations in edible wafer and rice paper.' }, { name: 'theme-color', content: '#fbf6ee' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true, paths: { '#core/*': ['../core/*'] } }, include: ['../app/**/*', '../core/**/*', '../server/**/*', '../tests/**/*', '../bench/**/*', '../*.ts'] },
  },
  vite: {
    // The plugin carries types of its own copy of Vite.
    plugins: [tailwindcss() as never],
    worker: { format: 'es' },
    optimizeDeps: { include: ['@headlessui/vue', '@lucide/vue', '@vueuse/core', 'chart.js', 'comlink', 'culori/fn', 'dexie', 'ical-generator', 'immer', 'pdf-lib', '@pdf-lib/fontkit', 'vue-chartjs', 'zod'] },
  },
})
