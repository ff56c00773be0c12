import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { AntDesignVueResolver } from 'unplugin-vue-components/resolvers'
import components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vitest/config'

// Pages tell moments by the browser's clock: tests run by one two hours ahead of that of documents.
process.env.TZ = 'Etc/GMT-2'

export default defineConfig({
  plugins: [vue(), components({ dirs: [], dts: false, resolvers: [AntDesignVueResolver({ importStyle: false })] })],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  test: {
    include: ['resources/js/**/*.spec.ts'],
    environment: 'happy-dom',
    deps: { optimizer: { client: { enabled: true, include: ['ant-design-vue/es'] } } },
    setupFiles: ['resources/js/testing/region.ts'],
  },
})
