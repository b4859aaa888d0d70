import { english } from '@truelay/words'
import { verbatim } from '@truelay/core/say'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, test } from 'vitest'
import { FormSketch } from '../../drawings/FormSketch.tsx'
import { BowStep } from './BowStep.tsx'
import { blankForm, handlesOf } from './editForm.ts'

const form = {
  ...blankForm('p', 'Part'),
  bow: [
    { name: 'across', from: [-250, 0] as const, to: [250, 0] as const, sagittaMm: 12 },
    { name: 'up', from: [0, -150] as const, to: [0, 150] as const, sagittaMm: 8 },
  ],
}
const sketch = (more: object = {}) =>
  renderToStaticMarkup(
    <FormSketch
      form={form}
      handles={handlesOf(form, 'outline')}
      chosen={{}}
      next={null}
      photo={null}
      onMove={() => {}}
      {...more}
    />,
  )

describe('the sketch of a part', () => {
  test('every point can be taken, and is named', () => {
    for (const handle of handlesOf(form, 'outline')) expect(sketch()).toContain(`aria-label="${english(handle.label)}"`)
  })
  test('the straightedge lies where it is to be laid', () => {
    expect(sketch()).not.toContain('read the gap here')
    expect(sketch({ next: { from: [-200, 50], to: [200, 50] } })).toContain('read the gap here')
  })
  test('an outline that crosses itself is drawn as a line, not filled', () => {
    const crossed = { ...form, outline: [...form.outline.slice(0, 3), { ...form.outline[3], to: [400, 300] }] }
    expect(sketch({ form: crossed })).toContain('var(--stop)')
    expect(sketch()).not.toContain('var(--stop)')
  })
  test('a photo lies under it in its own scale', () => {
    const drawn = sketch({ photo: { url: 'blob:x', widthPx: 2000, heightPx: 1000, mmPerPx: 0.5 } })
    expect(drawn).toMatch(/<image[^>]*width="1000"[^>]*height="500"/)
  })
})

describe('the readings', () => {
  const step = (more: object = {}) =>
    renderToStaticMarkup(
      <BowStep
        form={form}
        onChange={() => {}}
        chosen={{}}
        onChoose={() => {}}
        failure={null}
        next={null}
        behind={false}
        miss={null}
        {...more}
      />,
    ).replace(/<[^>]+>/g, ' ')
  test('say where to go on, or that enough is known', () => {
    expect(step()).toContain('Enough is known.')
    const next = { name: 'up, left', from: [-150, -150] as const, to: [-150, 150] as const, unsureMm: 3.4 }
    expect(step({ next })).toMatch(/Next:\s+up, left.*3\.4/s)
  })
  test('that contradict each other are named where they stand', () => {
    const failure = {
      code: 'BOW_CONTRADICTS',
      facts: { first: 'across', second: 'up', measuredMm: 12, expectedMm: 3 },
      sentence: verbatim('s'),
      fix: verbatim('f'),
    }
    expect(step({ failure }).match(/Measure this one again/g)?.length).toBe(2)
    expect(step({ failure: { ...failure, facts: { what: 'x' } } })).not.toContain('again')
  })
  test('from photographs: how sure the targets are, and one that stands out asks for the line that is not drawn', () => {
    const spots = [0, 1, 2, 3, 4].map((k) => ({
      name: `target ${k}`,
      at: [50 * k, 20 * (k % 2)] as const,
      heightMm: 3,
      sigmaMm: k === 2 ? 0.2 : 0.1,
    }))
    const photographed = { ...form, bow: [], spots }
    const miss = (missMm: number) => ({ rmsMm: 0.3, worst: { name: 'target 2', at: [100, 0] as const, missMm } })
    const calm = step({ form: photographed, miss: miss(-0.8) })
    expect(calm).toMatch(/5 targets from photographs, heights sure to 0\.4 mm/)
    expect(calm).toMatch(/miss its place by 0\.3 mm, most at target 2: 0\.8 mm/)
    expect(calm).toContain('Enough is known.')
    expect(calm).not.toContain('Draw the body line')
    expect(step({ form: photographed, miss: miss(-4) })).toContain('Draw the body line or hollow')
  })
  test('of a scanned part are not needed', () => {
    const relief = { originMm: [0, 0] as const, stepMm: 4, columns: 2, heightsMm: [0, 0, 0, 0], errorMm: 0.3 }
    expect(step({ form: { ...form, relief } })).toContain('Readings are not needed')
  })
})
