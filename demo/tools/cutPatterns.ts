/**
 * Cuts the patterns of the demo kits from the demo forms, as a kit maker would: the worked lay of the form, drawn in or
 * out by what each edge wants, with the small errors of a real kit, in a coordinate system of its own.
 * Run: `npx tsx demo/tools/cutPatterns.ts`; writes demo/pieces, demo/kits and demo/models.
 */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { filmDoc, formDoc, kitDoc, pieceDoc, vehicleModel } from '@truelay/contract'
import { buildSurface } from '@truelay/core/form'
import { rotate, type Vec2 } from '@truelay/core/geometry'
import { flatPart, workedLay, workedOptions } from '@truelay/core/lay'
import { edgeRulesOf } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { cutPattern } from '@truelay/core/stock'
import { english } from '@truelay/words'
import { type DemoKit, type KitPiece, kits, models, withoutPiece } from './kits.ts'
import { round } from './shapes.ts'

const practice = practiceWith()
const read = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8'))
const idOf = (piece: KitPiece) =>
  piece.form === 'pipit-bonnet' || piece.form.startsWith('pipit-headlamp') ? `${piece.form}-piece` : piece.form

for (const folder of ['pieces', 'kits', 'models']) {
  rmSync(`demo/${folder}`, { recursive: true, force: true })
  mkdirSync(`demo/${folder}`)
}

/** Points that rounding has put on top of each other count once. */
const once = (polygon: readonly Vec2[]) =>
  polygon.filter((p, i) => {
    const before = polygon[(i + polygon.length - 1) % polygon.length]
    return before === undefined || before[0] !== p[0] || before[1] !== p[1]
  })

function cut(kit: DemoKit, piece: KitPiece) {
  const form = formDoc.parse(read(`demo/forms/${piece.form}.json`))
  const film = filmDoc.parse(read(`demo/films/${piece.film}.json`))
  const surface = buildSurface(form, { triangles: 6000 })
  if (!surface.ok) throw new Error(`${piece.form}: ${english(surface.failure.sentence)}`)
  const lay = workedLay(surface.value.mesh, workedOptions(film.handling))
  if (!lay.ok) throw new Error(`${piece.form}: ${english(lay.failure.sentence)}`)
  if (lay.value.flipped > 0) throw new Error(`${piece.form}: ${lay.value.flipped} triangles lie turned over`)
  const part = flatPart(surface.value, lay.value)
  const growth = Object.fromEntries(
    Object.entries(edgeRulesOf(form, practice)).map(([edge, rule]) => [edge, -(rule.minMm + rule.maxMm) / 2]),
  )
  const pattern = cutPattern(part, { name: piece.name, growth, marks: form.marks })
  const error = piece.error ?? { x: 1, y: 1, bowMm: 0 }
  const size = Math.max(...part.outline.polygon.map(([x]) => Math.abs(x)))
  const asCut = ([x, y]: Vec2): Vec2 => {
    const bow = error.bowMm * (1 - (x / size) ** 2)
    const [u, v] = rotate([x * error.x, y * error.y + bow], ((piece.turnDeg ?? 0) * Math.PI) / 180)
    return [round(u + 800), round(v + 600)]
  }
  const id = idOf(piece)
  const document = pieceDoc.parse({
    id,
    kitId: kit.id,
    name: piece.name,
    side: piece.side,
    count: piece.count ?? 1,
    spares: piece.spares ?? 0,
    formId: piece.form,
    filmId: piece.film,
    lot: piece.lot,
    pattern: {
      name: pattern.name,
      outline: once(pattern.outline.map(asCut)),
      cutOuts: pattern.cutOuts.map((hole) => once(hole.map(asCut))),
      marks: pattern.marks.map(({ name, at }) => ({ name, at: asCut(at) })),
    },
  })
  writeFileSync(`demo/pieces/${id}.json`, `${JSON.stringify(document)}\n`)
  process.stdout.write(
    `${id}: ${pattern.outline.length} points, needs ${((lay.value.neededStretch - 1) * 100).toFixed(1)} %\n`,
  )
}

for (const kit of kits) {
  for (const piece of kit.pieces) cut(kit, piece)
  const named = (form: string) => {
    const piece = kit.pieces.find((p) => p.form === form)
    if (piece === undefined) throw new Error(`${kit.id}: no piece for ${form}`)
    return idOf(piece)
  }
  const rules = kit.rules.map(({ first, next, reason }) => ({ first: named(first), next: named(next), reason }))
  const document = kitDoc.parse({ id: kit.id, name: kit.name, modelId: kit.model, rules, note: kit.note })
  writeFileSync(`demo/kits/${kit.id}.json`, `${JSON.stringify(document, null, 1)}\n`)
}
for (const model of models) {
  const parts = kits
    .filter((kit) => kit.model === model.id)
    .flatMap((kit) => kit.pieces)
    .map((piece) => ({
      name: piece.name,
      slot: piece.slot,
      ...(piece.within === undefined ? {} : { within: piece.within }),
      formId: piece.form,
      pieceId: idOf(piece),
      filmId: piece.film,
    }))
  const uncut = (withoutPiece[model.id] ?? []).map(({ name, slot, form, film }) => ({
    name,
    slot,
    formId: form,
    pieceId: null,
    filmId: film,
  }))
  const document = vehicleModel.parse({ ...model, parts: [...parts, ...uncut] })
  writeFileSync(`demo/models/${model.id}.json`, `${JSON.stringify(document, null, 1)}\n`)
}
