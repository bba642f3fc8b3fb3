import { createRouter, createWebHistory } from 'vue-router'
import FirePlace from './places/fire/FirePlace.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/fire' },
    { path: '/counter', name: 'counter', component: () => import('./places/counter/CounterPlace.vue'), meta: { title: 'Counter' } },
    { path: '/bench', name: 'bench', component: () => import('./places/bench/BenchPlace.vue'), meta: { title: 'Bench' } },
    { path: '/fire', name: 'fire', component: FirePlace, meta: { title: 'Fire' } },
    { path: '/stove', name: 'stove', component: () => import('./places/stove/StovePlace.vue'), meta: { title: 'Stove', mood: 'service' } },
    { path: '/book', name: 'book', component: () => import('./places/book/BookPlace.vue'), meta: { title: 'Book' } },
    { path: '/book/:id', name: 'cook', component: () => import('./places/book/CookPage.vue'), meta: { title: 'Book' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./places/NowherePlace.vue'), meta: { title: 'Not found' } }
  ]
})

router.afterEach(to => {
  document.title = `${String(to.meta['title'] ?? '')} · Macellaio`
  document.documentElement.dataset['mood'] = to.meta['mood'] === 'service' ? 'service' : 'day'
})
