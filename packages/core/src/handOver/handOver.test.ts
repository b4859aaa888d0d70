import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { type HandedPart, promiseWords, type ToldTopic, tellCustomer } from './index.ts'

const practice = practiceWith()
const room = { roomC: 20, humidityPercent: 50 }
const at = new Date('2030-05-01T15:00:00Z')
const hoursAfter = (from: Date, to: Date) => (to.getTime() - from.getTime()) / 3_600_000
const bonnet: HandedPart = {
  name: 'Bonnet',
  material: 'painted steel',
  level: true,
  filmType: 'paint film',
  laid: 'wet',
  takesLight: false,
  finishedAt: at,
}
const lamp: HandedPart = {
  ...bonnet,
  name: 'Headlamp',
  material: 'lens plastic',
  level: false,
  filmType: 'lens tint',
  takesLight: true,
}
const strip: HandedPart = { ...bonnet, name: 'Trim', level: false, filmType: 'trim vinyl', laid: 'dry' }
const told = (parts: readonly HandedPart[], air = room) => required(tellCustomer(parts, air, practice))
const topics = (parts: readonly HandedPart[]) => told(parts).lines.map((line) => line.about)
const says = (parts: readonly HandedPart[], about: ToldTopic) =>
  told(parts)
    .lines.filter((line) => line.about === about)
    .map((line) => english(line.says))
    .join(' ')

describe('what the owner is told', () => {
  test('in ordinary air the waits are the shop’s own figures', () => {
    const { washFrom, edgesUntil, bondedAt } = told([bonnet])
    expect(hoursAfter(at, washFrom)).toBeCloseTo(practice.waitBeforeWash / 60, 6)
    expect(hoursAfter(at, edgesUntil)).toBeCloseTo(practice.waitEdgeLook / 60, 6)
    expect(hoursAfter(at, bondedAt)).toBeCloseTo(practice.waitFullBond / 60, 6)
  })

  test('nobody is told a minute', () => {
    const odd = { ...bonnet, finishedAt: new Date(at.getTime() + 17 * 60_000) }
    expect(told([odd]).washFrom.getTime() % 3_600_000).toBe(0)
    expect(told([odd]).washFrom.getTime()).toBeGreaterThan(told([bonnet]).washFrom.getTime())
  })

  test('what counts is the part that was finished last', () => {
    const later = { ...lamp, finishedAt: new Date(at.getTime() + 5 * 3_600_000) }
    expect(hoursAfter(told([bonnet]).washFrom, told([bonnet, later]).washFrom)).toBeCloseTo(5, 6)
    expect(told([later, bonnet])).toEqual({ ...told([bonnet, later]), lines: expect.anything() })
  })

  test('cold air puts every date that hangs on it off, never forward', () => {
    fc.assert(
      fc.property(fc.double({ min: 6, max: 20, noNaN: true }), (roomC) => {
        const cold = told([bonnet], { roomC, humidityPercent: 50 })
        const usual = told([bonnet])
        expect(cold.washFrom.getTime()).toBeGreaterThanOrEqual(usual.washFrom.getTime() - 1)
        expect(cold.bondedAt.getTime()).toBeGreaterThanOrEqual(usual.bondedAt.getTime() - 1)
      }),
    )
  })

  test('by surface: level, lamps, trim, each only where it is there', () => {
    expect(topics([bonnet])).toEqual(['wash', 'edges', 'haze', 'bond', 'solvents', 'level'])
    expect(topics([lamp])).toEqual(['wash', 'edges', 'haze', 'bond', 'solvents', 'lamps'])
    expect(topics([strip])).toEqual(['wash', 'edges', 'bond', 'solvents', 'trim'])
  })

  test('haze is spoken of for wet film only, and by name', () => {
    expect(says([bonnet, strip], 'haze')).toContain('under Bonnet leave')
    expect(says([strip], 'haze')).toBe('')
  })

  test('tint gives less light, clear film on a lamp does not', () => {
    expect(says([lamp], 'lamps')).toContain('less light')
    expect(says([{ ...lamp, takesLight: false }], 'lamps')).not.toContain('less light')
  })

  test('a part that is not fitted is not spoken of', () => {
    const open = { ...lamp, finishedAt: null }
    expect(topics([bonnet, open])).toEqual(topics([bonnet]))
    expect(tellCustomer([open], room, practice)).toMatchObject({ ok: false, failure: { code: 'HAND_OVER_NOTHING' } })
  })

  test('air that cannot be is refused', () => {
    expect(tellCustomer([bonnet], { roomC: 90, humidityPercent: 50 }, practice).ok).toBe(false)
  })

  test('dates are told as days', () => {
    expect(says([bonnet], 'edges')).toContain('Friday 3 May')
  })
})

describe('what is promised', () => {
  test('nothing is said while it can be kept, to the minute', () => {
    expect(promiseWords(at, at)).toBeNull()
    expect(promiseWords(at, new Date(at.getTime() - 60_000))).toBeNull()
  })
  test('both moments are said where it cannot', () => {
    const words = english(promiseWords(at, new Date(at.getTime() + 16 * 3_600_000))!)
    expect(words).toMatch(
      /^Promised for Wednesday 1 May, \d\d:00; may go out Thursday 2 May, \d\d:00: tell the customer\.$/,
    )
  })
})
