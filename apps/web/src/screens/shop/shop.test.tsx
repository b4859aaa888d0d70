import { fireEvent, screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, type Visit } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())
const kept = async () => (await shop.server.get('/api/shop')).body

describe('units and light', () => {
  test('are chosen with one tap, and hold on every screen', async () => {
    const visit = shop.visit('/shop')
    await visit.presses('inch')
    await visit.presses('°F')
    await visit.presses('fl oz')
    await expect.poll(async () => (await kept()).units).toEqual({ length: 'in', temperature: 'F', volume: 'fl oz' })
    await visit.types('Look for a figure', 'stop short')
    await visit.sees(/Stop short, least gap ?in/)
    const bay = shop.visit('/')
    await bay.sees('70.5 °F')
  })
  test('a figure is read and typed in them, and kept as the core has it', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Look for a figure', 'stop short')
    await visit.sees(/Usual 0\.0787, range 0\.0197 to 0\.1181/)
    await visit.types('Stop short, least gap', '0.1')
    await expect.poll(async () => (await kept()).practice.stopShortLeast).toBeCloseTo(2.54, 6)
    await shop.chooseUnits({ length: 'mm', temperature: 'C', volume: 'mL' })
    const metric = shop.visit('/shop')
    await metric.types('Look for a figure', 'stop short')
    await metric.sees('Usual 2, range 0.5 to 3.')
    expect(await screen.findByLabelText('Stop short, least gap')).toHaveProperty('value', '2.54')
  })
  test('the screen can be dark', async () => {
    const visit = shop.visit('/shop')
    await visit.presses('Dark bay')
    await expect.poll(() => document.documentElement.dataset.theme).toBe('bay')
    await visit.presses('Daylight')
    await expect.poll(() => document.documentElement.dataset.theme).toBe('day')
  })
})

/** Unfolds a group of figures. */
const opens = async (visit: Visit, title: string) =>
  visit.user.click(await screen.findByRole('heading', { name: title }))

describe('a figure of the trade', () => {
  test('goes back to what is usual', async () => {
    const visit = shop.visit('/shop')
    await visit.sees('1 of your own')
    await opens(visit, 'Edges')
    await visit.presses('Back to usual')
    await visit.seesNo('of your own')
    await expect.poll(async () => (await kept()).practice).toEqual({})
  })
  test('outside its range it is refused at its field, with the range', async () => {
    const visit = shop.visit('/shop')
    await opens(visit, 'Edges')
    await visit.types('Wrap, least overhang', '50')
    await visit.sees('Wrap, least overhang: a number from 8 to 15')
    expect((await kept()).practice).toEqual({})
    await visit.types('Wrap, least overhang', 'wide')
    await visit.sees('Wrap, least overhang: a number from 8 to 15')
  })
  test('a comma is a point', async () => {
    const visit = shop.visit('/shop')
    await opens(visit, 'Edges')
    await visit.types('Wrap, least overhang', '10,5')
    await expect.poll(async () => (await kept()).practice).toEqual({ wrapLeast: 10.5 })
  })
  test('is found by a word of its name or of its reason, and what is found nowhere is said', async () => {
    const visit = shop.visit('/shop')
    await visit.sees(/Figures of the trade.*Edges/)
    expect(screen.queryByLabelText('Wet film is peeled')).toBeNull()
    await visit.types('Look for a figure', 'Peeled')
    expect(await screen.findByLabelText('Wet film is peeled')).toHaveProperty('value', '3')
    expect(screen.queryByLabelText('Film is floated on')).toBeNull()
    await visit.types('Look for a figure', 'caught Film no')
    await screen.findByLabelText('Film is floated on')
    await visit.types('Look for a figure', 'zebra')
    await visit.sees('No figure has “zebra” in it.')
    await visit.types('Look for a figure', '')
    await visit.seesNo('zebra')
    expect(screen.queryByLabelText('Film is floated on')).toBeNull()
  })
  test('Escape gives up what was typed', async () => {
    const visit = shop.visit('/shop')
    await opens(visit, 'Edges')
    const field = await screen.findByLabelText('Tuck, least depth')
    await visit.user.clear(field)
    await visit.user.type(field, '7{Escape}')
    expect(field).toHaveProperty('value', '5')
  })
})

describe('devices', () => {
  test('are connected by their address; one that is none is refused', async () => {
    const visit = shop.visit('/shop')
    await visit.types('Room sensor', 'sensor')
    await visit.sees('An address begins with http:// or https://')
    await visit.types('Room sensor', 'http://127.0.0.1:1/room')
    await expect.poll(async () => (await shop.server.get('/api/devices')).body.room).toBe('http://127.0.0.1:1/room')
  })
  test('one that does not answer says so', async () => {
    const visit = shop.visit('/shop')
    const room = await screen.findByRole('listitem', { name: 'Room sensor' })
    await visit.user.click(within(room).getByRole('button', { name: 'Ask it' }))
    await expect.poll(() => room.textContent).toMatch(/silent/)
  })
})

describe('guns', () => {
  test('a new one is described on its own page; plans count on the one that is first', async () => {
    const visit = shop.visit('/shop')
    await visit.presses('Another gun')
    await expect.poll(async () => (await kept()).guns.length).toBe(2)
    await visit.presses('Plan with this one')
    await expect.poll(async () => (await kept()).guns[0].id).not.toBe('bay-1-gun')
  })
  test('after one has gone off the list, another one has a name of its own', async () => {
    const names = async () => (await kept()).guns.map(({ name }: { name: string }) => name)
    const visit = shop.visit('/shop')
    await visit.presses('Another gun')
    await expect.poll(async () => (await names()).length).toBe(3)
    const second = (await kept()).guns.find(({ name }: { name: string }) => name === 'Gun 2')
    await shop.server.send('PATCH', '/api/shop', { guns: { [second.id]: null } })
    const again = shop.visit('/shop')
    await again.presses('Another gun')
    await expect.poll(async () => (await names()).length).toBe(3)
    expect(new Set(await names()).size).toBe(3)
  })
})

describe('a gun', () => {
  const gun = async () => (await kept()).guns.find((g: { id: string }) => g.id === 'bay-1-gun')
  test('that nobody has read is as unsure as its type', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.sees(/± 3\d % ?Never read/)
  })
  test('is surer after a reading on a scrap', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.types('It reads', '62')
    await visit.presses('Keep this reading')
    await visit.sees('From 1 reading')
    expect(await gun()).toMatchObject({ readings: [{ surfaceC: 62, passes: 6, distanceMm: 90 }] })
    const sure = Number(screen.getByTestId('gun-sure').textContent?.replace(/\D/g, ''))
    expect(sure).toBeLessThan(30)
  })
  test('a reading hardly above the room says nothing, and is not kept', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.types('It reads', '22')
    await visit.sees('That is hardly above the room')
    expect(screen.getByRole('button', { name: 'Keep this reading' })).toHaveProperty('disabled', true)
  })
  test('a reading can be taken away again', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.presses('Take this reading away')
    await visit.sees('None yet.')
    expect((await gun()).readings).toEqual([])
  })
  test('its settings are what stands on it', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.sees('Settings and nozzle')
    const before = (await gun()).settings.length
    await visit.presses('Another setting')
    await expect.poll(async () => (await gun()).settings.length).toBe(before + 1)
    await visit.presses(`Take setting ${(await gun()).settings[before].name} away`)
    await expect.poll(async () => (await gun()).settings.length).toBe(before)
  })
  test('a setting called otherwise and another one, one right after the other, are both kept', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.sees('Settings and nozzle')
    const before = (await gun()).settings.map(({ name }: { name: string }) => name)
    const [called] = screen.getAllByLabelText('on the gun')
    if (called === undefined) throw new Error('a gun without settings')
    await visit.user.clear(called)
    await visit.user.type(called, 'low')
    // Leaving the field saves its name while the press is on its way.
    await visit.presses('Another setting')
    await expect
      .poll(async () => (await gun()).settings.map(({ name }: { name: string }) => name))
      .toEqual(['low', ...before.slice(1), expect.any(String)])
  })
  test('a setting that somebody called otherwise meanwhile is told, and what was typed makes no new one', async () => {
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.sees('Settings and nozzle')
    const [setting] = (await gun()).settings
    await shop.server.send('PATCH', '/api/shop', {
      guns: { 'bay-1-gun': { settings: { [setting.name]: { name: 'first' } } } },
    })
    const before = (await gun()).settings
    const [air] = screen.getAllByLabelText(/air at the nozzle/)
    if (air === undefined) throw new Error('a gun without settings')
    await visit.user.clear(air)
    await visit.user.type(air, '130{Enter}')
    await visit.sees(`Setting "${setting.name}" of Bay 1 gun is called otherwise by now`)
    expect((await gun()).settings).toEqual(before)
  })
  test('is called as the shop calls it; left empty, or called as another one, it keeps its name', async () => {
    const nameOf = async () => (await gun()).name
    const before = await nameOf()
    const other = { name: 'Corner gun', spotMm: 80, more: [{ name: '1', outletC: 200 }] }
    await shop.server.send('PATCH', '/api/shop', { guns: { corner: other } })
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.types('what it is called', '')
    expect(screen.getByLabelText('what it is called')).toHaveProperty('value', before)
    await visit.types('what it is called', 'Corner gun')
    await visit.sees('Another gun is called so.')
    expect(await nameOf()).toBe(before)
    await visit.types('what it is called', ' Lamp gun ')
    await expect.poll(nameOf).toBe('Lamp gun')
    expect(await screen.findByRole('heading', { level: 1, name: 'Lamp gun' })).toBeDefined()
    await visit.types('what it is called', before)
    await expect.poll(nameOf).toBe(before)
    await shop.server.send('PATCH', '/api/shop', { guns: { corner: null } })
  })
  test('is taken off the list, and put back with its readings where it was', async () => {
    const before = (await kept()).guns
    const visit = shop.visit('/shop/guns/bay-1-gun')
    await visit.types('It reads', '64')
    await visit.presses('Keep this reading')
    await visit.sees('From 1 reading')
    const whole = (await kept()).guns
    await visit.presses('Take this gun off the list')
    await visit.sees('is off the list')
    expect(visit.address()).toBe('/shop')
    expect((await kept()).guns).toEqual(before.filter((g: { id: string }) => g.id !== 'bay-1-gun'))
    await visit.presses('Undo')
    await expect.poll(async () => (await kept()).guns).toEqual(whole)
  })
  test('that is not there says so', async () => {
    const { sees } = shop.visit('/shop/guns/none')
    await sees('To the shop')
  })
})

describe('a break in the hours', () => {
  test('is added to a day, told where it does not lie within the hours, and kept when it does', async () => {
    const visit = shop.visit('/shop')
    await visit.presses('Monday, with a break')
    const until = (value: string) =>
      fireEvent.change(screen.getByLabelText('Monday, break until'), { target: { value } })
    until('18:30')
    await visit.sees('It has to end after it begins, within the hours.')
    until('12:45')
    await visit.seesNo('It has to end after it begins')
    await visit.presses('Save Opening hours')
    await expect
      .poll(async () => (await kept()).hours[0])
      .toEqual({
        from: '08:00',
        to: '17:00',
        pause: { from: '12:00', to: '12:45' },
      })
  })
})
