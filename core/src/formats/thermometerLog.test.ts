/** Logs of thermometers as they come: with points and commas, in either unit, by any clock. */
import { describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { curvesOf, guessed, readLog, tableOf, type LogTable } from './thermometerLog'

const cells = (text: string, by = ','): string[][] =>
  text
    .trim()
    .split('\n')
    .map(line => line.trim().split(by))
const table = (text: string, by?: string): LogTable => tableOf(cells(text, by))!

describe('what is guessed of a log', () => {
  it('elapsed seconds and degrees, without a head', () => {
    const of = table('0,5.1\n60,5.4\n120,7.0')
    expect(of.names).toEqual(['Column 1', 'Column 2'])
    expect(guessed(of)).toEqual({ time: 0, timeAs: 'seconds', temperature: 1, unit: 'C' })
  })

  it('minutes by the head, the core among several probes, lines of chatter before it', () => {
    const of = table('Exported on 28 November\nElapsed (min),Ambient °C,Core °C\n0,180,5\n1,182,6\n2,181,8')
    expect(guessed(of)).toEqual({ time: 0, timeAs: 'minutes', temperature: 2, unit: 'C' })
  })

  it('degrees Fahrenheit by the head, or since no core is so hot', () => {
    expect(guessed(table('time,Probe 1 (F)\n0,41\n60,44'))?.unit).toBe('F')
    expect(guessed(table('0,41\n60,90\n120,129'))?.unit).toBe('F')
    expect(guessed(table('s,°C\n0,41\n60,90\n120,101'))?.unit).toBe('C')
  })

  it('the clock on the wall, a date before it or not, and the time of a computer', () => {
    expect(guessed(table('2026-11-28 19:30:05,20\n2026-11-28 19:31:05,21'))?.timeAs).toBe('clock')
    expect(guessed(table('7:59 PM;20,5\n8:00 PM;20,9', ';'))?.timeAs).toBe('clock')
    expect(guessed(table('1795893000000,20\n1795893005000,21'))?.timeAs).toBe('epoch')
  })

  it('nothing of what is no log', () => {
    expect(tableOf(cells('a,b\nc,d'))).toBeNull()
    expect(tableOf([])).toBeNull()
    expect(guessed(table('5,1\n3,2\n4,1'))).toBeNull()
  })
})

describe('a log that is read', () => {
  const laidAt = Date.UTC(2026, 10, 28, 19, 30)
  const read = (of: LogTable, more: object = {}) => readLog(of, { ...guessed(of)!, ...more }, 'A log', laidAt, 0)

  it('by elapsed time begins with the piece; Fahrenheit and decimal commas are understood', () => {
    expect(read(table('10;41,0\n70;50,0\n130;59,0', ';'), { unit: 'F' })).toEqual({
      name: 'A log',
      seconds: [0, 60, 120],
      celsius: [5, 10, 15]
    })
  })

  it('by the clock it lies where it was, before the piece went in and past midnight too', () => {
    const of = table('19:29:00,20\n19:31:00,6\n19:32:30,7')
    expect(read(of)!.seconds).toEqual([-60, 60, 150])
    // An hour ahead of universal time.
    expect(readLog(table('20:31:00,6\n20:32:00,7'), guessed(of)!, 'A log', laidAt, 60)!.seconds).toEqual([60, 120])
    const late = readLog(table('23:59:00,20\n00:01:00,21'), guessed(of)!, 'A log', Date.UTC(2026, 10, 28, 23, 58), 0)
    expect(late!.seconds).toEqual([60, 180])
    const next = readLog(table('00:01:00,20\n00:02:00,21'), guessed(of)!, 'A log', Date.UTC(2026, 10, 28, 23, 59), 0)
    expect(next!.seconds).toEqual([120, 180])
  })

  it('by a computer’s time, in seconds or milliseconds', () => {
    const s = laidAt / 1000
    expect(read(table(`${s + 5},20\n${s + 65},21`))!.seconds).toEqual([5, 65])
    expect(read(table(`${laidAt + 5000},20\n${laidAt + 65_000},21`))!.seconds).toEqual([5, 65])
  })

  it('leaves out what is no figure, and of thousands keeps some hundreds over the whole', () => {
    expect(read(table('0,5\n60,err 9\n120,7\n180,8'))!.celsius).toEqual([5, 7, 8])
    const long = tableOf(Array.from({ length: 200_000 }, (_, i) => [String(i), String(20 + i / 8000)]))!
    const kept = read(long)!
    expect(kept.seconds.length).toBeLessThanOrEqual(500)
    expect(kept.seconds.at(-1)).toBeGreaterThan(199_000)
  })
})

it('a cook’s curves are rows of one table, each figure at its time', () => {
  const figures = plannedOf(planned(FIRST_REQUEST).plan, null, 200)
  const at = 1.75e12
  const event = { at: at + 61_000, entered: at + 61_000 }
  const events = [
    { id: 'laid', kind: 'laid' as const, at, entered: at },
    { id: 'read', kind: 'reading' as const, coreC: 12.345, probe: 'Grey probe', ...event }
  ]
  const rows = curvesOf({ planned: figures, events, log: { name: 'A log', seconds: [-30, 61], celsius: [21, 12.5] } })
  expect(rows[0]).toEqual(['seconds since it went in', 'planned core, °C', 'read, °C', 'read by', 'A log, °C'])
  expect(rows[1]).toEqual([-30, '', '', '', 21])
  expect(rows.find(r => r[2] !== '' && r[0] === 61)).toEqual([61, expect.anything(), 12.35, 'Grey probe', 12.5])
  expect(rows.slice(1).map(r => Number(r[0]))).toEqual(
    rows
      .slice(1)
      .map(r => Number(r[0]))
      .sort((a, b) => a - b)
  )
  expect(rows).toHaveLength(figures.curve.timeS.length + (figures.curve.timeS.includes(61) ? 1 : 2) + 1)
})
