import { english } from '@truelay/words'
import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import type { EdgeCode, FormDoc, FormEdge } from '../form/index.ts'
import { buildSurface } from '../form/index.ts'
import { edgeRulesOf } from '../plan/index.ts'
import { practiceWith } from '../practice/index.ts'
import { endRefused, bladeBook, type EdgeWork, edgePlan, readBehind } from './index.ts'

const practice = practiceWith()

/** A plate of 400 by 300 mm, each edge as given. */
function plate(edge: Partial<FormEdge>, change: Partial<FormDoc> = {}): FormDoc {
  const names = ['front', 'right', 'rear', 'left'] as const
  const corners = [
    [400, 0],
    [400, 300],
    [0, 300],
    [0, 0],
  ] as const
  return {
    id: 'plate',
    name: 'Plate',
    version: 1,
    family: 'panel',
    material: 'painted steel',
    start: [0, 0],
    outline: names.map((name, i) => ({ kind: 'line', to: corners[i] ?? [0, 0], edge: name })),
    edges: names.map((name) => ({ name, label: `${name} edge`, code: 'stop-short' as EdgeCode, ...edge })),
    directions: { right: 'right', left: 'left', up: 'up', down: 'down' },
    bow: [],
    bodyLines: [],
    recesses: [],
    holes: [],
    marks: [],
    ...change,
  }
}

function worked(form: FormDoc) {
  const built = buildSurface(form, { triangles: 400 })
  if (!built.ok) throw new Error(english(built.failure.sentence))
  return edgePlan(form, built.value, edgeRulesOf(form, practice), practice)
}
const first = (edge: Partial<FormEdge>, change: Partial<FormDoc> = {}): EdgeWork => {
  const [work] = worked(plate(edge, change)).edges
  if (work === undefined) throw new Error('no edge')
  return work
}

describe('what is behind an edge', () => {
  test.each([
    ['open flange, 20 mm', { kind: 'return', depthMm: 20 }],
    ['wheel arch lip', { kind: 'return', depthMm: null }],
    ['gap to the wing', { kind: 'gap' }],
    ['waist seal', { kind: 'seal' }],
    ['slot above the bar', { kind: 'seal' }],
    ['nothing', { kind: 'nothing' }],
    ['', { kind: 'unknown' }],
    [undefined, { kind: 'unknown' }],
  ])('"%s"', (text, is) => {
    expect(readBehind(text)).toEqual(is)
  })
})

describe('how an edge ends', () => {
  test('a wrap over a good return suits, with scissors, a notch of 45 degrees at each corner, and a seal', () => {
    const work = first({ code: 'wrap', behind: 'open flange, 25 mm' })
    expect(work.doubts).toEqual([])
    expect(work.tools.map((t) => t.name)).toSay('scissors')
    expect(work.tools.every((t) => t.bladeDeg === null)).toBe(true)
    expect(work.when).toSay(/^dry$/)
    expect(work.seal).toSay('68')
    expect(work.notches).toHaveLength(1)
    expect(work.notches[0]?.cutDeg).toBeCloseTo(45, 6)
    expect(work.lengthMm).toBeCloseTo(400, 6)
    expect(work.schools[0]?.options.find((o) => o.suits)?.name).toSay(/^wrap$/)
  })
  test.each([
    ['a wrap with nothing behind it', { code: 'wrap', behind: 'nothing' }, 'nothing behind'],
    ['a wrap over a gap', { code: 'wrap', behind: 'gap to the wing' }, 'nothing behind'],
    ['a wrap over a short return', { code: 'wrap', behind: 'flange, 6 mm' }, 'Only 6 mm'],
    ['a wrap longer than its return', { code: 'wrap', behind: 'flange, 14 mm' }, 'trim it to 12 mm'],
    ['a wrap over who knows what', { code: 'wrap' }, 'Nobody has said'],
    ['a tuck without a gap', { code: 'tuck', behind: 'flange, 20 mm' }, 'needs a gap'],
    ['a cut over bare paint', { code: 'surface-cut' }, 'bare paint'],
    ['a gap cut without a gap', { code: 'gap-cut', behind: 'waist seal' }, 'no empty gap'],
    ['film over a sharp lip', { code: 'stop-short', lip: { turnDeg: 85, depthMm: 8 } }, 'Stop on the crest'],
  ] as const)('%s is doubted', (_, edge, says) => {
    expect(first(edge).doubts).toSay(says)
  })
  test('a return that is just deep enough, or that nobody has measured, is not said to be too short', () => {
    expect(first({ code: 'wrap', behind: `flange, ${practice.wrapGrip} mm` }).doubts).not.toSay('hold on to')
    expect(first({ code: 'wrap', behind: 'wheel arch lip' }).doubts).toEqual([])
  })
  test.each(['stop-short', 'surface-cut', 'overlap'] as const)(
    'whatever is behind it, an edge that ends by %s holds on to nothing there',
    (code) => {
      for (const behind of ['nothing', 'gap to the wing', 'flange, 6 mm', 'flange, 14 mm', undefined])
        for (const says of ['hold on', 'behind'])
          expect(first({ code, ...(behind === undefined ? {} : { behind }) }).doubts).not.toSay(says)
    },
  )
  test('a wrap with nothing to hold on to: the other school suits', () => {
    const work = first({ code: 'wrap', behind: 'nothing' })
    expect(work.schools[0]?.options.find((o) => o.suits)?.name).toSay(/^clean edge$/)
  })
  test.each([
    ['stop-short', 0],
    ['wrap', 0],
    ['gap-cut', 45],
    ['surface-cut', 10],
  ] as const)('%s: the blade at %d degrees', (code, angle) => {
    const blades = first({ code, behind: 'gap to the wing' }).tools.flatMap((t) =>
      t.bladeDeg === null ? [] : [t.bladeDeg],
    )
    expect(blades).toEqual(angle === 0 ? [] : [angle])
  })
  test('a notch is as wide as what is turned under: the wrap’s overhang, else the least tuck', () => {
    const wide = (code: EdgeCode) => {
      const form = plate({ code, behind: 'open flange, 25 mm' })
      return { notch: worked(form).edges[0]?.notches[0], rule: edgeRulesOf(form, practice).front }
    }
    // At a square corner twice the overhang.
    const wrap = wide('wrap')
    expect(wrap.notch?.mouthMm).toBeCloseTo(-2 * (wrap.rule?.minMm ?? 0), 6)
    expect(wide('tuck').notch?.mouthMm).toBeCloseTo(2 * practice.tuckLeast, 6)
    expect(wrap.notch?.mouthMm).not.toBeCloseTo(2 * practice.tuckLeast, 1)
  })
  test('segments: one for the part, and one more every three metres', () => {
    expect(worked(plate({ code: 'stop-short' }))).toMatchObject({ cutMm: 0, segments: 0 })
    const cut = worked(plate({ code: 'gap-cut', behind: 'gap' }))
    expect(cut.cutMm).toBeCloseTo(1400, 3)
    expect(cut.segments).toBe(1)
    const twice = worked(
      plate(
        { code: 'gap-cut' },
        { outline: plate({}).outline.map((s) => ({ ...s, to: [s.to[0] * 3, s.to[1] * 3] as const })) },
      ),
    )
    expect(twice.segments).toBe(2)
  })
  test.each(['pipit-bonnet', 'pipit-bumper', 'pipit-headlamp-left', 'drover-grille-bar', 'skua-trim-left'])(
    'every edge of %s has a tool, a time and a length',
    (name) => {
      const form = JSON.parse(readFileSync(`demo/forms/${name}.json`, 'utf8')) as FormDoc
      for (const work of worked(form).edges) {
        expect(work.tools.length).toBeGreaterThan(0)
        expect(work.when).not.toBe('')
        expect(work.lengthMm).toBeGreaterThan(1)
      }
    },
  )
})

test('the blade book counts segments, metres and the feel of test cuts', () => {
  const at = '2026-03-02T10:00:00Z'
  const book = bladeBook(
    [
      { kind: 'bought', at, segments: 50 },
      { kind: 'segment', at },
      { kind: 'cut', at, cutMm: 1400 },
      { kind: 'test cut', at, felt: 'right through' },
      { kind: 'test cut', at, felt: 'two thirds' },
      { kind: 'cut', at, cutMm: 1800 },
    ],
    3000,
  )
  expect(book).toEqual({
    segmentsLeft: 49,
    segmentsUsed: 1,
    cutWithThisMm: 3200,
    fresh: false,
    testCuts: 2,
    steadiness: 0.5,
  })
  expect(bladeBook([{ kind: 'segment', at }], 3000)).toMatchObject({ fresh: true, steadiness: null })
})

describe('an edge that cannot end so', () => {
  const edge = { label: 'nose edge' }
  const lip = { turnDeg: 85, depthMm: 12 }
  test('there is no lip to stop on where there is none', () => {
    expect(endRefused(edge, 'lip-stop')).toSay('The nose edge has no lip to stop on')
    expect(endRefused({ ...edge, lip }, 'lip-stop')).toBeNull()
  })
  test.each(['wrap', 'tuck', 'overlap'] as const)('over a sharp lip film does not go on: %s', (code) => {
    expect(endRefused({ ...edge, lip }, code)).toSay('turns away by 85°')
    expect(endRefused({ ...edge, lip: { ...lip, turnDeg: 40 } }, code)).toBeNull()
  })
  test('a wrap wants something to hold on to; what nobody has felt is a doubt, no refusal', () => {
    expect(endRefused({ ...edge, behind: 'nothing' }, 'wrap')).toSay('nothing behind the nose edge')
    expect(endRefused(edge, 'wrap')).toBeNull()
    expect(endRefused({ ...edge, behind: 'open flange, 16 mm' }, 'wrap')).toBeNull()
  })
  test('it may always stop short or be cut', () => {
    for (const code of ['stop-short', 'gap-cut', 'surface-cut', 'butt'] as const)
      expect(endRefused({ ...edge, lip, behind: 'nothing' }, code)).toBeNull()
  })
})
