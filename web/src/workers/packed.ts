/**
 * Plans between threads: their long rows of numbers cross as typed arrays, which are
 * copied whole, where plain arrays are written number by number.
 */
import { transferHandlers } from 'comlink'

const LONG = 16

export function pack(value: unknown): unknown {
  if (Array.isArray(value)) {
    const numbers = value.length >= LONG && value.every(v => typeof v === 'number')
    return numbers ? Float64Array.from(value as number[]) : value.map(pack)
  }
  return isRecord(value) ? mapped(value, pack) : value
}

export function unpack(value: unknown): unknown {
  if (value instanceof Float64Array) return Array.from(value)
  if (Array.isArray(value)) return value.map(unpack)
  return isRecord(value) ? mapped(value, unpack) : value
}

const isRecord = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype
const mapped = (record: object, of: (value: unknown) => unknown): object =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, of(value)]))

/** Both sides call it before they talk. */
export function packPlans(): void {
  transferHandlers.set('plan', {
    canHandle: (value): value is object => isRecord(value) && ('plan' in value || 'fields' in value),
    serialize: value => [pack(value), []],
    deserialize: unpack
  })
}
