import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { factsOfStories, stories } from '@truelay/contract'
import { anyDay, climb, inHandWords, type PartPlan, type PlanStep, partQuestion } from '@truelay/core/plan'
import { clauses, count, counted, minutes, name, nothing, say, type Sentence } from '@truelay/core/say'
import { english } from '@truelay/words'
import { BadInput, readDocument, readText, valueOrBadInput } from '../input.ts'

/** `story K07`: the plan of a kind of job on the parts of the demo shop, as one would read it aloud. */
export function story(id: string | undefined): string {
  const demo = demoFolder(new URL('.', import.meta.url))
  const all = readDocument(fileURLToPath(new URL('stories.json', demo)), stories)
  const told = all.find((s) => s.id === id)
  if (told === undefined)
    throw new BadInput(`story ${id ?? ''}: give one of ${all.map((s) => s.id).join(', ')}`.replace('  ', ' '))
  const read = (file: string): unknown => JSON.parse(readText(fileURLToPath(new URL(file, demo))))
  const parts = factsOfStories(told, read).map((facts) => {
    const { plan } = valueOrBadInput(climb(partQuestion(facts), anyDay))
    return partAloud(plan)
  })
  return [`${told.id}  ${told.name}`, ...parts].join('\n\n')
}

/** The folder of the demo shop, beside the sources or above the built program. */
function demoFolder(from: URL): URL {
  const demo = new URL('demo/', from)
  if (existsSync(new URL('stories.json', demo))) return demo
  const above = new URL('../', from)
  if (above.href === from.href) throw new BadInput('story: the folder demo is not there; run it from the project')
  return demoFolder(above)
}

const partAloud = (plan: PartPlan): string =>
  [
    english(
      say`${name(plan.partName)}, ${name(plan.film.name)}, grade ${count(plan.grade)}: ${counted(plan.steps.length, '# step', '# steps')}, ${minutes(Math.round(plan.minutes))}`,
    ),
    ...plan.schools.map(({ choice, reason }) => `    ${english(choice)}: ${english(reason)}`),
    ...plan.notes.map(({ because, says }) => `    ${english(because)}: ${english(says)}`),
    ...plan.steps.flatMap((step, i) => stepAloud(plan, step, i + 1)),
  ].join('\n')

function stepAloud(plan: PartPlan, step: PlanStep, number: number): string[] {
  const heat = plan.heat.find((h) => h.use === step.heat)
  const lines: (Sentence | undefined)[] = [
    step.because,
    step.gate && say`Only if: ${step.gate}`,
    step.detail,
    heat?.words && clauses([heat.words, ...(heat.warning === null ? [] : [heat.warning])]),
    say`(${step.why})`,
    inHandWords(step).length > 0 ? say`In hand: ${clauses(inHandWords(step))}` : undefined,
    ...step.cautions.map(({ says }) => say`! ${says}`),
    ...(step.within ?? []).map(({ mostMinutes, since }) => say`At most ${minutes(mostMinutes)} after ${name(since)}`),
    step.wait &&
      say`Then ${step.wait.label}: ${minutes(Math.round(step.wait.leastMinutes))}${step.wait.since === undefined ? nothing : say`, from ${name(step.wait.since)}`}`,
  ]
  return [
    `${String(number).padStart(3)}. [${step.id}] ${english(step.headline)}  (${step.minutes} min${step.people > 1 ? `, ${step.people} people` : ''})`,
    ...lines.flatMap((line) => (line === undefined || english(line) === '' ? [] : [`     ${english(line)}`])),
  ]
}
