import { usualHandling } from '@truelay/core/lay'
import { verbatim } from '@truelay/core/say'
import { describe, expect, test } from 'vitest'
import { documents } from '../index.ts'
import { jobBundleWithFilmFigures } from './olderDocuments.ts'

const square = [
  [0, 0],
  [1, 0],
  [1, 1],
]
/** A plan as it was kept before sentences and steps were data. */
const oldPlan = {
  partId: 'p',
  partName: 'Part',
  film: { id: 'f', name: 'Film', type: 'paint film', laid: 'wet' },
  material: 'painted steel',
  grade: 1,
  gradeWords: 'Lies down by itself.',
  schools: [{ question: 'Liquid', choice: 'light slip', reason: 'It floats.', otherwise: 'Heavy slip slides.' }],
  solutions: [],
  anchors: [],
  pulls: [],
  edges: [],
  checks: [],
  gapToleranceMm: 0.5,
  directions: { right: 'r', left: 'l', up: 'u', down: 'd' },
  drawing: { part: square, holes: [], piece: square, cutOuts: [], edges: [] },
  steps: [
    {
      id: 'seal-edges',
      phase: 'heat',
      headline: 'Seal the edges',
      detail: 'Third notch, along and back twice.',
      why: 'What is warm flows.',
      picture: { film: 'none', marks: [] },
      inHand: ['heat gun, always moving'],
      people: 1,
      minutes: 5,
      cautions: ['Never hold the gun still; damage begins at about 110 °C.'],
    },
  ],
  minutes: 5,
}
const old = (kind: string, more: object) => ({
  id: '00000000-0000-4000-8000-000000000001',
  partId: 'p',
  personId: 'ines',
  at: '2030-05-01T09:00:00.000Z',
  kind,
  ...more,
})

describe('what was kept before versions is read as it stood', () => {
  test('a fit that was begun then: its words stay, what they held is made into values', () => {
    const read = documents.fitEvent.read(old('fitStarted', { plan: oldPlan }))
    if (!read.ok) throw new Error(`${read.where}: ${read.problem}`)
    if (read.value.kind !== 'fitStarted') throw new Error('another kind')
    const [step] = read.value.plan.steps
    expect(step?.headline).toSay(/^Seal the edges$/)
    expect(step?.tools).toEqual(['heat gun'])
    expect(step?.cautions[0]?.says).toSay('Never hold the gun still')
    expect(read.value.plan.heat).toEqual([])
    expect(read.value.plan.order).toBeNull()
  })
  test('a batch knows its school again by its name', () => {
    const mixed = { stepId: 'mix', batchNumber: '0412-1', batchMl: 500, alcoholPercent: 10, soapMlPerL: 0 }
    const read = documents.fitEvent.read(old('batchMixed', { ...mixed, says: 'weak tack' }))
    expect(read).toMatchObject({ ok: true, value: { school: 'weak tack', add: [], says: verbatim('weak tack') } })
    const own = documents.fitEvent.read(old('batchMixed', { ...mixed, says: '12 % alcohol' }))
    expect(own).toMatchObject({ ok: true, value: { school: null } })
  })
  test('a chosen order tells how it was made', () => {
    const order = {
      school: 'centre out',
      anchors: [{ label: 'badge', at: [0, 1], pullShare: 0.5 }],
      from: [[0, 1]],
      fromLabel: 'there',
      flatFirst: 0,
      spiral: false,
      strokeMm: 100,
    }
    const made = (name: string) => {
      const read = documents.chosenOrder.read({ order: { ...order, name }, because: 'One lift.' })
      return read.ok ? read.value.order.made : read.problem
    }
    expect(made('centre out')).toBe('by school')
    expect(made('better order')).toBe('by search')
  })
})

describe('what was kept before film could be cut otherwise, or parts be fitted together', () => {
  test('choices stand as they were, with nothing chosen of what is new', () => {
    const liquids = { slip: 'hybrid', tack: 'hybrid' }
    expect(documents.workChoices.read({ v: 1, doc: { ends: { nose: 'wrap' }, liquids } })).toEqual({
      ok: true,
      value: { ends: { nose: 'wrap' }, liquids, cut: null, hands: null, light: null },
    })
  })
  const { patternStretch: _, ...withoutPattern } = usualHandling
  test('a film keeps its own figures, and takes the usual one for its pattern', () => {
    const read = documents.film.read({
      v: 2,
      doc: {
        id: 'old',
        name: 'Old film',
        type: 'lens tint',
        laid: 'dry',
        thicknessUm: 100,
        handling: { ...withoutPattern, take: 0.004 },
        damageC: 110,
      },
    })
    expect(read.ok && read.value.handling).toMatchObject({ take: 0.004, patternStretch: usualHandling.patternStretch })
  })
  test('a film that was never asked how it narrows and what it holds takes the usual figures', () => {
    const { narrowing, tackNPerCm, ...before } = { ...usualHandling, take: 0.004 }
    const film = { id: 'old', name: 'Old film', type: 'paint film', laid: 'wet', thicknessUm: 180, damageC: 110 }
    const read = documents.film.read({ v: 3, doc: { ...film, handling: before } })
    expect(read.ok && read.value.handling).toEqual({ ...before, narrowing, tackNPerCm })
    // Within a whole job that a tablet has kept, too.
    expect(jobBundleWithFilmFigures({ films: [{ ...film, handling: before }] })).toEqual({
      films: [{ ...film, handling: { ...before, narrowing, tackNPerCm } }],
    })
  })
})

describe('what is kept now', () => {
  test.each(Object.entries(documents))('%s: a newer version is not guessed at', (_, { read, version }) => {
    expect(read({ v: version + 1, doc: {} })).toMatchObject({ ok: false, version: version + 1 })
  })
  test.each(Object.entries(documents))('%s: nonsense is answered, never thrown', (kind, { read }) => {
    // An empty list is nonsense but where a list is kept.
    for (const nonsense of [
      null,
      7,
      'x',
      kind === 'partSets' ? [[]] : [],
      {},
      { v: 1, doc: null },
      { v: 0, doc: {} },
      { v: 1.5 },
    ])
      expect(read(nonsense)).toMatchObject({ ok: false, problem: expect.any(String) })
  })
  test('comes back as it was, with its version beside it', () => {
    const room = { temperatureC: 21, humidityPercent: 40 }
    const kept = documents.room.keep(room)
    expect(kept).toEqual({ v: documents.room.version, doc: room })
    expect(documents.room.read(JSON.parse(JSON.stringify(kept)))).toEqual({ ok: true, value: room })
  })
})

test('a shop from before it told its places and hours gets the usual ones, and keeps what it had', () => {
  const units = { length: 'mm', temperature: 'C', volume: 'mL' }
  const before = { name: 'Quayside', units, theme: 'day', stockAlcoholPercent: 91, practice: {}, guns: [] }
  const read = documents.shop.read({ v: 2, doc: before })
  if (!read.ok) throw new Error(`${read.where}: ${read.problem}`)
  expect(read.value).toMatchObject({
    name: 'Quayside',
    stockAlcoholPercent: 91,
    address: '',
    lensRules: '',
    warranty: '',
  })
  expect(read.value.places.map((p) => p.name)).toEqual(['Bay 1', 'Bay 2', 'Wash bay', 'Bench'])
  expect(read.value.hours).toHaveLength(7)
})
