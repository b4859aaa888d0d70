import type { Vec2 } from '../geometry/index.ts'
import { ringBits, targetOf } from './codes.ts'
import { targetRadii } from './target.ts'

/** A picture in greys, 0 to 255, row by row from the upper left. */
export interface GreyPicture {
  readonly width: number
  readonly height: number
  readonly grey: Uint8Array
}

export interface FoundTarget {
  readonly target: number
  /** Middle of its dot, px; the middle of the first pixel is 0.5. */
  readonly atPx: Vec2
  /** Half axes of its dot, px. */
  readonly radiiPx: Vec2
  /** How softly black goes over into white across its rim, by direction from 0 to half a turn: sigma of a Gaussian, px. */
  readonly softPx: readonly number[]
}

/** A picture is worked through in pieces of this size, so that memory does not grow with it, px. */
const tilePx = 512
/** So much of the neighbours is looked at with a piece: the largest target fits in. */
const borderPx = 140
/**
 * Brightness is compared with the mean of so many pixels to each side, for dots of half axes up to so many: small ones on dark paint are no darker
 * than what lies further away, large ones fill what lies near.
 */
const looks = [
  { aroundPx: 8, mostPx: 7 },
  { aroundPx: 36, mostPx: 36 },
] as const
/** Darker than its surroundings by so much is dark. */
const darker = 14
/** Smallest and largest dots, half axes in px. */
const dotPx = { least: 2.3, most: 36 } as const
/** A dot seen more slantingly than this is no longer read. */
const leastRound = 0.28
/** White round a dot is brighter than it by so much at least. */
const leastContrast = 28
/** A bit whose ring is that near to half way between black and white is none. */
const leastMargin = 0.09
/** The same where the ring is so small that neighbouring bits run into each other, and up to which half axis that is, px. */
const smallMargin = { leastMargin: 0.13, upToPx: 3.2 } as const
/** The paper beyond the ring is white by such a share everywhere. */
const paperShare = 0.25

/** All targets of a picture. */
export function detectTargets(picture: GreyPicture): FoundTarget[] {
  const found = new Map<number, FoundTarget>()
  const twice = new Set<number>()
  for (let top = 0; top < picture.height; top += tilePx)
    for (let left = 0; left < picture.width; left += tilePx)
      for (const one of inTile(picture, left, top)) {
        const before = found.get(one.target)
        if (before !== undefined && Math.hypot(before.atPx[0] - one.atPx[0], before.atPx[1] - one.atPx[1]) > 2)
          twice.add(one.target)
        found.set(one.target, one)
      }
  // Of two with one number nobody knows which is the one.
  return [...found.values()].filter(({ target }) => !twice.has(target)).sort((a, b) => a.target - b.target)
}

function inTile(picture: GreyPicture, left: number, top: number): FoundTarget[] {
  const [x0, y0] = [Math.max(0, left - borderPx), Math.max(0, top - borderPx)]
  const [x1, y1] = [
    Math.min(picture.width, left + tilePx + borderPx),
    Math.min(picture.height, top + tilePx + borderPx),
  ]
  const [w, h] = [x1 - x0, y1 - y0]
  const sums = sumsOf(picture, x0, y0, w, h)
  const blobs = looks.flatMap(({ aroundPx, mostPx }) =>
    blobsOf(darkOf(picture, sums, aroundPx, x0, y0, w, h), w, h, mostPx),
  )
  return blobs.flatMap((blob) => {
    const x = blob.sumX / blob.count + x0
    const y = blob.sumY / blob.count + y0
    // Each target is found in the piece in which its middle lies.
    if (x < left || y < top || x >= left + tilePx || y >= top + tilePx) return []
    const found = read(picture, blob, x0, y0)
    return found === null ? [] : [found]
  })
}

/** Greys added up from the upper left. */
function sumsOf({ width, grey }: GreyPicture, x0: number, y0: number, w: number, h: number): Uint32Array {
  const sums = new Uint32Array((w + 1) * (h + 1))
  for (let j = 0; j < h; j++) {
    let row = 0
    for (let i = 0; i < w; i++) {
      row += grey[(y0 + j) * width + x0 + i] as number
      sums[(j + 1) * (w + 1) + i + 1] = (sums[j * (w + 1) + i + 1] as number) + row
    }
  }
  return sums
}

/** Which pixels are darker than what lies around them. */
function darkOf(
  { width, grey }: GreyPicture,
  sums: Uint32Array,
  aroundPx: number,
  x0: number,
  y0: number,
  w: number,
  h: number,
): Uint8Array {
  const dark = new Uint8Array(w * h)
  for (let j = 0; j < h; j++) {
    const [a, b] = [Math.max(0, j - aroundPx), Math.min(h, j + aroundPx + 1)]
    for (let i = 0; i < w; i++) {
      const [c, d] = [Math.max(0, i - aroundPx), Math.min(w, i + aroundPx + 1)]
      const sum =
        (sums[b * (w + 1) + d] as number) -
        (sums[a * (w + 1) + d] as number) -
        (sums[b * (w + 1) + c] as number) +
        (sums[a * (w + 1) + c] as number)
      if ((grey[(y0 + j) * width + x0 + i] as number) < sum / ((b - a) * (d - c)) - darker) dark[j * w + i] = 1
    }
  }
  return dark
}

interface Blob {
  count: number
  sumX: number
  sumY: number
  sumXX: number
  sumXY: number
  sumYY: number
}

/** Dark pixels that touch each other, with their moments; only what is small enough for a dot. */
function blobsOf(dark: Uint8Array, w: number, h: number, mostPx: number): Blob[] {
  const most = Math.PI * mostPx * mostPx
  const least = Math.PI * dotPx.least * dotPx.least * leastRound
  const stack: number[] = []
  const blobs: Blob[] = []
  for (let start = 0; start < dark.length; start++) {
    if (dark[start] !== 1) continue
    const blob: Blob = { count: 0, sumX: 0, sumY: 0, sumXX: 0, sumXY: 0, sumYY: 0 }
    stack.push(start)
    dark[start] = 2
    while (stack.length > 0) {
      const at = stack.pop() as number
      const [i, j] = [at % w, Math.floor(at / w)]
      const [x, y] = [i + 0.5, j + 0.5]
      blob.count++
      blob.sumX += x
      blob.sumY += y
      blob.sumXX += x * x
      blob.sumXY += x * y
      blob.sumYY += y * y
      if (i > 0 && dark[at - 1] === 1) stack.push(mark(dark, at - 1))
      if (i < w - 1 && dark[at + 1] === 1) stack.push(mark(dark, at + 1))
      if (j > 0 && dark[at - w] === 1) stack.push(mark(dark, at - w))
      if (j < h - 1 && dark[at + w] === 1) stack.push(mark(dark, at + w))
    }
    if (blob.count >= least && blob.count <= most) blobs.push(blob)
  }
  return blobs
}

function mark(dark: Uint8Array, at: number): number {
  dark[at] = 2
  return at
}

/** An ellipse as its middle and the covariance of a disc of that shape: half axes are twice the roots of its values. */
interface Ellipse {
  readonly x: number
  readonly y: number
  readonly xx: number
  readonly xy: number
  readonly yy: number
}

function axesOf({ xx, xy, yy }: Ellipse): Vec2 {
  const mean = (xx + yy) / 2
  const half = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy)
  return [2 * Math.sqrt(Math.max(0, mean + half)), 2 * Math.sqrt(Math.max(0, mean - half))]
}

/** Reads a blob as a target: a dark ellipse, white round it, a ring that can be read. */
function read(picture: GreyPicture, blob: Blob, x0: number, y0: number): FoundTarget | null {
  const [mx, my] = [blob.sumX / blob.count, blob.sumY / blob.count]
  const rough: Ellipse = {
    x: mx + x0,
    y: my + y0,
    xx: blob.sumXX / blob.count - mx * mx,
    xy: blob.sumXY / blob.count - mx * my,
    yy: blob.sumYY / blob.count - my * my,
  }
  const [a, b] = axesOf(rough)
  if (a > dotPx.most || b < dotPx.least || b < leastRound * a) return null
  if (Math.abs(blob.count / (Math.PI * a * b) - 1) > 0.25) return null
  const levels = levelsOf(picture, rough)
  if (levels === null) return null
  const fine = refined(picture, rough, levels)
  if (fine === null) return null
  const target = ringOf(picture, fine, levels)
  return target === null
    ? null
    : { target, atPx: [fine.x, fine.y], radiiPx: axesOf(fine), softPx: softnessOf(picture, fine, levels) }
}

/** Directions in which the rim of a dot is looked at. */
export const softDirections = 8
const softStepPx = 0.25

/** The steepest slope across the rim tells how soft it is: of a step blurred by a Gaussian it is the step by sigma by the root of 2 pi. */
function softnessOf(picture: GreyPicture, ellipse: Ellipse, { black, white }: Levels): number[] {
  const soft = Array.from({ length: softDirections }, () => Infinity)
  for (let k = 0; k < 2 * softDirections; k++) {
    const turn = (Math.PI * k) / softDirections
    const [rx, ry] = around(ellipse, 1, turn)
    const [dx, dy] = [rx - ellipse.x, ry - ellipse.y]
    const radius = Math.hypot(dx, dy)
    // The rim's own direction, not that from the middle.
    const [nx, ny] = [ellipse.yy * dx - ellipse.xy * dy, ellipse.xx * dy - ellipse.xy * dx]
    const long = Math.hypot(nx, ny)
    const at = (step: number) => greyAt(picture, [rx + (nx / long) * step, ry + (ny / long) * step])
    let steepest = 0
    for (let step = -0.5 * radius; step < 0.5 * radius; step += softStepPx) {
      const [a, b] = [at(step), at(step + softStepPx)]
      if (a !== null && b !== null) steepest = Math.max(steepest, (b - a) / softStepPx)
    }
    const bright = white[Math.floor((k * whiteSamples) / (2 * softDirections))] ?? 255
    const sigma = (bright - black) / Math.max(1e-6, steepest) / Math.sqrt(2 * Math.PI)
    const bin = Math.round(((Math.atan2(ny, nx) / Math.PI + 2) % 1) * softDirections) % softDirections
    soft[bin] = Math.min(soft[bin] ?? Infinity, sigma)
  }
  return soft
}

/** A circle of radius `r` dots round the middle, carried onto the ellipse. */
function around(ellipse: Ellipse, r: number, turn: number): Vec2 {
  const { xx, xy, yy } = ellipse
  // The root of the covariance: it neither turns nor mirrors, so that bits keep their way round.
  const s = Math.sqrt(Math.max(1e-12, xx * yy - xy * xy))
  const t = Math.sqrt(xx + yy + 2 * s)
  const [p, q, u] = [(xx + s) / t, xy / t, (yy + s) / t]
  const [c, d] = [2 * r * Math.cos(turn), 2 * r * Math.sin(turn)]
  return [ellipse.x + p * c + q * d, ellipse.y + q * c + u * d]
}

/** Grey at a spot, between the four nearest pixels; null outside. */
function greyAt({ width, height, grey }: GreyPicture, [x, y]: Vec2): number | null {
  const [fx, fy] = [x - 0.5, y - 0.5]
  const [i, j] = [Math.floor(fx), Math.floor(fy)]
  if (i < 0 || j < 0 || i + 1 >= width || j + 1 >= height) return null
  const [u, v] = [fx - i, fy - j]
  const at = j * width + i
  return (
    (1 - v) * ((1 - u) * (grey[at] as number) + u * (grey[at + 1] as number)) +
    v * ((1 - u) * (grey[at + width] as number) + u * (grey[at + width + 1] as number))
  )
}

/** Black of the dot, and white round it by direction. */
interface Levels {
  readonly black: number
  readonly white: readonly number[]
}

const whiteSamples = 32

function levelsOf(picture: GreyPicture, ellipse: Ellipse): Levels | null {
  const inside = [0, 0.35].flatMap((r) =>
    [0, 1.57, 3.14, 4.71].map((turn) => greyAt(picture, around(ellipse, r, turn))),
  )
  const outside = Array.from({ length: whiteSamples }, (_, k) =>
    greyAt(picture, around(ellipse, 1.5, (2 * Math.PI * k) / whiteSamples)),
  )
  if (inside.some((v) => v === null) || outside.some((v) => v === null)) return null
  const black = (inside as number[]).reduce((sum, v) => sum + v, 0) / inside.length
  const white = outside as number[]
  const mean = white.reduce((sum, v) => sum + v, 0) / white.length
  if (mean - black < leastContrast) return null
  // White all the way round: light may fall off, but nothing dark stands there.
  return white.every((v) => v - black > 0.55 * (mean - black)) ? { black, white } : null
}

/** The dot by its greys: pixels at its rim count by how much of them is dark. */
function refined(picture: GreyPicture, rough: Ellipse, { black, white }: Levels): Ellipse | null {
  const mean = white.reduce((sum, v) => sum + v, 0) / white.length
  const [a] = axesOf(rough)
  const reach = Math.ceil(1.5 * a) + 1
  const s = rough.xx * rough.yy - rough.xy * rough.xy
  let [sum, sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0, 0]
  const { width, height, grey } = picture
  for (let j = Math.floor(rough.y) - reach; j <= rough.y + reach; j++)
    for (let i = Math.floor(rough.x) - reach; i <= rough.x + reach; i++) {
      if (i < 0 || j < 0 || i >= width || j >= height) return null
      const [dx, dy] = [i + 0.5 - rough.x, j + 0.5 - rough.y]
      // In half axes from the middle.
      const off = Math.sqrt((rough.yy * dx * dx - 2 * rough.xy * dx * dy + rough.xx * dy * dy) / s) / 2
      if (off > 1.5) continue
      const share = (mean - (grey[j * width + i] as number)) / (mean - black)
      const weight = Math.min(1, Math.max(0, share < 0.08 ? 0 : share))
      sum += weight
      sx += weight * dx
      sy += weight * dy
      sxx += weight * dx * dx
      sxy += weight * dx * dy
      syy += weight * dy * dy
    }
  if (sum === 0) return null
  const [mx, my] = [sx / sum, sy / sum]
  return {
    x: rough.x + mx,
    y: rough.y + my,
    xx: sxx / sum - mx * mx,
    xy: sxy / sum - mx * my,
    yy: syy / sum - my * my,
  }
}

/** On the paper beyond the ring, in radii of the dot. */
const paperAt = (targetRadii.ring + targetRadii.margin) / 2

/** Samples of each bit. */
const perBit = 8

/** The bits of the ring, wherever the first begins; null where they are not clearly black or white, or no target has them. */
function ringOf(picture: GreyPicture, ellipse: Ellipse, { black, white }: Levels): number | null {
  const count = ringBits * perBit
  const middle = (targetRadii.white + targetRadii.ring) / 2
  const shares: number[] = []
  for (let k = 0; k < count; k++) {
    const turn = (2 * Math.PI * k) / count
    const grey = greyAt(picture, around(ellipse, middle, turn))
    if (grey === null) return null
    const bright = white[Math.floor((k * whiteSamples) / count)] ?? 255
    shares.push((grey - black) / (bright - black) - 0.5)
  }
  let best = { clear: 0, bits: [] as number[] }
  for (let first = 0; first < perBit; first++) {
    const bits = Array.from({ length: ringBits }, (_, bit) => {
      let sum = 0
      // Its rims are left out: there neighbours show through.
      for (let k = 1; k < perBit - 1; k++) sum += shares[(first + bit * perBit + k) % count] ?? 0
      return sum / (perBit - 2)
    })
    const clear = bits.reduce((sum, v) => sum + Math.abs(v), 0)
    if (clear > best.clear) best = { clear, bits }
  }
  const margin = axesOf(ellipse)[1] < smallMargin.upToPx ? smallMargin.leastMargin : leastMargin
  if (best.bits.some((v) => Math.abs(v) < margin)) return null
  for (let k = 0; k < whiteSamples; k++) {
    const grey = greyAt(picture, around(ellipse, paperAt, (2 * Math.PI * k) / whiteSamples))
    const bright = white[k] ?? 255
    if (grey === null || (grey - black) / (bright - black) < paperShare) return null
  }
  return targetOf(best.bits.reduce((ring, v, bit) => (v > 0 ? ring | (1 << bit) : ring), 0))
}
