import { arriving } from './offline/arriving'
import { beginEngine } from './workers/engineWorker'

// On a core of its own the engine is read while the page is: it takes as long to come.
beginEngine()
arriving(() => import('./page')).catch((error: unknown) => {
  document.querySelector('#app')!.textContent = 'Not all of the page came. Load it again; nothing that was said is lost.'
  throw error
})
