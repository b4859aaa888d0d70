import { eachContact, type Lying } from './contacts.ts'

/** A copy that may be moved, by its sides. */
export interface Settling extends Lying {
  x: number
  y: number
}

/** Sides that lie so near each other, or so far over each other, are kept apart, mm. */
const reachMm = 0.6
const mostSweeps = 4000
/** Moves shorter than this end it, mm. */
const stillMm = 1e-7
/** How far sides may give way where there is no room for all, beside how hard they press: such slack spreads what is missing evenly. */
const yields = 1e-4

/** `out` times (move of `i` less move of `j`) shall be at least `needMm`; the rims of the roll do not move. */
interface Apart {
  readonly i: number
  readonly j: number | null
  readonly outX: number
  readonly outY: number
  readonly needMm: number
  pressed: number
}

/**
 * Moves copies as little as possible so that no side lies over another along which it lies: a quadratic programme in the moves, solved constraint by
 * constraint (Hildreth 1957), each of which may yield a little.
 * @param rims sides of the roll
 * @param spareMm how far apart copies shall lie
 */
export function settle(copies: readonly Settling[], rims: Lying, spareMm: number): void {
  const all = constraintsOf(copies, rims, spareMm)
  const moves = new Float64Array(2 * copies.length)
  for (let sweep = 0; sweep < mostSweeps; sweep++) {
    let most = 0
    for (const apart of all) most = Math.max(most, Math.abs(press(apart, moves)))
    if (most < stillMm) break
  }
  copies.forEach((copy, i) => {
    copy.x += moves[2 * i]!
    copy.y += moves[2 * i + 1]!
  })
}

function constraintsOf(copies: readonly Settling[], rims: Lying, spareMm: number): Apart[] {
  const all: Apart[] = []
  copies.forEach((copy, i) => {
    const keep = (j: number | null) =>
      eachContact(copy, j === null ? rims : copies[j]!, reachMm, ({ outX, outY, leastOffMm }) =>
        all.push({ i, j, outX, outY, needMm: (j === null ? 0 : spareMm) - leastOffMm, pressed: 0 }),
      )
    keep(null)
    for (let j = 0; j < i; j++) keep(j)
  })
  return all
}

/** Moves the two of a constraint; returns by how much. */
function press(apart: Apart, moves: Float64Array): number {
  const { i, j, outX, outY, needMm } = apart
  const [ix, iy] = [2 * i, 2 * i + 1]
  let open = moves[ix]! * outX + moves[iy]! * outY
  if (j !== null) open -= moves[2 * j]! * outX + moves[2 * j + 1]! * outY
  const wanted = (needMm - open - yields * apart.pressed) / ((j === null ? 1 : 2) + yields)
  const by = Math.max(-apart.pressed, wanted)
  apart.pressed += by
  moves[ix]! += outX * by
  moves[iy]! += outY * by
  if (j !== null) {
    moves[2 * j]! -= outX * by
    moves[2 * j + 1]! -= outY * by
  }
  return by
}
