import { screen, within } from '@testing-library/react'
import type { Piece } from '@truelay/contract'
import { filmFigureKeys } from '@truelay/core/lay'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

describe('the shelf', () => {
  test('shows kits with their pieces, and films', async () => {
    const { sees } = shop.visit('/shelf')
    await sees('11 kits, 53 pieces, 6 films')
    await sees(/Pipit lamp kit.*Headlamp, driver’s side ?lot DG-2610-17, 1 spare/)
  })
  test('looked over by a word: a kit with all that is in it, a piece or a lot where it lies, a film', async () => {
    const visit = shop.visit('/shelf')
    await visit.sees('11 kits, 53 pieces')
    const kits = () => screen.queryAllByRole('region').map((one) => one.getAttribute('aria-label'))
    await visit.types('Look on the shelf', 'pipit lamp kit')
    await expect.poll(() => kits().filter(Boolean)).toEqual(['Pipit lamp kit'])
    await visit.types('Look on the shelf', 'EC-2611-31')
    await expect.poll(() => screen.queryAllByRole('link', { name: /lot (?!EC-2611-31)/ })).toEqual([])
    expect(screen.getAllByRole('link', { name: /lot EC-2611-31/ }).length).toBeGreaterThan(1)
    await visit.types('Look on the shelf', 'duskglass')
    await visit.sees('Duskglass light smoke, air release')
    await visit.types('Look on the shelf', 'zeppelin')
    await visit.sees('Nothing on the shelf has “zeppelin” in its name or lot.')
  })
  test('leads to a piece, with its size and marks', async () => {
    const visit = shop.visit('/shelf')
    await visit.presses(/^Bonnet/)
    await visit.isAt(/^\/shelf\/pieces\/pipit-bonnet-piece$/)
    await visit.sees('1355 mm x 1032 mm')
    await visit.sees('badge')
  })
  test('a piece that is not there says where the others are', async () => {
    const { sees } = shop.visit('/shelf/pieces/none')
    await sees('To the shelf')
  })
})

describe('a piece', () => {
  const kept = async () => {
    const { pieces } = (await shop.server.get('/api/shelf')).body as { pieces: Piece[] }
    return pieces.find((p) => p.id === 'pipit-bonnet-piece')
  }
  test('its side, lot and count are put right, and put back', async () => {
    const before = await kept()
    const visit = shop.visit('/shelf/pieces/pipit-bonnet-piece')
    await visit.types('Lot', 'DG-2701-02')
    await expect.poll(async () => (await kept())?.lot).toBe('DG-2701-02')
    await visit.types('Spares', '3')
    await expect.poll(async () => (await kept())?.spares).toBe(3)
    await visit.chooses('Side', 'passenger’s side')
    await expect.poll(async () => (await kept())?.side).toBe('right')
    await visit.presses('Undo')
    await expect.poll(async () => (await kept())?.side).toBe(before?.side)
    expect(await kept()).toEqual({ ...before, lot: 'DG-2701-02', spares: 3 })
  })
  test('taken off, it stands in a list of its own and is put back from there', async () => {
    await shop.server.send('PUT', '/api/pieces/pipit-bonnet-piece/removed', { removed: true })
    const visit = shop.visit('/shelf')
    await visit.sees('52 pieces')
    await visit.presses('Taken off')
    await visit.sees(/Bonnet ?piece ?since/)
    await visit.presses('Put Bonnet back')
    await visit.sees('Nothing was taken off.')
    expect(await kept()).toBeDefined()
  })
  test('is enlarged along some edges for the plotter; the one on the shelf stays', async () => {
    const visit = shop.visit('/shelf/pieces/pipit-bonnet-piece')
    await visit.types('rear edge', '20')
    await visit.presses('Enlarge')
    await visit.sees('the piece on the shelf stays as it is')
    await visit.sees(/13\d\d mm x 105\d mm/)
    await visit.presses('As it was')
    await visit.sees('1355 mm x 1032 mm')
  })
})

describe('a film', () => {
  const film = async () =>
    (await shop.server.get('/api/shelf')).body.films.find((f: { id: string }) => f.id === 'clearcoat-hull-180')
  test('tells what it does cold, and what heat changes, each by itself', async () => {
    const visit = shop.visit('/shelf/films/clearcoat-hull-180')
    await visit.sees('Narrows across a pull, against the stretch')
    const fields = (group: string) =>
      within(screen.getByRole('region', { name: group }))
        .getAllByRole('textbox')
        .map((field) => (field as HTMLInputElement).labels?.[0]?.textContent)
    expect(fields('Cold')).toEqual(
      expect.arrayContaining(['Narrows across a pull, against the stretch', 'Lets go, just pressed, from']),
    )
    expect(fields('Warm')).toEqual(expect.arrayContaining(['Takes up without a finger, warm']))
    expect(fields('Cold').concat(fields('Warm'))).toHaveLength(filmFigureKeys.length)
  })
  test('shows its figures with their range and reason', async () => {
    const { sees } = shop.visit('/shelf/films/clearcoat-hull-180')
    await sees(/Hullskin 180 clear.*paint film, laid wet, 180 µm, damaged from 112 °C/)
    await sees('Beyond this a hand needs heat. Usual 3 %, range 0.2 to 30.')
  })
  test('a figure that is typed is kept; per cent on the screen, a share in the core', async () => {
    const visit = shop.visit('/shelf/films/clearcoat-hull-180')
    await visit.types('Stretches by hand, cold, up to', '2.5')
    await expect.poll(async () => (await film()).handling.coldStretch).toBeCloseTo(0.025, 9)
  })
  test('figures that contradict each other are refused with what to do, and nothing is kept', async () => {
    const before = (await film()).handling
    const visit = shop.visit('/shelf/films/clearcoat-hull-180')
    await visit.types('Stretches easily', '9')
    await expect.poll(() => screen.queryAllByRole('alert').length).toBeGreaterThan(0)
    expect((await film()).handling).toEqual(before)
  })
  test('may have a printed pattern', async () => {
    const visit = shop.visit('/shelf/films/clearcoat-hull-180')
    await visit.presses('yes: it warps when stretched')
    await expect.poll(async () => (await film()).patterned).toBe(true)
    await screen.findByRole('radio', { name: 'yes: it warps when stretched', checked: true })
    await visit.presses('none')
    await expect.poll(async () => (await film()).patterned).toBe(false)
  })
})

describe('the blade book', () => {
  test('counts segments and what was cut, and remembers test cuts', async () => {
    const visit = shop.visit('/shelf/blades')
    await visit.sees(/segments left ?50/)
    await visit.chooses('who cuts', 'Bo')
    await visit.presses('A fresh segment is in')
    await visit.sees(/segments left ?49/)
    await visit.presses('too shallow')
    await visit.sees(/of the last test cuts two thirds through ?0 %/)
    await visit.presses('two thirds')
    await visit.sees(/of the last test cuts two thirds through ?50 %/)
    await visit.types('segments bought', '10')
    await visit.presses('Note them')
    await visit.sees(/segments left ?59/)
    await visit.sees('10 segments bought')
  })
})

describe('a pattern is brought in', () => {
  const svg = (body: string, size = 'width="200mm" height="100mm" viewBox="0 0 200 100"') =>
    new File([`<svg xmlns="http://www.w3.org/2000/svg" ${size}>${body}</svg>`], 'lamp.svg', { type: 'image/svg+xml' })
  const open = async (file: File, at = '/shelf/import') => {
    const visit = shop.visit(at)
    const field = await screen.findByLabelText('Drawing, SVG or DXF')
    await visit.user.upload(field, file)
    return visit
  }
  test('with its size, what was understood and where it belongs', async () => {
    const visit = await open(svg('<path id="outline" d="M0 0H200V100H0Z"/>'))
    await visit.sees('200 mm x 100 mm')
    await visit.types('Name of the piece', 'Fog lamp, cut anew')
    await visit.types('Lot', 'CD-2702-01')
    await visit.chooses('Covers', 'Velmora Pipit fog lamp, driver’s side')
    await visit.presses('Keep this pattern')
    await visit.isAt(/^\/shelf/)
    const { pieces } = (await shop.server.get('/api/shelf')).body
    expect(pieces.some((p: { name: string }) => p.name === 'Fog lamp, cut anew')).toBe(true)
  })
  test('a file that is none says what is wrong, and nothing is kept', async () => {
    const visit = await open(new File(['not a drawing'], 'x.svg', { type: 'image/svg+xml' }))
    await visit.sees('Nothing was kept.')
    expect(within(document.body).queryByTestId('pattern-size')).toBeNull()
  })
  test('a drawing without a unit is to be checked, and can be taken in another', async () => {
    const visit = await open(svg('<path id="outline" d="M0 0H200V100H0Z"/>', 'viewBox="0 0 200 100"'))
    await visit.sees('right? The file does not say its unit.')
    await visit.presses('cm')
    await visit.sees('2000 mm x 1000 mm')
  })
})
