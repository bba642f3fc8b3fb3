/** What comes by itself in a moment, however slow the machine is. */
import { vi } from 'vitest'

const AT_THE_LATEST_MS = 15_000

export const soon = <T>(check: () => T | Promise<T>): Promise<T> => vi.waitFor(check, { timeout: AT_THE_LATEST_MS })
