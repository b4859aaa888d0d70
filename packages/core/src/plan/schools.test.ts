import { describe, expect, test } from 'vitest'
import { type SchoolName, schoolNames, schoolWords } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import type { PieceCut } from './pieceCut.ts'
import { say } from '../say/index.ts'
import { demoFilm } from './testParts.ts'
import { type ChosenOrder, type FoundOnPart, type Schools, schoolsFor, usualSchools } from './index.ts'
import { explainSchools } from './schools.ts'

const at = [0.5, 0.5] as const
const found = (kind: FoundOnPart['kind']): FoundOnPart[] => [{ kind, at }]
const wet = { laid: 'wet', type: 'paint film' } as const
const dry = { laid: 'dry', type: 'lens tint' } as const

describe('what a shop chooses without thinking twice', () => {
  test.each<['panel' | 'lamp' | 'trim', typeof wet | typeof dry, Schools]>([
    ['panel', wet, { slip: 'light slip', tack: 'weak tack', begin: 'corners first' }],
    ['lamp', wet, { slip: 'water only', tack: 'weak tack', begin: 'flattest first' }],
    ['trim', wet, { slip: 'light slip', tack: 'weak tack', begin: 'one end and follow' }],
    ['panel', dry, { slip: 'dry', tack: 'dry', begin: 'corners first' }],
    ['lamp', dry, { slip: 'dry', tack: 'dry', begin: 'flattest first' }],
    ['trim', dry, { slip: 'dry', tack: 'dry', begin: 'one end and follow' }],
  ])('a %s under %j', (family, film, schools) => {
    expect(usualSchools({ family, edges: [] }, film)).toEqual(schools)
  })
  test.each(['cracked lens', 'crazed lens'] as const)('a %s takes no alcohol', (kind) => {
    expect(usualSchools({ family: 'lamp', edges: [] }, wet, found(kind))).toEqual({
      slip: 'water only',
      tack: 'water only',
      begin: 'flattest first',
    })
    expect(usualSchools({ family: 'lamp', edges: [] }, dry, found(kind))).toMatchObject({ slip: 'dry', tack: 'dry' })
  })
  test.each(['chip', 'coating', 'repaint', 'swirls'] as const)('%s changes no liquid', (kind) => {
    expect(usualSchools({ family: 'panel', edges: [] }, wet, found(kind))).toEqual(
      usualSchools({ family: 'panel', edges: [] }, wet),
    )
  })
})

const chosen = (school: SchoolName, because = say`It was rehearsed.`): ChosenOrder => ({
  order: {
    school,
    made: 'by school',
    anchors: [],
    from: [[0, 0]],
    fromLabel: null,
    flatFirst: 0,
    spiral: false,
    strokeMm: 100,
  },
  because,
})

describe('an order that was chosen', () => {
  test('decides where to begin, and nothing else', () => {
    expect(schoolsFor({ family: 'panel', edges: [] }, wet, [], chosen('centre out'))).toEqual({
      slip: 'light slip',
      tack: 'weak tack',
      begin: 'centre out',
    })
    expect(schoolsFor({ family: 'panel', edges: [] }, wet, [], null)).toEqual(
      usualSchools({ family: 'panel', edges: [] }, wet),
    )
  })
})

const preCut: PieceCut = { way: 'pre-cut', enlarged: [], sheet: null }

describe('each choice is explained', () => {
  const film = demoFilm('clearcoat-hull-180')
  const dryFilm = demoFilm('dusk-glass-dry')
  const practice = practiceWith()
  const explained = (
    schools: Partial<Schools>,
    more: { dry?: boolean; chosen?: ChosenOrder; fromRoll?: boolean } = {},
  ) =>
    explainSchools(
      { ...usualSchools({ family: 'panel', edges: [] }, more.dry === true ? dry : wet), ...schools },
      { family: 'panel' },
      more.dry === true ? dryFilm : film,
      practice,
      { chosen: more.chosen ?? null, cut: { ...preCut, way: more.fromRoll === true ? 'from the roll' : 'pre-cut' } },
    )
  test.each(schoolNames)('“%s” with its reason and what another school would change', (begin) => {
    const [, where] = explained({ begin })
    expect(where?.question).toSay('Where to begin')
    expect(where?.choice).toSay(/\S/)
    expect(where?.reason).toSay(/\.$/)
    expect(where?.otherwise).toSay(/(would|but)/)
    expect(where?.choice).toEqual(schoolWords[begin])
  })
  test('no two schools give the same reason but the two that hinge at an end', () => {
    const reasons = schoolNames.map((begin) => JSON.stringify(explained({ begin })[1]?.reason))
    expect(new Set(reasons).size).toBe(schoolNames.length)
  })
  test('the length that is released is the shop’s own', () => {
    const own = explainSchools(
      { slip: 'light slip', tack: 'weak tack', begin: 'one end and follow' },
      { family: 'trim' },
      film,
      practiceWith({ releaseLength: 400 }),
      { chosen: null, cut: preCut },
    )
    expect(own[1]?.reason).toSay('400 mm at a time')
  })
  test('an order that was chosen gives its own reason, or its school’s where it has none', () => {
    const with_ = explained({ begin: 'spiral' }, { chosen: chosen('spiral', say`Less film is left at the nose.`) })
    expect(with_[1]?.reason).toSay('Less film is left at the nose.')
    const without = explained({ begin: 'spiral' }, { chosen: chosen('spiral', { text: '', with: [] }) })
    expect(without[1]?.reason).toEqual(explained({ begin: 'spiral' })[1]?.reason)
  })
  test('a piece from the roll is not called pre-cut', () => {
    expect(explained({ begin: 'corners first' })[1]?.reason).toSay('pre-cut')
    expect(explained({ begin: 'corners first' }, { fromRoll: true })[1]?.reason).not.toSay('pre-cut')
  })
  test('where the film comes from, with the sheet or the edges that were grown', () => {
    const sheet = {
      lengthMm: 440,
      widthMm: 250,
      turnDeg: 0,
      allowanceMm: 38,
      ofRollMm: 440,
      rollWidthMm: 1520,
      outline: [],
    }
    const of = (cut: PieceCut) =>
      explainSchools(usualSchools({ family: 'panel', edges: [] }, wet), { family: 'panel' }, film, practice, {
        chosen: null,
        cut,
      })[2]?.choice
    expect(of(preCut)).toSay('the piece as it comes')
    expect(of({ ...preCut, way: 'from the roll', sheet })).toSay('from the roll, 440 mm by 250 mm')
    const enlarged = [{ edge: 'a', label: 'front edge', byMm: 12.5 }]
    expect(of({ ...preCut, way: 'enlarged', enlarged })).toSay('the piece, enlarged: 12.5 mm at the front edge')
  })
  test('liquids that were chosen give their own reason, and one bottle is named once', () => {
    expect(explained({ slip: 'hybrid', tack: 'hybrid' })[0]?.choice).toSay(/^hybrid$/)
    expect(explained({ slip: 'hybrid', tack: 'hybrid' })[0]?.reason).toSay('for speed')
  })
  test('each family has its own reason for its liquid', () => {
    const of = (family: 'panel' | 'lamp' | 'trim') =>
      explainSchools(
        { slip: family === 'lamp' ? 'water only' : 'light slip', tack: 'weak tack', begin: 'centre out' },
        { family },
        film,
        practice,
        {
          chosen: null,
          cut: preCut,
        },
      )[0]?.reason
    expect(of('panel')).toSay('A panel is large')
    expect(of('lamp')).toSay('A lens shows every trace of soap')
    expect(of('trim')).toSay('A narrow part')
  })
  test('wet and dry film are told apart', () => {
    expect(explained({})[0]?.choice).toSay('light slip, weak tack')
    expect(explained({})[0]?.otherwise).toSay('Heavy slip would slide further and bond later.')
    expect(explained({ slip: 'heavy slip' })[0]?.otherwise).toSay('Light slip would bond sooner.')
    expect(explained({}, { dry: true })[0]?.choice).toSay('dry')
    expect(explained({}, { dry: true })[0]?.reason).toSay(dryFilm.name)
  })
})
