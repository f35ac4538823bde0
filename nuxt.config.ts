/** Icons that Nuxt UI's parts and our own buttons use, bundled so that nothing is fetched at run time. */
const ICONS = [
  'arrow-left',
  'check',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'chevron-up',
  'circle-help',
  'copy',
  'delete',
  'download',
  'ellipsis',
  'keyboard',
  'loader-circle',
  'minus',
  'moon',
  'plus',
  'printer',
  'redo-2',
  'rotate-ccw',
  'search',
  'sun',
  'trash-2',
  'triangle-alert',
  'undo-2',
  'upload',
  'x',
  'archive',
  'zoom-in',
  'zoom-out',
  'command',
  'hard-drive',
  'history',
  'radio',
  'pause',
  'play',
  'ruler',
]

/** A new one for each build, so that an installed application fetches the shell that fits its scripts. */
const SHELL_REVISION = String(Date.now())

export default defineNuxtConfig({
  compatibilityDate: '2026-10-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@nuxt/ui', '@pinia/nuxt', '@vite-pwa/nuxt'],
  css: ['~/assets/css/main.css'],
  imports: { scan: false },
  components: [{ path: '~/components', pathPrefix: false }],
  ui: { fonts: false, experimental: { componentDetection: true } },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: false,
    clientBundle: { icons: ICONS.map((name) => `lucide:${name}`), scan: false, sizeLimitKb: 64 },
  },
  colorMode: { preference: 'system', fallback: 'light', storageKey: 'lurvan-colour' },
  runtimeConfig: { public: { demo: false } },
  app: {
    head: {
      title: 'Lurvan',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        {
          name: 'description',
          content: 'Set engine, gearbox and axle so that driveline angles and lengths hold.',
        },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  // Installable and whole without a network: everything is kept at the first load; an update waits to be asked for.
  pwa: {
    registerType: 'prompt',
    manifest: {
      name: 'Lurvan',
      short_name: 'Lurvan',
      description: 'Set engine, gearbox and axle so that driveline angles and lengths hold.',
      lang: 'en',
      display: 'standalone',
      start_url: '/',
      background_color: '#f4f1ea',
      theme_color: '#f4f1ea',
      icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,svg,woff2,webmanifest}'],
      // The page shell is made by the server, so it is fetched when the worker installs.
      additionalManifestEntries: [{ url: '/', revision: SHELL_REVISION }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      maximumFileSizeToCacheInBytes: 4_000_000,
      cleanupOutdatedCaches: true,
    },
    client: { installPrompt: false },
  },
  vite: { worker: { format: 'es' }, build: { target: 'es2022', chunkSizeWarningLimit: 900 } },
  // Nuxt's development server looks for a server entry even when nothing is rendered on the server.
  $development: {
    vite: {
      environments: { ssr: { build: { rollupOptions: { input: { server: 'nuxt/dist/app/entry.js' } } } } },
    },
  },
  hooks: {
    // The first view asks for what it needs and no more; the service worker fetches the rest once the page stands.
    'build:manifest': (manifest) => {
      for (const chunk of Object.values(manifest)) {
        chunk.prefetch = false
        chunk.dynamicImports = []
      }
    },
  },
  nitro: { compressPublicAssets: { gzip: true } },
  typescript: {
    strict: true,
    tsConfig: { exclude: ['../app/**/*.test.ts'], compilerOptions: { noUncheckedIndexedAccess: true } },
  },
})
