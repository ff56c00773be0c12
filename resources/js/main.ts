import './theme/nonce'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import './theme/base.css'

const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 2000 } } })

createApp(App).use(router).use(VueQueryPlugin, { queryClient: queries }).mount('#app')
