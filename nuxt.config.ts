import tailwindcss from '@tailwindcss/vite'
import pkg from './package.json'
import { buildRankingWorker } from './tools/build/rankingWorker'

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@nuxt/eslint'],
  // The screen is an instrument worked by hand: nothing of it can be drawn before the browser is there.
  ssr: false,
  components: { dirs: [{ path: '~/components', pathPrefix: false }] },
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
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  css: ['~/assets/main.css'],
  runtimeConfig: {
    databaseUrl: '',
    // A SensorThings service with the weather to come: the simulated station's, in the demonstration.
    stationUrl: '',
    // An NMEA 0183 line over TCP: a gateway of the boat, or the simulated one of the demonstration.
    nmea: { host: '', port: '', simulated: '' },
    session: { password: '' },
    public: { version: pkg.version },
  },
  sourcemap: false,
  compatibilityDate: '2026-01-01',
  nitro: { errorHandler: '~~/server/error', compressPublicAssets: true },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: 'es' },
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
      ],
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  hooks: {
    'nitro:init': nitro => {
      // Threads are started from a file: beside the server's bundle, and beside the sources' bundle while developing.
      const { rootDir, dev, output, buildDir } = nitro.options
      const build = () => buildRankingWorker(rootDir, dev ? buildDir : output.serverDir)
      nitro.hooks.hook('compiled', build)
    },
  },
  telemetry: false,
  eslint: { config: { stylistic: false } },
})
