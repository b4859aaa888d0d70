import type { CountedRoll, JobBundle, Piece } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { describe, expect, test } from 'vitest'
import { cutQuestion, filmsToCut, together } from './cutQuestion.ts'
import { sourcesOf, usualSource } from './cutSources.ts'

const practice = practiceWith()
const film = (id: string, type = 'paint film') => ({ id, name: id, type })
const piece = (id: string, filmId: string, count = 1): Piece =>
  ({
    id,
    name: id,
    filmId,
    count,
    pattern: {
      outline: [
        [0, 0],
        [600, 0],
        [600, 400],
        [0, 400],
      ],
      cutOuts: [],
      marks: [{ name: 'top', at: [300, 410] }],
    },
  }) as unknown as Piece
const bundleOf = (id: string, pieces: readonly Piece[]): JobBundle =>
  ({
    job: { id, number: id },
    films: [film('clear'), film('tint', 'lens tint')],
    forms: [],
    pieces,
    parts: pieces.map((p) => ({
      id: `${id}-${p.id}`,
      name: p.name,
      filmId: p.filmId,
      pieceId: p.id,
      formId: null,
      choices: { cut: null },
    })),
  }) as unknown as JobBundle
const arrived = (pieceId: string, count: number) => ({ pieceId, arrived: count, lot: 'A' }) as never
const ask = (bundle: JobBundle, more: object = {}) => filmsToCut({ bundle, arrived: [], cuts: [], practice, ...more })
const anyRoll = { widthMm: 1520, lengthMm: null, spoilt: [] }

describe('what of a job is to be cut', () => {
  const job = bundleOf('0412', [piece('bonnet', 'clear'), piece('strip', 'clear', 4), piece('lamp', 'tint')])

  test('film by film, less what is counted', () => {
    const films = ask(job, { arrived: [arrived('strip', 3)] })
    expect(films.map((of) => [of.film.id, of.pieces.map(({ id, lacking }) => [id, lacking])])).toEqual([
      [
        'clear',
        [
          ['bonnet', 1],
          ['strip', 1],
        ],
      ],
      ['tint', [['lamp', 1]]],
    ])
  })

  test('a piece that was spoilt asks for one more, unless its spare is there', () => {
    const lacking = (count: number) =>
      ask(job, { arrived: [arrived('bonnet', count)], awaited: ['0412-bonnet'] })[0]?.pieces[0]?.lacking
    expect(lacking(1)).toBe(1)
    expect(lacking(2)).toBe(0)
  })

  test('tint stands on its head at most; clear film lies in any quarter', () => {
    const turns = ask(job).map((of) => cutQuestion(of, {}, practice, anyRoll).pieces[0]?.turns)
    expect(turns).toEqual([
      [0, 90, 180, 270],
      [0, 180],
    ])
  })

  test('other jobs come beside it with what they lack of that film, each piece under its own name', () => {
    const [clear] = ask(job)
    if (clear === undefined) throw new Error('no film')
    const other = bundleOf('0413', [piece('bonnet', 'clear'), piece('door', 'clear'), piece('lamp', 'tint')])
    const both = together(clear, [{ bundle: other, arrived: [arrived('door', 1)], practice }])
    expect(both.pieces.map(({ id, forJob }) => [id, forJob?.number])).toEqual([
      ['bonnet', undefined],
      ['strip', undefined],
      ['0413 bonnet', '0413'],
    ])
    const mixed = cutQuestion(both, {}, practice, anyRoll).pieces.map((of) => of.together)
    expect(mixed).toEqual([undefined, undefined, undefined])
    const byCar = cutQuestion(both, {}, practice, anyRoll, true).pieces.map((of) => of.together)
    expect(byCar).toEqual(['own', 'own', '0413'])
    expect(together(clear, [])).toBe(clear)
  })

  test('the roll brings its width, what is left of it and what is spoilt', () => {
    const [clear] = ask(job)
    if (clear === undefined) throw new Error('no film')
    const asked = cutQuestion(clear, { strip: 0 }, practice, { widthMm: 760, lengthMm: 5000, spoilt: [[100, 300]] })
    expect(asked).toMatchObject({ rollWidthMm: 760, rollLengthMm: 5000, spoilt: [[100, 300]] })
    expect(asked.pieces.map(({ id }) => id)).toEqual(['bonnet'])
  })
})

describe('where it is cut from', () => {
  const roll = (id: string, leftMm: number, offcuts: object[] = []): CountedRoll =>
    ({
      roll: { id, filmId: 'clear', lot: id, widthMm: 1000, lengthMm: 15_000 },
      account: { leftMm, spoilt: [], offcuts, cuts: [], gone: false, overdrawnMm: 0 },
    }) as unknown as CountedRoll
  const stock = {
    rolls: [
      roll('r1', 200, [{ offcutId: 'o1', widthMm: 300, lengthMm: 500 }]),
      roll('r2', 4000),
      roll('r3', 9000),
      roll('r4', 0),
    ],
  }
  const sources = sourcesOf('clear' as never, stock)
  const pieces = (count: number) =>
    [
      {
        ...ask(bundleOf('x', [piece('p', 'clear')]))[0]?.pieces[0],
        lacking: count,
      },
    ] as never

  test('rolls that have film, the oldest first, then offcuts', () => {
    expect(sources.map(({ key }) => key)).toEqual(['r1', 'r2', 'r3', 'o1'])
    expect(sourcesOf('tint' as never, stock)).toEqual([])
  })

  test('the oldest that has enough; where none has, the one that has most', () => {
    // A piece takes 0.24 m²: 0.37 m of a roll at 65 %.
    expect(usualSource(sources, pieces(1), 0.65)?.key).toBe('r2')
    expect(usualSource(sources, pieces(15), 0.65)?.key).toBe('r3')
    expect(usualSource(sources, pieces(99), 0.65)?.key).toBe('r3')
    expect(usualSource([], pieces(1), 0.65)).toBeUndefined()
  })
})
