/**
 * Copies of the database, one a day, taken while it is in use by SQLite's own online backup; the last seven days that
 * it ran are kept. One can be put in its place while the server stands still.
 */
import Database from 'better-sqlite3'
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'

export interface Copy {
  /** "2026-11-28", by the clock on the wall. */
  readonly day: string
  readonly file: string
  readonly bytes: number
}

const KEPT = 7
const DAY = /^\d{4}-\d\d-\d\d$/
const ENDING = '.sqlite'
/** SQLite's own files beside it: of another database they must not be taken for this one's. */
const BESIDE = ['-wal', '-shm', '-journal'] as const

const folderOf = (file: string): string => join(dirname(file), `${basename(file)}.copies`)

/** Latest first. */
export function copiesOf(file: string): Copy[] {
  const folder = folderOf(file)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .filter(name => name.endsWith(ENDING) && DAY.test(name.slice(0, -ENDING.length)))
    .sort()
    .reverse()
    .map(name => ({ day: name.slice(0, -ENDING.length), file: join(folder, name), bytes: statSync(join(folder, name)).size }))
}

const dayOf = (at: Date): string => [at.getFullYear(), at.getMonth() + 1, at.getDate()].map(n => String(n).padStart(2, '0')).join('-')

/** @returns whether one was taken: once a day is enough */
export async function copyDaily(file: string, now: Date): Promise<boolean> {
  const day = dayOf(now)
  if (copiesOf(file).some(c => c.day === day)) return false
  const folder = folderOf(file)
  mkdirSync(folder, { recursive: true })
  const [half, whole] = [join(folder, `${day}.half`), join(folder, `${day}${ENDING}`)]
  const source = new Database(file, { readonly: true, fileMustExist: true })
  try {
    await source.backup(half)
  } finally {
    source.close()
  }
  // A copy that cannot be read would push out one that can.
  if (!sound(half)) {
    rmSync(half, { force: true })
    throw new Error(`The database ${file} could not be copied whole.`)
  }
  renameSync(half, whole)
  for (const old of copiesOf(file).slice(KEPT)) rmSync(old.file)
  return true
}

/** Whether SQLite finds nothing wrong with a copy, which nobody has open. */
export function sound(file: string): boolean {
  try {
    const db = new Database(file, { readonly: true, fileMustExist: true })
    const found = db.pragma('quick_check', { simple: true })
    db.close()
    return found === 'ok'
  } catch {
    return false
  } finally {
    for (const end of BESIDE) rmSync(`${file}${end}`, { force: true })
  }
}

/**
 * Puts a copy in the database's place; what stood there is kept beside it.
 * @returns where that is; null where there was none
 * @throws where the copy is not sound
 */
export function putBack(file: string, copy: Copy, now: Date): string | null {
  if (!sound(copy.file)) throw new Error(`The copy ${copy.file} is damaged too. Take another one.`)
  const kept = existsSync(file) ? `${file}.before-${now.toISOString().replace(/[:.]/g, '-')}` : null
  if (kept !== null) for (const end of ['', ...BESIDE]) if (existsSync(`${file}${end}`)) renameSync(`${file}${end}`, `${kept}${end}`)
  mkdirSync(dirname(file), { recursive: true })
  copyFileSync(copy.file, file)
  return kept
}
