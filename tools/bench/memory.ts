import { type FitFact, recallPart } from '@truelay/core/memory'
import { seededRandom } from '@truelay/core/numerics'
import { practiceWith } from '@truelay/core/practice'
import type { Section } from './section.ts'
import { bestOf } from './timing.ts'

export const memorySection: Section = {
  title: 'What fits teach: a part recalled among all finished fits (move, turn and pace by mixed models), ms',
  measure(say) {
    say('| finished fits | ms |')
    say('|--:|--:|')
    {
      const practice = practiceWith()
      const random = seededRandom(7)
      const about = { modelId: 'm', slot: 'slot 1', pieceId: 'piece 1', body: 'another', hand: 'hand 1' }
      for (const fits of [40, 200, 2000]) {
        const facts = Array.from({ length: fits }, (_, i): FitFact => {
          const reading = { value: 3 * random() - 1, sigma: 0.2 }
          const [piece, body, hand] = [i % 60, Math.floor(i / 6), i % 5]
          return {
            partId: `part ${i}`,
            at: '2030-05-01T09:00:00.000Z',
            modelId: 'm',
            slot: `slot ${piece}`,
            pieceId: `piece ${piece}`,
            body: `body ${body}`,
            hand: `hand ${hand}`,
            filmId: 'f',
            offset: { xMm: reading, yMm: reading, turnDeg: { value: 0.1 * random(), sigma: 0.05 } },
            fingersAt: [],
            faults: [],
            pace: 0.8 + 0.6 * random(),
            laidAgain: 0,
          }
        })
        say(`| ${fits} | ${bestOf(3, () => recallPart(facts, about, practice)).toFixed(0)} |`)
      }
    }
  },
}
