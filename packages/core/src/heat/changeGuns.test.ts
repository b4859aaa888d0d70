import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
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
const changed = (change: GunChange) => gunsChanged([bay, bench], { bay: change })[0]

describe('a change of a gun', () => {
  test('leaves what it does not name, and every other gun', () => {
    expect(gunsChanged([bay, bench], {})).toEqual([bay, bench])
    expect(gunsChanged([bay, bench], { bay: { spotMm: 90 } })).toEqual([{ ...bay, spotMm: 90 }, bench])
    expect(changed({ name: 'Old gun' })).toEqual({ ...bay, name: 'Old gun' })
  })
  test('of one setting leaves the others; another comes last, and one is taken away', () => {
    expect(changed({ settings: { high: { outletC: 420 } } })?.settings).toEqual([
      { name: 'low', outletC: 120 },
      { name: 'high', outletC: 420 },
    ])
    expect(changed({ settings: { 3: { outletC: 500 } } })?.settings.at(-1)).toEqual({ name: '3', outletC: 500 })
    expect(changed({ settings: { low: null } })?.settings).toEqual([{ name: 'high', outletC: 400 }])
    expect(changed({ settings: { gone: null } })).toEqual(bay)
  })
  test('a setting that is called otherwise keeps its readings', () => {
    const called = changed({ settings: { low: { name: '1' } } })
    expect(called?.settings.map(({ name }) => name)).toEqual(['1', 'high'])
    expect(called?.readings.map(({ setting }) => setting)).toEqual(['1', 'high'])
  })
  test('a reading more, once however often it is sent, and one less', () => {
    const more = { read: reading('r3', 'high') }
    const once = gunsChanged([bay], { bay: more })
    expect(once[0]?.readings.map(({ id }) => id)).toEqual(['r1', 'r2', 'r3'])
    expect(gunsChanged(once, { bay: more })).toEqual(once)
    expect(changed({ unread: 'r1' })?.readings.map(({ id }) => id)).toEqual(['r2'])
  })
  test('the gun on which plans count comes first, the others stay as they stood', () => {
    const third = { ...bench, id: 'third' }
    const order = (first: string) => gunsChanged([bay, bench, third], { [first]: { first: true } }).map(({ id }) => id)
    expect(order('bench')).toEqual(['bench', 'bay', 'third'])
    expect(order('bay')).toEqual(['bay', 'bench', 'third'])
  })
  test('a gun that is not there yet comes last, with its settings in order', () => {
    const settings = { 1: { outletC: 100 }, 2: { outletC: 300 } }
    expect(gunsChanged([bay], { other: { name: 'Other', spotMm: 80, settings } })).toEqual([
      bay,
      {
        id: 'other',
        name: 'Other',
        spotMm: 80,
        settings: [
          { name: '1', outletC: 100 },
          { name: '2', outletC: 300 },
        ],
        readings: [],
      },
    ])
  })
})

test('two changes of different things come to the same in either order', () => {
  const one = fc.constantFrom<GunChange>({ name: 'A' }, { settings: { low: { outletC: 130 } } }, { unread: 'r1' })
  const other = fc.constantFrom<GunChange>({ spotMm: 70 }, { settings: { high: null } }, { read: reading('r9', 'low') })
  fc.assert(
    fc.property(one, other, (a, b) => {
      const after = (...changes: GunChange[]) =>
        changes.reduce<readonly GunDoc[]>((guns, change) => gunsChanged(guns, { bay: change }), [bay, bench])
      expect(after(a, b)).toEqual(after(b, a))
    }),
  )
})
