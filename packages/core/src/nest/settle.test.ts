import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { eachContact, type Lying } from './contacts.ts'
import { seat } from './seating.ts'
import { settle } from './settle.ts'
import { filmOf } from './shape.ts'
import { rectangle } from './testLayouts.ts'

const lying = (outline: readonly Vec2[], x: number, y: number): Lying => ({ sides: filmOf([outline]).sides, x, y })
const nothing: Lying = { sides: new Float64Array(0), x: 0, y: 0 }
/** Beginning and both sides of a roll of that width. */
const roll = (widthMm: number): Lying => ({
  sides: Float64Array.of(1e5, 0, 0, 0, 0, 0, 0, widthMm, 0, widthMm, 1e5, widthMm),
  x: 0,
  y: 0,
})
const contactsOf = (a: Lying, b: Lying, reachMm: number) => {
  const told: { sharedMm: number; offMm: number; leastOffMm: number; out: Vec2 }[] = []
  eachContact(a, b, reachMm, ({ sharedMm, offMm, leastOffMm, outX, outY }) =>
    told.push({ sharedMm, offMm, leastOffMm, out: [outX, outY] }),
  )
  return told
}

describe('sides along each other', () => {
  const plate = lying(rectangle(100, 40), 0, 0)

  test('beside: how long, how far off, which way is out', () => {
    const [contact, ...others] = contactsOf(lying(rectangle(30, 50), 100.2, 15), plate, 0.5)
    expect(others).toEqual([])
    expect(contact!.sharedMm).toBeCloseTo(25, 9)
    expect(contact!.offMm).toBeCloseTo(0.2, 9)
    expect(contact!.out).toEqual([1, -0])
  })

  test('a little over each other is off by less than nothing; beyond the reach it is none', () => {
    const over = lying(rectangle(30, 20), 100 - 0.3, 5)
    expect(contactsOf(over, plate, 0.5)[0]!.offMm).toBeCloseTo(-0.3, 9)
    expect(contactsOf(over, plate, 0.2)).toEqual([])
  })

  test('sides that only share a corner, or run the same way, are none', () => {
    expect(contactsOf(lying(rectangle(30, 20), 100, 40), plate, 0.5)).toEqual([])
    expect(contactsOf(plate, plate, 0.5)).toEqual([])
  })

  test('a side that leans is told by its middle and its nearer end, from either piece alike', () => {
    const leaning = lying(
      [
        [0, 0],
        [50, 0],
        [50, 40],
        [1, 40],
      ],
      100,
      0,
    )
    const [contact] = contactsOf(leaning, plate, 2)
    expect(contact!.sharedMm).toBeCloseTo(40, 9)
    expect(contact!.offMm).toBeCloseTo(0.5, 9)
    expect(contact!.leastOffMm).toBeCloseTo(0, 9)
    expect(contactsOf(plate, leaning, 2)[0]!.offMm).toBeCloseTo(0.5, 2)
  })
})

describe('a piece pushed into its place', () => {
  test('goes into a corner of the roll from some millimetres off', () => {
    const { x, y, touchingMm } = seat(lying(rectangle(100, 40), 3.1, -2.4), [roll(500)])
    expect(x).toBeCloseTo(0, 4)
    expect(y).toBeCloseTo(0, 4)
    expect(touchingMm).toBeCloseTo(140, 2)
  })

  test('stays where it is along a side that says nothing of it', () => {
    const { x, y } = seat(lying(rectangle(100, 40), 50, 1.2), [roll(500)])
    expect(x).toBeCloseTo(50, 3)
    expect(y).toBeCloseTo(0, 4)
  })

  test('between two that leave it room for itself: against both, in the middle where there is a little more', () => {
    const neighbours = [lying(rectangle(50, 50), 0, 0), lying(rectangle(50, 50), 150.2, 0)]
    const { x, touchingMm } = seat(lying(rectangle(100, 50), 51, 0), neighbours)
    expect(x).toBeCloseTo(50.1, 3)
    expect(touchingMm).toBeCloseTo(100, 6)
  })
})

describe('copies that lie over each other a little', () => {
  const copiesAt = (...xs: number[]) => xs.map((x) => ({ ...lying(rectangle(100, 40), x, 0) }))

  test('go apart by half of it each', () => {
    const copies = copiesAt(10, 109.8)
    settle(copies, nothing, 0)
    expect(copies[0]!.x).toBeCloseTo(9.9, 3)
    expect(copies[1]!.x).toBeCloseTo(109.9, 3)
    expect(copies.map(({ y }) => y)).toEqual([0, 0])
  })

  test('a row of them against the beginning of the roll goes on along it', () => {
    const copies = copiesAt(0, 99.9, 199.8, 299.7)
    settle(copies, roll(40), 0)
    copies.forEach(({ x }, i) => {
      expect(x).toBeCloseTo(100 * i, 2)
    })
  })

  test('with a spare between them', () => {
    const copies = copiesAt(0, 100)
    settle(copies, roll(40), 0.05)
    expect(copies[1]!.x - copies[0]!.x).toBeCloseTo(100.05, 3)
  })

  test('that touch or lie apart stay', () => {
    const copies = copiesAt(0, 100, 200.3)
    settle(copies, roll(40), 0)
    expect(copies.map(({ x }) => x)).toEqual([0, 100, 200.3])
  })

  test('across a roll too narrow by a hundredth, what is missing is shared by all', () => {
    const copies = [0, 40, 80].map((y) => ({ ...lying(rectangle(100, 40), 0, y) }))
    settle(copies, roll(119.99), 0)
    const over = [0 - copies[0]!.y, copies[0]!.y + 40 - copies[1]!.y, copies[1]!.y + 40 - copies[2]!.y]
    for (const byMm of over) expect(byMm).toBeGreaterThan(0.001)
    expect(Math.max(...over)).toBeLessThan(0.004)
  })
})
