import { chromiumOrThrow } from '../scripts/chromium.mjs'
import { App } from './app'

/** Once for all files. */
export default function setUp(): Promise<() => void> {
  chromiumOrThrow()
  return App.fillDemoBook()
}
