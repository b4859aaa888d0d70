import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { dryCheck, mirrored, type PiecePattern } from '../align/index.ts'
import { buildSurface, type FormDoc } from '../form/index.ts'
import { gradePart, layFigures, naturalLay, workedLay } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import { type FilmDoc, placePart } from './index.ts'

const demo = new URL('../../../../demo/', import.meta.url)
const read = <T>(file: string): T => JSON.parse(readFileSync(new URL(file, demo), 'utf8'))
interface DemoPiece {
  readonly id: string
  readonly side: 'left' | 'right' | 'middle'
  readonly formId: string
  readonly filmId: string
  readonly pattern: PiecePattern
}
const pieces = readdirSync(new URL('pieces', demo)).map((name) => read<DemoPiece>(`pieces/${name}`))

/** Parts that are alike in a mirror: their sides cannot be told apart by shape, and need not be. */
const alikeInAMirror = /fog|grille/

describe('every piece of the demo kits', () => {
  test.each(pieces.map((piece) => [piece.id, piece] as const))('%s can be laid and held up to its part', (_, piece) => {
    const form = read<FormDoc>(`forms/${piece.formId}.json`)
    const film = read<FilmDoc>(`films/${piece.filmId}.json`)
    // The walls of a channel want a finer mesh than a plain panel.
    const surface = buildSurface(form, { triangles: form.channels === undefined ? 900 : 3000 })
    if (!surface.ok) throw new Error(surface.failure.sentence)
    const { take, warmStretch } = film.handling
    const worked = workedLay(surface.value.mesh, { take, limit: 1 + warmStretch })
    if (!worked.ok) throw new Error(worked.failure.sentence)
    expect(worked.value.flipped).toBe(0)
    const placed = placePart(form, surface.value, worked.value, piece.pattern, practiceWith())
    if (!placed.ok) throw new Error(placed.failure.sentence)
    const { part, spots, rules } = placed.value
    const held = (pattern: PiecePattern) => {
      const check = dryCheck({
        part,
        holeNames: form.holes.map((hole) => hole.label),
        targets: form.marks.map((m) => ({ name: m.name, at: part.toFlat(m.at), weight: m.weight })),
        pattern,
        spots,
        rules,
        edgeLabel: (edge) => edge,
        length: (mm) => `${mm.toFixed(1)} mm`,
      })
      if (!check.ok) throw new Error(check.failure.sentence)
      return check.value
    }
    const check = held(piece.pattern)
    expect(['fits', 'fits when moved']).toContain(check.verdict)
    expect(check.covered).toBeGreaterThan(0.9)
    const other = held(mirrored(piece.pattern)).verdict
    if (alikeInAMirror.test(piece.id)) expect(other).not.toBe('other side')
    else expect(other).toBe('other side')
  })
})

describe('difficulty over the families of the demo shop', () => {
  test.each([
    ['skua-trim-left', 'ebony-cast-dry', 1, 1, 'lies down by itself'],
    ['drover-grille-bar', 'ebony-cast-dry', 1, 1, 'lies down by itself'],
    ['pipit-door-left', 'clearcoat-hull-180', 1, 2, 'openings'],
    ['pipit-bonnet', 'clearcoat-hull-180', 2, 3, 'large'],
    ['drover-side-panel', 'clearcoat-hull-180', 3, 4, 'channel'],
    ['pipit-bumper', 'clearcoat-hull-180', 3, 4, 'uneven stretch'],
    ['pipit-headlamp-left', 'dusk-glass-dry', 4, 5, 'heat and pulls'],
    ['pipit-fog-left', 'clear-dome-dry', 4, 5, 'turns away by'],
  ])('%s with %s is %d to %d', (formId, filmId, least, most, says) => {
    const form = read<FormDoc>(`forms/${formId}.json`)
    const film = read<FilmDoc>(`films/${filmId}.json`)
    const surface = buildSurface(form, { triangles: 1500 })
    if (!surface.ok) throw new Error(surface.failure.sentence)
    const natural = naturalLay(surface.value.mesh)
    if (!natural.ok) throw new Error(natural.failure.sentence)
    const figures = layFigures(surface.value.mesh, natural.value)
    const { grade, reasons } = gradePart(form, surface.value, figures, film.handling)
    expect(grade).toBeGreaterThanOrEqual(least)
    expect(grade).toBeLessThanOrEqual(most)
    expect(reasons.join('; ')).toContain(says)
  })
})
