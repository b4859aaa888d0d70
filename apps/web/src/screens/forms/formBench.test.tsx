import { fireEvent, screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, type Visit } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const form = async (id: string) => (await shop.server.get('/api/forms')).body.find((f: { id: string }) => f.id === id)
const keeps = async (visit: Visit) => {
  await visit.presses('Keep this form')
  await visit.sees('Kept')
}

describe('the list of forms', () => {
  test('is found through by words', async () => {
    const visit = shop.visit('/forms')
    await visit.sees('54 parts measured')
    await visit.types('Look for a part', 'bonnet')
    await visit.sees('Velmora Pipit bonnet')
    await visit.seesNo('Tarnbeck Drover grille bar')
  })
  test('a form that is not there says where the others are', async () => {
    const { sees } = shop.visit('/forms/none')
    await sees(/There is no form "none"\. ?Choose one from the list of forms\./)
  })
})

describe('measuring', () => {
  test('a part on file shows its figures: how hard, how large, how sure', async () => {
    const { sees } = shop.visit('/forms/pipit-bonnet')
    await sees(/Grade 2.*Area ?1\.27 m².*Outline ?4340 mm.*Between the readings unsure by ?3\.2 mm/)
  })
  test('a point that is moved changes the part at once; undo and redo go through every step', async () => {
    const visit = shop.visit('/forms/pipit-mirror-left')
    await visit.sees('Outline')
    const field = () => screen.getAllByLabelText<HTMLInputElement>('to x')[0] as HTMLInputElement
    const before = field().value
    const after = String(Number(before) + 4)
    fireEvent.change(field(), { target: { value: after } })
    fireEvent.blur(field())
    await visit.sees('Keep this form')
    await visit.presses('Undo')
    await expect.poll(() => field().value).toBe(before)
    await visit.sees('Kept')
    await visit.presses('Redo')
    await expect.poll(() => field().value).toBe(after)
  })
  test('what is kept is a new version; the fits that used the old one keep it', async () => {
    const visit = shop.visit('/forms/pipit-mirror-left')
    const field = (await screen.findAllByLabelText<HTMLInputElement>('to x'))[0]
    await visit.types('to x', String(Number(field?.value) + 1))
    await keeps(visit)
    await expect.poll(async () => (await form('pipit-mirror-left')).version).toBeGreaterThanOrEqual(1)
  })
  test('a figure out of range says so at its field', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.presses('2 Bow')
    const gap = (await screen.findAllByLabelText('gap'))[0]
    if (!(gap instanceof HTMLInputElement)) throw new Error('no gap field')
    await visit.user.clear(gap)
    await visit.user.type(gap, '5000')
    await visit.sees('−500 to 1000')
  })
  test('a bow reading can be taken away, and is asked for again where it is missed most', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.presses('2 Bow')
    await visit.sees('Lay the straightedge where it is shown and read the gap under it.')
    const readings = (await form('pipit-bonnet')).bow as { name: string }[]
    await visit.presses(`Remove ${readings[0]?.name}`)
    await visit.sees(/Next: /)
    // Where to lay it next is of the part as it is now: as long as that is worked out, nothing is laid where it was.
    const lay = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Lay it there' })
    await expect.poll(() => lay().disabled).toBe(false)
    const gap = screen.getAllByLabelText<HTMLInputElement>('gap')[0] as HTMLInputElement
    fireEvent.change(gap, { target: { value: String(Number(gap.value) + 0.5) } })
    expect(lay().disabled).toBe(true)
    await expect.poll(() => lay().disabled).toBe(false)
    await visit.presses('Lay it there')
    await visit.sees('Keep this form')
  })
  test('features are added, named and taken away', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.presses('3 Features')
    await visit.sees('Add a point to the line')
    const removes = () => screen.queryAllByRole('button', { name: /^Remove / }).length
    const before = removes()
    await visit.presses('Hole')
    await expect.poll(removes).toBe(before + 1)
    await visit.presses('Undo')
    await expect.poll(removes).toBe(before)
  })
  test('an edge says how it ends and what is behind it', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.presses('4 Edges')
    await visit.chooses(/rear edge ends with/, 'wrap')
    await visit.types(/Behind rear edge/, 'a flange of 20 mm')
    await keeps(visit)
    const edge = (await form('pipit-bonnet')).edges.find((e: { label: string }) => e.label === 'rear edge')
    expect(edge).toMatchObject({ code: 'wrap' })
  })
  test('a mark is added and named', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.presses('5 Marks')
    const before = screen.queryAllByLabelText(/^Name of mark/).length
    await visit.presses('Add a mark, then drag it to its place')
    await expect.poll(() => screen.queryAllByLabelText(/^Name of mark/).length).toBe(before + 1)
    await visit.types(`Name of mark ${before + 1}`, 'washer jet')
    await keeps(visit)
    expect((await form('pipit-bonnet')).marks.some((m: { label: string }) => m.label === 'washer jet')).toBe(true)
  })
})

describe('what stands at the edges', () => {
  test('an obstacle, the line that an edge is set by, and what is opened to reach behind, are kept with the form', async () => {
    const visit = shop.visit('/forms/skua-tail-inner-left')
    await visit.presses(/4 Edges/)
    await visit.types('Line at top edge', 'colour change')
    await visit.presses('Add one, then drag it to its edge')
    await visit.types('Name of obstacle 1', 'boot lock')
    await visit.chooses('Kind of boot lock', 'tab')
    await visit.types('reaches into the part', '14')
    await visit.types('What is opened to reach behind an edge', 'boot')
    await keeps(visit)
    const kept = await form('skua-tail-inner-left')
    expect(kept.obstacles).toMatchObject([{ name: 'boot lock', kind: 'tab', reachMm: 14, widthMm: 20 }])
    expect(kept.opens).toBe('boot')
    expect(kept.edges.find((e: { label: string }) => e.label === 'top edge').line).toBe('colour change')
  })
  test('a mark far outside the part is refused by its name, and nothing is kept', async () => {
    const before = await form('skua-tail-inner-left')
    const marks = [{ name: 'lost', label: 'lost mark', at: [4000, 0], weight: 1 }]
    const answer = await shop.server.send('PUT', '/api/forms/skua-tail-inner-left', { ...before, marks })
    expect(answer.status).toBe(400)
    expect(JSON.stringify(answer.body)).toContain('lies outside the part')
    expect(await form('skua-tail-inner-left')).toEqual(before)
  })
})

describe('a part that nobody has measured', () => {
  test('is measured from an empty bench, and the job takes the form', async () => {
    const job = {
      customer: 'Private owner',
      plate: 'QF 300',
      colour: '',
      year: null,
      modelId: 'velmora-pipit',
      bay: 'Bay 2',
      personId: 'ines',
      arrivesAt: '2030-05-01T08:00:00.000Z',
      dueAt: '2030-05-02T16:00:00.000Z',
      parts: [{ slot: 'roof', name: 'Roof', filmId: 'clearcoat-hull-180' }],
    }
    const made = await shop.server.send('POST', '/api/jobs', job)
    expect(made.status).toBe(201)
    const { parts } = (await shop.server.get(`/api/jobs/${made.body.id}`)).body
    const bay = shop.visit('/')
    await bay.sees(/Roof.*Measure it, then see how it will lie/)
    bay.goes(`/jobs/${made.body.id}/kit`)
    await bay.sees('nobody has measured it yet')
    await bay.seesNo(/Check (the part|all)/)
    const sheet = shop.visit(`/jobs/${made.body.id}/lay-sheets/${parts[0].id}`)
    await sheet.sees('Nobody has measured Roof yet.')
    expect(screen.queryByRole('alert')).toBeNull()
    // Its steps are there at once, by ordinary figures, which is said.
    await sheet.presses('Fit it by ordinary figures')
    await sheet.sees(/Nobody has measured this part: \d+ mm by \d+ mm is what such a part has as a rule/)
    await sheet.sees('Read its length and width')
    await sheet.sees(/\d+ steps, about \d+ minutes/)
    await sheet.presses('Lay sheet')
    await sheet.presses('Measure it now')
    await sheet.isAt(/^\/forms\/new\?part=/)
    // It begins under the name of the part, as large as such a part mostly is, and says that this is no measure.
    await sheet.sees('Drawn as large as such a part mostly is. Nothing of it is measured yet')
    await sheet.sees('Nothing tells yet how it bends: it is taken as flat.')
    await sheet.seesNo(/Grade \d/)
    await sheet.types('to x', '560')
    await sheet.seesNo('Drawn as large as')
    await sheet.presses('Keep this form')
    await sheet.isAt(new RegExp(`^/jobs/${made.body.id}/lay-sheets/`))
    expect((await shop.server.get(`/api/jobs/${made.body.id}`)).body.parts[0].formId).toBe('velmora-pipit-roof')
  })
})

describe('a part from a scan', () => {
  /** A gently bowed sheet of so many mm as a plain OBJ, seen straight on. */
  const sheet = (wide: number, tall: number, scale = 1) => {
    const count = 24
    const lines: string[] = []
    for (let j = 0; j <= count; j++)
      for (let i = 0; i <= count; i++) {
        const [x, y] = [(i / count - 0.5) * wide, (j / count - 0.5) * tall]
        lines.push(`v ${x * scale} ${y * scale} ${(8 - 0.0008 * (x * x + y * y)) * scale}`)
      }
    for (let j = 0; j < count; j++)
      for (let i = 0; i < count; i++) {
        const a = j * (count + 1) + i + 1
        lines.push(`f ${a} ${a + 1} ${a + count + 2}`, `f ${a} ${a + count + 2} ${a + count + 1}`)
      }
    return new File([lines.join('\n')], 'cover.obj', { type: 'text/plain' })
  }
  const bring = async (file: File) => {
    const visit = shop.visit('/forms/new?scan')
    const field = await screen.findByLabelText('Scan, OBJ, STL or PLY')
    fireEvent.change(field, { target: { files: [file] } })
    return visit
  }
  test('is read with its size, in the unit that one chooses', async () => {
    const visit = await bring(sheet(160, 100))
    await visit.sees(/160 mm x 100 mm x \d+ mm/)
    await visit.presses('cm')
    await visit.sees(/1600 mm x 1000 mm/)
  })
  test('becomes a form with its outline and heights', async () => {
    const visit = await bring(sheet(160, 100))
    await visit.sees(/160 mm x 100 mm/)
    await visit.presses('Make it a form')
    await visit.sees(/Nowhere further off the scan than 0\.1 mm\.\s*Heights every 4 mm, no opening\./)
    await visit.presses('Go on with this form')
    await visit.sees('Keep this form')
    await visit.sees('Scan kept to within')
  })
  test('a file of another kind says so, and nothing is kept', async () => {
    const visit = await bring(new File(['x'], 'cover.txt', { type: 'text/plain' }))
    await visit.sees('That is no scan: choose a file that ends in .obj, .stl or .ply.')
  })
  test('one that holds no surface says so', async () => {
    const visit = await bring(new File(['# nothing'], 'cover.obj', { type: 'text/plain' }))
    await visit.sees('The scan cannot be read: line 1: the file has no faces')
    await visit.seesNo('Make it a form')
  })
})

describe('in a shop of inches', () => {
  test('coordinates are read and typed in inches, and kept in millimetres', async () => {
    await shop.chooseUnits({ length: 'in', temperature: 'F', volume: 'fl oz' })
    const visit = shop.visit('/forms/pipit-mirror-left')
    await visit.sees(/Outline ?\d+\.\d\d in/)
    await visit.seesNo(/\d mm/)
    const before = (await form('pipit-mirror-left')).outline[0].to[0]
    const inches = ((before - 1) / 25.4).toFixed(4)
    await visit.types('to x', inches)
    await keeps(visit)
    const [first] = (await form('pipit-mirror-left')).outline
    expect(first.to[0]).toBeCloseTo(before - 1, 2)
  })
  test('a form that cannot be built is not kept, however quickly one presses', async () => {
    const visit = shop.visit('/forms/pipit-fog-left')
    const { version } = await form('pipit-fog-left')
    await visit.types('to x', '-1.5')
    await visit.presses('Keep this form')
    await visit.sees(/touches the part/)
    await visit.sees('Keep this form')
    expect((await form('pipit-fog-left')).version).toBe(version)
  })
})

describe('a form that was changed and not kept', () => {
  test('is as it was left on the same tablet; the kept one is a press away', async () => {
    const visit = shop.visit('/forms/pipit-bonnet')
    await visit.types(/^Form, version/, 'Bonnet, measured again')
    const again = shop.visit('/forms/pipit-bonnet', 'the same')
    await again.sees('As you left it, not kept yet.')
    expect(screen.getByLabelText(/^Form, version/)).toHaveProperty('value', 'Bonnet, measured again')
    again.goes('/forms')
    await again.presses('Stay here')
    await again.presses('As it is kept')
    await again.seesNo('As you left it')
    again.goes('/forms')
    await again.isAt('/forms')
  })
})
