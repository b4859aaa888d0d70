import { distance } from '../../geometry/index.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
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
    const laid = last?.label ?? ''
    const laidUpTo = last?.number
    const pull = c.pulls.find((p) => p.letter === run.letter)
    if (pull !== undefined) {
      const time = (times.get(pull.letter) ?? 0) + 1
      times.set(pull.letter, time)
      const draft = pullStep(c, pull)
      return {
        ...draft,
        id: time === 1 ? draft.id : `${draft.id}-${time}`,
        headline: time === 1 ? draft.headline : `${draft.headline}, once more`,
        detail: `${draft.detail} Lay ${laid}.`,
        laidUpTo,
        minutes: draft.minutes + (time === 1 ? 0 : -1) + Math.round(run.steps.length / 2),
        picture: wholePart('floating', [...(draft.picture?.marks ?? []), ...sweeps].slice(0, 24)),
      }
    }
    return {
      id: `sweep-${i + 1}`,
      laidUpTo,
      phase: 'lay',
      headline: i === 0 ? `Lay ${laid}` : `Go on ${laid}`,
      detail: isWet(c)
        ? `Wet the face. ${strokesWords(run.steps.length)}, light, overlapping by half a blade; the rest stays afloat.`
        : `${strokesWords(run.steps.length)}, front kept straight; nothing ahead of it touches.`,
      why:
        order.flatFirst > 0.25
          ? 'Flats first: they hold while you pull what turns.'
          : 'Nothing has to be pulled here: it goes down by itself.',
      minutes: Math.max(1, Math.round(run.steps.length * 0.7)),
      inHand: isWet(c) ? ['soft squeegee', 'slip on the face'] : ['felt squeegee', 'dry gloves'],
      picture: wholePart('floating', sweeps.slice(0, 24)),
      ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
    }
  })
}

const strokesWords = (count: number) => (count === 1 ? 'One stroke' : `${count} strokes`)
