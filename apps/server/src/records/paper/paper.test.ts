import { create } from 'fontkit'
import { beforeAll, describe, expect, test } from 'vitest'
import { type Faces, paperFaces } from './faces.ts'
import { isPrintable, linesOf, missingSign, runsOf } from './layText.ts'
import { Sheet } from './sheet.ts'

let faces: Faces
beforeAll(async () => {
  faces = await paperFaces()
})
const textOf = (runs: readonly { readonly text: string }[]) => runs.map(({ text }) => text).join('')

/** What a reader of the PDF finds on its pages: the marks of its structure, and how many pages there are. */
async function written(fill: (sheet: Sheet) => void): Promise<{ raw: string; pages: number }> {
  const sheet = new Sheet(faces, { title: '0412 Bonnet', author: 'Quayside Film Works', language: 'en' })
  sheet.doc.compress = false
  fill(sheet)
  const doc = sheet.end('stands for a sign.')
  const parts: Buffer[] = []
  for await (const part of doc) parts.push(part as Buffer)
  const raw = Buffer.concat(parts).toString('latin1')
  return { raw, pages: raw.match(/\/Type \/Page\b(?!s)/g)?.length ?? 0 }
}

describe('the typefaces of the papers', () => {
  test.each([
    'Quayside Film Works, 21.5 °C, −3 mm, ½ × “quotes” and o’clock',
    'Příliš žluťoučký kůň úpěl ďábelské ódy',
    'Zażółć gęślą jaźń; İstanbul ığdır; Țara și Dvořák’s',
    'Πλατεία Ναυτίλων, ἀρχή',
    'Широкая электрификация; Їжак, ґрунт; Ђорђе',
    'Đường Nguyễn Huệ',
  ])('have every sign of "%s"', (text) => {
    expect(isPrintable(text, faces.regular)).toBe(true)
    expect(isPrintable(text, faces.bold)).toBe(true)
    expect(textOf(runsOf(text, faces.regular))).toBe(text.normalize('NFC'))
  })
  test('are TrueType, which a PDF can hold', () => {
    for (const { bytes, has } of [...faces.regular, ...faces.bold]) {
      expect(create(bytes)).toMatchObject({ unitsPerEm: expect.any(Number) })
      expect(typeof has('a')).toBe('boolean')
    }
  })
})

describe('text in runs', () => {
  test('stays in the first typeface as far as that goes, and comes back to it', () => {
    const runs = runsOf('Jiří from Αθήνα', faces.regular)
    expect(runs[0]).toMatchObject({ face: faces.regular[0], text: 'Ji' })
    expect(textOf(runs)).toBe('Jiří from Αθήνα')
    expect(runs.find(({ text }) => text.includes('from'))?.face).toBe(faces.regular[0])
  })
  test('a sign that no typeface has is shown as such, and swallows nothing', () => {
    const text = 'Mei 美 and more'
    expect(isPrintable(text, faces.regular)).toBe(false)
    expect(textOf(runsOf(text, faces.regular))).toBe(`Mei ${missingSign} and more`)
  })
  test('an accent that was typed by itself is joined to its letter', () => {
    expect(textOf(runsOf('Dvor\u030ca\u0301k', faces.regular))).toBe('Dvořák')
  })
})

describe('text in lines', () => {
  const lines = (text: string, most: number) =>
    linesOf(text, faces.regular, most, ({ text: run }) => run.length).map(textOf)
  test('breaks between words, at line ends that were typed, and within a word only where it must', () => {
    expect(lines('one two three', 8).map((l) => l.trim())).toEqual(['one two', 'three'])
    expect(lines('one\n\ntwo', 8)).toEqual(['one', '', 'two'])
    expect(lines('abcdefghij', 4)).toEqual(['abcd', 'efgh', 'ij'])
    expect(lines('at 21\u00a0°C now', 7).map((l) => l.trim())).toEqual(['at', '21\u00a0°C', 'now'])
  })
  test('loses nothing, whatever the width', () => {
    const text = 'The film dries in eight minutes; wet it again, then go on.'
    for (const most of [1, 3, 7, 20, 400])
      expect(lines(text, most).join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''))
  })
})

describe('a sheet', () => {
  test('says its language, its title, and what each part of it is', async () => {
    const { raw, pages } = await written((sheet) => {
      sheet.title('Bonnet')
      sheet.heading('Film')
      sheet.row('kit', 'front kit')
    })
    expect(pages).toBe(1)
    expect(raw).toMatch(/\/Lang \(en\)/)
    expect(raw).toMatch(/\/Marked true/)
    expect(raw).toMatch(/\/DisplayDocTitle true/)
    for (const kind of ['H1', 'H2', 'P', 'Span']) expect(raw).toContain(`/S /${kind}`)
    expect(raw).toContain('/FontFile2')
    expect(raw).not.toContain('/Helvetica')
  })
  test('goes on over pages, also within what is longer than one', async () => {
    const { pages } = await written((sheet) => {
      sheet.row('note', 'word '.repeat(2500))
    })
    expect(pages).toBeGreaterThan(2)
  })
  test('tells below what a sign stands for that it has no letter for', async () => {
    const plain = await written((sheet) => sheet.paragraph('Mei'))
    const lacking = await written((sheet) => sheet.paragraph('美'))
    expect(lacking.raw.match(/\/S \/P/g)?.length).toBe((plain.raw.match(/\/S \/P/g)?.length ?? 0) + 1)
  })
})
