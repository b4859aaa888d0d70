import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { fitRigid, rotate, type Vec2 } from '../geometry/index.ts'
import { cap, gridForm } from '../lay/testForms.ts'
import { seededRandom, singularValues2x2 } from '../numerics/index.ts'
import {
  cholesky,
  doubles,
  eliminationOrder,
  type Entry,
  facingOf,
  type FilmSystem,
  filmSystem,
  firstFlatTriangle,
  gradients,
  inKernel,
  ints,
  mixing,
  sidesOf,
  upperTriangle,
} from './index.ts'

const plain = (row: ArrayLike<number>) => Array.from(row)

describe('rows in the kernel', () => {
  test('live within a scope only', () => {
    expect(() => doubles(3)).toThrow(RangeError)
  })

  test('keep their numbers while memory grows, and their room is free again when the scope ends', () => {
    inKernel(() => {
      const kept = doubles(1000)
      kept.values.forEach((_, i) => {
        kept.values[i] = i * i
      })
      const first = inKernel(() => {
        const large = doubles(4e6)
        large.values.fill(7)
        return large.at
      })
      expect(plain(kept.values.subarray(998))).toEqual([998 * 998, 999 * 999])
      expect(inKernel(() => ints(5).at)).toBe(first)
    })
  })

  test('are given back when the work throws', () => {
    inKernel(() => {
      const before = inKernel(() => doubles(1).at)
      expect(() =>
        inKernel(() => {
          doubles(100)
          throw new Error('stop')
        }),
      ).toThrow('stop')
      expect(inKernel(() => doubles(1).at)).toBe(before)
    })
  })
})

/** A grid Laplacian plus a little of the unit matrix, one triangle of it, and the mesh that it belongs to. */
function grid(n: number) {
  const mesh = gridForm(n - 1, n - 1, (u, v) => [u * n, v * n, 0])
  const count = mesh.position.length / 3
  const near = new Map<number, Set<number>>()
  for (let t = 0; t < mesh.triangle.length; t += 3) {
    const corners = plain(mesh.triangle.subarray(t, t + 3))
    for (const a of corners) near.set(a, new Set([...(near.get(a) ?? []), ...corners.filter((b) => b !== a)]))
  }
  const entries: Entry[] = []
  for (let v = 0; v < count; v++) {
    entries.push({ row: v, column: v, value: near.get(v)!.size + 0.1 })
    for (const w of near.get(v)!) if (w < v) entries.push({ row: v, column: w, value: -1 })
  }
  return { mesh, count, entries }
}
const inTurn = (count: number) => Int32Array.from({ length: count }, (_, i) => i)

describe('sparse Cholesky', () => {
  test('nested dissection names every vertex once and saves fill', () => {
    const { mesh, count, entries } = grid(45)
    const order = eliminationOrder(mesh.triangle, mesh.position, inTurn(count))
    expect(plain(order).sort((a, b) => a - b)).toEqual(plain(inTurn(count)))
    const fill = (by: Int32Array) => inKernel(() => cholesky(upperTriangle(by, entries)).nonZeros)
    expect(fill(order)).toBeLessThan(0.6 * fill(inTurn(count)))
  })

  test('only those that are asked for are put in order, the others hold', () => {
    const { mesh, count } = grid(12)
    const asked = inTurn(count).filter((v) => v % 3 !== 0)
    const order = eliminationOrder(mesh.triangle, mesh.position, asked)
    expect(plain(order).sort((a, b) => a - b)).toEqual(plain(asked))
  })

  test('solves for pairs of right-hand sides', () => {
    const { mesh, count, entries } = grid(17)
    const order = eliminationOrder(mesh.triangle, mesh.position, inTurn(count))
    const chance = seededRandom(7)
    const wanted = Float64Array.from({ length: 2 * count }, () => chance() - 0.5)
    inKernel(() => {
      const factor = cholesky(upperTriangle(order, entries))
      const x = doubles(2 * count)
      order.forEach((v, k) => {
        x.values.set(wanted.subarray(2 * v, 2 * v + 2), 2 * k)
      })
      factor.solve(x)
      const found = new Float64Array(2 * count)
      order.forEach((v, k) => {
        found.set(x.values.subarray(2 * k, 2 * k + 2), 2 * v)
      })
      const product = new Float64Array(2 * count)
      for (const { row, column, value } of entries)
        for (const axis of [0, 1]) {
          product[2 * row + axis]! += value * found[2 * column + axis]!
          if (row !== column) product[2 * column + axis]! += value * found[2 * row + axis]!
        }
      product.forEach((y, i) => {
        expect(y).toBeCloseTo(wanted[i]!, 10)
      })
    })
  })

  test('entries that stand several times add up', () => {
    inKernel(() => {
      const two = [0.5, 1.5].map((value) => ({ row: 0, column: 0, value }))
      const x = doubles(2)
      x.values.set([8, -4])
      cholesky(upperTriangle(Int32Array.of(0), two)).solve(x)
      expect(x.values[0]).toBeCloseTo(4, 12)
      expect(x.values[1]).toBeCloseTo(-2, 12)
    })
  })

  test('a matrix that is not positive definite is the caller’s mistake', () => {
    inKernel(() => {
      expect(() => cholesky(upperTriangle(Int32Array.of(0), [{ row: 0, column: 0, value: -1 }]))).toThrow(RangeError)
    })
  })
})

describe('Anderson mixing', () => {
  const rates = [0.99, 0.9, 0.5, -0.3]
  const limits = rates.map((rate) => 1 / (1 - rate))
  const errorAfter = (steps: number, onStep: (k: number, forget: () => void) => void = () => {}) =>
    inKernel(() => {
      const mixer = mixing(2, 4)
      const [x, step] = [doubles(4), doubles(4)]
      x.values.fill(0)
      for (let k = 0; k < steps; k++) {
        rates.forEach((rate, i) => {
          step.values[i] = rate * x.values[i]! + 1 - x.values[i]!
        })
        mixer.next(x, step)
        onStep(k, mixer.reset)
      }
      return Math.max(...limits.map((limit, i) => Math.abs(x.values[i]! - limit)))
    })

  test('reaches the fixed point of a linear map much sooner', () => {
    expect(errorAfter(12)).toBeLessThan(1e-4)
    // The plain iteration is off by 0.99^12 of a hundred.
    expect(100 * 0.99 ** 12).toBeGreaterThan(80)
  })

  test('forgets what it knew when it is reset: it then goes one plain step', () => {
    // Reset after every step, each step is a plain one.
    const forgetful = errorAfter(12, (_, forget) => forget())
    expect(forgetful).toBeCloseTo(100 * 0.99 ** 12, 6)
  })

  test('keeps where the last step ended unmixed', () => {
    inKernel(() => {
      const mixer = mixing(1, 2)
      const [x, step] = [doubles(2), doubles(2)]
      x.values.set([1, 2])
      step.values.set([0.5, -1])
      mixer.next(x, step)
      expect(plain(mixer.plain.values)).toEqual([1.5, 1])
      expect(plain(x.values)).toEqual([1.5, 1])
    })
  })
})

test('gradients sum to nothing, give a linear function its slope, and areas are those of the cross product', () => {
  const { triangle, position } = cap(50, 4)
  const { area, gradient } = gradients(triangle, position)
  const side = (a: number, b: number) => [0, 1, 2].map((k) => position[3 * b + k]! - position[3 * a + k]!)
  for (let t = 0; t < area.length; t++) {
    const [a, b, c] = plain(triangle.subarray(3 * t, 3 * t + 3)) as [number, number, number]
    const [u, v] = [side(a, b), side(a, c)] as [number[], number[]]
    const dot = (p: number[], q: number[]) => p.reduce((sum, x, k) => sum + x * q[k]!, 0)
    expect(area[t]).toBeCloseTo(Math.sqrt(dot(u, u) * dot(v, v) - dot(u, v) ** 2) / 2, 8)
    const g = plain(gradient.subarray(6 * t, 6 * t + 6)) as [number, number, number, number, number, number]
    expect(g[0] + g[2] + g[4]).toBeCloseTo(0, 12)
    expect(g[1] + g[3] + g[5]).toBeCloseTo(0, 12)
    // The way along the first side rises by its length over it.
    const length = Math.sqrt(dot(u, u))
    expect(g[2] * length + (g[4] * dot(u, v)) / length).toBeCloseTo(1, 9)
  }
})

test('gradients are given away: those of another mesh do not change them', () => {
  const first = gradients(cap(50, 4).triangle, cap(50, 4).position)
  const [area, gradient] = [plain(first.area), plain(first.gradient)]
  gradients(cap(80, 5).triangle, cap(80, 5).position)
  expect(plain(first.area)).toEqual(area)
  expect(plain(first.gradient)).toEqual(gradient)
})

/** Film on one triangle with a right angle, held at that corner: its matrix is whatever is put in. */
const oneTriangle = () =>
  filmSystem({
    corner: Int32Array.of(0, 1, 2),
    position: Float64Array.of(0, 0, 0, 1, 0, 0, 0, 1, 0),
    free: Int32Array.of(1, 2),
    steadyShare: 0,
  })

describe('a film system', () => {
  const entry = fc.double({ min: -5, max: 5, noNaN: true })
  /** What a box step makes of the matrix `[m00, m01, m10, m11]`. */
  const clamped = (m: readonly number[], box: { least: number; most: number }, softness = 0, off: number[] = []) =>
    inKernel(() => {
      const film = oneTriangle()
      film.put(Float64Array.of(0, m[0]!, m[1]!, 0, m[2]!, m[3]!))
      film.letOff(off)
      film.measure()
      film.wantBox({ box, softness, off: { box: { least: 0.2, most: 5 }, softness: 0 }, mostCarried: 0 })
      film.solve()
      film.move()
      film.measure()
      const uv = new Float64Array(6)
      film.take(uv)
      return { values: plain(film.singularValues()) as [number, number], uv: plain(uv) }
    })
  const box = { least: 0.9, most: 1.1 }

  test('clamped, both singular values lie in the box, and a matrix already inside is left alone', () => {
    fc.assert(
      fc.property(entry, entry, entry, entry, (a, b, c, d) => {
        const { values, uv } = clamped([a, b, c, d], box)
        expect(values[0]).toBeLessThanOrEqual(1.1 + 1e-9)
        expect(values[1]).toBeGreaterThanOrEqual(0.9 - 1e-9)
        const again = clamped([uv[1]!, uv[2]!, uv[4]!, uv[5]!], box)
        again.uv.forEach((x, i) => {
          expect(x).toBeCloseTo(uv[i]!, 8)
        })
      }),
      { numRuns: 60 },
    )
  })

  test.each([
    [0, 0, 0, 0],
    [1e-160, 0, 0, 1e-160],
    [5e-324, 0, 0, 0],
    [-1, 0, 0, 1],
  ])('even of hardly anything: %d %d %d %d', (...m) => {
    const { values } = clamped(m, box)
    expect(values[0]).toBeLessThanOrEqual(1.1 + 1e-9)
    expect(values[1]).toBeGreaterThanOrEqual(0.9 - 1e-9)
  })

  test('softened all the way it is the nearest rotation', () => {
    clamped([2, 0, 0, 0.5], { least: 0, most: 10 }, 1).uv.forEach((x, i) => {
      expect(x).toBeCloseTo([0, 1, 0, 0, 0, 1][i]!, 12)
    })
  })

  test('a triangle that is let off keeps to the wider box of its own, and does not count in the range', () => {
    const { values } = clamped([2, 0, 0, 0.5], box, 0, [0])
    expect(values[0]).toBeCloseTo(2, 12)
    expect(values[1]).toBeCloseTo(0.5, 12)
  })

  const mesh = gridForm(5, 4, (u, v) => [90 * u, 70 * v, 12 * Math.sin(3 * u) * v])
  const vertices = mesh.position.length / 3
  const chance = seededRandom(11)
  const somewhere = Float64Array.from(
    { length: 2 * vertices },
    (_, i) => mesh.position[3 * (i % vertices) + (i < vertices ? 0 : 1)]! + 8 * (chance() - 0.5),
  )
  const held = new Set([0, 7, 23])
  const sheet = {
    corner: mesh.triangle,
    position: mesh.position,
    free: inTurn(vertices).filter((v) => !held.has(v)),
    steadyShare: 0,
  }
  /** The matrix surface -> flat of a triangle, worked out plainly. */
  const matrixOf = (uv: Float64Array, t: number) => {
    const { gradient } = gradients(mesh.triangle, mesh.position)
    const m = [0, 0, 0, 0]
    for (let c = 0; c < 3; c++) {
      const v = mesh.triangle[3 * t + c]!
      for (const row of [0, 1])
        for (const col of [0, 1]) m[2 * row + col]! += uv[row * vertices + v]! * gradient[6 * t + 2 * c + col]!
    }
    return m as [number, number, number, number]
  }
  const withFilm = <T>(work: (film: FilmSystem) => T) =>
    inKernel(() => {
      const film = filmSystem(sheet)
      film.put(somewhere)
      film.measure()
      return work(film)
    })

  test('gives back the film coordinates that were put in', () => {
    const back = new Float64Array(2 * vertices)
    withFilm((film) => film.take(back))
    expect(plain(back)).toEqual(plain(somewhere))
  })

  test('is given as it lies most like the part from above: the fit by all vertices', () => {
    const laid: Vec2[] = Array.from({ length: vertices }, (_, v) => [
      -somewhere[vertices + v]! + 300,
      somewhere[v]! - 40,
    ])
    const seen: Vec2[] = Array.from({ length: vertices }, (_, v) => [mesh.position[3 * v]!, mesh.position[3 * v + 1]!])
    const { turnRad, moveMm } = fitRigid(laid, seen)
    const flat = inKernel(() => {
      const film = filmSystem(sheet)
      film.put(Float64Array.from([...laid.map(([u]) => u), ...laid.map(([, v]) => v)]))
      return film.takeLikeSeen()
    })
    laid.forEach((p, v) => {
      const [x, y] = rotate(p, turnRad)
      expect(flat[2 * v]).toBeCloseTo(x + moveMm[0], 9)
      expect(flat[2 * v + 1]).toBeCloseTo(y + moveMm[1], 9)
    })
  })

  test('energy and singular values are those of the matrices worked out plainly', () => {
    const { area } = gradients(mesh.triangle, mesh.position)
    let energy = 0
    const values: number[] = []
    for (let t = 0; t < area.length; t++) {
      const s = singularValues2x2(...matrixOf(somewhere, t))
      energy += area[t]! * ((s[0] - 1) ** 2 + (s[1] - 1) ** 2)
      values.push(...s)
    }
    withFilm((film) => {
      expect(film.wantRotations() / energy).toBeCloseTo(1, 12)
      film.singularValues().forEach((s, i) => {
        expect(s).toBeCloseTo(values[i]!, 10)
      })
      const { least, most } = film.range()
      expect(least).toBeCloseTo(Math.min(...values), 10)
      expect(most).toBeCloseTo(Math.max(...values), 10)
      film.letOff([values.indexOf(Math.max(...values)) >> 1])
      expect(film.range().most).toBeLessThan(most)
    })
  })

  test('a solved step leaves no pull at any free vertex, moves no held one, and says how far it goes', () => {
    const turn = Float64Array.from({ length: mesh.triangle.length / 3 }, (_, t) => 0.1 * Math.sin(t))
    const { area, gradient } = gradients(mesh.triangle, mesh.position)
    withFilm((film) => {
      film.wantTurns(turn)
      film.solve()
      const told = film.stepMm()
      expect(film.move()).toBe(told)
      const uv = new Float64Array(2 * vertices)
      film.take(uv)
      const pull = new Float64Array(2 * vertices)
      for (let t = 0; t < area.length; t++) {
        const m = matrixOf(uv, t)
        const [c, s] = [Math.cos(turn[t]!), Math.sin(turn[t]!)]
        const missing = [c - m[0], -s - m[1], s - m[2], c - m[3]]
        for (let k = 0; k < 3; k++)
          for (const row of [0, 1])
            for (const col of [0, 1])
              pull[row * vertices + mesh.triangle[3 * t + k]!]! +=
                area[t]! * missing[2 * row + col]! * gradient[6 * t + 2 * k + col]!
      }
      let longest = 0
      for (let v = 0; v < vertices; v++) {
        const way = Math.hypot(uv[v]! - somewhere[v]!, uv[vertices + v]! - somewhere[vertices + v]!)
        longest = Math.max(longest, way)
        if (held.has(v)) expect(way).toBe(0)
        else for (const i of [v, vertices + v]) expect(pull[i]).toBeCloseTo(0, 8)
      }
      expect(told).toBeCloseTo(longest, 10)
    })
  })

  test('what misses the box is carried on, up to the most that is allowed, until it is forgotten', () => {
    const single = (mostCarried: number, forget: boolean) =>
      inKernel(() => {
        const film = oneTriangle()
        const step = {
          box: { least: 0, most: 1 },
          softness: 0,
          off: { box: { least: 0, most: 9 }, softness: 0 },
          mostCarried,
        }
        // Twice stretched along x, asked for again and again: the first step mirrors what misses the box.
        film.put(Float64Array.of(0, 2, 0, 0, 0, 1))
        film.measure()
        film.wantBox(step)
        if (forget) film.carryNothing()
        film.wantBox(step)
        film.solve()
        film.move()
        film.measure()
        return film.singularValues()[1]!
      })
    // Carried 1 from the first step: 2 + 1 misses by 2, mirrored at 1: -1. Forgotten: 2 misses by 1, mirrored: 0.
    expect(single(Number.POSITIVE_INFINITY, false)).toBeCloseTo(-1, 9)
    expect(single(Number.POSITIVE_INFINITY, true)).toBeCloseTo(0, 9)
    // At most 0.25 is carried, so the wanted is 1 - 0.25.
    expect(single(0.25, false)).toBeCloseTo(0.75, 9)
  })

  test('mixed steps come to the same rest in fewer of them, and can go back to the plain one', () => {
    const rest = (memory: number) =>
      withFilm((film) => {
        const mixed = film.mixed(memory)
        let steps = 0
        for (; steps < 4000; steps++) {
          film.measure()
          film.wantRotations()
          film.solve()
          if (film.stepMm() < 1e-7) break
          if (memory > 1) mixed.next()
          else film.move()
        }
        film.measure()
        return { steps, energy: film.wantRotations() }
      })
    const [slow, quick] = [rest(1), rest(6)]
    expect(quick.steps).toBeLessThan(0.6 * slow.steps)
    expect(quick.energy / slow.energy).toBeCloseTo(1, 6)
    withFilm((film) => {
      const mixed = film.mixed(4)
      const ends: Float64Array[] = []
      for (let k = 0; k < 3; k++) {
        film.measure()
        film.wantRotations()
        film.solve()
        const before = new Float64Array(2 * vertices)
        film.take(before)
        if (k === 2) {
          film.move()
          const end = new Float64Array(2 * vertices)
          film.take(end)
          ends.push(end)
          film.put(before)
        }
        mixed.next()
      }
      mixed.back()
      const back = new Float64Array(2 * vertices)
      film.take(back)
      back.forEach((x, i) => {
        expect(x).toBeCloseTo(ends[0]![i]!, 10)
      })
    })
  })

  test('film that hangs on nothing stays where it is', () => {
    inKernel(() => {
      const film = filmSystem({ ...sheet, free: inTurn(vertices), steadyShare: 1e-6 })
      film.put(somewhere)
      film.measure()
      film.wantRotations()
      film.solve()
      film.move()
      const uv = new Float64Array(2 * vertices)
      film.take(uv)
      const middle = (of: Float64Array) => of.reduce((sum, x) => sum + x, 0) / of.length
      expect(middle(uv)).toBeCloseTo(middle(somewhere), 3)
    })
  })
})

describe('sides of triangles', () => {
  test('every inner side finds the same side of its neighbour, as by looking at all', () => {
    const { triangle, position } = cap(40, 5)
    const { opposite, clash } = sidesOf(triangle, position.length / 3)
    expect(clash).toBe(-1)
    const name = (i: number) => [triangle[i], triangle[i % 3 === 2 ? i - 2 : i + 1]]
    for (let i = 0; i < triangle.length; i++) {
      const back = name(i).reverse().join()
      expect(opposite[i]).toBe(inTurn(triangle.length).findIndex((j) => name(j).join() === back))
    }
  })

  test.each([
    ['a triangle that runs the other way round', [0, 1, 2, 1, 2, 3], 3, 1],
    ['a third triangle at a side', [0, 1, 2, 2, 1, 3, 1, 2, 4], 6, 2],
  ])('%s is a clash', (_, corner, clash, before) => {
    expect(sidesOf(Int32Array.from(corner), 5)).toMatchObject({ clash, before })
  })
})

test('a mesh faces where its area does, as steeply as its steepest triangle lets it', () => {
  const { triangle, position } = cap(50, 6)
  const { normal, leastCosine } = facingOf(triangle, position)!
  expect(normal[0]).toBeCloseTo(0, 9)
  expect(normal[1]).toBeCloseTo(0, 9)
  expect(Math.abs(normal[2])).toBeCloseTo(1, 12)
  // The outermost triangles of a cap lie a little flatter than its rim.
  expect(leastCosine).toBeGreaterThan(Math.cos((50 * Math.PI) / 180))
  expect(leastCosine).toBeLessThan(Math.cos((40 * Math.PI) / 180))
  // Two triangles back to back face nowhere.
  expect(facingOf(Int32Array.of(0, 1, 2, 0, 2, 1), Float64Array.of(0, 0, 0, 1, 0, 0, 0, 1, 0))).toBeNull()
})

test('the first flat triangle is found, by the mean side', () => {
  const corner = Int32Array.of(0, 1, 2, 0, 2, 3)
  const at = (height: number) => Float64Array.of(0, 0, 0, 10, 0, 0, 10, 10, 0, 5, 5 + height, 0)
  expect(firstFlatTriangle(corner, at(4), 1e-9)).toBe(-1)
  expect(firstFlatTriangle(corner, at(0), 1e-9)).toBe(1)
  expect(firstFlatTriangle(corner, at(Number.NaN), 1e-9)).toBe(0)
})
