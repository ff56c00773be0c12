import './theme/nonce'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { queries } from './api/queries'
import App from './App.vue'
import { router } from './router'
import './theme/base.css'

// On the bench's own machine what was seen last can be read while its server is stopped; on a club's phone nothing of the bench is left behind.
const keeps = document.querySelector<HTMLMetaElement>('meta[name="keeps"]')?.content === 'yes'
if (keeps && 'serviceWorker' in navigator) {
  window.addEventListener('load', () => {
    navigator.serviceWorker
      .register('/build/sw.js', { scope: '/' })
      .then((registration) => registration.active?.postMessage('provide'))
      .catch(() => undefined)
  })
}

if (!keeps && 'serviceWorker' in navigator) {
  void navigator.serviceWorker
    .getRegistrations()
    .then((all) => Promise.all(all.map((one) => one.unregister())))
    .then(async () => Promise.all((await caches.keys()).map((name) => caches.delete(name))))
    .catch(() => undefined)
}

createApp(App).use(router).use(VueQueryPlugin, { queryClient: queries }).mount('#app')
