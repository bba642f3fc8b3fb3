/** A component mounted as in the page, with its router and its stores. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { h, nextTick, type Component } from 'vue'
import { router } from '../router'

/** @param path where the page stands */
export async function mounted(component: Component, props: Readonly<Record<string, unknown>> = {}, path?: string): Promise<VueWrapper> {
  if (path !== undefined) {
    await router.push(path)
    await router.isReady()
  }
  const wrapper = mount({ render: () => h(component, props) }, { global: { plugins: [router] }, attachTo: document.body })
  await nextTick()
  return wrapper
}
