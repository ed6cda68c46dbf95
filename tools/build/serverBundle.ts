import { join } from 'node:path'
import vue from '@vitejs/plugin-vue'
import { build } from 'vite'

/**
 * Bundle something of the app that Node draws as text; gives back the bundle's file.
 * @param entry from the root
 */
export async function serverBundle(root: string, entry: string, folder: string, name: string): Promise<string> {
  await build({
    configFile: false,
    root,
    logLevel: 'warn',
    plugins: [vue()],
    resolve: { alias: { '~': join(root, 'app') } },
    // Everything is in it: nothing is looked for beside the server.
    ssr: { noExternal: true, target: 'node' },
    build: {
      ssr: join(root, entry),
      outDir: folder,
      emptyOutDir: false,
      copyPublicDir: false,
      minify: false,
      target: 'node20',
      rollupOptions: { output: { entryFileNames: name, inlineDynamicImports: true } },
    },
  })
  return join(folder, name)
}
