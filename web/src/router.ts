import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import PlanPlace from './places/fire/PlanPlace.vue'
import { methodAt, methodPath } from './places/fire/methodPath'
import { arriving } from './offline/arriving'
import StovePlace from './places/stove/StovePlace.vue'
import { useDraft } from './stores/draft'

/** The plan stands where its method says; by a method that there is none of, by the draft's own. */
const toThePlan = (to: RouteLocation): string => methodPath(methodAt(String(to.params['method'] ?? '')) ?? useDraft().request.method.kind)

const LATER = {
  counterPlace: () => arriving(() => import('./places/counter/CounterPlace.vue')),
  larderPlace: () => arriving(() => import('./places/larder/LarderPlace.vue')),
  benchPlace: () => arriving(() => import('./places/bench/BenchPlace.vue')),
  methodsPlace: () => arriving(() => import('./places/fire/MethodsPlace.vue')),
  donenessPlace: () => arriving(() => import('./places/fire/DonenessPlace.vue')),
  kitPlace: () => arriving(() => import('./places/fire/KitPlace.vue')),
  passPlace: () => arriving(() => import('./places/pass/PassPlace.vue')),
  recipesPlace: () => arriving(() => import('./places/pass/RecipesPlace.vue')),
  bookPlace: () => arriving(() => import('./places/book/BookPlace.vue')),
  cookPage: () => arriving(() => import('./places/book/CookPage.vue')),
  screensPlace: () => arriving(() => import('./places/house/ScreensPlace.vue')),
  pairPlace: () => arriving(() => import('./places/house/PairPlace.vue')),
  rehearsalsPlace: () => arriving(() => import('./places/rehearsal/RehearsalsPlace.vue')),
  drillsPlace: () => arriving(() => import('./places/rehearsal/DrillsPlace.vue')),
  fingerPlace: () => arriving(() => import('./places/rehearsal/FingerPlace.vue')),
  cutOpenPage: () => arriving(() => import('./places/rehearsal/CutOpenPage.vue')),
  comparePage: () => arriving(() => import('./places/book/ComparePage.vue')),
  nowherePlace: () => arriving(() => import('./places/NowherePlace.vue'))
}
/** The plan and the stove come with the page; the other places right after, and stay: a server that dies must not lock a cook out of any. */
export const loadPlaces = (): Promise<unknown> => Promise.all(Object.values(LATER).map(load => load()))

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? false : { top: 0 }),
  routes: [
    { path: '/', redirect: '/fire' },
    { path: '/counter', name: 'counter', component: LATER.counterPlace, meta: { title: 'Counter' } },
    { path: '/larder', name: 'larder', component: LATER.larderPlace, meta: { title: 'Larder' } },
    { path: '/bench', name: 'bench', component: LATER.benchPlace, meta: { title: 'Bench' } },
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
    { path: '/fire/methods', name: 'methods', component: LATER.methodsPlace, meta: { title: 'Every way to cook it' } },
    { path: '/fire/doneness', name: 'doneness', component: LATER.donenessPlace, meta: { title: 'Doneness and guests' } },
    { path: '/fire/kit', name: 'kit', component: LATER.kitPlace, meta: { title: 'Kit' } },
    { path: '/pass', name: 'pass', component: LATER.passPlace, meta: { title: 'Pass' } },
    { path: '/pass/recipes/:id?', name: 'recipes', component: LATER.recipesPlace, meta: { title: 'The recipe book' } },
    { path: '/stove', name: 'stove', component: StovePlace, meta: { title: 'Stove', mood: 'service' } },
    { path: '/book', name: 'book', component: LATER.bookPlace, meta: { title: 'Book' } },
    { path: '/book/:one/beside/:other', name: 'compare', component: LATER.comparePage, meta: { title: 'Side by side' } },
    { path: '/book/:id', name: 'cook', component: LATER.cookPage, meta: { title: 'Book' } },
    { path: '/rehearse', name: 'rehearse', component: LATER.rehearsalsPlace, meta: { title: 'Rehearse' } },
    { path: '/rehearse/drills', name: 'drills', component: LATER.drillsPlace, meta: { title: 'Small drills' } },
    { path: '/rehearse/finger', name: 'finger', component: LATER.fingerPlace, meta: { title: 'What a finger can tell' } },
    { path: '/rehearse/:id', name: 'cut open', component: LATER.cutOpenPage, props: true, meta: { title: 'Cut open' } },
    { path: '/screens', name: 'screens', component: LATER.screensPlace, meta: { title: 'Other screens' } },
    { path: '/pair', name: 'pair', component: LATER.pairPlace, meta: { title: 'Come in' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: LATER.nowherePlace, meta: { title: 'Not found' } }
  ]
})

// Of every change, also from one method's address to another.
router.beforeEach(to => (to.name !== 'plan' || to.path === toThePlan(to) ? true : toThePlan(to)))

router.afterEach(to => {
  document.title = `${String(to.meta['title'] ?? '')} · Macellaio`
  document.documentElement.dataset['mood'] = to.meta['mood'] === 'service' ? 'service' : 'day'
})
