/** Secrets of the house: tokens are kept as what is made of them, a passcode by scrypt, and compared without telling by the time it takes. */
import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'

export const newToken = (): string => randomBytes(32).toString('base64url')
/** To be read off one screen and typed at another: nothing in it is taken for something else. 10 of 30 are 49 bits. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
export const newCode = (): string => Array.from({ length: 10 }, () => LETTERS[randomInt(LETTERS.length)]).join('')
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url')

export function same(a: string, b: string): boolean {
  const [one, other] = [Buffer.from(a), Buffer.from(b)]
  return one.length === other.length && timingSafeEqual(one, other)
}

/** Cost as OWASP's password storage cheat sheet has it for scrypt (from memory): 2¹⁷, 8, 1. */
const COST = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 1024 * 1024 }
const KEY_BYTES = 32

const derived = (passcode: string, salt: Buffer): Promise<Buffer> =>
  new Promise((done, failed) => {
    scrypt(passcode.normalize('NFKC'), salt, KEY_BYTES, COST, (error, key) => {
      if (error) failed(error)
      else done(key)
    })
  })

export async function lockedBy(passcode: string): Promise<string> {
  const salt = randomBytes(16)
  return `${salt.toString('base64url')}.${(await derived(passcode, salt)).toString('base64url')}`
}
export async function opens(passcode: string, lock: string): Promise<boolean> {
  const [salt = '', key = ''] = lock.split('.')
  return same((await derived(passcode, Buffer.from(salt, 'base64url'))).toString('base64url'), key)
}
