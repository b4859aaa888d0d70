import { say, type Sentence, verbatim } from '@truelay/core/say'
import type { PlanStep } from '@truelay/core/plan'
import { unsettledSpoils } from '@truelay/contract'
import { minutesIn, smallFit, smallCheck, smallChecks, smallPlan, smallStep } from '@truelay/contract/testing'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, test } from 'vitest'
import type { LiquidBatch } from '@truelay/contract'
import { BatchList } from './BatchList.tsx'
import { Clocks } from './Clocks.tsx'
import { PullMade } from './PullMade.tsx'
import { HeatShown } from './HeatShown.tsx'
import { GapEntry } from './GapEntry.tsx'
import { SpoiltPiece } from './SpoiltPiece.tsx'
import { Targets } from './Targets.tsx'
import { WaitView } from './WaitView.tsx'

const text = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')
const nothing = () => {}

const plan = smallPlan([smallStep('gaps')], {
  checks: smallChecks,
  gapToleranceMm: 0.5,
  gapSigmaMm: 0.25,
  directions: { right: 'the driver', left: 'the passenger', up: 'the windscreen', down: 'the nose' },
})

describe('measuring the gaps', () => {
  const show = (rounds: { checkId: string; measuredMm: number }[][], problem: Sentence | null = null) =>
    text(renderToStaticMarkup(<GapEntry plan={plan} drafts={{}} rounds={rounds} problem={problem} onDraft={nothing} />))

  test('says what is wanted before anything is measured', () => {
    expect(show([])).toContain('wanted 2.5 mm everywhere')
  })
  test('answers with a move, what is left after it, and how sure it is', () => {
    const answer = show([
      [
        { checkId: 'P', measuredMm: 3.7 },
        { checkId: 'Q', measuredMm: 3.7 },
        { checkId: 'R', measuredMm: 1.7 },
      ],
    ])
    expect(answer).toContain('Move the film 1.2 mm towards the windscreen and 0.8 mm towards the passenger.')
    expect(answer).toContain('Then every gap is right to 0 mm.')
    expect(answer).toMatch(/Sure to about 0\.\d mm/)
  })
  test('says what two gaps on one edge cannot tell', () => {
    const answer = show([
      [
        { checkId: 'P', measuredMm: 3.7 },
        { checkId: 'Q', measuredMm: 3.7 },
      ],
    ])
    expect(answer).toContain('measure another edge too')
  })
  test('leaves film alone that sits right', () => {
    const right = [
      { checkId: 'P', measuredMm: 2.6 },
      { checkId: 'R', measuredMm: 2.3 },
    ]
    expect(show([right])).toContain('Within 0.5 mm everywhere. Leave it.')
    expect(show([right, right])).toContain('Within 0.5 mm everywhere now.')
  })
  test('shows a problem as it is told', () => {
    expect(show([], verbatim('Q: two is no gap.'))).toContain('Q: two is no gap.')
  })
})

test('a wait counts down, says when it is over and what comes then', () => {
  const from = new Date('2030-05-01T09:00:00')
  const view = text(
    renderToStaticMarkup(
      <WaitView
        wait={{ label: say`initial grab`, from, until: new Date('2030-05-01T09:20:00') }}
        now={new Date('2030-05-01T09:05:30')}
        then="Seal the edges"
        air={{
          temperatureC: 12,
          humidityPercent: 85,
          source: 'sensor',
          at: '2026-01-01T10:00:00Z',
          sensor: null,
          settled: true,
        }}
        usualMinutes={20}
        later={[{ headline: say`Seal it`, at: new Date('2030-05-01T09:24:00') }]}
        onReady={nothing}
      />,
    ),
  )
  expect(view).toContain('14:30')
  expect(view).toContain('09:20')
  expect(view).toContain('then: Seal the edges')
  expect(view).toContain('09:24 Seal it')
})

describe('the clocks', () => {
  const state = smallFit(smallPlan([smallStep('float', { wets: true }), smallStep('tack')]), {
    kind: 'stepDone',
    stepId: 'float',
    after: 10,
  })
  const step = smallStep('tack', { liquids: ['tack'], tools: ['soft squeegee'], people: 2, driesInMinutes: 6 })
  const show = (at: string, waiting = false) =>
    text(
      renderToStaticMarkup(
        <Clocks state={state} now={new Date(at)} step={step} waiting={waiting} onWetted={nothing} />,
      ),
    )

  test('tell how long the film stays wet, how long the part takes, and what is in hand', () => {
    const clocks = show('2030-05-01T09:12:20.000Z')
    expect(clocks).toContain('film dries here in 3:40')
    expect(clocks).toContain('on this part 12:20')
    expect(clocks).toContain('2 people; in your hand')
  })
  test('say when it has dried, and hold still while one waits', () => {
    expect(show('2030-05-01T09:30:00.000Z')).toContain('wet it again now 0:00')
    expect(show('2030-05-01T09:12:20.000Z', true)).not.toContain('film dries')
  })
})

describe('greatest waits beside the clocks', () => {
  const plan = smallPlan([
    smallStep('soak'),
    smallStep('peel', { within: [{ since: 'soak', mostMinutes: 5, says: say`spray it once more` }] }),
  ])
  const state = smallFit(plan, { kind: 'stepDone', stepId: 'soak', after: 2 })
  const step = plan.steps[1] ?? smallStep('peel')
  const show = (minutes: number, waiting = false) =>
    text(
      renderToStaticMarkup(
        <Clocks state={state} now={minutesIn(minutes)} step={step} waiting={waiting} onWetted={nothing} />,
      ),
    )
  test('count down to the last moment, then say how late it is and what to do', () => {
    expect(show(4)).toContain('at the latest in 3:00')
    expect(show(9)).toContain('too late: spray it once more 2:00 over')
    expect(show(4, true)).not.toContain('at the latest')
  })
  test('one that is hours away is not shown', () => {
    const far = smallStep('peel', { within: [{ since: 'soak', mostMinutes: 420, says: say`wash it again` }] })
    const shown = text(
      renderToStaticMarkup(<Clocks state={state} now={minutesIn(4)} step={far} waiting={false} onWetted={nothing} />),
    )
    expect(shown).not.toContain('at the latest')
  })
  test('film that dries can be wetted again with one tap, but not in the step that wets it', () => {
    const tack = (more: object) =>
      text(
        renderToStaticMarkup(
          <Clocks
            state={state}
            now={minutesIn(4)}
            step={smallStep('tack', { driesInMinutes: 6, ...more })}
            waiting={false}
            onWetted={nothing}
          />,
        ),
      )
    expect(tack({})).toContain('wetted again')
    expect(tack({ wets: true })).not.toContain('wetted again')
  })
})

test('a spoilt piece: what is wrong, where, and what may become of it', () => {
  const state = smallFit(smallPlan([smallStep('lay'), smallStep('look')]), {
    kind: 'problemSeen',
    stepId: 'lay',
    problem: 'torn piece',
    place: 'front edge',
    comeBack: true,
    after: 3,
  })
  const spare = { left: 1, says: say`Bonnet, lot 4: 1 in the box` }
  const shown = text(
    renderToStaticMarkup(<SpoiltPiece spoilt={unsettledSpoils(state)} spare={spare} onSettled={nothing} />),
  )
  expect(shown).toContain('torn piece, front edge')
  expect(shown).toContain('What becomes of it?')
  expect(shown).toContain('The customer takes it as it is')
  expect(shown).toContain('Cut another from the roll')
  expect(shown).toContain('Take the spare Bonnet, lot 4: 1 in the box')
})

describe('film that is to pass the edge', () => {
  const past = (id: string, wantedMm: number) => ({
    ...smallCheck(id, [100, 0], [0, 1]),
    wantedMm,
    reads: 'film past the edge' as const,
  })
  const wrapped = smallPlan([smallStep('gaps')], {
    checks: [past('P', -28), { ...past('Q', -22), at: [300, 0] }],
    edges: [
      {
        name: 'rear',
        label: 'rear edge',
        code: 'wrap',
        rule: { minMm: -30, maxMm: -12 },
        advice: say`turn it`,
        unpulledMmPer100: 0,
        leftMmPer100: 0,
      },
    ],
  })
  const answer = (p: number, q: number) =>
    text(
      renderToStaticMarkup(
        <GapEntry
          plan={wrapped}
          drafts={{}}
          rounds={[
            [
              { checkId: 'P', measuredMm: p },
              { checkId: 'Q', measuredMm: q },
            ],
          ]}
          problem={null}
          onDraft={nothing}
        />,
      ),
    )
  test('is right exactly as wished, and anywhere else within its rule', () => {
    expect(answer(-28, -22)).toContain('Leave it.')
    expect(answer(-14, -29)).toContain('Leave it.')
  })
  test('and wrong where it passes it by too little', () => {
    expect(answer(-4, -22)).toMatch(/(Move|Turn) the film/)
  })
})

test('a batch is poured in order, with its strength', () => {
  const list = text(
    renderToStaticMarkup(
      <BatchList
        batches={[
          {
            use: 'slip',
            school: 'light slip',
            says: say`light slip`,
            needMl: 1140,
            batchMl: 1400,
            add: [
              { what: 'water', ml: 1398.2 },
              { what: 'soap', ml: 1.82 },
            ],
            strength: { alcoholPercent: 0, soapMlPerL: 1.3 },
            warnings: [],
          },
        ]}
      />,
    ),
  )
  expect(list).toContain('1.3 mL/L soap')
  expect(list.indexOf('water')).toBeLessThan(list.indexOf('soap 1.8'))
})

describe('one bottle for several parts', () => {
  const ofThis = {
    use: 'tack' as const,
    school: 'weak tack' as const,
    says: say`weak tack`,
    needMl: 200,
    batchMl: 250,
    add: [{ what: 'water' as const, ml: 214 }],
    strength: { alcoholPercent: 10, soapMlPerL: 0 },
    warnings: [],
  }
  const ofAll = { ...ofThis, needMl: 700, batchMl: 900, add: [{ what: 'water' as const, ml: 771 }] }
  const list = (others: number, taken: boolean) =>
    text(
      renderToStaticMarkup(
        <BatchList
          batches={taken ? [ofAll] : [ofThis]}
          together={{ batches: [ofAll], others, taken, onTake: nothing }}
        />,
      ),
    )
  test('it is offered with how much of what it would be', () => {
    expect(list(3, false)).toContain('For 3 other parts of this vehicle too: 900 mL of weak tack')
    expect(list(1, false)).toContain('For the other part of this vehicle too: 900 mL of weak tack')
    expect(list(3, false)).toContain('214')
  })
  test('and not where a bottle of the shop stands in for all that would be mixed', () => {
    const standIns = new Map([
      ['tack', { bottle: { number: '7', leftMl: 500 } as LiquidBatch, taken: true, onTake: nothing }],
    ])
    const shown = renderToStaticMarkup(
      <BatchList
        batches={[ofThis]}
        standIns={standIns}
        together={{ batches: [ofAll], others: 3, taken: false, onTake: nothing }}
      />,
    )
    expect(text(shown)).toContain('Take bottle 7')
    expect(text(shown)).not.toContain('of this vehicle too')
  })
})

test('the huge target is off while one waits, and back is off at the start', () => {
  const show = (disabled: boolean, canGoBack: boolean) =>
    renderToStaticMarkup(
      <Targets
        text="Done"
        hint="or space"
        disabled={disabled}
        canGoBack={canGoBack}
        onDone={nothing}
        onWrong={nothing}
        onBack={nothing}
      />,
    )
  expect(show(true, false).match(/disabled=""/g)?.length).toBe(2)
  expect(show(false, true)).not.toContain('disabled=""')
})

describe('how far the film had to be pulled', () => {
  const edges = [{ name: 'nose', label: 'the nose edge' }]
  const shown = (references: PlanStep['references']) => {
    const step = smallStep('pull-A', { references })
    return renderToStaticMarkup(
      <PullMade state={smallFit(smallPlan([step]))} step={step} edges={edges} happened={nothing} />,
    )
  }
  const edge = { kind: 'edge', edge: 'nose' } as const
  test('is asked in a step that pulls, a tap each', () => {
    expect(text(shown([{ kind: 'pull', letter: 'A' }, edge]))).toBe(' It needed less as said more ')
  })
  test('is not asked where nothing is pulled', () => {
    expect(shown([edge])).toBe('')
  })
})

describe('what the thermometer showed', () => {
  const step = smallStep('seal', { heat: 'seal' })
  const shown = (...events: never[]) =>
    text(
      renderToStaticMarkup(
        <HeatShown
          state={smallFit(smallPlan([step]), ...events)}
          step={step}
          heat={{ use: 'seal', readingC: 80.4 }}
          happened={nothing}
        />,
      ),
    )
  test('readings about the planned one, each a tap', () => {
    expect(shown()).toContain('It showed')
    for (const c of [65, 70, 75, 80, 85, 90]) expect(shown()).toContain(`${c} °C`)
  })
})
