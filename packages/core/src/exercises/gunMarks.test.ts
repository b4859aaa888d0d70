import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { cellsOfPlace, makeGun, markGun, warmEnough } from './index.ts'

/** A patch of ten by six cells with a place of four by two of them, and its bands. */
const task = {
  ...makeGun(1, 1, practiceWith()),
  cellMm: 10,
  widthMm: 100,
  heightMm: 60,
  place: { leftMm: 30, topMm: 20, widthMm: 40, heightMm: 20 },
  ambientC: 20,
  leastC: 60,
  mostC: 80,
  damageC: 110,
}
const across = 10
const cells = cellsOfPlace(task, across, 6)
/** Everywhere as warm as the room but the place, whose cells are as warm as they are said to be, one after the other. */
const hottest = (...ofPlaceC: readonly number[]) => {
  const field = new Float64Array(60).fill(task.ambientC)
  cells.forEach((cell, i) => {
    field[cell] = ofPlaceC[i % ofPlaceC.length] ?? task.ambientC
  })
  return field
}
const said = (field: Float64Array) => markGun(task, field, across).says.map(english).join(' ')

describe('what the gun did to a place', () => {
  test('its cells are those whose middle lies in it', () => {
    expect(cells).toEqual([23, 24, 25, 26, 33, 34, 35, 36])
  })
  test('the share that was warm enough, its least heat being enough', () => {
    expect(warmEnough(task, cells, hottest(60))).toBe(1)
    expect(warmEnough(task, cells, hottest(60, 59.9))).toBe(0.5)
    expect(warmEnough(task, cells, hottest(20))).toBe(0)
    expect(warmEnough(task, [], hottest(60))).toBe(0)
    // Of a field that ends before the place does, nothing is known to have been warm.
    expect(warmEnough({ ...task, leastC: 0.5 }, [23, 99], hottest(60))).toBe(0.5)
  })
  test('all within its band, its ends too, is worth all and told so', () => {
    for (const heat of [60, 70, 80]) {
      expect(markGun(task, hottest(heat), across).share).toBe(1)
      expect(said(hottest(heat))).toBe('100 % of the place came to between 60 °C and 80 °C.')
    }
  })
  test('half of it in the band, half as the room: half', () => {
    expect(markGun(task, hottest(70, 20), across).share).toBe(0.5)
    expect(said(hottest(70, 20))).toMatch(/^50 % of the place .* 50 % stayed colder/)
  })
  test('seven tenths of the way is worth nothing yet, and from there on by degrees', () => {
    expect(markGun(task, hottest(48), across).share).toBeCloseTo(0, 12)
    expect(markGun(task, hottest(54), across).share).toBeCloseTo(0.5, 12)
    expect(markGun(task, hottest(20), across).share).toBe(0)
  })
  test('hotter than it needs is worth less the nearer it comes to damage, and is told', () => {
    expect(markGun(task, hottest(95), across).share).toBeCloseTo(0.75, 12)
    expect(markGun(task, hottest(110), across).share).toBeCloseTo(0.5, 12)
    expect(said(hottest(95))).toMatch(/^0 % of the place .* 100 % became hotter than it needs/)
    expect(said(hottest(110))).not.toContain('damaged')
  })
  test('damage anywhere takes from it, beside the place too, and says how much and how hot', () => {
    const beside = hottest(70)
    beside[0] = 130
    const { share } = markGun(task, beside, across)
    expect(share).toBeLessThan(1)
    expect(said(beside)).toMatch(/^Film was damaged on 100 mm²: it came to 130 °C, and 110 °C is too much\. 100 % of/)
    beside[1] = 130
    expect(markGun(task, beside, across).share).toBeLessThan(share)
  })
})
