import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { AntDesignVueResolver } from 'unplugin-vue-components/resolvers'
import components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vite'

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [vue(), components({ dirs: [], dts: false, resolvers: [AntDesignVueResolver({ importStyle: false })] })],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  build: {
    outDir: 'public/build',
    manifest: 'manifest.json',
    // The security policy lets no data: fonts in.
    assetsInlineLimit: 0,
    rollupOptions: { input: 'resources/js/main.ts' },
  },
})
