import { type JobBundle, jobId, partId } from '@truelay/contract'
import { boundsOf } from '@truelay/core/geometry'
import { bodyPlan } from '@truelay/core/vehicle'
import { describe, expect, test } from 'vitest'
import { blankForm } from './editForm.ts'
import { asPart, ordinaryPart } from './ordinaryPart.ts'

const bundle = (...parts: readonly { readonly id: string; readonly slot: string; readonly name: string }[]) =>
  ({
    job: { id: jobId.parse('0001'), vehicle: { model: 'Heron', kind: 'city hatch' } },
    parts: parts.map((part) => ({ ...part, id: partId.parse(part.id) })),
  }) as unknown as Pick<JobBundle, 'job' | 'parts'>
const sizeOf = (form: { readonly outline: readonly { readonly to: readonly [number, number] }[] }) => {
  const { min, max } = boundsOf(form.outline.map(({ to }) => to))
  return [max[0] - min[0], max[1] - min[1]]
}
const slots = bodyPlan('city hatch').slots
const begun = (slot: string) => {
  const place = slots.find(({ id }) => id === slot)
  const form = ordinaryPart(bundle({ id: '0001-01', slot, name: place?.name ?? slot }), partId.parse('0001-01'))
  return { place, form }
}

describe('a part of a job that nobody has measured', () => {
  test.each(slots.map(({ id }) => id))(
    '%s begins as large as its place, under its name, with two corners marked',
    (slot) => {
      const { place, form } = begun(slot)
      const [wide, high] = sizeOf(form!)
      expect(Math.abs(wide! - place!.size[0])).toBeLessThanOrEqual(1)
      expect(Math.abs(high! - place!.size[1])).toBeLessThanOrEqual(1)
      expect(form!.name.toLowerCase()).toBe(`heron ${place!.name.toLowerCase()}`)
      expect(form!.bow).toEqual([])
      expect(form!.marks).toHaveLength(2)
    },
  )
  test('is of what such a part is made', () => {
    expect(begun('front-bumper').form).toMatchObject({ family: 'panel', material: 'painted plastic' })
    expect(begun('headlamp-left').form).toMatchObject({ family: 'lamp', material: 'lens plastic' })
  })
  test('has a draft of its own, so that one half measured is not taken for another', () => {
    const two = bundle({ id: '0001-01', slot: 'bonnet', name: 'Bonnet' }, { id: '0001-02', slot: 'roof', name: 'Roof' })
    const [bonnet, roof] = ['0001-01', '0001-02'].map((id) => ordinaryPart(two, partId.parse(id)))
    expect(bonnet?.id).not.toBe(roof?.id)
  })
  test('of no place of the vehicle, or of another job, begins as a plain plate', () => {
    const other = bundle({ id: '0001-01', slot: 'wing-of-another', name: 'Wing' })
    expect(ordinaryPart(other, partId.parse('0001-01'))).toBeNull()
    expect(ordinaryPart(other, partId.parse('0002-07'))).toBeNull()
    expect(sizeOf(blankForm('new-part', 'New part'))).toEqual([600, 400])
  })
  test('that is scanned or photographed takes its name and what it is made of, and keeps its shape', () => {
    const lamp = begun('headlamp-left').form!
    const scanned = { ...begun('bonnet').form!, name: 'cover', version: 3 }
    const named = asPart(scanned, lamp)
    expect(named).toMatchObject({ name: lamp.name, family: 'lamp', material: 'lens plastic', version: 3 })
    expect(named.outline).toEqual(scanned.outline)
  })
})
