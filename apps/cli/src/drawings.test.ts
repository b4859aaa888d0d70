import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { folder, run } from './testing/program.ts'

describe('a drawing', () => {
  const drawn = (name: string, text: string) => {
    const file = join(folder, name)
    writeFileSync(file, text, 'latin1')
    return file
  }
  const plate = (head: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}><g id="Inner fender"><rect width="400" height="250"/><circle cx="100" cy="100" r="50"/></g><text>x</text></svg>`
  test('what it holds, in which unit, and what was left out', async () => {
    const file = drawn('plate.svg', plate('width="500mm" height="300mm" viewBox="0 0 500 300"'))
    const { code, out, err } = await run(['pattern', file])
    expect([code, err]).toEqual([0, ''])
    const answer = JSON.parse(out)
    expect(answer.areaMm2 / (100_000 - Math.PI * 2500)).toBeCloseTo(1, 4)
    expect(answer).toMatchObject({ widthMm: 400, heightMm: 250, cutOuts: 1, marks: 0, mmPerUnit: 1, unitStated: true })
    expect(answer.mended).toEqual(['1 text left out.'])
    expect(answer.layers).toEqual([{ layer: 'Inner fender', role: 'outline', shapes: 2 }])
  })
  test('in the unit that is given', async () => {
    const { out } = await run(['pattern', drawn('inches.svg', plate('viewBox="0 0 500 300"')), '--mm-per-unit', '2'])
    expect(JSON.parse(out)).toMatchObject({ widthMm: 800, mmPerUnit: 2, unitStated: false })
  })
  test('names in the letters of an old file', async () => {
    const groups = [
      '0',
      'SECTION',
      '2',
      'HEADER',
      '9',
      '$ACADVER',
      '1',
      'AC1015',
      '9',
      '$DWGCODEPAGE',
      '3',
      'ANSI_1252',
    ]
    const side = (x: number, y: number) => ['10', `${x}`, '20', `${y}`]
    const shape = [
      '0',
      'LWPOLYLINE',
      '8',
      'Kotfl\xfcgel',
      '90',
      '3',
      '70',
      '1',
      ...side(0, 0),
      ...side(90, 0),
      ...side(0, 90),
    ]
    const text = [
      ...groups,
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...shape,
      '0',
      'ENDSEC',
      '0',
      'EOF',
      '',
    ].join('\n')
    const { out } = await run(['pattern', drawn('old.dxf', text)])
    expect(JSON.parse(out).layers).toEqual([{ layer: 'Kotflügel', role: 'outline', shapes: 1 }])
  })
  test.each([
    [['pattern'], /give a file name/],
    [['pattern', '/nowhere/a.svg'], /cannot be read; check the name/],
    [['pattern', '/nowhere/a.pdf'], /neither an SVG nor a DXF/],
    [['pattern', drawn('empty.svg', '')], /is no XML.* Export it again/],
    [['pattern', drawn('one.svg', plate('')), '--mm-per-unit', 'some'], /--mm-per-unit some: must be a number/],
  ])('bad input is one sentence: %s', async (words, says) => {
    const { code, out, err } = await run(words)
    expect({ code, out }).toEqual({ code: 2, out: '' })
    expect(err.trim().split('\n')).toHaveLength(1)
    expect(err).toMatch(says)
  })
})
