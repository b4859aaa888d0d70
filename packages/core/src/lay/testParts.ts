import type { BowReading, FormDoc } from '../form/index.ts'
import type { Vec2 } from '../geometry/index.ts'
import { type PreparedStage, setStage, usualHandling } from './index.ts'
import { required } from '../result/index.ts'

const names = ['bottom', 'right', 'top', 'left'] as const

/** Four straight edges from corner to corner, the last corner being the first one's beginning. */
export function fourEdges(corners: readonly [Vec2, Vec2, Vec2, Vec2]): Pick<FormDoc, 'start' | 'outline'> {
  const outline = corners.map((to, i) => ({ kind: 'line' as const, to, edge: names[i] ?? '' }))
  return { start: corners[3], outline }
}

/** A square panel of 300 mm with stop-short edges and the bow that is given. */
export function squarePart(bow: readonly BowReading[], more: Partial<FormDoc> = {}): FormDoc {
  const square = fourEdges([
    [150, -150],
    [150, 150],
    [-150, 150],
    [-150, -150],
  ])
  return {
    id: 'square',
    name: 'Square',
    version: 1,
    family: 'panel',
    material: 'painted steel',
    ...square,
    edges: names.map((name) => ({ name, label: `${name} edge`, code: 'stop-short' })),
    directions: { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' },
    bow,
    bodyLines: [],
    recesses: [],
    holes: [],
    marks: [],
    ...more,
  }
}

export const flatPart = squarePart([])
export const rolledPart = squarePart([{ name: 'across', from: [-150, 0], to: [150, 0], sagittaMm: 30 }])

/** Bowed like a ball: 18 mm over 300 mm both ways. */
export const bulgedPart = squarePart([
  { name: 'across', from: [-150, 0], to: [150, 0], sagittaMm: 18 },
  { name: 'up', from: [0, -150], to: [0, 150], sagittaMm: 18 },
  { name: 'slanting', from: [-150, -150], to: [150, 150], sagittaMm: 36 },
])

/** Flat, with a round recess. */
export const hollowPart = squarePart([], {
  recesses: [
    {
      name: 'grip',
      outline: Array.from({ length: 24 }, (_, i): Vec2 => {
        const a = (i * Math.PI) / 12
        return [40 + 55 * Math.cos(a), 20 + 55 * Math.sin(a)]
      }),
      depthMm: 14,
      wallDeg: 35,
    },
  ],
})

/** Like nothing mirrored: one side slants, it is bowed more at its right, and its mark is at its left. */
export const skewPart: FormDoc = {
  ...squarePart([
    { name: 'across', from: [-150, 0], to: [150, 0], sagittaMm: 22 },
    { name: 'up, right', from: [100, -90], to: [100, 90], sagittaMm: 11 },
    { name: 'up, left', from: [-110, -90], to: [-110, 60], sagittaMm: 4 },
  ]),
  ...fourEdges([
    [150, -90],
    [150, 110],
    [-140, 60],
    [-180, -90],
  ]),
  marks: [{ name: 'tip', label: 'tip', at: [-150, -10], weight: 1 }],
}

export const softFilm = { ...usualHandling, take: 0.003, coldStretch: 0.01, warmStretch: 0.2, glueLineStretch: 0.05 }

export function stageOf(
  form: FormDoc,
  handling = softFilm,
  triangles = 500,
  laid: 'wet' | 'dry' = 'wet',
): PreparedStage {
  return required(setStage(form, { handling, laid }, triangles))
}
