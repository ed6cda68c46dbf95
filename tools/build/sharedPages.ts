import { join } from 'node:path'
import vue from '@vitejs/plugin-vue'
import { build } from 'vite'

/**
 * Bundle the pages that links show into a folder: the app's own figures, drawn by the server as text. What is shown
 * needs no script in the browser, and the server's bundle nothing of the app.
 */
export async function buildSharedPages(root: string, folder: string): Promise<void> {
  await build({
    configFile: false,
    root,
    logLevel: 'warn',
    plugins: [vue()],
    resolve: { alias: { '~': join(root, 'app') } },
    // Everything is in it: nothing is looked for beside the server.
    ssr: { noExternal: true, target: 'node' },
    build: {
      ssr: join(root, 'app/share/pages.ts'),
      outDir: join(folder, 'workers'),
      emptyOutDir: false,
      copyPublicDir: false,
      minify: false,
      target: 'node20',
      rollupOptions: { output: { entryFileNames: 'pages.mjs', inlineDynamicImports: true } },
    },
  })
}
