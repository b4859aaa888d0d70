import { nothingChosen } from '@truelay/core/plan'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { type OpenShop, openShop, says } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())
const bonnet = '/jobs/0412/lay-sheets/0412-bonnet'
const partOf = async (id: string) =>
  (await shop.server.get('/api/jobs/0412')).body.parts.find((p: { id: string }) => p.id === id)

describe('the lay sheet of a bonnet', () => {
  test('says first what a hand needs first: the worst margin, where it is, and the move that mends it', async () => {
    const { sees } = shop.visit(bonnet)
    await sees(/Edge margin, rule 2 mm to 3 mm ?1\.2 ?mm at the driver’s side edge, towards the nose/)
    await sees(
      /Turn the film clockwise, 0\.\d mm at the far end, then move it 0\.9 mm towards the passenger’s side .* Then it clears the rule all round\./,
    )
    await sees('No room now: the driver’s side edge is outside its rule.')
  })
  test('shows pulls, film left over, liquids, heat, waits, edges and how it was worked out', async () => {
    const { sees } = shop.visit(bonnet)
    await sees(/Pull ?A nose, along it, cold ?0\.7 %/)
    await sees(/Too much film left after the pulls, per 100 mm ?rear/)
    await sees(/Mix for this part ?light slip 1\.3 mL\/L soap ?1\.4 L/)
    await sees(/Heat ?Seal ?68 °C/)
    await sees(/Edges ?rear edge ?stop short 2 mm to 3 mm/)
    await sees('From 10 bow readings; between them the form may be off by about 3.2 mm.')
  })
  test('by itself, worked, or in order', async () => {
    const visit = shop.visit(bonnet)
    await visit.sees('4 anchors, 3 pulls')
    await visit.presses('By itself')
    await visit.sees(/4 anchors, 0 pulls.*Too much film if nobody pulls/)
    await visit.presses('In order')
    await visit.sees('0 anchors, 0 pulls')
  })
  test('the step under the slider is told in full, with its cautions as sentences', async () => {
    const visit = shop.visit(bonnet)
    await visit.sees('1 of 23, Prepare Wash, clay, wipe')
    const slider = screen.getByRole('slider', { name: 'Step' })
    for (let i = 0; i < 23; i++) {
      fireEvent.change(slider, { target: { value: String(i) } })
      await visit.sees(`${i + 1} of 23`)
      await visit.seesNo('[object Object]')
    }
    fireEvent.change(slider, { target: { value: '20' } })
    await visit.sees(/21 of 23.*Seal the edges.*Never hold the gun still/)
  })
})

describe('the piece on the bench', () => {
  const lies = () => ['to the right', 'up', 'turned left'].map((l) => screen.getByLabelText<HTMLInputElement>(l).value)
  test('is moved where the rule wants it, and back', async () => {
    const visit = shop.visit(bonnet)
    await visit.presses('Move it there')
    await visit.sees('Inside the rule all round')
    await visit.sees(/How far it may still be off ?towards/)
    await expect.poll(async () => (await partOf('0412-bonnet')).shift.xMm).toBeCloseTo(-0.01, 1)
    await visit.presses('Undo')
    await visit.sees(/1\.2 ?mm at the driver’s side edge/)
    expect(lies()).toEqual(['0.9', '−0.5', '0.04'])
  })
  test('is nudged by the arrow keys, a tenth of a millimetre or a whole one, and turned by plus and minus', async () => {
    const visit = shop.visit(bonnet)
    const piece = await screen.findByRole('application')
    piece.focus()
    await visit.user.keyboard('{ArrowRight}')
    await expect.poll(lies).toEqual(['1.0', '−0.5', '0.04'])
    await visit.user.keyboard('{Shift>}{ArrowUp}{/Shift}')
    await expect.poll(lies).toEqual(['1.0', '0.5', '0.04'])
    await visit.user.keyboard('+')
    await expect.poll(lies).toEqual(['1.0', '0.5', '0.05'])
    await visit.user.keyboard('-')
    await visit.user.keyboard('{Shift>}{ArrowDown}{/Shift}')
    await visit.user.keyboard('{ArrowLeft}')
    await expect.poll(lies).toEqual(['0.9', '−0.5', '0.04'])
    await expect.poll(async () => (await partOf('0412-bonnet')).shift.xMm).toBeCloseTo(0.9, 6)
  })
  test('is set by typed values, within what can be', async () => {
    const visit = shop.visit(bonnet)
    await visit.types('to the right', '999')
    await visit.sees('to the right: a number from −200 to 200')
    await visit.types('to the right', '-1,5')
    await visit.sees(/Edge margin/)
    await expect.poll(async () => (await partOf('0412-bonnet')).shift.xMm).toBeCloseTo(-1.5, 6)
    await visit.types('to the right', '0.9')
    await expect.poll(async () => (await partOf('0412-bonnet')).shift.xMm).toBeCloseTo(0.9, 6)
  })
})

describe('what was found on the walk-round', () => {
  test('stands on the sheet, and marks the steps that it changed', async () => {
    const kept = await shop.server.send('PUT', '/api/jobs/0412/findings/00000000-0000-4000-8000-000000000001', {
      partId: '0412-bonnet',
      slot: 'bonnet',
      kind: 'coating',
      at: [0.5, 0.5],
      sizeMm: null,
      note: '',
      photos: [],
      personId: 'ines',
      foundAt: '2030-05-01T11:00:00.000Z',
    })
    expect(kept.status).toBe(200)
    const { sees } = shop.visit(bonnet)
    await sees('Before you begin')
    await sees(/Not as usual here:.*\d+\. /)
    await shop.server.send('DELETE', '/api/jobs/0412/findings/00000000-0000-4000-8000-000000000001', {})
  })
})

describe('cuts', () => {
  test('are advised for a limit, by laying again', async () => {
    const visit = shop.visit(bonnet)
    await visit.presses('Would cuts help?')
    await visit.sees(/No cut is needed: it lies with|cut/)
  })
})

describe('one lay for all its views', () => {
  beforeEach(() => {
    shop.asked.length = 0
  })
  test('heat, edges and the sheet open alike, and what is laid is not laid again', async () => {
    const visit = shop.visit(bonnet)
    await visit.sees('1.2')
    const views = within(screen.getByRole('navigation', { name: 'Views of the lay sheet' }))
    await visit.user.click(views.getByRole('link', { name: 'Heat' }))
    await visit.sees('thermometer right after')
    await visit.user.click(views.getByRole('link', { name: 'Edges' }))
    await visit.sees('2 to 3 mm short of it')
    await visit.user.click(views.getByRole('link', { name: 'The lay' }))
    await visit.sees(/1\.2 ?mm at the driver’s side edge/)
    await visit.seesNo('Working out what hands and heat can do')
  })
  test('a part without a form says where to mend that', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-nope')
    await visit.sees('There is no such thing as a part "0412-nope" in job 0412.')
  })
})

describe('heat', () => {
  test('of a lamp: softening and post-heating, each with its words, temperatures and times', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-headlamp-left/heat')
    await visit.sees(/thermometer right after ?\d+ °C ?room to damage ?\d+ °C ?press ?warm, at once/)
    await visit.presses('Post-heat')
    await visit.sees('Waiting does not end the film’s memory.')
    await visit.presses('Soften')
    await visit.sees('film that hangs warm in the room gives a little by itself')
  })
})

describe('edges', () => {
  test('one edge at a time: how much film, with what, when, and which school', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-headlamp-left/edges')
    await visit.sees(/over the edge|short of it/)
    const last = screen.getByRole('button', { name: /^T? ?grille edge tuck/ })
    await visit.user.click(last)
    expect(last.getAttribute('aria-pressed')).toBe('true')
    const amount = screen.getByTestId('edge-amount').textContent
    expect(amount).toMatch(/\d+ to \d+ mm/)
  })
})

describe('what is chosen for one part', () => {
  const chosen = async () => (await partOf('0412-bonnet')).choices
  afterAll(async () => {
    await shop.server.send('PATCH', '/api/parts/0412-bonnet/choices', nothingChosen)
  })
  test('an edge ends otherwise: its steps, its margin and its doubt follow at once', async () => {
    const visit = shop.visit(`${bonnet}/edges`)
    await visit.user.click(await screen.findByRole('button', { name: /nose edge stop short/ }))
    await visit.user.click(screen.getByRole('button', { name: /wrap ?12\smm to 20\smm over/ }))
    await visit.sees(/nose edge ?wrap ?12 to 20 mm ?over the edge/i)
    await visit.sees('Does this suit?')
    expect((await chosen()).ends).toEqual({ nose: 'wrap' })
    await shop.visit(bonnet).sees('1 of 26, Prepare Wash, clay, wipe')
  })
  test('the form’s own way takes the choice back', async () => {
    const visit = shop.visit(`${bonnet}/edges`)
    await visit.user.click(await screen.findByRole('button', { name: /nose edge wrap/ }))
    await visit.user.click(screen.getByRole('button', { name: /stop short ?as the form says/ }))
    await visit.sees(/nose edge ?stop short ?2 to 3 mm ?short of it/i)
    expect((await chosen()).ends).toEqual({})
  })
  test('another liquid: what it would do is told before, and it is mixed after', async () => {
    const visit = shop.visit(bonnet)
    await visit.sees('Mix for this part')
    await visit.user.click(screen.getByText('Other liquids for this part'))
    await visit.sees(/light slip, weak tack.*slides \d+(\.5)? minutes, holds after \d+ minutes/i)
    expect(screen.getByRole('button', { name: /^dry .* is made to be laid wet/i })).toHaveProperty('disabled', true)
    await visit.user.click(screen.getByRole('button', { name: /^hybrid/i }))
    await expect.poll(async () => (await chosen()).liquids).toEqual({ slip: 'hybrid', tack: 'hybrid' })
    await visit.sees(/Mix for this part ?hybrid 15 % alcohol/)
    await visit.presses('As usual for this part')
    await visit.sees(/Mix for this part ?light slip/)
  })
  test('how dark a lamp is wished: the film that is dark enough and leaves most light is named, the figures follow', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-headlamp-left')
    await visit.sees(/62 % of the light is left/)
    await visit.presses('How dark it is wished, and who has read it')
    await visit.isAt('/jobs/0412/lay-sheets/0412-headlamp-left/light')
    await visit.sees('What is at hand, lightest first')
    await visit.sees('the road is seen about 79 % as far')
    const wish = await screen.findByLabelText('Light left, at most')
    await visit.user.clear(wish)
    await visit.user.type(wish, '45{Enter}')
    await visit.sees(/Lighter than wished, 45 % at most: .* is the lightest that is dark enough/)
    expect((await partOf('0412-headlamp-left')).choices.light).toEqual({
      lensShare: 1,
      layers: 1,
      mostShare: 0.45,
      otherLamps: true,
    })
    await visit.user.click(screen.getByRole('radio', { name: '2' }))
    await visit.sees(/Film in 2 layers\. 38 % of the light is left/)
    await visit.presses('A clear lens, one layer, no wish')
    await visit.sees(/62 % of the light is left/)
    expect((await partOf('0412-headlamp-left')).choices.light).toBeNull()
  })
  test('a lens that has aged takes its own share; film that lies over other film is told', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-headlamp-left/light')
    await visit.presses('yellowed')
    await visit.sees(/The lens itself lets 75 % through\. 47 % of the light is left/)
    expect((await partOf('0412-headlamp-left')).choices.light).toMatchObject({ lensShare: 0.75 })
    await visit.presses('as new')
    await visit.seesNo('The lens itself lets')
    await visit.seesNo('Where it lies over the film beside it')
    await visit.presses('A clear lens, one layer, no wish')
  })
  test('whoever drives it reads what is left and gives a name; a darker lamp is read anew', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-headlamp-left/light')
    await visit.sees('Whoever drives it reads this and gives a name.')
    await visit.types('Name of the owner or driver', 'Hanne Ostby')
    await visit.presses('I have read this')
    await visit.sees('Hanne Ostby has read this on')
    await visit.user.click(screen.getByRole('radio', { name: '3' }))
    await visit.sees('Hanne Ostby has read something else: the light has been changed since.')
    await visit.presses('A clear lens, one layer, no wish')
    await visit.sees('Hanne Ostby has read this on')
  })
  test('clear film has no page of light', async () => {
    const visit = shop.visit('/jobs/0412/lay-sheets/0412-bonnet/light')
    await visit.sees('takes no light worth telling from this part')
    expect(screen.queryByRole('link', { name: 'Light' })).toBeNull()
  })
})

describe('the rehearsal', () => {
  test('plays two orders side by side, and says what the second one changes', async () => {
    const visit = shop.visit(`${bonnet}/rehearsal`)
    await visit.sees(/What the second order changes.*In figures/)
    await visit.chooses('Second', 'one end and follow')
    await visit.sees(/From one end|one end/)
    const figures = await screen.findByRole('table')
    expect(says(figures)).toMatch(/largest stretch.*film left over, per 100 mm/)
  })
  test('the second order can be taken into the fit, and given back', async () => {
    const visit = shop.visit(`${bonnet}/rehearsal`)
    await visit.sees(/What the second order changes.*In figures/)
    await visit.presses('Take the second into the fit')
    await visit.isAt(/^\/jobs\/0412\/lay-sheets\/0412-bonnet$/)
    expect((await partOf('0412-bonnet')).order).not.toBeNull()
    const again = shop.visit(`${bonnet}/rehearsal`)
    await again.sees('chosen for the fit')
    await again.presses('Back to the usual school')
    await expect.poll(async () => (await partOf('0412-bonnet')).order).toBeNull()
  })
})

describe('in a shop of inches and Fahrenheit', () => {
  test.each([
    ['', /Edge margin, rule 0\.079 in to 0\.118 in/],
    ['/heat', /thermometer right after ?15\d °F ?room to damage ?5\d °F/],
    ['/edges', /0\.079 to 0\.118 in/],
    ['/rehearsal', /film left over, per 4 in/],
  ])(
    'the view “%s” leaves no metric figure behind',
    async (view, wanted) => {
      await shop.chooseUnits({ length: 'in', temperature: 'F', volume: 'fl oz' })
      const visit = shop.visit(`${bonnet}${view}`)
      await visit.sees(wanted)
      await visit.seesNo(/\d ?(mm|mL|°C)(?![a-z])/)
    },
    60_000,
  )
})
