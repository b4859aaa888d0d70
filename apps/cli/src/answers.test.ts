import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { answer, at, bonnet, file, folder, jobFor, run } from './testing/program.ts'

describe('answers', () => {
  test('a plan whose part has an order of its own follows it; the pieces come in their order', async () => {
    const job = jobFor('velmora-pipit.json', ['front-bumper'])
    const order = {
      school: 'centre out',
      name: 'centre out',
      anchors: [{ label: 'inner sensor', at: [-250, -40], pullShare: 1 }],
      from: [[-250, -40]],
      fromLabel: 'there',
      flatFirst: 0,
      spiral: false,
      strokeMm: 150,
    }
    const parts = job.parts.map((part: object) => ({ ...part, order: { order, because: 'It needs less.' } }))
    const { parts: sheets, sequence } = await answer(['plan', '-'], { ...job, parts })
    expect(sheets[0].order).toMatchObject({ name: 'centre out', because: 'It needs less.' })
    expect(sheets[0].anchors).toHaveLength(1)
    expect(sheets[0].anchors[0]).toMatchObject({ label: 'inner sensor', drawn: true })
    const ids = sheets[0].steps.map((s: { id: string }) => s.id)
    expect(ids).toContain('anchor-1')
    expect(ids.some((id: string) => id.startsWith('sweep-') || id.startsWith('pull-'))).toBe(true)
    expect(ids).not.toContain('light-pass')
    expect(sequence.flatMap((k: { pieces: object[] }) => k.pieces)).toHaveLength(1)
  })
  test('a part that nobody has measured has its steps, and they say that its figures are ordinary', async () => {
    const job = jobFor('velmora-pipit.json', ['front-bumper'])
    const parts = job.parts.map((part: object) => ({ ...part, formId: null, formVersion: null, pieceId: null }))
    const { parts: sheets } = await answer(['plan', '-'], { ...job, parts })
    expect(sheets[0].steps.map((s: { id: string }) => s.id)).toContain('read-part')
    expect(JSON.stringify(sheets[0].notes)).toContain('Nobody has measured this part')
    expect(sheets[0].pulls).toEqual([])
    const nowhere = parts.map((part: object) => ({ ...part, slot: 'mast' }))
    const { code, err } = await run(['plan', '-'], JSON.stringify({ ...job, parts: nowhere }))
    expect(code).toBe(2)
    expect(err).toMatch(/has no form, and its place "mast" is none of such a vehicle/)
  })
  test('parts of a set share their work, and each piece of a row says how it gets its line', async () => {
    const job = jobFor('tarnbeck-drover.json', ['lower-1-left', 'lower-2-left', 'lower-3-left'])
    const byPiece = (piece: string) => job.parts.find((p: { pieceId: string }) => p.pieceId === piece)?.id
    const partIds = [2, 1, 3].map((n) => byPiece(`drover-rocker-${n}-left`))
    const sets = [{ mode: 'piece after piece', partIds }]
    const { parts: sheets } = await answer(['plan', '-'], { ...job, sets })
    const stepsOf = (n: number) =>
      sheets
        .find((s: { partId: string }) => s.partId === byPiece(`drover-rocker-${n}-left`))
        .steps.map((s: { id: string }) => s.id)
    expect(stepsOf(2)).toEqual(expect.arrayContaining(['clean', 'mix', 'carry-line']))
    expect(stepsOf(3)).toContain('carry-line')
    expect(stepsOf(3)).not.toContain('mix')
    expect(stepsOf(3)).not.toContain('clean')
  })
  test('a lower body kit: its datum, and where to measure up', async () => {
    const job = jobFor('tarnbeck-drover.json', ['lower-1-left', 'lower-2-left', 'lower-3-left', 'lower-4-left'])
    const { lineCarry } = await answer(['plan', '-'], job)
    expect(lineCarry).toHaveLength(1)
    expect(lineCarry[0].datum).toBe('drover-rocker-2-left')
    expect(lineCarry[0].unmeasuredSigmaMm).toBeGreaterThan(lineCarry[0].worstSigmaMm)
  })
  test('a form laid in an order of work: one school, all of them, and the best that is found', async () => {
    const form = at('../../../../demo/forms/pipit-fog-left.json')
    const film = at('../../../../demo/films/clear-dome-dry.json')
    const one = await answer(['lay', form, '--film', film, '--order', 'centre out'])
    expect(one.orders).toHaveLength(1)
    expect(one.orders[0]).toMatchObject({ school: 'centre out', flipped: 0 })
    expect(one.orders[0].steps.at(-1).laidShare).toBe(1)
    const found = await answer(['lay', form, '--film', film, '--order', 'search'])
    const troubles = found.orders.map((o: { figures: { trouble: number } }) => o.figures.trouble)
    expect(troubles).toHaveLength(8)
    expect(troubles).toEqual([...troubles].sort((a, b) => a - b))
    expect(found.best.figures.trouble).toBeLessThanOrEqual(troubles[0])
  })
  test('form, and its mesh laid', async () => {
    const mesh = join(folder, 'bonnet.obj')
    const form = await answer(['form', bonnet, '--triangles', '800', '--out', mesh])
    expect(Object.keys(form)).toEqual(
      expect.arrayContaining([
        'areaMm2',
        'outlineMm',
        'triangles',
        'minRadiusMm',
        'gaussIntegralSr',
        'deepestRecessMm',
        'grade',
      ]),
    )
    const flat = join(folder, 'flat.obj')
    const lay = await answer([
      'lay',
      '--mesh',
      mesh,
      '--holes',
      'keep',
      '--mode',
      'worked',
      '--take',
      '0.004',
      '--flat',
      flat,
    ])
    expect(lay).toMatchObject({ mode: 'worked', flipped: 0, triangles: form.triangles })
    expect(lay.minor.min).toBeGreaterThan(0.996 - 1e-9)
    expect(lay.solveMs).toBeGreaterThan(0)
    for (const spread of [lay.minor, lay.major]) expect(Object.keys(spread)).toEqual(['min', 'p1', 'p50', 'p99', 'max'])
    const zs = readFileSync(flat, 'utf8')
      .split('\n')
      .filter((l) => l.startsWith('v '))
      .map((l) => Number(l.split(' ')[3]))
    expect(zs.length).toBe(lay.vertices)
    expect(zs.every((z) => z === 0)).toBe(true)
  })
  test('metres are metres', async () => {
    const small = file('m.obj', 'v 0 0 0\nv 1 0 0\nv 1 1 0.2\nv 0 1 0\nf 1 2 3\nf 1 3 4\n')
    expect((await answer(['lay', '--mesh', small, '--units', 'm'])).vertices).toBe(4)
  })
  test('align', async () => {
    const checks = [
      { at: [0, 0], normal: [0, 1], measuredMm: 3.5, wantedMm: 2.5 },
      { at: [500, 0], normal: [0, 1], measuredMm: 3.5, wantedMm: 2.5 },
      { at: [600, 300], normal: [-1, 0], measuredMm: 2, wantedMm: 2.5 },
    ]
    const found = await answer(['align', '-'], { checks })
    expect(found.moveMm[0]).toBeCloseTo(-0.5, 6)
    expect(found.moveMm[1]).toBeCloseTo(-1, 6)
    expect(found.residualMm.length).toBe(3)
    expect(found.words).toContain('towards the bottom')
    expect(found.sigma.turnDeg).toBeGreaterThan(0)
  })
  test('mix, repair, light', async () => {
    const batch = await answer(['mix', '-'], {
      target: { alcoholPercent: 10, soapMlPerL: 2 },
      stock: { alcoholPercent: 70 },
      batchMl: 500,
    })
    expect(batch.add.map((a: { what: string }) => a.what)).toEqual(['water', 'alcohol stock', 'soap'])
    const repair = await answer(['mix', '-'], {
      have: { volumeMl: 900, alcoholPercent: 20 },
      target: { alcoholPercent: 10 },
      stock: { alcoholPercent: 70 },
      bottleMl: 1000,
    })
    expect(repair).toMatchObject({ pourOffMl: 400, finalMl: 1000 })
    expect((await answer(['light', '-'], { layers: [{ transmission: 0.62 }] })).outputRatio).toBe(0.62)
  })
  test('judge', async () => {
    const asked = {
      fault: 'fingers',
      place: 'nose edge',
      school: 'corners first',
      stage: 'tacked',
      film: { type: 'paint film', laid: 'wet' },
    }
    const told = await answer(['judge', '-'], { ...asked, evidence: { excessMmPer100: 1.8 } })
    expect(told.causes[0]).toMatchObject({ id: 'too much film', because: [expect.stringContaining('1.8 mm')] })
    expect(told.causes.reduce((sum: number, c: { probability: number }) => sum + c.probability, 0)).toBeCloseTo(1, 9)
    expect(told.cure[0].says).toBe('Lift it back to before the place, flat and slowly.')
    expect(told.tooLate).toBeNull()
    expect(told.words).toMatch(/^Fingers, nose edge\. Most likely \(\d\d %\)/)
    const late = await answer(['judge', '-'], { ...asked, fault: 'dirt or hair', stage: 'heated' })
    expect(late).toMatchObject({ cure: [], tooLate: expect.stringContaining('once it was heated') })
  })
  test('form over every demo form', async () => {
    const forms = readdirSync(at('../../../../demo/forms'))
    expect(forms.length).toBeGreaterThan(30)
    const asked = [...forms]
    const askOn = async () => {
      for (let name = asked.pop(); name !== undefined; name = asked.pop()) {
        const figures = await answer(['form', at(`../../../../demo/forms/${name}`), '--triangles', '600'])
        expect(figures.areaMm2, name).toBeGreaterThan(4000)
        expect(figures.minRadiusMm, name).toBeGreaterThan(1)
        expect([1, 2, 3, 4, 5], name).toContain(figures.grade)
      }
    }
    await Promise.all([askOn(), askOn(), askOn()])
  })
  test('plan over every part of every demo kit', async () => {
    const models = readdirSync(at('../../../../demo/models'))
    const planned = async (model: string) => {
      const bundle = jobFor(model)
      const sheets = await answer(['plan', '-'], bundle)
      expect(sheets.parts.length).toBe(bundle.parts.length)
      for (const sheet of sheets.parts) {
        expect(sheet.steps.length, sheet.partName).toBeGreaterThan(6)
        for (const step of sheet.steps) expect(step.why.length, step.headline).toBeGreaterThan(10)
      }
    }
    await Promise.all(models.map(planned))
  })
  test('plan of a whole job', async () => {
    const bundle = jobFor('velmora-pipit.json', ['bonnet', 'headlamp-left'])
    const sheets = await answer(['plan', '-'], bundle)
    expect(sheets.parts.map((p: { partName: string }) => p.partName)).toEqual(['Bonnet', 'Headlamp, driver’s side'])
    for (const sheet of sheets.parts)
      expect(Object.keys(sheet)).toEqual(
        expect.arrayContaining([
          'solutions',
          'anchors',
          'stretchPlan',
          'fingerForecast',
          'edges',
          'heat',
          'waits',
          'steps',
          'cautions',
        ]),
      )
  })
})
