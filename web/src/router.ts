import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import NowherePlace from './places/NowherePlace.vue'
import BenchPlace from './places/bench/BenchPlace.vue'
import BookPlace from './places/book/BookPlace.vue'
import CookPage from './places/book/CookPage.vue'
import CounterPlace from './places/counter/CounterPlace.vue'
import LarderPlace from './places/larder/LarderPlace.vue'
import MethodsPlace from './places/fire/MethodsPlace.vue'
import DonenessPlace from './places/fire/DonenessPlace.vue'
import KitPlace from './places/fire/KitPlace.vue'
import PlanPlace from './places/fire/PlanPlace.vue'
import { methodAt, methodPath } from './places/fire/methodPath'
import PassPlace from './places/pass/PassPlace.vue'
import StovePlace from './places/stove/StovePlace.vue'
import { useDraft } from './stores/draft'

/** The plan stands where its method says; by a method that there is none of, by the draft's own. */
const toThePlan = (to: RouteLocation): string => methodPath(methodAt(String(to.params['method'] ?? '')) ?? useDraft().request.method.kind)

// Every place comes with the page: a server that dies must not lock a cook out of the stove.
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/fire' },
    { path: '/counter', name: 'counter', component: CounterPlace, meta: { title: 'Counter' } },
    { path: '/larder', name: 'larder', component: LarderPlace, meta: { title: 'Larder' } },
    { path: '/bench', name: 'bench', component: BenchPlace, meta: { title: 'Bench' } },
    { path: '/fire', redirect: toThePlan },
    {
      path: '/fire/plan/:method',
      name: 'plan',
      component: PlanPlace,
      props: true,
      meta: { title: 'The plan' }
    },
    // As it stood in addresses before.
    { path: '/fire/way/:method', redirect: toThePlan },
    { path: '/fire/methods', name: 'methods', component: MethodsPlace, meta: { title: 'Every way to cook it' } },
    { path: '/fire/doneness', name: 'doneness', component: DonenessPlace, meta: { title: 'Doneness and guests' } },
    { path: '/fire/kit', name: 'kit', component: KitPlace, meta: { title: 'Kit' } },
    { path: '/pass', name: 'pass', component: PassPlace, meta: { title: 'Pass' } },
    { path: '/stove', name: 'stove', component: StovePlace, meta: { title: 'Stove', mood: 'service' } },
    { path: '/book', name: 'book', component: BookPlace, meta: { title: 'Book' } },
    { path: '/book/:id', name: 'cook', component: CookPage, meta: { title: 'Book' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: NowherePlace, meta: { title: 'Not found' } }
  ]
})

// Of every change, also from one method's address to another.
router.beforeEach(to => (to.name !== 'plan' || to.path === toThePlan(to) ? true : toThePlan(to)))

router.afterEach(to => {
  document.title = `${String(to.meta['title'] ?? '')} · Macellaio`
  document.documentElement.dataset['mood'] = to.meta['mood'] === 'service' ? 'service' : 'day'
})
