import { readFileSync } from 'node:fs'
import { factsOfStory, stories, type StoryPart } from '@truelay/contract'
import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { layPart } from '../lay/index.ts'
import { required } from '../result/index.ts'
import {
  anyDay,
  damageOf,
  type PartFacts,
  type PartPlan,
  partQuestion,
  placeOn,
  planOfStep,
  planWork,
} from './index.ts'
import { saidOf, sentencesIn, stepOf } from './testParts.ts'

const demo = new URL('../../../../demo/', import.meta.url)
const read = (file: string): unknown => JSON.parse(readFileSync(new URL(file, demo), 'utf8'))
const told = stories.parse(read('stories.json'))

interface ToldPart {
  readonly facts: PartFacts
  readonly plan: PartPlan
}

/** Laid once for the same form and film, whatever else differs. */
const laid = new Map<string, ReturnType<typeof layPart>>()
function toldPart(part: StoryPart): ToldPart {
  const facts = factsOfStory(part, read)
  const question = partQuestion(facts)
  const key = JSON.stringify([facts.form.id, facts.film.id, part.ends])
  const triangles = facts.form.channels === undefined ? 900 : 2000
  const lay = laid.get(key) ?? layPart(question.lay, { triangles })
  laid.set(key, lay)
  const placed = required(placeOn(required(lay), question.place))
  return { facts, plan: required(planWork(placed, { ...question.work, ...anyDay })) }
}
const parts = new Map(told.map((story) => [story.id, story.parts.map(toldPart)]))
const first = (id: string): ToldPart => {
  const [part] = parts.get(id) ?? []
  if (part === undefined) throw new Error(`no story ${id}`)
  return part
}
const stepsOf = ({ plan }: ToldPart) => plan.steps.map((s) => s.id).join(' ')
const said = ({ plan }: ToldPart, id: string) => {
  const step = stepOf(plan, id)
  return saidOf(step?.headline, step?.detail, step?.gate, step?.why)
}
const waitOf = ({ plan }: ToldPart, id: string) => stepOf(plan, id)?.wait

/** The beginning that all wet parts share, and their end. */
const wetStart = 'mix dry-check soak peel float measure-gaps'
const tint = 'mix dry-check lens-law soak peel float measure-gaps'
const corners = 'anchor-1 anchor-2 anchor-3 anchor-4'
const pressed = 'light-pass firm-pass flush-edges'
const dryStart = 'clean degrease bone-dry dry-check measure-gaps peel anchor-1'
const end = 'look hand-on'

describe('each kind of job comes out in the order in which it is done', () => {
  test.each([
    ['K01', `${dryStart} circles massage lip-stop ${end}`],
    [
      'K02',
      `clean degrease ${wetStart} ${corners} opening-1 opening-2 ${pressed} trim-wrap grab tuck gap-cut turn-wrap seal-edges ${end}`,
    ],
    ['K03', `clean mask degrease ${tint} anchor-1 ${pressed} grab tuck gap-cut seal-edges unmask ${end}`],
    ['K04', `clean mask degrease ${tint} anchor-1 ${pressed} grab tuck gap-cut seal-edges unmask ${end}`],
    ['K05', `${dryStart} release tuck gap-cut warm-edges post-heat ${end}`],
    ['K06', `${dryStart} release tuck gap-cut warm-edges post-heat ${end}`],
    [
      'K07',
      `clean degrease ${wetStart} opening-1 line opening-2 ${corners} pull-A pull-B pull-C pull-D ${pressed} trim-wrap grab turn-wrap seal-edges ${end}`,
    ],
    ['K08', `clean degrease ${wetStart} ${corners} ${pressed} grab tuck gap-cut seal-edges ${end}`],
    [
      'K09',
      `clean mask degrease ${wetStart} anchor-1 pull-A pull-B pull-C ${pressed} grab tuck gap-cut seal-edges unmask ${end}`,
    ],
    ['K10', `clean mask degrease ${tint} anchor-1 ${pressed} grab gap-cut seal-edges unmask ${end}`],
    [
      'K12',
      `clean mask degrease bone-dry dry-check lens-law measure-gaps peel anchor-1 pull-A pull-B pull-C lay-outward shrink-flaps post-heat relax-edges tuck gap-cut warm-edges unmask ${end}`,
    ],
    ['K13', `strip-tint clean mask degrease ${tint} anchor-1 ${pressed} grab tuck gap-cut seal-edges unmask ${end}`],
    ['K14', `clean degrease ${wetStart} ${corners} pull-A pull-B pull-C ${pressed} grab seal-edges ${end}`],
    [
      'K15',
      `clean degrease ${wetStart} ${corners} pull-A pull-B pull-C ${pressed} trim-wrap grab turn-wrap seal-edges ${end}`,
    ],
    ['K16', `${dryStart} release tuck gap-cut warm-edges post-heat ${end}`],
    [
      'K17',
      `clean degrease ${wetStart} ${corners} opening-1 opening-2 ${pressed} trim-wrap grab tuck gap-cut turn-wrap seal-edges ${end}`,
    ],
    ['K19', `raise clean degrease ${wetStart} ${corners} ${pressed} trim-wrap grab turn-wrap seal-edges ${end}`],
    [
      'K21',
      `clean degrease bone-dry dry-check measure-gaps peel ${corners} channel lay-outward bubbles post-heat ${end}`,
    ],
  ])('%s', (id, steps) => {
    expect(stepsOf(first(id))).toBe(steps)
  })
  test('every story of the demo shop is told here', () => {
    expect(told.map((s) => s.id)).toEqual([...parts.keys()])
    expect(told.length).toBeGreaterThanOrEqual(18)
  })
})

describe('what is worked out for each', () => {
  test('K01: how far off its middle it may be, each way, and what is left over round the rim', () => {
    const lamp = first('K01')
    expect(lamp.plan.checks.map((c) => c.id).join('')).toBe('PQRS')
    const [left, right, up, down] = [...said(lamp, 'measure-gaps').matchAll(/([\d.]+) mm towards/g)].map((m) =>
      Number(m[1]),
    )
    for (const mm of [left, right, up, down]) expect(mm).toBeCloseTo(1, 0)
    const [, excess, wrinkles, each] =
      /([\d.]+) mm of film are left over: (\d+) small wrinkles of ([\d.]+) mm/.exec(said(lamp, 'massage')) ?? []
    expect(Number(wrinkles) * Number(each)).toBeCloseTo(Number(excess), -0.5)
    expect(lamp.plan.heat).toEqual([])
    expect(lamp.plan.pulls).toEqual([])
  })
  test('K02, K15: wrap widths and notches', () => {
    for (const id of ['K02', 'K15']) expect(said(first(id), 'trim-wrap')).toMatch(/Leave 12 mm to 20 mm over\. Notch/)
  })
  test('K02, K17: one clock runs from the flush, for the turn, the cut and the seal', () => {
    for (const id of ['K02', 'K17']) {
      const door = first(id)
      expect(said(door, 'grab')).toContain(
        'From the flush: turn at 15 minutes, cut at 18 minutes and seal at 20 minutes.',
      )
      expect(waitOf(door, 'tuck')).toMatchObject({ kind: 'beforeTrim', since: 'flush-edges', leastMinutes: 18 })
      expect(waitOf(door, 'gap-cut')).toMatchObject({ kind: 'beforeWrap', since: 'flush-edges', leastMinutes: 15 })
      expect(waitOf(door, 'turn-wrap')).toMatchObject({ kind: 'initialGrab', since: 'flush-edges', leastMinutes: 20 })
    }
  })
  test('K15: what is wished is over the edge, not a gap', () => {
    expect(said(first('K15'), 'measure-gaps')).toContain('wanted 16 mm over the edge everywhere')
    expect(said(first('K14'), 'measure-gaps')).toContain('wanted 2.5 mm everywhere')
  })
  test('K03, K04, K10, K13: nobody waits a day before the cut; the day is for the cure', () => {
    for (const id of ['K03', 'K04', 'K10', 'K13']) {
      const lamp = first(id)
      const waits = lamp.plan.steps.flatMap((s) => (s.wait === undefined ? [] : [s.wait]))
      expect(Math.max(...waits.map((w) => w.leastMinutes))).toBeLessThanOrEqual(20)
      expect(lamp.plan.minutes).toBeLessThan(120)
      expect(said(lamp, 'hand-on')).toContain('The last haze is gone in about 24 hours.')
    }
  })
  test('K05, K06, K16: tuck, cut cooled, warm the cut edges, post-heat last', () => {
    for (const id of ['K05', 'K06', 'K16'])
      for (const bar of parts.get(id) ?? []) {
        const order = ['tuck', 'gap-cut', 'warm-edges', 'post-heat', 'look']
        expect(bar.plan.steps.map((s) => s.id).filter((step) => order.includes(step))).toEqual(order)
        expect(said(bar, 'gap-cut')).toContain('The film has cooled.')
        expect(said(bar, 'post-heat')).toContain('All of it')
      }
  })
  test('K07: middle sensors, top line, outer sensors, then the corners; each with its wish, read like a gap', () => {
    const bumper = first('K07')
    expect(said(bumper, 'opening-1')).toMatch(
      /Centre the inner sensor, .* and inner sensor, .*1\.5 mm, 1 mm either way/,
    )
    expect(said(bumper, 'line')).toContain('Bring the top edge to its line 2.5 mm along all of it.')
    expect(said(bumper, 'opening-2')).toContain('Centre the outer sensor')
    const own = planOfStep(bumper.plan, stepOf(bumper.plan, 'opening-1'))
    expect(own.checks.map((c) => c.id).join('')).toBe('abcd')
    expect(new Set(own.checks.map((c) => c.edge)).size).toBe(2)
    expect(planOfStep(bumper.plan, stepOf(bumper.plan, 'measure-gaps')).checks.every((c) => /[P-W]/.test(c.id))).toBe(
      true,
    )
  })
  test('K17: mirror foot, then handle, each read on its four sides', () => {
    const door = first('K17')
    expect(said(door, 'opening-1')).toContain('Centre the mirror foot')
    expect(said(door, 'opening-2')).toContain('Centre the handle')
    for (const id of ['opening-1', 'opening-2'])
      expect(planOfStep(door.plan, stepOf(door.plan, id)).checks.length).toBe(4)
  })
  test('K14: a badge alone is no reference: the piece is cut for it', () => {
    expect(stepOf(first('K14').plan, 'opening-1')).toBeUndefined()
  })
  test('K07: four pulls, each with how far', () => {
    const bumper = first('K07')
    for (const { letter } of bumper.plan.pulls) expect(said(bumper, `pull-${letter}`)).toMatch(/\d+ mm longer/)
  })
  test('K12: how much to pull and where to hold it; the light that is left', () => {
    const lamp = first('K12')
    const pull = stepOf(lamp.plan, 'pull-A')
    const hands = pull?.picture.marks.filter((m) => m.kind === 'hand') ?? []
    expect(hands.length).toBe(2)
    expect(saidOf(pull?.detail)).toMatch(/A hand on the bleed at each side.*9 mm longer \(5\.9 %\), warm/)
    expect(lamp.plan.light?.outputRatio).toBe(0.62)
    expect(waitOf(lamp, 'post-heat')).toMatchObject({ kind: 'coolBeforeCut' })
  })
  test('K13: the old tint comes off first, casting marks are named at the last look', () => {
    const lamp = first('K13')
    expect(lamp.plan.steps[0]?.id).toBe('strip-tint')
    expect(saidOf(stepOf(lamp.plan, 'look')?.because)).toContain('they are no bubbles')
  })
  test('K19: the vehicle is raised first', () => {
    for (const part of parts.get('K19') ?? []) expect(part.plan.steps[0]?.id).toBe('raise')
  })
  test('K21: the channel is worked in lengths, bubbles are looked for before it is heated, and only it', () => {
    const panel = first('K21')
    expect(said(panel, 'channel')).toMatch(
      /Lay a thin cord in it, work (it in one length|\d+ lengths of \d+ mm) with two hands, the rest still held off/,
    )
    expect(said(panel, 'bubbles')).toContain('Look for bubbles first')
    expect(said(panel, 'post-heat')).toContain('Only in the')
    expect(said(panel, 'post-heat')).not.toContain('before the cut')
  })
})

const lensWords = /\b(the lens|on the lamp|along the lens|lamps on)\b/i
const isLens = ({ facts }: ToldPart) => facts.form.material === 'lens plastic'
const dry = ({ plan }: ToldPart) => plan.film.laid === 'dry'

/** What no plan may say, and on which parts. */
const contradictions: readonly {
  readonly name: string
  readonly on: (part: ToldPart) => boolean
  readonly never: RegExp
}[] = [
  { name: 'slip on dry film', on: dry, never: /\b(slip|mist of slip|afloat|flush|floats?)\b/i },
  { name: 'words of a lens on another part', on: (p) => !isLens(p), never: lensWords },
  { name: 'words of a panel on a lens', on: isLens, never: /\bpanel\b|\bclay\b/i },
  {
    name: 'a bleed where there is none',
    on: ({ plan }) => plan.edges.every((e) => e.rule.maxMm >= 0),
    never: /\bbleed\b/i,
  },
  { name: 'corners on what has none to set', on: ({ plan }) => plan.anchors.length < 2, never: /corners are set/ },
  { name: 'a pre-cut piece from the roll', on: ({ facts }) => facts.pattern === null, never: /pre-cut|right side/i },
  {
    name: 'gun or blade on a dome',
    on: ({ plan }) => plan.edges.every((e) => e.code === 'lip-stop'),
    never: /\b(gun|warm|knife|blade|cut)\b/i,
  },
  { name: 'a gap below nothing', on: () => true, never: /[−-]\d+(\.\d+)? mm/ },
  { name: 'a wait before pressing beside a glove that follows', on: () => true, never: /press(ed)? after/i },
  { name: 'a figure that is none', on: () => true, never: /NaN|undefined|Infinity/ },
  {
    name: 'the room of a corner where none is set',
    on: ({ plan }) => plan.anchors.every((a) => a.gaps.length === 0),
    never: /corner has the least room|towards the corner/,
  },
  {
    name: 'mirrored sides of a piece from the roll',
    on: ({ facts }) => facts.pattern === null,
    never: /mirror images/,
  },
  { name: 'an insurance pass', on: () => true, never: /insurance/i },
]

describe.each([...parts].flatMap(([id, of]) => of.map((part) => [`${id} ${part.plan.partName}`, part] as const)))(
  '%s contradicts itself nowhere',
  (_, part) => {
    const { plan, facts } = part
    const words = [...sentencesIn({ steps: plan.steps, schools: plan.schools })].map((s) => english(s)).join('\n')
    test.each(contradictions.filter(({ on }) => on(part)).map((c) => [c.name, c.never] as const))(
      'no %s',
      (_, never) => {
        expect(never.exec(words)?.[0] ?? null).toBeNull()
      },
    )
    test('soap is flushed out only where there is some', () => {
      const soap = plan.solutions.some((s) => s.strength.soapMlPerL > 0)
      expect(/Soap left/.test(words)).toBe(soap)
    })
    test('no two steps are called the same', () => {
      const headlines = plan.steps.map((s) => english(s.headline))
      expect(new Set(headlines).size).toBe(headlines.length)
    })
    test('tape that is put on comes off again', () => {
      const at = (found: (id: string) => boolean) => plan.steps.findIndex((s) => found(s.id))
      const on = plan.steps.findIndex((s) => s.tools.includes('masking tape') && s.id !== 'strip-tint')
      expect(on < 0).toBe(at((id) => id === 'unmask') < 0)
      if (on >= 0) expect(at((id) => id === 'unmask')).toBeGreaterThan(on)
    })
    test('clocks begin at steps that come before, and no pull is asked for a trifle', () => {
      const before = new Set<string>()
      for (const step of plan.steps) {
        for (const { since, mostMinutes } of step.within ?? []) {
          expect(before).toContain(since)
          expect(mostMinutes).toBeGreaterThan(0)
        }
        before.add(step.id)
        if (step.wait?.since !== undefined) expect(before).toContain(step.wait.since)
      }
      for (const pull of plan.pulls)
        expect(plan.edges.find((e) => e.name === pull.edge)?.unpulledMmPer100).toBeGreaterThanOrEqual(0.3)
    })
    test('no recipe reaches damage, however strong the gun may be', () => {
      const damage = damageOf(facts.film, facts.practice)
      for (const { warning, marginC } of plan.heat) {
        expect(marginC).toBeGreaterThan(0)
        const hottest = /as hot as (\d+) °C/.exec(saidOf(warning))?.[1]
        if (hottest !== undefined) expect(Number(hottest)).toBeLessThanOrEqual(damage)
      }
    })
  },
)
