/**
 * Keeps all that ships, so that every place opens with the server dead: pages, engine, fonts. What is asked of the
 * server's own interface is never kept. A newer version waits until the page says it may come.
 */
import { clientsClaim } from 'workbox-core'
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

/** Put here by the build: each file, and for those without a hash in their name one of what is in them. */
declare const SHIPPED: readonly { readonly url: string; readonly revision: string | null }[]

precacheAndRoute([...SHIPPED])
cleanupOutdatedCaches()
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api(\/|$)/] }))
clientsClaim()
addEventListener('message', ({ data }: MessageEvent<{ readonly type?: string } | null>) => {
  if (data?.type === 'SKIP_WAITING') void (self as unknown as { skipWaiting(): Promise<void> }).skipWaiting()
})
