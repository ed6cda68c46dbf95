import { serveMetrics } from '#server/utils/metrics'

/** Figures for whoever watches over this process: where PISCATOR_METRICS_PORT names a port, and nowhere else. */
export default defineNitroPlugin(nitro => {
  const port = Number(process.env.PISCATOR_METRICS_PORT)
  if (!port) return
  const { public: told, build } = useRuntimeConfig()
  const server = serveMetrics(port, told.version, build)
  server.on('error', logLater)
  nitro.hooks.hook('close', () => void server.close())
})
