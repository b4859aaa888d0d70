import { describe, expect, test } from 'vitest'
import { answer, run } from './testing/program.ts'

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
    // On a machine so busy that the clock stopped either, they need not be as far.
    if (!told.stoppedByClock && !again.stoppedByClock) expect(again.placements).toEqual(told.placements)
    expect(again.utilisation).toBeGreaterThan(0.3)
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
