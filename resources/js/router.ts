import { createRouter, createWebHistory } from 'vue-router'
import { queries } from './api/queries'
import { rigQuery } from './api/rigs'
import { cardQuery, NEW_CARD, shelfQuery } from './api/shelf'
import BenchPage from './pages/bench/BenchPage.vue'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from) => (to.path === from.path || to.hash !== '' ? false : { top: 0 }),
  routes: [
    { path: '/', name: 'bench', component: BenchPage, meta: { title: 'Bench' } },
    { path: '/start', name: 'start', component: () => import('./pages/bench/StartPage.vue'), meta: { title: 'Start with my gear' } },
    { path: '/shelf/:card?', name: 'shelf', component: () => import('./pages/shelf/ShelfPage.vue'), meta: { title: 'Shelf' } },
    { path: '/rigs/:slug/sheet', name: 'sheet', component: () => import('./pages/sheet/SheetPage.vue'), meta: { title: 'Set-up sheet', bare: true } },
    { path: '/rigs/:slug/dance', name: 'dance', component: () => import('./pages/dance/DancePage.vue'), meta: { title: 'Dance' } },
    { path: '/rigs/:slug/label', name: 'label', component: () => import('./pages/sheet/LabelPage.vue'), meta: { title: 'Label', bare: true } },
    {
      path: '/rigs/:slug/:step(path|wiring|bind|order|travel|switches|failsafe|check-out|handset|timing|history)?',
      name: 'rig',
      component: () => import('./pages/rig/RigPage.vue'),
      meta: { title: 'Rig' },
    },
    {
      path: '/rigs/:slug/at/:position(\\d+)',
      name: 'moment',
      component: () => import('./pages/moment/MomentPage.vue'),
      meta: { title: 'As it was' },
    },
    { path: '/signals/live', name: 'live', component: () => import('./pages/signals/LivePage.vue'), meta: { title: 'Listen live' } },
    { path: '/signals/compare', name: 'compare', component: () => import('./pages/signals/ComparePage.vue'), meta: { title: 'Two captures' } },
    { path: '/signals/formats', name: 'formats', component: () => import('./pages/signals/FormatsPage.vue'), meta: { title: 'Formats' } },
    { path: '/signals/:id(\\d+)?', name: 'signals', component: () => import('./pages/signals/SignalPage.vue'), meta: { title: 'Signal desk' } },
    { path: '/logbook', name: 'logbook', component: () => import('./pages/logbook/LogbookPage.vue'), meta: { title: 'Logbook' } },
    { path: '/field', name: 'field', component: () => import('./pages/field/FieldPage.vue'), meta: { title: 'Back from the field' } },
    { path: '/words', name: 'words', component: () => import('./pages/words/WordsPage.vue'), meta: { title: 'Words' } },
    { path: '/fault', name: 'fault', component: () => import('./pages/fault/FaultPage.vue'), meta: { title: 'Find the fault' } },
    { path: '/dry-bench', name: 'dry-bench', component: () => import('./pages/drybench/DryBenchPage.vue'), meta: { title: 'Dry bench' } },
    {
      path: '/practice/:rig?/:level?/:seed?',
      name: 'practice',
      component: () => import('./pages/practice/PracticePage.vue'),
      meta: { title: 'Practice' },
    },
    { path: '/tools/:tool', name: 'tool', component: () => import('./pages/tools/ToolPage.vue'), meta: { title: 'Quick tool' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./pages/NowherePage.vue'), meta: { title: 'Nothing here' } },
  ],
})

// What a screen begins with is asked for while its script still loads, not after it.
router.beforeEach((to, from) => {
  const { slug, card } = to.params
  if (to.name === 'rig' && typeof slug === 'string' && slug !== from.params.slug) void queries.prefetchQuery(rigQuery(slug))
  if (to.name !== 'shelf' || from.name === 'shelf') return
  void queries.prefetchQuery(shelfQuery)
  if (typeof card === 'string' && card !== '' && card !== NEW_CARD) void queries.prefetchQuery(cardQuery(card))
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? '')} · Linguator`
})
