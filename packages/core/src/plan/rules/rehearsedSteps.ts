import { distance } from '../../geometry/index.ts'
import { counted, nothing, paragraph, say } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { pullStep } from './pullStep.ts'
import { isWet, type StepDraft, wholePart } from './rule.ts'

/** Strokes and pulls as they came in the rehearsal; strokes that ask for the same thing are one step. */
export function rehearsedSteps(c: PlanContext): StepDraft[] {
  if (c.rehearsed === null) return []
  const { steps, letterOfStep, order } = c.rehearsed
  const runs: { letter: string | null; steps: (typeof steps)[number][] }[] = []
  for (const step of steps) {
    if (step.kind !== 'sweep') continue
    const letter = letterOfStep.get(step.number) ?? null
    const last = runs[runs.length - 1]
    if (last?.letter === letter) last.steps.push(step)
    else runs.push({ letter, steps: [step] })
  }
  const times = new Map<string, number>()
  return runs.map((run, i) => {
    const first = run.steps[0]
    const before = first === undefined ? undefined : steps[first.number - 2]
    const places = [before, ...run.steps].flatMap((step) => (step === undefined ? [] : [c.toFlat(step.at)]))
    const sweeps: PictureMark[] = places.slice(1).flatMap((to, k): PictureMark[] => {
      const from = places[k] ?? to
      return distance(from, to) < 5 ? [] : [{ kind: 'sweep', from, to }]
    })
    const last = run.steps[run.steps.length - 1]
    const laid = last?.label ?? nothing
    const laidUpTo = last?.number
    const pull = c.pulls.find((p) => p.letter === run.letter)
    if (pull !== undefined) {
      const time = (times.get(pull.letter) ?? 0) + 1
      times.set(pull.letter, time)
      const draft = pullStep(c, pull)
      return {
        ...draft,
        id: time === 1 ? draft.id : `${draft.id}-${time}`,
        headline: time === 1 ? draft.headline : say`${draft.headline}, once more`,
        detail: paragraph(draft.detail, say`Lay ${laid}.`),
        laidUpTo,
        minutes:
          draft.minutes - (time === 1 ? 0 : c.practice.takesGrip) + run.steps.length * c.practice.takesPulledStroke,
        picture: wholePart('floating', [...(draft.picture?.marks ?? []), ...sweeps].slice(0, 24)),
      }
    }
    const strokes = counted(run.steps.length, 'One stroke', '# strokes')
    return {
      id: `sweep-${i + 1}`,
      laidUpTo,
      phase: 'lay',
      headline: i === 0 ? say`Lay ${laid}` : say`Go on ${laid}`,
      detail: isWet(c)
        ? say`Wet the face. ${strokes}, light, overlapping by half a blade; the rest stays afloat.`
        : say`${strokes}, front kept straight; nothing ahead of it touches.`,
      why:
        order.flatFirst > 0.25
          ? say`Flats first: they hold while you pull what turns.`
          : say`Nothing has to be pulled here: it goes down by itself.`,
      minutes: run.steps.length * c.practice.takesStroke,
      ...(isWet(c)
        ? { tools: ['soft squeegee'], liquids: ['slip on the face'], driesInMinutes: c.wetMinutes }
        : { tools: ['felt squeegee', 'dry gloves'] }),
      picture: wholePart('floating', sweeps.slice(0, 24)),
    }
  })
}
