/** The checklist of getting a piece ready. */
import { describe, expect, it } from 'vitest'
import { cutById } from '#core/meat/cuts'
import { coatsFor, type Piece } from '#core/meat/piece'
import { by } from '#core/request/request'
import { crustGoesOn } from '#core/request/setup'
import { agreeing, usuallyTied, USUAL_PREPARATION } from '#core/plan/preparation'
import type { MethodKind } from '#core/method/methods'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { afterwards, checklistFor } from './preparation'

const strip = cutById('strip')!

describe('the checklist', () => {
  it('is dated back in order, and every task says why', () => {
    const tasks = checklistFor(
      { ...USUAL_PREPARATION, surface: 'aired', salt: 'the day before', outMin: 30, tie: true },
      strip,
      FIRST_REQUEST.piece
    )
    const before = tasks.map(t => t.before)
    expect([...before].sort((a, b) => b - a)).toEqual(before)
    for (const t of tasks) expect(t.because.length).toBeGreaterThan(15)
    expect(tasks.find(t => t.id === 'salt')?.before).toBe(24 * 3600)
    expect(tasks.find(t => t.id === 'out')?.before).toBe(30 * 60)
  })

  it('names this cut’s own knife work, and none for a cut without', () => {
    const ids = (id: string): string[] =>
      checklistFor(USUAL_PREPARATION, cutById(id)!, { ...FIRST_REQUEST.piece, cutId: id }).map(t => t.id)
    expect(ids('strip')).toContain('knife sinew strip')
    expect(ids('rump-cap')).toContain('knife fat cap')
    expect(checklistFor({ ...USUAL_PREPARATION, knife: false }, strip, FIRST_REQUEST.piece).some(t => t.id.startsWith('knife'))).toBe(false)
  })

  it('a whole tenderloin loses its head and its chain before it is tied; a joint without a bone is tied, a rib and a steak are not', () => {
    const listOf = (id: string): string[] => {
      const cut = cutById(id)!
      const piece = { ...FIRST_REQUEST.piece, cutId: id, form: cut.form }
      return checklistFor({ ...USUAL_PREPARATION, tie: usuallyTied(cut) }, cut, piece, 'sear then oven').map(t => t.id)
    }
    const whole = listOf('whole-fillet')
    expect(whole.filter(id => id.startsWith('knife'))).toEqual(['knife silverskin', 'knife sinew strip', 'knife head'])
    expect(whole.indexOf('tie')).toBeGreaterThan(whole.indexOf('knife head'))
    expect(listOf('chateaubriand')).toContain('tie')
    expect(listOf('chateaubriand')).not.toContain('knife head')
    for (const id of ['rib-roast', 'strip']) expect(listOf(id)).not.toContain('tie')
  })

  it('what is marinated is trimmed before and drained after it, is patted whatever its face was, and does not dry in the open meanwhile', () => {
    for (const marinade of ['two hours', 'overnight'] as const) {
      const how = { ...USUAL_PREPARATION, marinade, surface: 'wet' as const, outMin: 30 }
      const tasks = checklistFor(how, strip, FIRST_REQUEST.piece)
      const ids = tasks.map(t => t.id)
      const before = (id: string): number => tasks.find(t => t.id === id)!.before
      expect(ids.filter(id => ['knife sinew strip', 'marinade', 'out of marinade', 'pat'].includes(id))).toEqual([
        'knife sinew strip',
        'marinade',
        'out of marinade',
        'pat'
      ])
      expect(before('marinade') - before('out of marinade')).toBe((marinade === 'overnight' ? 14 : 2) * 3600)
      expect(before('out of marinade')).toBe(30 * 60)
      expect(ids).not.toContain('out')
      expect(tasks.find(t => t.id === 'out of marinade')?.because).toMatch(/boil it for a sauce, or throw it away/)
    }
    expect(agreeing({ ...USUAL_PREPARATION, surface: 'aired' }, { marinade: 'overnight' })).toEqual({
      marinade: 'overnight',
      surface: 'patted'
    })
    expect(agreeing({ ...USUAL_PREPARATION, marinade: 'overnight' }, { surface: 'aired' })).toEqual({ surface: 'aired', marinade: 'none' })
  })

  it('a crust goes on before the oven, or where it is seared first, after that: then it is called there', () => {
    const coats = coatsFor({ boneMm: 0, fatMm: 0, pasteMm: 4 }, 'roast')
    const piece = { ...FIRST_REQUEST.piece, cutId: 'chateaubriand', form: 'roast' as const, coats }
    const goesOn = (kind: MethodKind, searS?: number, of: Piece = piece) =>
      crustGoesOn(by({ ...FIRST_REQUEST, piece: of }, kind, searS === undefined ? {} : { searS }))
    expect(goesOn('roast', 0)).toBe('before')
    for (const kind of ['roast', 'sear then oven'] as const) expect(goesOn(kind)).toBe('after its sear')
    expect(goesOn('in pastry')).toBeNull()
    expect(goesOn('roast', 0, { ...piece, coats: [] })).toBeNull()
    const ids = (crust: boolean): string[] =>
      checklistFor(USUAL_PREPARATION, cutById('chateaubriand')!, piece, 'roast', null, { crust }).map(t => t.id)
    expect(ids(true)).toContain('crust')
    expect(ids(false)).not.toContain('crust')
  })

  it('salt drawn for forty minutes is patted off; salt left for the table is not on the list before', () => {
    const texts = (salt: (typeof USUAL_PREPARATION)['salt']): string[] =>
      checklistFor({ ...USUAL_PREPARATION, salt }, strip, FIRST_REQUEST.piece).map(t => t.id)
    expect(texts('40 min before')).toContain('pat after salt')
    expect(texts('after')).not.toContain('salt')
    expect(afterwards({ ...USUAL_PREPARATION, salt: 'after' }).join()).toMatch(/Salt the cut faces/)
  })

  it('cheese for a crust is made while there is time, and only where one is wanted', () => {
    const list = (cheese: boolean) => checklistFor(USUAL_PREPARATION, strip, FIRST_REQUEST.piece, 'pan sear', null, { cheese })
    expect(list(true).find(t => t.id === 'cheese')?.before).toBe(3600)
    expect(list(false).some(t => t.id === 'cheese')).toBe(false)
  })

  it('a wrapped fillet is seared cold and wrapped before it goes in, each in its turn; what dries and salts it comes before the sear', () => {
    const fillet = cutById('fillet')!
    const tasks = checklistFor(USUAL_PREPARATION, fillet, { ...FIRST_REQUEST.piece, cutId: 'fillet', form: 'roast' }, 'in pastry')
    const ids = tasks.map(t => t.id)
    expect(ids.filter(id => ['seal', 'rack', 'paste', 'wrap', 'wash'].includes(id))).toEqual(['seal', 'rack', 'paste', 'wrap', 'wash'])
    expect(ids.at(-1)).toBe('wash')
    for (const id of ['pat', 'oil', 'salt']) expect(ids.indexOf(id)).toBeLessThan(ids.indexOf('seal'))
  })

  it('from the freezer it is thawed before anything else is done to it, bought the day before; each by its hours', () => {
    const first = (
      from: 'fridge' | 'freezer' | 'butcher',
      thawS: number | null,
      salt: 'right before' | 'the day before' = 'right before'
    ) => checklistFor({ ...USUAL_PREPARATION, from, salt }, strip, FIRST_REQUEST.piece, 'pan sear', thawS)
    const HOUR = 3600
    expect(first('fridge', 10 * HOUR).map(t => t.id)).not.toContain('thaw')
    expect(first('freezer', null).map(t => t.id)).not.toContain('thaw')
    for (const salt of ['right before', 'the day before'] as const) {
      const [thaw, ...rest] = first('freezer', 20 * HOUR, salt)
      expect(thaw.id).toBe('thaw')
      expect(thaw.before).toBeGreaterThanOrEqual(Math.max(...rest.map(t => t.before)) + 20 * HOUR)
      const [buy, ...others] = first('butcher', null, salt)
      expect(buy.before).toBeGreaterThan(Math.max(...others.map(t => t.before)))
      expect(buy.before).toBeGreaterThanOrEqual(24 * HOUR)
    }
  })

  it('for a bath before the sear it is bagged, last of all; seared first, it is bagged when it has been', () => {
    const ids = (kind: MethodKind): string[] => checklistFor(USUAL_PREPARATION, strip, FIRST_REQUEST.piece, kind).map(t => t.id)
    expect(ids('bath then sear').at(-1)).toBe('bag')
    for (const kind of ['sear then bath', 'short hot bath', 'pot'] as const) expect(ids(kind)).not.toContain('bag')
  })

  it('nothing is patted off that has just been dusted on', () => {
    const tasks = checklistFor({ ...USUAL_PREPARATION, surface: 'starched', salt: '40 min before' }, strip, FIRST_REQUEST.piece)
    const dusted = tasks.findIndex(t => t.id === 'starch')
    expect(dusted).toBeGreaterThanOrEqual(0)
    for (const t of tasks.slice(dusted + 1)) expect(t.text).not.toMatch(/pat/i)
  })
})
