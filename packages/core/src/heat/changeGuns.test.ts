import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { required } from '../result/index.ts'
import { type GunChange, type GunDoc, gunsChanged, type KeptReading } from './index.ts'

const reading = (id: string, setting: string): KeptReading => ({
  id,
  at: '2030-05-01T10:00:00.000Z',
  setting,
  distanceMm: 90,
  speedMmS: 300,
  strokeMm: 300,
  passes: 6,
  material: 'painted plastic',
  filmUm: 180,
  ambientC: 20,
  surfaceC: 61,
  source: 'typed',
})
const bay: GunDoc = {
  id: 'bay',
  name: 'Bay gun',
  spotMm: 110,
  settings: [
    { name: 'low', outletC: 120 },
    { name: 'high', outletC: 400 },
  ],
  readings: [reading('r1', 'low'), reading('r2', 'high')],
}
const bench: GunDoc = { ...bay, id: 'bench', name: 'Bench gun', readings: [] }
const after = (guns: readonly GunDoc[], changes: Readonly<Record<string, GunChange | null>>) =>
  required(gunsChanged(guns, changes))
const changed = (change: GunChange) => after([bay, bench], { bay: change })[0]

describe('a change of a gun', () => {
  test('leaves what it does not name, and every other gun', () => {
    expect(after([bay, bench], {})).toEqual([bay, bench])
    expect(after([bay, bench], { bay: { spotMm: 90 } })).toEqual([{ ...bay, spotMm: 90 }, bench])
    expect(changed({ name: 'Old gun' })).toEqual({ ...bay, name: 'Old gun' })
  })
  test('of one setting leaves the others; another comes last, and one is taken away', () => {
    expect(changed({ settings: { high: { outletC: 420 } } })?.settings).toEqual([
      { name: 'low', outletC: 120 },
      { name: 'high', outletC: 420 },
    ])
    expect(changed({ more: [{ name: '3', outletC: 500 }] })?.settings.at(-1)).toEqual({
      name: '3',
      outletC: 500,
    })
    expect(changed({ settings: { low: null } })?.settings).toEqual([{ name: 'high', outletC: 400 }])
    expect(changed({ settings: { gone: null } })).toEqual(bay)
  })
  test('a setting that is called otherwise keeps its readings', () => {
    const called = changed({ settings: { low: { name: '1' } } })
    expect(called?.settings.map(({ name }) => name)).toEqual(['1', 'high'])
    expect(called?.readings.map(({ setting }) => setting)).toEqual(['1', 'high'])
  })
  test('a reading more, once however often it is sent, and one less', () => {
    const more = { read: [reading('r3', 'high')] }
    const once = after([bay], { bay: more })
    expect(once[0]?.readings.map(({ id }) => id)).toEqual(['r1', 'r2', 'r3'])
    expect(after(once, { bay: more })).toEqual(once)
    expect(changed({ unread: 'r1' })?.readings.map(({ id }) => id)).toEqual(['r2'])
  })
  test('the gun on which plans count comes first, the others stay as they stood', () => {
    const third = { ...bench, id: 'third' }
    const order = (first: string) => after([bay, bench, third], { [first]: { first: true } }).map(({ id }) => id)
    expect(order('bench')).toEqual(['bench', 'bay', 'third'])
    expect(order('bay')).toEqual(['bay', 'bench', 'third'])
  })
  test('a gun that is not there yet comes last, with its settings in order', () => {
    const more = [
      { name: 'slow', outletC: 100 },
      { name: '2', outletC: 300 },
    ]
    expect(after([bay], { other: { name: 'Other', spotMm: 80, more } })).toEqual([
      bay,
      {
        id: 'other',
        name: 'Other',
        spotMm: 80,
        settings: [
          { name: 'slow', outletC: 100 },
          { name: '2', outletC: 300 },
        ],
        readings: [],
      },
    ])
  })
})

describe('a gun taken off the list', () => {
  test('is gone with its readings, the others stay; once more is the same', () => {
    expect(after([bay, bench], { bay: null })).toEqual([bench])
    expect(after([bench], { bay: null })).toEqual([bench])
  })
  test('comes back whole, and first where it was first', () => {
    const { id, readings, settings, ...plain } = bay
    const back = { ...plain, read: readings, more: settings }
    expect(after([bench], { [id]: { ...back, first: true } })).toEqual([bay, bench])
  })
})

describe('what is not there any more is not changed, and nothing else is', () => {
  const code = (changes: Readonly<Record<string, GunChange>>) => {
    const result = gunsChanged([bay, bench], changes)
    return result.ok ? 'changed' : result.failure.code
  }
  test('a gun that somebody took off the list', () => {
    expect(code({ sold: { spotMm: 90 } })).toBe('GUN_GONE')
    expect(code({ sold: { name: 'Old gun' } })).toBe('GUN_GONE')
    expect(code({ sold: { name: 'Old gun', spotMm: 90 } })).toBe('GUN_GONE')
    expect(code({ bay: { spotMm: 90 }, sold: { read: [reading('r5', 'low')] } })).toBe('GUN_GONE')
  })
  test('a setting that somebody called otherwise', () => {
    const gone = gunsChanged([bay, bench], { bay: { settings: { mid: { outletC: 250 } } } })
    expect(gone.ok ? null : gone.failure.sentence).toSay('Setting "mid" of Bay gun is called otherwise')
    expect(code({ bay: { settings: { mid: { name: 'middle' } } } })).toBe('SETTING_GONE')
  })
  test('a name that the language has for itself is a name like any other', () => {
    const odd = { ...bay, settings: [{ name: 'constructor', outletC: 100 }], readings: [reading('r1', 'constructor')] }
    expect(after([odd], { bay: { spotMm: 90 } })).toEqual([{ ...odd, spotMm: 90 }])
    expect(code({ bay: { settings: { toString: { outletC: 250 } } } })).toBe('SETTING_GONE')
    expect(after([{ ...bay, id: 'constructor' }], {})).toEqual([{ ...bay, id: 'constructor' }])
  })
})

test('two changes of different things come to the same in either order', () => {
  const one = fc.constantFrom<GunChange>({ name: 'A' }, { settings: { low: { outletC: 130 } } }, { unread: 'r1' })
  const other = fc.constantFrom<GunChange>(
    { spotMm: 70 },
    { settings: { high: null } },
    { read: [reading('r9', 'low')] },
  )
  fc.assert(
    fc.property(one, other, (a, b) => {
      const all = (...changes: GunChange[]) =>
        changes.reduce<readonly GunDoc[]>((guns, change) => after(guns, { bay: change }), [bay, bench])
      expect(all(a, b)).toEqual(all(b, a))
    }),
  )
})
