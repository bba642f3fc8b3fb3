/** Which Chromium drives the interface: one for tests, pictures, bench and torture. Plain Node, as setup.mjs is. */
import { existsSync } from 'node:fs'

/** Debian's without the window first: it opens a page for two thirds of the work. */
const PLACES = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium']

/** @returns its path; null where there is none */
export function chromiumPath() {
  const named = process.env.MACELLAIO_CHROMIUM
  return (named === undefined ? PLACES : [named]).find(place => existsSync(place)) ?? null
}

/** @returns its path @throws Error that says what to do where there is none */
export function chromiumOrThrow() {
  const path = chromiumPath()
  if (path === null) throw new Error(CHROMIUM_MISSING)
  return path
}

export const CHROMIUM_MISSING =
  `No Chromium at ${process.env.MACELLAIO_CHROMIUM ?? PLACES.join(' or ')}. ` +
  'On Debian: apt-get install chromium-headless-shell. Elsewhere set MACELLAIO_CHROMIUM to its path.'
