import { readdir } from 'node:fs/promises'
import tailwindcss from '@tailwindcss/vite'
import pkg from './package.json'
import { API_PAGE, API_PAGE_AT, buildApiPage } from './tools/build/apiPage'
import { type Homes, askAhead, findHomes, placesAhead } from './tools/build/ahead'
import { FRAME_AHEAD, buildFrameAhead } from './tools/build/frameAhead'
import { buildHash, sourceHash } from './tools/build/sourceHash'
import { buildRankingWorker } from './tools/build/rankingWorker'
import { buildSharedPages } from './tools/build/sharedPages'

const FONTS = ['archivo', 'atkinson-hyperlegible-next'].map(
  name => `${import.meta.dirname}/node_modules/@fontsource-variable/${name}/files`,
)

/** What the browser's part of the build has made. */
let made: Parameters<typeof askAhead>[0] | null = null
const homes: Homes = { places: new Map(), frames: new Set() }

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@nuxt/eslint', '@vite-pwa/nuxt'],
  // The screen is an instrument worked by hand: nothing of it can be drawn before the browser is there.
  ssr: false,
  // Without it the development server of a page that is not drawn on the server finds no entry to build.
  $development: { experimental: { viteEnvironmentApi: true }, spaLoadingTemplate: false },
  // A place whose script is missing is told by the app itself (app/plugins/missingPart.client.ts), not by a reload.
  // What stands until then goes once a place is there, not before.
  experimental: { emitRouteChunkError: 'manual', spaLoadingTemplateLocation: 'body' },
  spaLoadingTemplate: FRAME_AHEAD,
  // What a template names is imported where it is named.
  components: { dirs: [] },
  imports: { dirs: [], scan: false },
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Piscator',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        {
          name: 'description',
          content: 'Which lure colour and finish to tie on, from the water, the light and the fish.',
        },
      ],
      // In the light to read in that was chosen, before anything is drawn.
      script: [
        {
          innerHTML:
            "try{document.documentElement.dataset.theme=localStorage.getItem('piscator.theme')||'noon'}catch{}",
        },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  css: ['~/assets/main.css'],
  runtimeConfig: {
    databaseUrl: '',
    // A SensorThings service with the weather to come: the simulated station's, in the demonstration.
    stationUrl: '',
    stationSimulated: '',
    // An NMEA 0183 line over TCP: a gateway of the boat, or the simulated one of the demonstration.
    nmea: { host: '', port: '', simulated: '' },
    // What this was built from: two builds of one source are one.
    build: buildHash(),
    // The newest secret, which seals; and older ones, with commas between, which only open.
    session: { password: '', older: '' },
    public: { version: pkg.version },
  },
  pwa: {
    // A new version waits until the last page of the old one is closed: nothing that is open is taken away.
    registerType: 'prompt',
    manifest: {
      name: 'Piscator',
      short_name: 'Piscator',
      description: 'Which lure colour and finish to tie on, from the water, the light and the fish.',
      lang: 'en',
      start_url: '/',
      display: 'standalone',
      background_color: '#e9e9e8',
      theme_color: '#111111',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,table,svg,png,json}'],
      globIgnores: [`${API_PAGE_AT}/**`, 'fonts/**'],
      maximumFileSizeToCacheInBytes: 8_000_000,
      // Every place is the same page: kept with its scripts, it opens all of them without signal.
      // By what it was made of: two builds of one source are one version.
      additionalManifestEntries: [{ url: '/', revision: sourceHash() }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/(api[/-]|s\/)/],
      cleanupOutdatedCaches: true,
      clientsClaim: true,
    },
  },
  sourcemap: false,
  compatibilityDate: '2026-01-01',
  nitro: {
    errorHandler: '~~/server/error',
    compressPublicAssets: true,
    // What a worker's own bundle asks for.
    externals: { traceInclude: ['node_modules/@resvg/resvg-js/index.js'] },
    publicAssets: [
      { dir: API_PAGE, baseURL: API_PAGE_AT, maxAge: 3600 },
      // The fonts again, under names that pages without a build of their own can ask for.
      ...FONTS.map(dir => ({ dir, baseURL: 'fonts', maxAge: 31_536_000 })),
    ],
    // Every answer carries these, files and what is not there too. The page's own policy is set where its scripts are
    // known (server/plugins/policy.ts).
    routeRules: {
      '/**': {
        headers: {
          'x-content-type-options': 'nosniff',
          'referrer-policy': 'same-origin',
          'x-frame-options': 'DENY',
          'permissions-policy': 'camera=(), microphone=(), payment=(), usb=(), geolocation=(self)',
          'cross-origin-opener-policy': 'same-origin',
          'cross-origin-resource-policy': 'same-origin',
        },
      },
      [`/${API_PAGE_AT}/**`]: {
        headers: {
          // Its package writes styles into the page.
          'content-security-policy': [
            "default-src 'self'",
            "style-src 'self' 'unsafe-inline'",
            "img-src 'self' data:",
            "object-src 'none'",
            "frame-ancestors 'none'",
          ].join('; '),
        },
      },
    },
  },
  vite: {
    plugins: [tailwindcss(), findHomes(homes)],
    // What a worker loads has the name it has for the page, which then has it already.
    worker: { format: 'es', rollupOptions: { output: { assetFileNames: '_nuxt/[name].[hash][extname]' } } },
    // Files of a few lines cost more to ask for than to read.
    build: { rollupOptions: { output: { experimentalMinChunkSize: 20_000 } } },
    optimizeDeps: {
      include: [
        'suncalc',
        'luxon',
        'comlink',
        '@headlessui/vue',
        '@vueuse/core',
        'echarts/core',
        'echarts/charts',
        'echarts/components',
        'echarts/renderers',
        'idb',
        'uuid',
        'tz-lookup',
        'culori/fn',
        'lru-cache',
      ],
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  hooks: {
    'build:manifest': manifest => {
      askAhead(manifest, homes)
      made = manifest
    },
    'nitro:config': config => {
      config.virtual ??= {}
      config.virtual['#places-ahead'] = async () => {
        const files = made ? await readdir(`${config.buildDir}/dist/client/_nuxt`).catch(() => []) : []
        return `export default ${JSON.stringify(made ? placesAhead(made, homes, files) : {})}`
      }
    },
    'ready': () => buildApiPage(),
    'nitro:build:before': async nitro => {
      if (!nitro.options.dev) await buildFrameAhead(nitro.options.rootDir)
    },
    'nitro:init': nitro => {
      // Threads are started from a file: beside the server's bundle, and beside the sources' bundle while developing.
      const { rootDir, dev, output, buildDir } = nitro.options
      const folder = dev ? buildDir : output.serverDir
      const build = async () => {
        await Promise.all([buildRankingWorker(rootDir, folder), buildSharedPages(rootDir, folder)])
      }
      nitro.hooks.hook('compiled', build)
    },
  },
  telemetry: false,
  eslint: { config: { stylistic: false } },
})
