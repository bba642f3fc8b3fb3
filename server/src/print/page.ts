/**
 * Pages to print, as PDF, in the fonts that ship with the app. Latin text is set in one
 * face; letters it lacks are set in the Japanese one.
 */
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import pdfmake from 'pdfmake'

type Definition = Parameters<typeof pdfmake.createPdf>[0]
type Content = Definition['content']
interface Run {
  text: string
  readonly font: Face
}
type Face = 'Latin' | 'Wider' | 'Japanese'

const require = createRequire(import.meta.url)
const file = (font: string, name: string): string =>
  join(dirname(require.resolve(`@fontsource/${font}/package.json`)), 'files', `${name}.woff`)
const face = (font: string, subset: string): Record<'normal' | 'bold', string> => ({
  normal: file(font, `${font}-${subset}-400-normal`),
  bold: file(font, `${font}-${subset}-700-normal`)
})

pdfmake.setFonts({
  Latin: face('hanken-grotesk', 'latin'),
  Wider: face('hanken-grotesk', 'latin-ext'),
  Japanese: face('noto-sans-jp', 'japanese')
})
// Everything printed is of our own making: nothing is fetched, and only the fonts are read.
pdfmake.setLocalAccessPolicy(path => path.includes('@fontsource'))
pdfmake.setUrlAccessPolicy(() => false)

/** Runs of letters, each in a face that has them. */
export function words(text: string): Run[] {
  const runs: Run[] = []
  for (const letter of text) {
    const font = faceOf(letter)
    const last = runs.at(-1)
    if (last?.font === font) last.text += letter
    else runs.push({ text: letter, font })
  }
  return runs
}

function faceOf(letter: string): Face {
  const code = letter.codePointAt(0) ?? 0
  if (code < 0x100 || (code >= 0x2000 && code < 0x2070) || code === 0x20ac || code === 0x2212) return 'Latin'
  return code < 0x2000 ? 'Wider' : 'Japanese'
}

export interface Page {
  readonly pageSize: 'A4' | 'A5' | 'LETTER'
  readonly title: string
  readonly content: Content
}

export function page({ pageSize, title, content }: Page): Promise<Buffer> {
  return pdfmake
    .createPdf({
      pageSize,
      pageMargins: [36, 36, 36, 36],
      info: { title },
      defaultStyle: { font: 'Latin', lineHeight: 1.25 },
      content
    })
    .getBuffer()
}
