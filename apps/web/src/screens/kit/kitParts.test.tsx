import { say } from '@truelay/core/say'
import { labelOf, pieceDoc } from '@truelay/contract'
import { renderToStaticMarkup } from 'react-dom/server'
import { MemoryRouter } from 'react-router'
import { describe, expect, test } from 'vitest'
import { DryResult } from './DryResult.tsx'
import { PieceRow } from './PieceRow.tsx'
import { readLabel } from './readLabel.ts'

const piece = pieceDoc.parse({
  id: 'lamp-left',
  kitId: 'lamp-kit',
  name: 'Lamp, driver’s side',
  side: 'left',
  count: 1,
  spares: 1,
  formId: 'lamp-left',
  filmId: 'dusk',
  lot: 'D/7',
  pattern: {
    name: 'Lamp',
    outline: [
      [0, 0],
      [100, 0],
      [60, 50],
    ],
    cutOuts: [],
    marks: [{ name: 'tip', at: [10, 5] }],
  },
})
const read = (text: string) => readLabel(text, [piece], () => 'Lamp kit')
const words = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

describe('a scanned label', () => {
  test('says its piece and its lot, whatever signs the lot has', () => {
    expect(read(labelOf(piece))).toEqual({ kind: 'piece', piece, lot: 'D/7' })
    expect(read(` TL1/lamp-left/D-8 \n`)).toMatchObject({ lot: 'D-8' })
  })
  test.each([
    ['5901234123457', /no label of this shop/],
    ['TL1/lamp-left/', /no label of this shop/],
    ['TL2/lamp-left/D-8', /no label of this shop/],
    ['TL1/other/D-8', /from another box/],
    [`TL1/lamp-left/${'x'.repeat(60)}`, /too long/],
  ])('%s is answered with what to do', (text, problem) => {
    const reading = read(text)
    expect(reading.kind === 'problem' ? reading.problem : null).toSay(problem)
  })
})

describe('a piece of the list', () => {
  const row = (arrived: number | null, inJob = true) =>
    words(
      renderToStaticMarkup(
        <MemoryRouter>
          <PieceRow
            piece={piece}
            inJob={inJob}
            arrived={
              arrived === null
                ? undefined
                : { pieceId: piece.id, arrived, lot: 'D-9', personId: 'ines' as never, at: '2030-05-01T09:00:00.000Z' }
            }
            onCount={() => {}}
          />
        </MemoryRouter>,
      ),
    )
  test('says how it stands, in words and not in colour alone', () => {
    expect(row(null)).toContain('not counted')
    expect(row(0)).toContain('1 missing')
    expect(row(1)).toContain('there, but its spare is missing')
    expect(row(2)).toContain('there, with its spare')
    expect(row(3)).toContain('1 more than listed')
    expect(row(null, false)).toContain('not for this job')
    expect(row(2)).toContain('lot D-9')
    expect(row(null)).toContain('lot D/7')
  })
})

describe('what the dry check says', () => {
  const advice = {
    advice: 'from the roll' as const,
    reasons: [say`No pattern of this part is at hand.`],
    allowanceMm: 38,
  }
  const preCut = { advice: 'pre-cut' as const, reasons: [say`A pattern is at hand.`], allowanceMm: 38 }
  const cut = { way: 'pre-cut', enlarged: [], sheet: null }
  const base = {
    advice,
    cut,
    sheet: { lengthMm: 500, widthMm: 300, turnDeg: 0 },
    barWidthMm: null,
    neededStretch: 1.02,
  }
  const said = (answer: object) =>
    words(renderToStaticMarkup(<DryResult state={{ phase: 'known', value: { ...base, ...answer } as never }} />))
  test('from the roll: why, and the sheet to cut', () => {
    expect(said({ check: null })).toMatch(/From the roll ?\. No pattern .* Cut 500 mm x 300 mm , 38 mm over/)
  })
  test('the roll that was chosen counts over the advice, and its sheet is told', () => {
    const chosen = { check: null, cut: { way: 'from the roll', enlarged: [], sheet: null }, advice: preCut }
    expect(said(chosen)).toMatch(/From the roll ?\. ?Cut 500 mm x 300 mm/)
    expect(said(chosen)).not.toMatch(/Pre-cut|at hand/)
    const enlarged = { check: null, cut: { way: 'enlarged', enlarged: [], sheet: null }, advice: preCut }
    expect(said(enlarged)).toMatch(/Enlarged ?\. ?A pattern is at hand/)
  })
  test('the wrong side is said first', () => {
    const check = {
      verdict: 'other side',
      words: [say`This is the piece for the other side.`],
      covered: 0.94,
      edges: [],
    }
    expect(said({ check })).toMatch(/^ ?Wrong side ?, covers 94 %/)
  })
  test('a bar gets its width with the tuck', () => {
    expect(said({ check: null, barWidthMm: 58 })).toContain('58 mm wide, tuck included')
  })
})
