/** The door as a script uses it: a process, its streams and its exit code. */
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '..')
const STRIP = 'docs/examples/strip-25-inches.json'

function door(args: readonly string[], input = ''): { code: number | null; out: string; err: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/door.ts', ...args], {
    cwd: ROOT,
    input,
    encoding: 'utf8'
  })
  return { code: status, out: stdout, err: stderr }
}
const problems = (err: string): { key: string; value?: unknown; range?: unknown; message: string }[] =>
  (JSON.parse(err) as { problems: { key: string; message: string }[] }).problems

describe('the door', () => {
  it('answers a file and standard input alike, with nothing but JSON on standard output', () => {
    const file = door(['plan', STRIP])
    const piped = door(['plan', '-'], readFileSync(resolve(ROOT, STRIP), 'utf8'))
    expect(file.code).toBe(0)
    expect(file.err).toBe('')
    expect(JSON.parse(piped.out)).toEqual(JSON.parse(file.out))
    expect(JSON.parse(file.out)).toMatchObject({ feasible: true, target: { coreC: 54, doneness: 'medium rare' } })
  })

  it('refuses a wrong case with exit code 2: key, value and range on standard error, nothing on standard output', () => {
    const { code, out, err } = door(
      ['plan', '-'],
      '{"piece":{"cut":"strip","thickness": "2 mm","start":"5 °C","colour":"red"},"method":{"kind":"pan sear","heat":"215 °C"},"target":{"core":"54 °C"}}'
    )
    expect(code).toBe(2)
    expect(out).toBe('')
    expect(problems(err)).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ key: 'piece.thickness', value: '2 mm', range: ['3 mm', '200 mm'] }),
        expect.objectContaining({ key: 'piece.colour' })
      ])
    )
  })

  it.each([
    ['no JSON', ['simulate', '-'], '{', /not JSON/],
    ['no such file', ['plan', 'nowhere.json'], '', /cannot be read/],
    ['no such command', ['bake', STRIP], '', /Use:/],
    ['nothing at all', [], '', /Use:/]
  ] as const)('%s: exit code 2 and why', (_, args, input, why) => {
    const { code, err } = door(args, input)
    expect(code).toBe(2)
    expect(err).toMatch(why)
  })

  it('many at once: one answer a line, in order, a refused line in its place, and the same as asked alone', () => {
    const strip = JSON.parse(readFileSync(resolve(ROOT, STRIP), 'utf8')) as object
    const lines = [
      { do: 'plan', ...strip },
      { do: 'plan', ...strip, target: { core: '99 °C' } },
      { do: 'bake' },
      { do: 'constructor' },
      { do: 'compare', ...JSON.parse(readFileSync(resolve(ROOT, 'docs/examples/compare-strip.json'), 'utf8')) }
    ].map(line => JSON.stringify(line))
    const { code, out, err } = door(['batch', '-'], [...lines, '{ not JSON', '', '[]'].join('\n'))
    expect(code).toBe(0)
    expect(err).toBe('')
    const answers = out
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as { feasible?: boolean; methods?: unknown[]; problems?: { key: string }[] })
    expect(answers).toHaveLength(7)
    expect(answers[0]).toEqual(JSON.parse(door(['plan', STRIP]).out))
    expect(answers.slice(1, 4).map(a => a.problems?.[0].key)).toEqual(['target.core', 'do', 'do'])
    expect(answers[4].methods?.length).toBeGreaterThan(1)
    expect(answers.slice(5).map(a => a.problems?.length)).toEqual([1, 1])
    expect(door(['batch', 'nowhere.jsonl']).code).toBe(2)
  })
})
