import { performance } from 'node:perf_hooks'
import { factsOfStories, stories } from '@truelay/contract'
import { layPart } from '@truelay/core/lay'
import { anyDay, climb, partQuestion, placeOn, planWork } from '@truelay/core/plan'
import { required } from '@truelay/core/result'
import { demoFile, filmOf, formOf, pieceOf, questionOf } from './demo.ts'
import type { Section } from './section.ts'
import { bestOf, ms } from './timing.ts'

export const storeysSection: Section = {
  title: 'The three storeys of a part, ms (the lay at the usual number of triangles; what is placed on it; the plan)',
  measure(say) {
    say('| part | lay | place | plan | steps |')
    say('|---|--:|--:|--:|--:|')
    for (const [formFile, pieceFile, filmFile] of [
      ['pipit-bonnet', 'pipit-bonnet-piece', 'clearcoat-hull-180'],
      ['pipit-headlamp-left', 'pipit-headlamp-left-piece', 'dusk-glass-dry'],
      ['pipit-bumper', 'pipit-bumper', 'clearcoat-hull-180'],
    ] as const) {
      const form = formOf(formFile)
      const question = questionOf(form, filmOf(filmFile), pieceOf(pieceFile).pattern)
      const began = performance.now()
      const { laid, placed, plan } = required(climb(question, anyDay))
      const all = performance.now() - began
      const placing = bestOf(3, () => required(placeOn(laid, question.place)))
      const planning = bestOf(5, () => required(planWork(placed, { ...question.work, ...anyDay })))
      say(
        `| ${form.name} | ${ms(all - placing - planning)} | ${ms(placing)} | ${ms(planning)} | ${plan.steps.length} |`,
      )
    }

    /** The plan of a part has to follow while somebody drags its piece: on top of its lay, ms. */
    const onTop = stories
      .parse(demoFile('stories.json'))
      .flatMap((story) => factsOfStories(story, (file) => demoFile(file)).map((facts) => ({ story: story.id, facts })))
      .map(({ story, facts }) => {
        const question = partQuestion(facts)
        const laid = required(layPart(question.lay))
        const placed = required(placeOn(laid, question.place))
        const placing = bestOf(3, () => required(placeOn(laid, question.place)))
        const planning = bestOf(3, () => required(planWork(placed, { ...question.work, ...anyDay })))
        return { says: `${story} ${facts.partName}`, placing, planning }
      })
      .sort((a, b) => b.placing + b.planning - a.placing - a.planning)
    const [slowest] = onTop
    const middle = onTop[Math.floor(onTop.length / 2)]
    say('')
    say(
      `Of the ${onTop.length} parts of the stories the slowest to place and plan on top of its lay is ${slowest?.says}: ${ms(slowest?.placing ?? 0)} + ${ms(slowest?.planning ?? 0)} ms; one in the middle takes ${ms((middle?.placing ?? 0) + (middle?.planning ?? 0))} ms. The mark is 60.`,
    )
  },
}
