import { build as bundle } from 'esbuild'
import { join } from 'node:path'

/** Icons that Nuxt UI's parts and our own buttons use, bundled so that nothing is fetched at run time. */
const ICONS = [
  'arrow-left',
  'camera',
  'check',
  'flame',
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
  'list-tree',
  'loader-circle',
  'lock',
  'lock-open',
  'menu',
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
  'smartphone',
  'calendar-days',
  'circle',
  'pencil',
  'send',
  'table',
]

/** Said with every answer; the page's own policy names its scripts by their hash (server/plugins/security.ts). */
const SECURITY_HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy':
    'camera=(), microphone=(), geolocation=(), payment=(), usb=(), midi=(), accelerometer=(), gyroscope=(), magnetometer=(), screen-wake-lock=(self)',
}

/** Addresses of the pages as patterns, for the server: any other is not found. */
const pagePatterns: string[] = []
interface Page {
  readonly path: string
  readonly children?: Page[]
}
const patternsOf = ({ path, children = [] }: Page, above = ''): string[] => {
  const own = path.startsWith('/') ? path : `${above}/${path}`
  const pattern = own.replace(/:\w+\(\)/g, '[^/]+').replace(/\/$/, '')
  return [pattern, ...children.flatMap((child) => patternsOf(child, own))]
}

/** A new one for each build, so that an installed application fetches the shell that fits its scripts. */
const SHELL_REVISION = String(Date.now())

export default defineNuxtConfig({
  compatibilityDate: '2026-10-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  // Nobody reads the few lines of the server by their sources.
  sourcemap: false,
  modules: ['@nuxt/ui', '@pinia/nuxt', '@vite-pwa/nuxt'],
  css: ['~/assets/css/main.css'],
  imports: { scan: false },
  components: [{ path: '~/components', pathPrefix: false }],
  // A part that cannot be loaded is told (useAppUpdate); the page is never loaded anew unasked.
  experimental: {
    emitRouteChunkError: false,
    // A view is fetched when its link is pointed at or reached by keyboard, not all of them with the first: half of the
    // work of opening a build, on a phone too.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  ui: { fonts: false, experimental: { componentDetection: true } },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: false,
    clientBundle: { icons: ICONS.map((name) => `lucide:${name}`), scan: false, sizeLimitKb: 64 },
  },
  colorMode: { preference: 'system', fallback: 'light', storageKey: 'lurvan-colour' },
  // Tests of the interface that look at no ± and no cure let the server spare them both.
  runtimeConfig: { public: { demo: false, unasked: { samples: 0, cures: true } } },
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
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'apple-touch-icon', sizes: '180x180', href: '/apple-touch-icon.png' },
      ],
    },
  },
  // Installable and whole without a network: everything is kept at the first load; an update waits to be asked for.
  pwa: {
    registerType: 'prompt',
    // Served with a key in the own network, the manifest needs it like all else.
    useCredentials: true,
    manifest: {
      name: 'Lurvan',
      short_name: 'Lurvan',
      description: 'Set engine, gearbox and axle so that driveline angles and lengths hold.',
      lang: 'en',
      display: 'standalone',
      start_url: '/',
      background_color: '#f4f1ea',
      theme_color: '#f4f1ea',
      icons: [
        { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,svg,png,woff2,ttf,webmanifest}'],
      // The page shell is made by the server, so it is fetched when the worker installs.
      additionalManifestEntries: [{ url: '/', revision: SHELL_REVISION }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      maximumFileSizeToCacheInBytes: 4_000_000,
      cleanupOutdatedCaches: true,
    },
    // Our own notice registers it: the package's would load every open tab anew.
    client: { registerPlugin: false },
  },
  vite: { worker: { format: 'es' }, build: { target: 'es2022', chunkSizeWarningLimit: 900 } },
  // Nuxt's development server looks for a server entry even when nothing is rendered on the server.
  $development: {
    vite: {
      environments: { ssr: { build: { rollupOptions: { input: { server: 'nuxt/dist/app/entry.js' } } } } },
    },
  },
  hooks: {
    'pages:resolved': (pages) => {
      pagePatterns.splice(0, Infinity, ...new Set(pages.flatMap((page) => patternsOf(page))))
    },
    // The first view asks for what it needs and no more; the service worker fetches the rest once the page stands.
    'build:manifest': (manifest) => {
      for (const chunk of Object.values(manifest)) {
        chunk.prefetch = false
        chunk.dynamicImports = []
      }
    },
  },
  nitro: {
    typescript: { tsConfig: { references: [{ path: '../core' }] } },
    virtual: { '#lurvan/pages': () => `export const pagePatterns = ${JSON.stringify(pagePatterns)}` },
    compressPublicAssets: { gzip: true, brotli: true },
    routeRules: {
      '/**': { headers: SECURITY_HEADERS },
      // Their names change with their contents.
      '/_nuxt/**': { headers: { 'cache-control': 'public, max-age=31536000, immutable' } },
      '/sw.js': { headers: { 'cache-control': 'no-cache' } },
      '/manifest.webmanifest': { headers: { 'cache-control': 'no-cache' } },
      '/api/**': {
        headers: {
          'cache-control': 'no-store',
          'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
        },
      },
    },
    hooks: {
      // The checks of posted files run in a thread of their own, which wants a file of its own beside the server.
      compiled: async (nitro) => {
        await bundle({
          entryPoints: ['server/check/checkWorker.ts'],
          bundle: true,
          platform: 'node',
          format: 'esm',
          // Some packages' default entry is made for browsers' loaders and cannot be bundled.
          mainFields: ['module', 'main'],
          target: 'node20',
          outfile: join(nitro.options.output.serverDir, 'check-worker.mjs'),
          banner: {
            js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
          },
        })
      },
    },
  },
  typescript: {
    strict: true,
    // The core is checked once and read by its declarations from then on (npm run types).
    tsConfig: {
      exclude: ['../app/**/*.test.ts'],
      references: [{ path: '../core' }],
      compilerOptions: { noUncheckedIndexedAccess: true },
    },
  },
})
