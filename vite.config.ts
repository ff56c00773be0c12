import vue from '@vitejs/plugin-vue'
import { rmSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { AntDesignVueResolver } from 'unplugin-vue-components/resolvers'
import components from 'unplugin-vue-components/vite'
import { defineConfig, type Plugin } from 'vite'

const HOT = fileURLToPath(new URL('./public/hot', import.meta.url))

/** `npm run dev`: tells a running bin/start where the pages come from meanwhile. Gone when it ends. */
function tellsTheBench(): Plugin {
  return {
    name: 'tells-the-bench',
    apply: 'serve',
    configureServer(server) {
      server.httpServer?.once('listening', () => {
        const address = server.httpServer?.address()
        if (address && typeof address === 'object') writeFileSync(HOT, `http://127.0.0.1:${address.port}`)
      })
      const end = () => rmSync(HOT, { force: true })
      process.once('exit', end)
      for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.once(signal, () => process.exit())
    },
  }
}

export default defineConfig(({ command }) => ({
  base: command === 'build' ? '/build/' : '/',
  publicDir: false,
  plugins: [vue(), components({ dirs: [], dts: false, resolvers: [AntDesignVueResolver({ importStyle: false })] }), tellsTheBench()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  server: { host: '127.0.0.1' },
  build: {
    outDir: 'public/build',
    manifest: 'manifest.json',
    // The security policy lets no data: fonts in.
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: 'resources/js/main.ts',
      // What several screens share comes in one file with the application: a request for each small part costs a first load more than its bytes.
      // What the bench itself does not need at first is left out of it.
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'shared',
              test: /resources\/js\/(lib|api|composables|theme|components(?!\/(form\/Day|SourcePicker|QrCode)))\//,
              minShareCount: 2,
            },
          ],
        },
      },
    },
  },
}))
