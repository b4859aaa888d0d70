import { boundsOf, type Vec2 } from '../geometry/index.ts'
import type { FaultKind } from '../judge/index.ts'
import { seededNormal, seededRandom } from '../numerics/index.ts'
import type { FaultPlace } from './faultPlace.ts'

/** Film from near, lit from the side: how bright each spot of it is, 0 to 1; spots run along x first, from the top. */
export interface FaultPicture {
  readonly across: number
  readonly down: number
  readonly bright: Float64Array
}

/** Faults that are drawn; the lower edge of a picture is the front edge of the part where the fault has to do with it. */
export const picturedFaults = [
  'fingers',
  'air bubble',
  'silvering',
  'dirt or hair',
  'glue line',
  'stop line',
  'bridging',
  'pattern warped',
  'crease',
] as const satisfies readonly FaultKind[]
export type PicturedFault = (typeof picturedFaults)[number]
/** A mark of the part itself under sound film: no fault of the work. */
export const castingMark = 'casting mark'
export type Pictured = PicturedFault | typeof castingMark

/** What a picture shows of the part, mm. */
const sizeMm: Vec2 = [150, 100]
const stepMm = 0.5
/** Light comes from the upper left, low. */
const light = [-0.55, -0.45, 0.7] as const
/** Lines of a printed pattern lie so far apart, mm. */
const pitchMm = 7

/** The part itself is bowed, radius in mm: it is brighter towards the light. */
const bowedMm = 420

/** Something at x along the picture and y above its lower edge, mm. */
type Over = (x: number, y: number) => number
const nothing: Over = () => 0

/** The picture of a fault on a part; the same seed draws the same. */
export function faultPicture(kind: Pictured, seed: number, place: FaultPlace): FaultPicture {
  const chance = seededRandom(seed)
  const height = heightOf(kind, chance, place)
  const sheen = sheenOf(kind, kind === 'dirt or hair' ? seededRandom(seed) : chance, seed, place)
  const [across, down] = [Math.round(sizeMm[0] / stepMm), Math.round(sizeMm[1] / stepMm)]
  const bright = new Float64Array(across * down)
  for (let j = 0; j < down; j++)
    for (let i = 0; i < across; i++) {
      const [x, y] = [(i + 0.5) * stepMm, sizeMm[1] - (j + 0.5) * stepMm]
      bright[j * across + i] = Math.min(1, Math.max(0, lit(height, x, y) + sheen(x, y)))
    }
  return { across, down, bright }
}

/** How bright a surface is in the light, by its slope. */
function lit(height: Over, x: number, y: number): number {
  const d = stepMm
  const sx = (height(x + d, y) - height(x - d, y)) / (2 * d) - (x - sizeMm[0] / 2) / bowedMm
  const sy = (height(x, y + d) - height(x, y - d)) / (2 * d) - (y - sizeMm[1] / 2) / bowedMm
  // y of a picture runs downward, y of the part up.
  return 0.1 + 0.8 * Math.max(0, (-sx * light[0] + sy * light[1] + light[2]) / Math.hypot(sx, sy, 1))
}

/** Height of the film over the part, mm. */
function heightOf(kind: Pictured, chance: () => number, place: FaultPlace): Over {
  const from = (least: number, most: number) => least + (most - least) * chance()
  switch (kind) {
    case 'fingers':
      return fingersOf(from, place)
    case 'crease': {
      const [at, lean] = [from(50, 100), from(-0.5, 0.5)]
      return (x, y) => 0.5 * Math.exp(-(((x - at - lean * y) / 0.9) ** 2)) * (y < 70 ? 1 : Math.exp(-(y - 70) / 6))
    }
    case 'air bubble': {
      const bubbles = Array.from({ length: 4 }, () => ({ x: from(20, 130), y: from(20, 80), r: from(3, 9) }))
      return (x, y) =>
        bubbles.reduce((most, b) => {
          const q = 1 - ((x - b.x) ** 2 + (y - b.y) ** 2) / b.r ** 2
          return Math.max(most, q > 0 ? 0.16 * b.r * q : 0)
        }, 0)
    }
    case 'dirt or hair': {
      // A speck holds film up as a pole does a tent; film comes down to the part where it grips.
      const { at, reach } = speckOf(from)
      return (x, y) => {
        const r = Math.max(0.5, Math.hypot(x - at[0], y - at[1]))
        return r < reach ? (1.6 * Math.log(reach / r)) / Math.log(2 * reach) : 0
      }
    }
    case castingMark: {
      const [at, lean] = [from(40, 110), from(-0.2, 0.2)]
      return (x, y) => 0.18 * Math.exp(-(((x - at - lean * y) / 0.7) ** 2))
    }
    default:
      return nothing
  }
}

const speckOf = (from: (least: number, most: number) => number): { readonly at: Vec2; readonly reach: number } => ({
  at: [from(40, 110), from(30, 70)],
  reach: from(8, 13),
})

/** Film that is too long by a share stands up in waves of that share along the edge: share = (pi amplitude / length)². */
function fingersOf(from: (least: number, most: number) => number, place: FaultPlace): Over {
  const lengthMm = from(9, 15)
  const shift = from(0, lengthMm)
  return (x, y) => {
    const share = place.excessAt(x - sizeMm[0] / 2) / 100
    const amplitude = (lengthMm / Math.PI) * Math.sqrt(Math.max(0, share))
    const wave = Math.max(0, Math.sin((2 * Math.PI * (x + shift)) / lengthMm))
    return 2 * amplitude * wave * Math.exp(-y / (1.3 * lengthMm))
  }
}

/** What is brighter or darker without standing up. */
function sheenOf(kind: Pictured, chance: () => number, seed: number, place: FaultPlace): Over {
  const from = (least: number, most: number) => least + (most - least) * chance()
  switch (kind) {
    case 'silvering': {
      // Where the edge was dry before it lay, film touches in points only: a silver band, as wide as it was dry.
      const wide = from(8, 20)
      const normal = seededNormal(seededRandom(seed + 1))
      const grain = Array.from({ length: sizeMm[0] * sizeMm[1] }, () => Math.abs(normal()))
      return (x, y) => (y > wide ? 0 : 0.28 * (grain[Math.floor(y) * sizeMm[0] + Math.floor(x)] ?? 0) * (1 - y / wide))
    }
    case 'dirt or hair': {
      const { at } = speckOf(from)
      return (x, y) => (Math.hypot(x - at[0], y - at[1]) < 0.9 ? -0.6 : 0)
    }
    case 'glue line':
      return glueLinesOf(place)
    case 'stop line': {
      const at = from(35, 65)
      const bow = from(-0.002, 0.002)
      return (x, y) => 0.3 * Math.exp(-(((y - at - bow * (x - 75) ** 2) / 0.8) ** 2))
    }
    case 'pattern warped': {
      // A grid printed on the film as the lay has carried it.
      const [mx, my] = inView(place)
      const onLine = (w: number) => Math.abs(w / pitchMm - Math.round(w / pitchMm)) < 0.07
      return (x, y) => (place.filmAt([mx + x, my + y]).some(onLine) ? -0.3 : 0)
    }
    case 'bridging': {
      // Film lies flat from shoulder to shoulder; under it the part goes down into the shade.
      const middle = from(40, 60)
      const { widthMm, depthMm } = place.hollow
      const shade = Math.min(0.35, depthMm / 40)
      return (_x, y) => {
        const off = Math.abs(y - middle) / (widthMm / 2)
        const glint = 0.25 * Math.exp(-(((off - 1) / 0.05) ** 2))
        return off < 1.2 ? glint - (off < 1 ? shade * (1 - off ** 4) : 0) : 0
      }
    }
    default:
      return nothing
  }
}

/** So far to each side of the place along the pull they show, mm. */
const bandMm = 26

/** Lines across the pull where film is stretched most, the nearer to each other the further it is. */
function glueLinesOf(place: FaultPlace): Over {
  const [mx, my] = inView(place)
  const { stretch, way } = place.pulled
  const apart = 3.4 / (1 + 12 * stretch)
  return (x, y) => {
    const here = place.stretchAt([mx + x, my + y]) / Math.max(stretch, 1e-9)
    const along = way[0] * x + way[1] * y
    const off = ([x - (place.pulled.at[0] - mx), y - (place.pulled.at[1] - my)] as const).map((d) => d / bandMm)
    return (
      0.22 *
      here *
      Math.exp(-(((off[0] ?? 0) * way[0] + (off[1] ?? 0) * way[1]) ** 2)) *
      Math.sin((2 * Math.PI * along) / apart)
    )
  }
}

/** Lower left corner of the picture on the drawing: the place that is pulled most lies in it. */
function inView({ pulled, surface }: FaultPlace): Vec2 {
  const { min, max } = boundsOf(surface.outline.polygon)
  const corner = (k: 0 | 1) => Math.min(max[k] - sizeMm[k], Math.max(min[k], pulled.at[k] - sizeMm[k] / 2))
  return [corner(0), corner(1)]
}
