import { inflateSync } from 'node:zlib'

/** What can be read on a PDF, line by line as it was written; by the character maps of its own fonts. */
export function wordsOfPdf(pdf: Buffer): string {
  const objects = objectsOf(pdf)
  const fonts = new Map<string, Map<string, string>>()
  for (const { head } of objects.values())
    for (const [, fontName, number] of head.matchAll(/\/(F\d+) (\d+) 0 R/g)) {
      const [, map] = objects.get(Number(number))?.head.match(/\/ToUnicode (\d+) 0 R/) ?? []
      const characters = objects.get(Number(map))?.content
      if (fontName !== undefined && characters !== undefined) fonts.set(fontName, charactersOf(characters))
    }
  const lines: string[] = []
  for (const { content } of objects.values()) {
    if (content === undefined || !content.includes('BT\n')) continue
    let font = new Map<string, string>()
    for (const [, fontName, shown] of content.matchAll(/\/(F\d+) [\d.]+ Tf|\[([^\]]*)\] TJ/g)) {
      if (fontName !== undefined) font = fonts.get(fontName) ?? font
      else lines.push([...(shown ?? '').matchAll(/<([0-9a-f]+)>/g)].map(([, hex]) => read(hex ?? '', font)).join(''))
    }
  }
  return lines.join('\n')
}

const read = (hex: string, font: ReadonlyMap<string, string>) =>
  (hex.match(/.{4}/g) ?? []).map((glyph) => font.get(glyph) ?? '').join('')

interface PdfObject {
  readonly head: string
  /** Of a stream, unpacked. */
  readonly content?: string
}

function objectsOf(pdf: Buffer): Map<number, PdfObject> {
  const text = pdf.toString('latin1')
  const found = new Map<number, PdfObject>()
  for (const { index, 0: whole, 1: number } of text.matchAll(/(\d+) 0 obj\n[\s\S]*?\nendobj/g)) {
    const [head = '', stream] = whole.split(/stream\r?\n/)
    if (stream === undefined || !head.includes('/FlateDecode')) {
      found.set(Number(number), { head: whole })
      continue
    }
    const begin = index + whole.indexOf(stream)
    const end = text.indexOf('\nendstream', begin)
    found.set(Number(number), { head, content: inflateSync(pdf.subarray(begin, end)).toString('latin1') })
  }
  return found
}

/** Of a font's character map: glyph -> what it is read as. */
function charactersOf(map: string): Map<string, string> {
  const found = new Map<string, string>()
  for (const [, first = '0', list = ''] of map.matchAll(/<([0-9a-f]{4})> <[0-9a-f]{4}> \[([^\]]*)\]/g))
    [...list.matchAll(/<([0-9a-f ]+)>/g)].forEach(([, units = ''], i) => {
      const glyph = (Number.parseInt(first, 16) + i).toString(16).padStart(4, '0')
      const codes = units.replaceAll(' ', '').match(/.{4}/g) ?? []
      found.set(glyph, String.fromCharCode(...codes.map((code) => Number.parseInt(code, 16))))
    })
  return found
}
