import { findingKinds } from '@truelay/core/plan'
import { bodyKinds, bodyPlan } from '@truelay/core/vehicle'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, test } from 'vitest'
import { VehicleSheet } from '../../drawings/VehicleSheet.tsx'
import { coveredParts } from './coveredParts.ts'
import { kindsFor } from './findingsFor.ts'

describe('what can be found', () => {
  test('on a lamp: what concerns lenses first, and nothing that concerns paint', () => {
    const kinds = kindsFor('headlamp-left')
    expect(kinds.slice(0, 4)).toEqual(expect.arrayContaining(['cracked lens', 'casting marks']))
    expect(kinds).not.toContain('repaint')
  })
  test('on a panel: the other way round', () => {
    const kinds = kindsFor('door-front-left')
    expect(kinds[0]).toBe('repaint')
    expect(kinds).not.toContain('casting marks')
  })
  test('every kind can be found somewhere', () => {
    const all = new Set([...kindsFor('headlamp-left'), ...kindsFor('bonnet')])
    expect([...all].sort()).toEqual([...findingKinds].sort())
  })
})

describe.each(bodyKinds)('the sheet of a %s', (kind) => {
  const plan = bodyPlan(kind)
  const draw = (onTap?: () => void) =>
    renderToStaticMarkup(
      <VehicleSheet
        plan={plan}
        covered={[
          {
            slot: 'bonnet',
            name: 'Bonnet',
            outline: [
              [0, 0],
              [100, 0],
              [100, 60],
              [0, 60],
            ],
          },
          { slot: 'roof', name: 'Roof', outline: null },
        ]}
        marks={[
          { id: 'a', slot: 'bonnet', at: [0.5, 0.5], text: '1', look: 'found' },
          { id: 'b', slot: 'nowhere', at: [0.5, 0.5], text: '9', look: 'found' },
        ]}
        chosenSlot={null}
        chosenMark={null}
        {...(onTap ? { onTap } : {})}
      />,
    )
  test('names every place that can be tapped, and none where nothing can', () => {
    const tapped = draw(() => {})
    for (const slot of plan.slots) expect(tapped).toContain(`aria-label="${slot.name}"`)
    expect(draw()).not.toContain('role="button"')
  })
  test('says which side is which where it is tapped; small ones that are looked at alone do not', () => {
    for (const side of ['top', 'front', 'rear', 'driver’s side', 'passenger’s side']) {
      expect(draw(() => {})).toContain(`>${side}</text>`)
      expect(draw()).not.toContain(`>${side}</text>`)
    }
  })
  test('marks what was found where it is, and leaves out what has no place', () => {
    expect(draw()).toContain('>1</text>')
    expect(draw()).not.toContain('>9</text>')
    expect(draw()).not.toContain('NaN')
  })
})

test('parts that nobody has measured are drawn as a plain place', () => {
  const parts = [
    { name: 'Roof', slot: 'roof', formId: null },
    { name: 'Wing', slot: 'wing-left', formId: 'gone' },
  ]
  expect(coveredParts({ parts: parts as never, forms: [] }).map((p) => [p.name, p.outline])).toEqual([
    ['Roof', null],
    ['Wing', null],
  ])
})
