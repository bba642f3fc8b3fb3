import { describe, expect, it, vi } from 'vitest'
import { arriving } from './arriving'

const gone = new TypeError('Failed to fetch dynamically imported module')

describe('a part of the page', () => {
  it('is asked for once where it comes', async () => {
    const fetched = vi.fn(() => Promise.resolve('the pass'))
    expect(await arriving(fetched)).toBe('the pass')
    expect(fetched).toHaveBeenCalledTimes(1)
  })

  it('is asked for again where a network blinks', async () => {
    const fetched = vi.fn().mockRejectedValueOnce(gone).mockRejectedValueOnce(gone).mockResolvedValue('the pass')
    expect(await arriving(fetched, [0, 0])).toBe('the pass')
    expect(fetched).toHaveBeenCalledTimes(3)
  })

  it('is given up in the end, and says what with', async () => {
    const fetched = vi.fn(() => Promise.reject(gone))
    await expect(arriving(fetched, [0, 0])).rejects.toBe(gone)
    expect(fetched).toHaveBeenCalledTimes(3)
  })
})
