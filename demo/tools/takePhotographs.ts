/**
 * Draws twelve photographs of a headlamp with targets on it, a start plate and two bars, as a tablet's camera would take them: perspective, a lens that
 * bends, a little blur, noise, uneven light, autofocus and stabiliser, a hand that turns while rows are read. The headlamp is that of the Hallowen Finch.
 * Run: `npx tsx demo/tools/takePhotographs.ts`; writes demo/photographs/*.jpg and demo/photographs/bars.json.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { fitBow, traceOutline } from '@truelay/core/form'
import { insideOf, type Vec2 } from '@truelay/core/geometry'
import { seededNormal, seededRandom } from '@truelay/core/numerics'
import {
  barTargets,
  isWhite,
  lookingAt,
  plateMm,
  type Pose,
  sheetMm,
  targetRadii,
  turnedBy,
  type Vec3,
} from '@truelay/core/photogrammetry'
import { required } from '@truelay/core/result'
import jpeg from 'jpeg-js'

const [wide, high] = [1600, 1200]
const focalPx = 0.79 * wide
const lens = { radial: [-0.07, 0.04], tangential: [0.0004, -0.0003] } as const
const dotMm = 5
const plateDotMm = 8
const fine = 2
const photographs = 12
/** Only some of them, by their number, where they are given. */
const only = process.argv.slice(2).map(Number)
const quality = 78

const form = formDoc.parse(JSON.parse(readFileSync('demo/forms/finch-headlamp-left.json', 'utf8')))
const outline = required(traceOutline(form.name, form.start, form.outline)).polygon
const bow = required(fitBow(outline, form.bow, () => 0))
const isOnLamp = insideOf(outline)

/** Heights of the lamp on a raster, so that rays are quick; below its rim it goes straight down. */
const raster = { step: 1, left: -215, bottom: -105, columns: 430, rows: 205 }
const floorMm = -62
const heights = new Float32Array(raster.columns * raster.rows).fill(Number.NaN)
for (let j = 0; j < raster.rows; j++)
  for (let i = 0; i < raster.columns; i++) {
    const p: Vec2 = [raster.left + i * raster.step, raster.bottom + j * raster.step]
    if (isOnLamp(p)) heights[j * raster.columns + i] = bow.heightAt(p)
  }
function lampAt(x: number, y: number): number | null {
  const [i, j] = [Math.round((x - raster.left) / raster.step), Math.round((y - raster.bottom) / raster.step)]
  if (i < 0 || j < 0 || i >= raster.columns || j >= raster.rows) return null
  const value = heights[j * raster.columns + i] ?? Number.NaN
  return Number.isNaN(value) ? null : value
}
const top = heights.reduce((most, v) => (v > most ? v : most), -1e9)

interface Stuck {
  readonly target: number
  readonly at: Vec3
  readonly x: Vec3
  readonly y: Vec3
  readonly normal: Vec3
  readonly dotMm: number
}

const unit = (v: Vec3): Vec3 => {
  const long = Math.hypot(...v)
  return [v[0] / long, v[1] / long, v[2] / long]
}
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

function normalAt(x: number, y: number): Vec3 {
  const s = 2
  const slope = (dx: number, dy: number) => (bow.heightAt([x + dx, y + dy]) - bow.heightAt([x - dx, y - dy])) / (2 * s)
  return unit([-slope(s, 0), -slope(0, s), 1])
}

function stuck(target: number, at: Vec3, normal: Vec3, turn: number, dot: number): Stuck {
  const across = unit(cross([0, 1, 0], normal))
  const along = cross(normal, across)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const mixed = (a: number, b: number): Vec3 => [
    a * across[0] + b * along[0],
    a * across[1] + b * along[1],
    a * across[2] + b * along[2],
  ]
  return { target, at, x: mixed(c, s), y: mixed(-s, c), normal, dotMm: dot }
}

const chance = seededRandom(11)
const onLamp = spotsOnLamp().map(([x, y], i) =>
  stuck(i, [x, y, bow.heightAt([x, y])], normalAt(x, y), 2 * Math.PI * chance(), dotMm),
)

/** A row along the rim whose paper touches the edge, then others inside. */
function spotsOnLamp(): Vec2[] {
  const inset = targetRadii.margin * dotMm
  const rim = outline.map((p, i): Vec2 => {
    const a = outline[(i + outline.length - 1) % outline.length] ?? p
    const b = outline[(i + 1) % outline.length] ?? p
    const [m, n] = [unit([a[1] - p[1], p[0] - a[0], 0]), unit([p[1] - b[1], b[0] - p[0], 0])]
    const [x, y] = [m[0] + n[0], m[1] + n[1]]
    const long = Math.hypot(x, y)
    return [p[0] + (inset * 2 * x) / (long * long), p[1] + (inset * 2 * y) / (long * long)]
  })
  const lengths = rim.map((p, i) => {
    const q = rim[(i + 1) % rim.length] ?? p
    return Math.hypot(q[0] - p[0], q[1] - p[1])
  })
  // From corner to corner in even steps, so that each corner has its target.
  const corners = [form.start, ...form.outline.slice(0, -1).map(({ to }) => to)]
    .map((corner) => outline.reduce((best, p, i) => (near(p, corner) < near(outline[best] ?? p, corner) ? i : best), 0))
    .sort((a, b) => a - b)
  const around = corners.flatMap((from, k) => {
    const to = corners[(k + 1) % corners.length] ?? from
    const steps = (to - from + rim.length) % rim.length
    const whole = Array.from({ length: steps }, (_, n) => lengths[(from + n) % rim.length] ?? 0)
    const long = whole.reduce((sum, v) => sum + v, 0)
    const count = Math.max(2, Math.floor(long / 44))
    return Array.from({ length: count }, (_, n): Vec2 => {
      let left = (long * n) / count
      for (let s = 0; s < steps; s++) {
        const own = whole[s] ?? 0
        const p = rim[(from + s) % rim.length] ?? [0, 0]
        const q = rim[(from + s + 1) % rim.length] ?? p
        if (left <= own) return [p[0] + ((q[0] - p[0]) * left) / own, p[1] + ((q[1] - p[1]) * left) / own]
        left -= own
      }
      return rim[to] ?? [0, 0]
    })
  })
  const inside: Vec2[] = Array.from({ length: 7 }, (_, i) => [-132 + 41 * i, 3 * Math.sin(2 * i) - 4])
  return [...around, ...inside]
}
function near(a: Vec2, b: Vec2) {
  return Math.hypot(a[0] - b[0], a[1] - b[1])
}

/** The plate lies in front, a little tilted, as a mat lets it. */
const plateTurn = 0.04
const plateMiddle: Vec3 = [6, -262, -52]
const plateX: Vec3 = [Math.cos(plateTurn), Math.sin(plateTurn), 0.01]
const plateY: Vec3 = [-Math.sin(plateTurn), Math.cos(plateTurn), 0.02]
const plateNormal = unit(cross(plateX, plateY))
const onPlate = [...plateMm].map(([target, [x, y]]): Stuck => {
  const [u, v] = [x - sheetMm[0] / 2, y - sheetMm[1] / 2]
  const at = plateMiddle.map((m, k) => m + u * (plateX[k] ?? 0) + v * (plateY[k] ?? 0)) as never as Vec3
  return { target, at, x: unit(plateX), y: unit(plateY), normal: plateNormal, dotMm: plateDotMm }
})

interface Rule {
  readonly from: Vec3
  readonly way: Vec3
  readonly longMm: number
  readonly ends: readonly Stuck[]
}
const rules = [
  rule(barTargets[0], [-292, 142, -45], [1, 0.012, 0.006], 600),
  rule(barTargets[1], [286, -330, -47], [0.02, 1, 0.01], 420),
]
function rule(targets: readonly [number, number], from: Vec3, towards: Vec3, longMm: number): Rule {
  const way = unit(towards)
  const end = from.map((v, k) => v + longMm * (way[k] ?? 0)) as never as Vec3
  return {
    from,
    way,
    longMm,
    ends: [stuck(targets[0], from, [0, 0, 1], 0.7, dotMm), stuck(targets[1], end, [0, 0, 1], 2.1, dotMm)],
  }
}
const ruleHalfMm = 15

/** White, black or nothing of a target at a spot near it. */
function inkAt(list: readonly Stuck[], p: Vec3, offMm: number): number | null {
  for (const one of list) {
    const d: Vec3 = [p[0] - one.at[0], p[1] - one.at[1], p[2] - one.at[2]]
    if (Math.abs(dot(d, one.normal)) > offMm) continue
    // Targets are drawn with y downward.
    const white = isWhite(one.target, dot(d, one.x) / one.dotMm, -dot(d, one.y) / one.dotMm)
    if (white !== null) return white ? 0.86 : 0.07
  }
  return null
}

type Colour = readonly [number, number, number]
const grey = (v: number): Colour => [v, v, v]
const sun = unit([-0.4, -0.5, 0.8])

function shade(base: Colour, normal: Vec3, way: Vec3, shine: number): Colour {
  const light = 0.45 + 0.6 * Math.max(0, dot(normal, sun))
  const back = 2 * dot(normal, sun)
  const mirror: Vec3 = [back * normal[0] - sun[0], back * normal[1] - sun[1], back * normal[2] - sun[2]]
  const gloss = shine * Math.max(0, -dot(mirror, way)) ** 24
  return [base[0] * light + gloss, base[1] * light + gloss, base[2] * light + gloss]
}

/** What the lamp looks like inside: two bowls and a strip of light. */
function insideLamp(x: number, y: number): Colour {
  const bowl = (cx: number, cy: number, r: number) => Math.hypot((x - cx) / r, (y - cy) / r)
  const [a, b] = [bowl(86, -6, 48), bowl(-28, 0, 52)]
  const nearest = Math.min(a, b)
  if (nearest < 0.35) return [0.62, 0.66, 0.7]
  if (nearest < 1) return grey(0.2 + 0.25 * nearest)
  if (Math.abs(y - 46 + 0.06 * x) < 4) return [0.6, 0.6, 0.55]
  return [0.15, 0.16, 0.18]
}

function seen(from: Vec3, way: Vec3): Colour {
  const onLampNow = hitLamp(from, way)
  if (onLampNow !== null) {
    const { p, wall } = onLampNow
    if (wall) return grey(0.09)
    const normal = normalOnRaster(p[0], p[1])
    const ink = inkAt(onLamp, p, 9)
    return ink === null ? shade(insideLamp(p[0], p[1]), normal, way, 0.35) : shade(grey(ink), normal, way, 0.02)
  }
  const ground: { t: number; colour: () => Colour }[] = []
  const plane = (at: Vec3, normal: Vec3) =>
    dot([at[0] - from[0], at[1] - from[1], at[2] - from[2]], normal) / dot(way, normal)
  const spot = (t: number): Vec3 => [from[0] + t * way[0], from[1] + t * way[1], from[2] + t * way[2]]
  const onSheet = plane(plateMiddle, plateNormal)
  const p = spot(onSheet)
  const [u, v] = [dot(less(p, plateMiddle), unit(plateX)), dot(less(p, plateMiddle), unit(plateY))]
  if (Math.abs(u) < sheetMm[0] / 2 && Math.abs(v) < sheetMm[1] / 2)
    ground.push({ t: onSheet, colour: () => shade(grey(inkAt(onPlate, p, 2) ?? 0.86), plateNormal, way, 0) })
  for (const { from: start, way: along, longMm, ends } of rules) {
    const normal: Vec3 = [0, 0, 1]
    const t = plane(start, normal)
    const q = spot(t)
    const s = dot(less(q, start), along)
    const aside = less(q, start).map((value, k) => value - s * (along[k] ?? 0))
    const colour = () => {
      const ink = inkAt(ends, q, 8)
      if (ink !== null) return shade(grey(ink), normal, way, 0)
      // Every centimetre a line.
      const isLine = Math.abs(((s + 1000) % 10) - 5) > 4.6 && (aside[1] ?? 0) > 0
      return shade(grey(isLine ? 0.25 : 0.55), normal, way, 0.1)
    }
    const onRule = s > -25 && s < longMm + 25 && Math.hypot(...aside) < ruleHalfMm
    if (onRule || inkAt(ends, q, 8) !== null) ground.push({ t, colour })
  }
  const [nearest] = ground.filter(({ t }) => t > 0).sort((a, b) => a.t - b.t)
  if (nearest !== undefined) return nearest.colour()
  const t = (floorMm - from[2]) / way[2]
  if (t <= 0) return grey(0.3)
  const q = spot(t)
  // A mat with a weave that is no target.
  const weave = 0.02 * Math.sin(q[0] / 3) * Math.sin(q[1] / 3)
  return shade([0.36 + weave, 0.37 + weave, 0.35 + weave], [0, 0, 1], way, 0)
}
const less = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]

function normalOnRaster(x: number, y: number): Vec3 {
  const h = lampAt(x, y) ?? 0
  const [r, u] = [lampAt(x + 3, y) ?? h, lampAt(x, y + 3) ?? h]
  return unit([-(r - h) / 3, -(u - h) / 3, 1])
}

function hitLamp(from: Vec3, way: Vec3): { p: Vec3; wall: boolean } | null {
  if (way[2] >= 0) return null
  const [begin, end] = [(top + 1 - from[2]) / way[2], (floorMm - from[2]) / way[2]]
  const at = (t: number): Vec3 => [from[0] + t * way[0], from[1] + t * way[1], from[2] + t * way[2]]
  const [a, b] = [at(begin), at(end)]
  if (
    Math.max(a[0], b[0]) < -200 ||
    Math.min(a[0], b[0]) > 200 ||
    Math.max(a[1], b[1]) < -90 ||
    Math.min(a[1], b[1]) > 90
  )
    return null
  const isUnder = (t: number) => {
    const [x, y, z] = at(t)
    const h = lampAt(x, y)
    return h !== null && z < h
  }
  const step = (end - begin) / Math.ceil(near([a[0], a[1]], [b[0], b[1]]) / 2 + 24)
  for (let t = begin; t <= end; t += step) {
    if (!isUnder(t)) continue
    let [low, most] = [t - step, t]
    for (let k = 0; k < 12; k++) {
      const middle = (low + most) / 2
      if (isUnder(middle)) most = middle
      else low = middle
    }
    const p = at(most)
    const h = bow.heightAt([p[0], p[1]])
    return { p: [p[0], p[1], h], wall: h - p[2] > 4 }
  }
  return null
}

/** The way into which a spot of the picture looks: the lens is undone step by step. */
function wayOf(u: number, v: number): Vec3 {
  let [x, y] = [u, v]
  const [k1, k2] = lens.radial
  const [p1, p2] = lens.tangential
  for (let k = 0; k < 6; k++) {
    const r2 = x * x + y * y
    const stretch = 1 + r2 * (k1 + r2 * k2)
    x = (u - 2 * p1 * x * y - p2 * (r2 + 2 * x * x)) / stretch
    y = (v - p1 * (r2 + 2 * y * y) - 2 * p2 * x * y) / stretch
  }
  return [x, y, 1]
}

function photograph(pose: Pose, seed: number): { width: number; height: number; data: Buffer } {
  const normal = seededNormal(seededRandom(seed))
  const focal = focalPx * (1 + 0.0015 * normal())
  const middle: Vec2 = [wide / 2 + 6 + 2 * normal(), high / 2 - 4 + 2 * normal()]
  const spin: Vec3 = [0.0005 * normal(), 0.0005 * normal(), 0.0003 * normal()]
  const back: Vec3 = [-pose.turn[0], -pose.turn[1], -pose.turn[2]]
  const from = turnedBy(back, [-pose.moveMm[0], -pose.moveMm[1], -pose.moveMm[2]])
  const picture = new Float32Array(3 * wide * high)
  for (let j = 0; j < high; j++) {
    const late = (j + 0.5) / high - 0.5
    const turnedOn: Vec3 = [-spin[0] * late, -spin[1] * late, -spin[2] * late]
    for (let i = 0; i < wide; i++)
      for (let s = 0; s < fine * fine; s++) {
        const [u, v] = [i + ((s % fine) + 0.5) / fine, j + (Math.floor(s / fine) + 0.5) / fine]
        const way = turnedBy(back, turnedBy(turnedOn, wayOf((u - middle[0]) / focal, (v - middle[1]) / focal)))
        const colour = seen(from, unit(way))
        for (const k of [0, 1, 2] as const)
          picture[3 * (j * wide + i) + k] = (picture[3 * (j * wide + i) + k] ?? 0) + colour[k] / (fine * fine)
      }
  }
  const soft = blurred(picture, 0.55)
  const data = Buffer.alloc(4 * wide * high)
  for (let j = 0; j < high; j++)
    for (let i = 0; i < wide; i++) {
      const grain = 2.2 * normal()
      const fall = 1 - 0.28 * Math.hypot(i / wide - 0.4, j / high - 0.4)
      for (const k of [0, 1, 2])
        data[4 * (j * wide + i) + k] = Math.min(
          255,
          Math.max(0, Math.round(300 * fall * (soft[3 * (j * wide + i) + k] ?? 0) + grain)),
        )
      data[4 * (j * wide + i) + 3] = 255
    }
  return { width: wide, height: high, data }
}

function blurred(picture: Float32Array, sigma: number): Float32Array {
  const kernel = [-2, -1, 0, 1, 2].map((k) => Math.exp((-k * k) / (2 * sigma * sigma)))
  const whole = kernel.reduce((sum, v) => sum + v, 0)
  const along = (from: Float32Array, di: number, dj: number) => {
    const to = new Float32Array(from.length)
    for (let j = 0; j < high; j++)
      for (let i = 0; i < wide; i++)
        for (let k = -2; k <= 2; k++) {
          const [a, b] = [Math.min(wide - 1, Math.max(0, i + k * di)), Math.min(high - 1, Math.max(0, j + k * dj))]
          for (let c = 0; c < 3; c++)
            to[3 * (j * wide + i) + c] =
              (to[3 * (j * wide + i) + c] ?? 0) + ((kernel[k + 2] ?? 0) / whole) * (from[3 * (b * wide + a) + c] ?? 0)
        }
    return to
  }
  return along(along(picture, 1, 0), 0, 1)
}

/** A picture that was taken with the tablet upright, as it is kept: turned by a quarter. */
function upright({ width, height, data }: { width: number; height: number; data: Buffer }) {
  const turned = Buffer.alloc(data.length)
  for (let y = 0; y < width; y++)
    for (let x = 0; x < height; x++) {
      const from = 4 * ((height - 1 - x) * width + y)
      data.copy(turned, 4 * (y * height + x), from, from + 4)
    }
  return { width: height, height: width, data: turned }
}

mkdirSync('demo/photographs', { recursive: true })
const middleOfAll: Vec3 = [0, -120, -30]
const farMm = 880
for (let i = 0; i < photographs; i++) {
  if (only.length > 0 && !only.includes(i + 1)) continue
  const around = (2 * Math.PI * i) / photographs - Math.PI / 2
  const height = (([42, 60, 76][i % 3] ?? 60) * Math.PI) / 180
  const from: Vec3 = [
    middleOfAll[0] + farMm * Math.cos(height) * Math.cos(around),
    middleOfAll[1] + farMm * Math.cos(height) * Math.sin(around),
    middleOfAll[2] + farMm * Math.sin(height),
  ]
  const isUpright = i % 2 === 1
  const taken = photograph(lookingAt(from, middleOfAll, isUpright ? Math.PI / 2 : 0), 100 + i)
  const name = `headlamp-${String(i + 1).padStart(2, '0')}.jpg`
  writeFileSync(`demo/photographs/${name}`, jpeg.encode(isUpright ? upright(taken) : taken, quality).data)
  console.log(name)
}
writeFileSync(
  'demo/photographs/bars.json',
  `${JSON.stringify({ barsMm: rules.map(({ longMm }) => longMm), dotMm, targets: onLamp.length })}\n`,
)
