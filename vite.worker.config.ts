import { defineConfig } from 'vite'

/** The worker that keeps what was seen last: one file of its own beside the pages, under a name that stays. */
export default defineConfig({
  publicDir: false,
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'public/build',
    emptyOutDir: false,
    rolldownOptions: { input: 'resources/worker/sw.js', output: { format: 'iife', entryFileNames: 'sw.js' } },
  },
})
