import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const program = at('../dist/main.js')
const folder = mkdtempSync(join(tmpdir(), 'truelay-cli-'))
const bonnet = at('../../../demo/forms/pipit-bonnet.json')

interface Ran {
  readonly code: number
  readonly out: string
  readonly err: string
}
const run = (words: string[], input = ''): Promise<Ran> =>
  new Promise((resolve) => {
    const child = execFile(process.execPath, [program, ...words], { maxBuffer: 1 << 26 }, (error, out, err) => {
      resolve({ code: error === null ? 0 : Number(error.code), out, err })
    })
    child.stdin?.end(input)
  })
const answer = async (words: string[], input?: unknown) => {
  const { code, out, err } = await run(words, input === undefined ? '' : JSON.stringify(input))
  expect(err).toBe('')
  expect(code).toBe(0)
  return JSON.parse(out)
}
const file = (name: string, text: string) => {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}

/** A job on a demo model with all its parts, or those in some places. */
function jobFor(model: string, slots?: readonly string[]) {
  const read = (path: string) => JSON.parse(readFileSync(at(`../../../demo/${path}`), 'utf8'))
  const all = (kind: string) => readdirSync(at(`../../../demo/${kind}`)).map((name) => read(`${kind}/${name}`))
  const { id, name, kind, parts } = read(`models/${model}`)
  const { shop, people } = read('shop.json')
  const moment = '2030-05-01T08:00:00.000Z'
  const wanted = parts.filter((p: { slot: string }) => slots === undefined || slots.includes(p.slot))
  return {
    job: {
      id: '0900',
      number: '0900',
      customer: 'Private owner',
      vehicle: { modelId: id, model: name, kind, year: null, colour: '', plate: 'T 1' },
      bay: 'Bay 1',
      personId: people[0].id,
      room: { temperatureC: 20, humidityPercent: 50 },
      arrivedAt: moment,
      dueAt: moment,
      closedAt: null,
    },
    shop,
    people,
    parts: wanted.map((p: object, i: number) => ({
      ...p,
      id: `0900-${i}`,
      jobId: '0900',
      formVersion: 1,
      shift: { xMm: 0, yMm: 0, turnDeg: 0 },
    })),
    forms: all('forms'),
    films: all('films'),
    pieces: all('pieces'),
    kits: all('kits'),
    findings: [] as object[],
    signOff: null,
  }
}

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
    const form = at('../../../demo/forms/pipit-fog-left.json')
    const film = at('../../../demo/films/clear-dome-dry.json')
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
    const forms = readdirSync(at('../../../demo/forms'))
    expect(forms.length).toBeGreaterThan(30)
    const asked = [...forms]
    const askOn = async () => {
      for (let name = asked.pop(); name !== undefined; name = asked.pop()) {
        const figures = await answer(['form', at(`../../../demo/forms/${name}`), '--triangles', '600'])
        expect(figures.areaMm2, name).toBeGreaterThan(4000)
        expect(figures.minRadiusMm, name).toBeGreaterThan(1)
        expect([1, 2, 3, 4, 5], name).toContain(figures.grade)
      }
    }
    await Promise.all([askOn(), askOn(), askOn()])
  }, 300_000)
  test('plan over every part of every demo kit', async () => {
    const models = readdirSync(at('../../../demo/models'))
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
  }, 300_000)
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

const film = { name: 'film', thicknessMm: 0.18, conductivityWmK: 0.2, densityKgm3: 1150, specificHeatJkgK: 1750 }
const bumper = { name: 'bumper', thicknessMm: 3, conductivityWmK: 0.22, densityKgm3: 980, specificHeatJkgK: 1800 }
const sweep = {
  kind: 'passes',
  gun: { outletC: 450, distanceMm: 90, spotMm: 110 },
  speedMmS: 200,
  strokeMm: 200,
  targetC: 48,
  damageC: 110,
}

describe('pieces on a roll', () => {
  const triangle = [
    [0, 0],
    [300, 0],
    [150, 200],
  ]
  const request = { rollWidthMm: 610, gapMm: 3, seconds: 0.3, pieces: [{ id: 'wing', count: 3, outline: triangle }] }

  test('each copy with its place and turn, within the roll; the same seed gives the same', async () => {
    const told = await answer(['nest', '-'], request)
    expect(Object.keys(told)).toEqual(['usedLengthMm', 'utilisation', 'solveMs', 'stoppedByClock', 'placements'])
    expect(told.placements.map((p: { id: string; copy: number }) => `${p.id} ${p.copy}`)).toEqual([
      'wing 0',
      'wing 1',
      'wing 2',
    ])
    expect(told.utilisation).toBeCloseTo((3 * 30_000) / (610 * told.usedLengthMm), 4)
    const again = await answer(['nest', '-'], request)
    expect(again.placements).toEqual(told.placements)
  })
  test.each([
    [{ ...request, rollWidthMm: 150 }, 'needs 200 mm across the roll'],
    [{ ...request, rollLengthMm: 250, pieces: [{ id: 'wing', count: 9, outline: triangle }] }, 'it has 250 mm left'],
    [{ ...request, pieces: [] }, 'no piece to be cut'],
    [{ ...request, pieces: [{ id: 'wing', count: 5000, outline: triangle }] }, 'count'],
    [{ ...request, spoilt: [[30, 10]] }, 'ends before it begins'],
  ])('what cannot be is one line and code 2', async (input, says) => {
    const { code, out, err } = await run(['nest', '-'], JSON.stringify(input))
    expect([code, out, err.trim().split('\n').length]).toEqual([2, '', 1])
    expect(err).toContain(says)
  })
})

describe('the order of a day', () => {
  const task = (id: string, more: object = {}) => ({ id, minutes: 10, people: 1, tools: [], after: [], ...more })
  const day = (tasks: object[], more: object = {}) => ({
    people: [{ id: 'Ines' }, { id: 'Tarek' }],
    tools: [{ id: 'gun', count: 1 }],
    seconds: 0.2,
    tasks,
    ...more,
  })
  const trim = task('trim', { after: [{ task: 'lay', minMinutes: 20, maxMinutes: 25 }] })
  test('who does what when, how much shorter it could be, and why nothing starts earlier', async () => {
    const told = await answer(['order', '-'], day([task('lay'), trim]))
    expect(told).toMatchObject({ makespanMinutes: 40, lowerBoundMinutes: 40, proven: true })
    expect(told.tasks[1]).toMatchObject({ id: 'trim', startMinute: 30, endMinute: 40 })
    expect(told.tasks[1].because).toContain('waits 20')
    expect(told.tasks[1].people).toHaveLength(1)
  })
  test.each<[string, object, string]>([
    ['waits in a circle', day([task('lay', { after: [{ task: 'trim', minMinutes: 0 }] }), trim]), 'in a circle'],
    ['a step for three', day([task('roof', { people: 3 })]), '“roof” needs 3 people at once'],
    ['an unknown field', { ...day([task('lay')]), speed: 3 }, 'speed'],
    ['half a minute of work', day([task('lay', { minutes: 0.5 })]), 'minutes'],
    [
      'three heats with one gun',
      day(
        [
          task('dry'),
          ...[1, 2, 3].map((k) =>
            task(`heat ${k}`, { tools: ['gun'], after: [{ task: 'dry', minMinutes: 0, maxMinutes: 15 }] }),
          ),
        ],
        { people: [{ id: 'Ines' }, { id: 'Tarek' }, { id: 'Bo' }], seconds: 2 },
      ),
      'one more “gun”',
    ],
  ])('%s: exit 2 and one line', async (_, input, says) => {
    const { code, out, err } = await run(['order', '-'], JSON.stringify(input))
    expect({ code, out }).toEqual({ code: 2, out: '' })
    expect(err.trim().split('\n')).toHaveLength(1)
    expect(err).toContain(says)
  })
  test('nothing found in time: exit 3, and it says so', async () => {
    const late = ['a', 'b'].map((id) => task(id, { minutes: 40, notAfter: 50, tools: ['gun'] }))
    const { code, out, err } = await run(['order', '-'], JSON.stringify(day(late, { breaks: [{ from: 90, to: 95 }] })))
    expect({ code, out }).toEqual({ code: 3, out: '' })
    expect(err).toContain('does not say that there is none')
  })
})

describe('a kind of job, read aloud', () => {
  test('each step with its words, what is in hand, waits and the latest moment', async () => {
    const { code, out, err } = await run(['story', 'K17'])
    expect([code, err]).toEqual([0, ''])
    expect(out).toMatch(/^K17 {2}Door with mirror and handle openings/)
    expect(out).toMatch(/1\. \[clean\] Wash, clay, wipe/)
    expect(out).toContain('2.5 mm from the front edge and 16 mm over the bottom edge.')
    expect(out).toContain('At most 5 minutes after soak')
    expect(out).toMatch(/Then dry before the trim: 18 minutes, from flush-edges/)
    expect(out).toContain('In hand: tack')
  })
  test('all parts of the job are told', async () => {
    const { out } = await run(['story', 'K01'])
    expect(out.match(/\[massage\]/g)?.length).toBe(2)
  })
  test('one that there is not is told which there are', async () => {
    const { code, out, err } = await run(['story', 'K99'])
    expect([code, out]).toEqual([2, ''])
    expect(err).toMatch(/story K99: give one of K01, K02/)
  })
})

describe('a drawing', () => {
  const drawn = (name: string, text: string) => {
    const file = join(folder, name)
    writeFileSync(file, text, 'latin1')
    return file
  }
  const plate = (head: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}><g id="Inner fender"><rect width="400" height="250"/><circle cx="100" cy="100" r="50"/></g><text>x</text></svg>`
  test('what it holds, in which unit, and what was left out', async () => {
    const file = drawn('plate.svg', plate('width="500mm" height="300mm" viewBox="0 0 500 300"'))
    const { code, out, err } = await run(['pattern', file])
    expect([code, err]).toEqual([0, ''])
    const answer = JSON.parse(out)
    expect(answer.areaMm2 / (100_000 - Math.PI * 2500)).toBeCloseTo(1, 4)
    expect(answer).toMatchObject({ widthMm: 400, heightMm: 250, cutOuts: 1, marks: 0, mmPerUnit: 1, unitStated: true })
    expect(answer.mended).toEqual(['1 texts left out.'])
    expect(answer.layers).toEqual([{ layer: 'Inner fender', role: 'outline', shapes: 2 }])
  })
  test('in the unit that is given', async () => {
    const { out } = await run(['pattern', drawn('inches.svg', plate('viewBox="0 0 500 300"')), '--mm-per-unit', '2'])
    expect(JSON.parse(out)).toMatchObject({ widthMm: 800, mmPerUnit: 2, unitStated: false })
  })
  test('names in the letters of an old file', async () => {
    const groups = [
      '0',
      'SECTION',
      '2',
      'HEADER',
      '9',
      '$ACADVER',
      '1',
      'AC1015',
      '9',
      '$DWGCODEPAGE',
      '3',
      'ANSI_1252',
    ]
    const side = (x: number, y: number) => ['10', `${x}`, '20', `${y}`]
    const shape = [
      '0',
      'LWPOLYLINE',
      '8',
      'Kotfl\xfcgel',
      '90',
      '3',
      '70',
      '1',
      ...side(0, 0),
      ...side(90, 0),
      ...side(0, 90),
    ]
    const text = [
      ...groups,
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...shape,
      '0',
      'ENDSEC',
      '0',
      'EOF',
      '',
    ].join('\n')
    const { out } = await run(['pattern', drawn('old.dxf', text)])
    expect(JSON.parse(out).layers).toEqual([{ layer: 'Kotflügel', role: 'outline', shapes: 1 }])
  })
  test.each([
    [['pattern'], /give a file name/],
    [['pattern', '/nowhere/a.svg'], /cannot be read; check the name/],
    [['pattern', '/nowhere/a.pdf'], /neither an SVG nor a DXF/],
    [['pattern', drawn('empty.svg', '')], /is no XML.* Export it again/],
    [['pattern', drawn('one.svg', plate('')), '--mm-per-unit', 'some'], /--mm-per-unit some: must be a number/],
  ])('bad input is one sentence: %s', async (words, says) => {
    const { code, out, err } = await run(words)
    expect({ code, out }).toEqual({ code: 2, out: '' })
    expect(err.trim().split('\n')).toHaveLength(1)
    expect(err).toMatch(says)
  })
})

describe('heat and waits', () => {
  test('a thin metal plate under steady air warms as a lump, and cools again', async () => {
    const plate = { name: 'plate', thicknessMm: 0.8, conductivityWmK: 50, densityKgm3: 7850, specificHeatJkgK: 470 }
    const exposure = { kind: 'steady', gasC: 320, hWm2K: 60, seconds: 30 }
    const course = await answer(['heat', '-'], { ambientC: 20, layers: [plate], exposure, coolSeconds: 20 })
    const lump = 320 - 300 * Math.exp((-60 * 30) / (0.0008 * 7850 * 470))
    expect(course.peakSurfaceC).toBeCloseTo(lump, 0)
    expect(course.peakBackC).toBeCloseTo(lump, 0)
    expect(course.timesS.at(-1)).toBeCloseTo(50, 9)
    expect(course.surfaceC.at(-1)).toBeLessThan(course.peakSurfaceC)
    expect(course.surfaceC).toHaveLength(course.timesS.length)
  })
  test('passes of a gun, in words', async () => {
    const passes = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: sweep })
    expect(passes.reachable).toBe(true)
    expect(passes.words).toMatch(/^450 °C, a hand’s breadth away, along.*about one second each way$/)
    expect(passes.secondsToTarget).toBeLessThanOrEqual(passes.passes)
    expect(passes.coolToCutS).toBeGreaterThanOrEqual(passes.coolToPressS)
  })
  test('what cannot be reached, or burns first, is said', async () => {
    const weak = { ...sweep, gun: { ...sweep.gun, outletC: 60 } }
    const cold = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: weak })
    expect(cold).toMatchObject({ reachable: false, secondsToTarget: null })
    expect(cold.words).toContain('does not get it to 48 °C')
    const fierce = {
      ...sweep,
      gun: { outletC: 900, distanceMm: 40, spotMm: 60 },
      speedMmS: 60,
      targetC: 60,
      damageC: 64,
    }
    const hot = await answer(['heat', '-'], { ambientC: 20, layers: [film, bumper], exposure: fierce })
    expect(hot.reachable).toBe(false)
    expect(hot.words).toContain('Risky')
  })
  test('a wait in the air of the day', async () => {
    const mild = await answer(['wait', '-'], { roomC: 22, humidityPercent: 50, kind: 'beforeWrap' })
    const raw = await answer(['wait', '-'], { roomC: 12, humidityPercent: 85, kind: 'beforeWrap' })
    expect(mild.minutes).toBeLessThan(15)
    expect(raw.minutes).toBeGreaterThan(30)
    expect(raw.vapourPressureDeficitKpa).toBeCloseTo(0.21, 2)
    const bond = await answer(['wait', '-'], { roomC: 20, humidityPercent: 50, kind: 'fullBond' })
    expect(bond).toMatchObject({ minutes: 4320, factor: 1 })
    expect(bond.bondFraction).toBeCloseTo(0.95, 6)
  })
})

describe('bad input: nothing on standard output, one line on standard error, exit 2', () => {
  const quad = 'v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\n'
  test.each([
    ['no command', [], '', 'no command'],
    ['an unknown command', ['fly'], '', 'unknown command'],
    ['no file', ['form'], '', 'no input'],
    ['a file that is not there', ['form', '/nowhere.json'], '', 'cannot be read'],
    ['wrong JSON', ['mix', '-'], '{"target":', 'not JSON'],
    ['a missing field', ['mix', '-'], '{"target":{},"stock":{}}', 'batchMl'],
    [
      'evidence that contradicts',
      ['judge', '-'],
      '{"fault":"crease","stage":"wet","film":{"type":"trim vinyl","laid":"dry"}}',
      'laid dry is never wet',
    ],
    ['an unknown field', ['light', '-'], '{"layers":[{"transmission":0.5}],"colour":1}', 'colour'],
    [
      'a target above the stock',
      ['mix', '-'],
      '{"target":{"alcoholPercent":80},"stock":{"alcoholPercent":70},"batchMl":500}',
      '80 %',
    ],
    [
      'a negative volume',
      ['mix', '-'],
      '{"target":{"alcoholPercent":8},"stock":{"alcoholPercent":70},"batchMl":-500}',
      'batch volume',
    ],
    [
      'a gun that stands still',
      ['heat', '-'],
      JSON.stringify({ ambientC: 20, layers: [film], exposure: { ...sweep, speedMmS: 0 } }),
      'holding it still',
    ],
    ['no layer', ['heat', '-'], JSON.stringify({ ambientC: 20, layers: [], exposure: sweep }), 'Nothing is said'],
    ['an exposure of no kind', ['heat', '-'], '{"ambientC":20,"layers":[],"exposure":{"kind":"sun"}}', 'exposure.kind'],
    ['a room of 90 °C', ['wait', '-'], '{"roomC":90,"humidityPercent":50,"kind":"fullBond"}', 'room temperature'],
    ['an unknown wait', ['wait', '-'], '{"roomC":20,"humidityPercent":50,"kind":"lunch"}', 'kind'],
    ['one gap', ['align', '-'], '{"checks":[{"at":[0,0],"normal":[0,1],"measuredMm":1,"wantedMm":2}]}', 'too few'],
    ['an unknown option', ['lay', '--mesh', 'x.obj', '--speed', '3'], '', '--speed'],
    ['an unknown mode', ['lay', '--mesh', '-', '--mode', 'lazy'], `${quad}f 1 2 3\n`, '--mode lazy'],
    ['a take of nonsense', ['lay', '--mesh', '-', '--take', 'much'], `${quad}f 1 2 3\n`, '--take much'],
    [
      'a mesh in two pieces',
      ['lay', '--mesh', '-'],
      `${quad}v 5 5 0\nv 6 5 0\nv 6 6 0\nf 1 2 3\nf 5 6 7\n`,
      '2 separate pieces',
    ],
    ['a broken mesh file', ['lay', '--mesh', '-'], `${quad}f 1 2 9\n`, 'line 5'],
  ])('%s', async (_, words, input, says) => {
    const { code, out, err } = await run(words, input)
    expect(out).toBe('')
    expect(err.trim().split('\n').length).toBe(1)
    expect(err).toContain(says)
    expect(code).toBe(2)
  })
  test('a mesh with a hole', async () => {
    const mesh = join(folder, 'holed.obj')
    await answer(['form', bonnet, '--triangles', '400', '--out', mesh])
    const { code, out, err } = await run(['lay', '--mesh', mesh])
    expect({ code, out }).toEqual({ code: 2, out: '' })
    expect(err).toContain('1 hole')
  })
  test('a mesh whose seams are split is sewn together, and it is said', async () => {
    const split = 'v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 0 0\nv 1 1 0\nv 0 1 0\nf 1 2 3\nf 4 5 6\n'
    const { code, out } = await run(['lay', '--mesh', '-', '--units', 'm'], split)
    expect(code).toBe(0)
    expect(JSON.parse(out)).toMatchObject({
      vertices: 4,
      triangles: 2,
      joinedCorners: 2,
      flipped: 0,
    })
  })
  test('bow readings that contradict each other', async () => {
    const form = JSON.parse(readFileSync(bonnet, 'utf8'))
    form.bow.push({ ...form.bow[1], name: 'across, again', sagittaMm: 12 })
    const { code, err } = await run(['form', '-'], JSON.stringify(form))
    expect(code).toBe(2)
    expect(err).toContain('contradict')
  })
})

test('a mesh that asks for more than a part needs is refused in a line', async () => {
  const hostile = file('hostile.obj', `v 0 0 0\nv 1 0 0\nv 0 1 0\nf ${'1 2 3 '.repeat(200_000)}\n`)
  const { code, out, err } = await run(['lay', hostile])
  expect({ code, out }).toEqual({ code: 2, out: '' })
  expect(err).toMatch(/hostile\.obj, line 4: a line of more than 100000 letters/)
})
