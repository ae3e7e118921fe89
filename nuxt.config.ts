import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { withPolicy } from './server/policy'

const core = fileURLToPath(new URL('./core', import.meta.url))

// Building a schema changes nothing: one that a script does not read is left out of it.
const treeshake = { manualPureFunctions: ['z'] }

/** Zod can write down what its schemas are; only the script that publishes the file format asks for it, no page does. */
const withoutPublishing = {
  name: 'lamellon:without-publishing',
  transform(code: string, path: string) {
    if (!/zod\/v4\/core\/(json-schema-processors|to-json-schema)\.js$/.test(path)) return null
    return code.replace(/^export const (\w+) = \([^]*?^\};$/gm, 'export const $1 = () => undefined')
  },
}

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  srcDir: 'app/',
  serverDir: 'server/',
  ssr: false,
  telemetry: false,
  // The shell is a real file, so that the service worker can keep it.
  nitro: {
    compressPublicAssets: true,
    prerender: { routes: ['/'] },
    hooks: {
      'prerender:generate': (route) => {
        if (route.fileName?.endsWith('.html') && route.contents) route.contents = withPolicy(route.contents)
      },
    },
  },
  devtools: { enabled: false },
  modules: ['@pinia/nuxt', '@vite-pwa/nuxt'],
  // After the first load every leaf works without the network: all scripts, styles and fonts are kept. What the
  // stand-ins answer is never kept.
  pwa: {
    // A newer Lamellon waits until it is taken over: a page in use never loses the scripts it is made of.
    registerType: 'prompt',
    manifest: {
      name: 'Lamellon',
      short_name: 'Lamellon',
      description: 'Plans cake decorations in edible wafer and rice paper.',
      theme_color: '#fbf6ee',
      background_color: '#fbf6ee',
      display: 'standalone',
      start_url: '/',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      // From the first visit on every script comes from what was kept.
      clientsClaim: true,
      globPatterns: ['**/*.{js,css,html,svg,woff,woff2,json}'],
      globIgnores: ['**/*.schema.json', '**/200.html', '**/404.html'],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//, /\.schema\.json$/],
      maximumFileSizeToCacheInBytes: 4_000_000,
    },
  },
  imports: { scan: false, autoImport: false },
  components: false,
  // A leaf's script is fetched when its tab is pointed at, so that the first load carries only what it shows. The
  // service worker keeps all of them later.
  hooks: {
    'build:manifest': (manifest) => {
      for (const script of Object.values(manifest)) script.prefetch = false
    },
  },
  experimental: { defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } } },
  alias: { '#core': core },
  css: ['~/assets/lamellon.css'],
  app: {
    head: {
      title: 'Lamellon',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'description', content: 'Plans cake decorations in edible wafer and rice paper.' },
        { name: 'theme-color', content: '#fbf6ee' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true, paths: { '#core/*': ['../core/*'] } },
      include: [
        '../app/**/*',
        '../core/**/*',
        '../server/**/*',
        '../tests/**/*',
        '../bench/**/*',
        '../campaign/**/*',
        '../*.ts',
      ],
    },
  },
  vite: {
    // The plugin carries types of its own copy of Vite.
    plugins: [tailwindcss() as never, withoutPublishing],
    // What the package gives by itself is for browsers of long ago, and larger.
    resolve: { alias: [{ find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.mjs' }] },
    worker: { format: 'es', rollupOptions: { treeshake }, plugins: () => [withoutPublishing] },
    build: { rollupOptions: { treeshake } },
    optimizeDeps: {
      include: [
        '@headlessui/vue',
        '@lucide/vue',
        '@vueuse/core',
        'chart.js',
        'comlink',
        'culori/fn',
        'dexie',
        'ical-generator',
        'immer',
        'pdf-lib',
        '@pdf-lib/fontkit',
        'vue-chartjs',
        'zod',
      ],
    },
  },
})
