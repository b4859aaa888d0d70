import type { EdgeCode, FormDoc, PartFamily, PartMaterial } from '../form/index.ts'
import type { Vec2 } from '../geometry/index.ts'

/** What a place on a vehicle is called, and how large such a place is there as a rule. */
export interface OrdinaryPlace {
  readonly slot: string
  readonly name: string
  /** Width and height as seen straight on, mm. */
  readonly size: Vec2
}

/** What ordinarily stands at a place: its way of working, its material, and how its edges end. */
interface Kind {
  readonly of: RegExp
  readonly family: PartFamily
  readonly material: PartMaterial
  readonly code: EdgeCode
}

/** The first that fits; anything else is a panel. */
const kinds: readonly Kind[] = [
  { of: /lamp/, family: 'lamp', material: 'lens plastic', code: 'gap-cut' },
  { of: /^(grille|trim)/, family: 'trim', material: 'gloss trim', code: 'tuck' },
  { of: /^pillar/, family: 'panel', material: 'gloss trim', code: 'stop-short' },
  { of: /bumper|mirror/, family: 'panel', material: 'painted plastic', code: 'stop-short' },
]
const panel: Omit<Kind, 'of'> = { family: 'panel', material: 'painted steel', code: 'stop-short' }

/**
 * A form for a part that nobody has measured: a flat box of the size that its place has on an ordinary vehicle, its four edges ending as they
 * mostly do there. It says what kind of work it is, and nothing of how the part bulges.
 */
export function ordinaryForm({ slot, name, size }: OrdinaryPlace): FormDoc {
  const { family, material, code } = kinds.find(({ of }) => of.test(slot)) ?? panel
  const [w, h] = [Math.round(size[0] / 2), Math.round(size[1] / 2)]
  const edges = [
    ['bottom', 'bottom edge'],
    ['right', 'right edge'],
    ['top', 'top edge'],
    ['left', 'left edge'],
  ] as const
  const corners: readonly Vec2[] = [
    [w, -h],
    [w, h],
    [-w, h],
    [-w, -h],
  ]
  return {
    id: `ordinary-${slot}`,
    name,
    version: 1,
    family,
    material,
    start: [-w, -h],
    outline: corners.map((to, i) => ({ kind: 'line', to, edge: edges[i]?.[0] ?? 'bottom' })),
    edges: edges.map(([edge, label]) => ({ name: edge, label, code })),
    directions: { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' },
    bow: [],
    bodyLines: [],
    recesses: [],
    holes: [],
    marks: [],
  }
}
