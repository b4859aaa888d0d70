import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { answer, bonnet, file, film, folder, run, sweep } from './testing/program.ts'

describe('bad input: nothing on standard output, one line on standard error, exit 2', () => {
  const quad = 'v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\n'
  test.each([
    ['no command', [], '', 'no command'],
    ['an unknown command', ['fly'], '', 'unknown command'],
    ['no file', ['form'], '', 'no input'],
    ['a file that is not there', ['form', '/nowhere.json'], '', 'cannot be read'],
    ['wrong JSON', ['mix', '-'], '{"target":', 'not JSON'],
    ['a missing field', ['mix', '-'], '{"target":{},"stock":{}}', 'batchMl'],
    [
      'evidence that contradicts',
      ['judge', '-'],
      '{"fault":"crease","stage":"wet","film":{"type":"trim vinyl","laid":"dry"}}',
      'laid dry is never wet',
    ],
    ['an unknown field', ['light', '-'], '{"layers":[{"transmission":0.5}],"colour":1}', 'colour'],
    [
      'a target above the stock',
      ['mix', '-'],
      '{"target":{"alcoholPercent":80},"stock":{"alcoholPercent":70},"batchMl":500}',
      '80 %',
    ],
    [
      'a negative volume',
      ['mix', '-'],
      '{"target":{"alcoholPercent":8},"stock":{"alcoholPercent":70},"batchMl":-500}',
      'batch volume',
    ],
    [
      'a gun that stands still',
      ['heat', '-'],
      JSON.stringify({ ambientC: 20, layers: [film], exposure: { ...sweep, speedMmS: 0 } }),
      'holding it still',
    ],
    ['no layer', ['heat', '-'], JSON.stringify({ ambientC: 20, layers: [], exposure: sweep }), 'Nothing is said'],
    ['an exposure of no kind', ['heat', '-'], '{"ambientC":20,"layers":[],"exposure":{"kind":"sun"}}', 'exposure.kind'],
    ['a room of 90 °C', ['wait', '-'], '{"roomC":90,"humidityPercent":50,"kind":"fullBond"}', 'room temperature'],
    ['an unknown wait', ['wait', '-'], '{"roomC":20,"humidityPercent":50,"kind":"lunch"}', 'kind'],
    ['one gap', ['align', '-'], '{"checks":[{"at":[0,0],"normal":[0,1],"measuredMm":1,"wantedMm":2}]}', 'too few'],
    ['an unknown option', ['lay', '--mesh', 'x.obj', '--speed', '3'], '', '--speed'],
    ['an unknown mode', ['lay', '--mesh', '-', '--mode', 'lazy'], `${quad}f 1 2 3\n`, '--mode lazy'],
    ['a take of nonsense', ['lay', '--mesh', '-', '--take', 'much'], `${quad}f 1 2 3\n`, '--take much'],
    [
      'a mesh in two pieces',
      ['lay', '--mesh', '-'],
      `${quad}v 5 5 0\nv 6 5 0\nv 6 6 0\nf 1 2 3\nf 5 6 7\n`,
      '2 separate pieces',
    ],
    ['a broken mesh file', ['lay', '--mesh', '-'], `${quad}f 1 2 9\n`, 'line 5'],
  ])('%s', async (_, words, input, says) => {
    const { code, out, err } = await run(words, input)
    expect(out).toBe('')
    expect(err.trim().split('\n').length).toBe(1)
    expect(err).toContain(says)
    expect(code).toBe(2)
  })
  test('a mesh with a hole', async () => {
    const mesh = join(folder, 'holed.obj')
    await answer(['form', bonnet, '--triangles', '400', '--out', mesh])
    const { code, out, err } = await run(['lay', '--mesh', mesh])
    expect({ code, out }).toEqual({ code: 2, out: '' })
    expect(err).toContain('1 hole')
  })
  test('a mesh whose seams are split is sewn together, and it is said', async () => {
    const split = 'v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 0 0\nv 1 1 0\nv 0 1 0\nf 1 2 3\nf 4 5 6\n'
    const { code, out } = await run(['lay', '--mesh', '-', '--units', 'm'], split)
    expect(code).toBe(0)
    expect(JSON.parse(out)).toMatchObject({
      vertices: 4,
      triangles: 2,
      joinedCorners: 2,
      flipped: 0,
    })
  })
  test('bow readings that contradict each other', async () => {
    const form = JSON.parse(readFileSync(bonnet, 'utf8'))
    form.bow.push({ ...form.bow[1], name: 'across, again', sagittaMm: 12 })
    const { code, err } = await run(['form', '-'], JSON.stringify(form))
    expect(code).toBe(2)
    expect(err).toContain('contradict')
  })
})

test('a mesh that asks for more than a part needs is refused in a line', async () => {
  const hostile = file('hostile.obj', `v 0 0 0\nv 1 0 0\nv 0 1 0\nf ${'1 2 3 '.repeat(200_000)}\n`)
  const { code, out, err } = await run(['lay', hostile])
  expect({ code, out }).toEqual({ code: 2, out: '' })
  expect(err).toMatch(/hostile\.obj, line 4: a line of more than 100000 letters/)
})
