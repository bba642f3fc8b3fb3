/** The call sheet as one page, its figures large enough to be read from a metre. */
import type { PrintedSheet } from '#core/formats/sheetSchema'
import { page, words } from './page'

const FIGURE = 34
/** More lines than this, two of the timetable for one of the sheet, and all is set smaller so that one page holds it. */
const ROOMY = 8

/** A thin rule between two lines, none round them. */
const RULED = {
  hLineWidth: (i: number, node: { table: { body: unknown[] } }): number => (i === 0 || i === node.table.body.length ? 0 : 0.75),
  vLineWidth: (): number => 0,
  hLineColor: (): string => '#9aa3a0',
  paddingLeft: (): number => 0,
  paddingRight: (): number => 0
}

export function sheetPage({ title, subtitle, lines, schedule, cautions, paper }: PrintedSheet): Promise<Buffer> {
  const shrink = Math.min(1, ROOMY / (lines.length + schedule.length / 2))
  const size = FIGURE * shrink
  return page({
    pageSize: paper,
    title,
    content: [
      { text: words(title), fontSize: 26, bold: true },
      { text: words(subtitle), fontSize: 12, color: '#505a5c', margin: [0, 2, 0, 12] },
      {
        table: {
          widths: ['*', 'auto'],
          body: lines.map(l => [
            { text: words(l.label), fontSize: 17 * shrink, margin: [0, size * 0.3, 0, 0] },
            {
              text: [
                ...words(l.figure).map(w => ({ ...w, fontSize: size, bold: true })),
                ...words(` ${l.unit}`).map(w => ({ ...w, fontSize: 16 * shrink }))
              ],
              alignment: 'right'
            }
          ])
        },
        layout: RULED
      },
      ...(schedule.length === 0
        ? []
        : [
            {
              margin: [0, 16, 0, 8] as [number, number, number, number],
              table: {
                widths: [74, '*'],
                body: schedule.map(s => [
                  { text: words(s.at), bold: true, fontSize: 16 * shrink },
                  { text: words(s.what), fontSize: 16 * shrink }
                ])
              },
              layout: 'noBorders'
            }
          ]),
      ...cautions.map(c => ({ text: words(c), fontSize: 9.5, color: '#505a5c', margin: [0, 3, 0, 0] as [number, number, number, number] }))
    ]
  })
}
