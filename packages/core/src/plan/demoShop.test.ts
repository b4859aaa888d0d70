import { english, wordsIn } from '@truelay/words'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { mirrored, type PiecePattern } from '../align/index.ts'
import { buildSurface, type FormDoc } from '../form/index.ts'
import { gradePart, layFigures, layPart, naturalLay } from '../lay/index.ts'
import { required } from '../result/index.ts'
import { plainFacts, sentencesIn } from './testParts.ts'
import { anyDay, type FilmDoc, holdUp, partQuestion, placeOn, planWork } from './index.ts'

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

const inInches = wordsIn({ units: { length: 'in', temperature: 'F', volume: 'fl oz' } })

/** Parts that are alike in a mirror: their sides cannot be told apart by shape, and need not be. */
const alikeInAMirror = /fog|grille|finch-trim/

describe('every piece of the demo kits', () => {
  test.each(pieces.map((piece) => [piece.id, piece] as const))(
    '%s can be laid, held up to its part, and planned for a shop of inches',
    (_, piece) => {
      const form = read<FormDoc>(`forms/${piece.formId}.json`)
      const facts = plainFacts(form, read<FilmDoc>(`films/${piece.filmId}.json`), piece.pattern)
      const { lay, work } = partQuestion(facts)
      // The walls of a channel want a finer mesh than a plain panel.
      const laid = required(layPart(lay, { triangles: facts.form.channels === undefined ? 900 : 3000 }))
      expect(laid.worked.flipped).toBe(0)
      const held = (pattern: PiecePattern) => {
        const { place } = partQuestion({ ...facts, pattern })
        const { check } = required(holdUp(required(placeOn(laid, place)), place, work.film, work.practice))
        if (check === null) throw new Error('a piece of a kit is always held up')
        return check
      }
      const check = held(piece.pattern)
      expect(['fits', 'fits when moved']).toContain(check.verdict)
      expect(check.covered).toBeGreaterThan(0.9)
      const other = held(mirrored(piece.pattern)).verdict
      if (alikeInAMirror.test(piece.id)) expect(other).not.toBe('other side')
      else expect(other).toBe('other side')

      const plan = required(planWork(required(placeOn(laid, partQuestion(facts).place)), { ...work, ...anyDay }))
      const said = [...sentencesIn(plan)]
      expect(said.length).toBeGreaterThan(50)
      for (const sentence of said) expect(inInches(sentence)).not.toMatch(/\d ?(mm|cm|m|mL|L|°C)\b/)
    },
  )
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
    const { mesh } = required(surface)
    const figures = layFigures(mesh, required(naturalLay(mesh)))
    const { grade, reasons } = gradePart(form, required(surface), figures, film.handling)
    expect(grade).toBeGreaterThanOrEqual(least)
    expect(grade).toBeLessThanOrEqual(most)
    expect(reasons.map(english).join('; ')).toContain(says)
  })
})
