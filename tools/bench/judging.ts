import { canHave, faultKinds, faultStages, judgeFault } from '@truelay/core/judge'
import { practiceWith } from '@truelay/core/practice'
import { required } from '@truelay/core/result'
import type { Section } from './section.ts'
import { bestOf } from './timing.ts'

export const judgingSection: Section = {
  title: 'A fault judged (causes ranked, cure for the stage), ms',
  measure(say) {
    {
      const evidence = {
        excessMmPer100: 1.2,
        minutesEarly: 6,
        roomC: 17,
        humidityPercent: 60,
        answers: { moves: true },
      }
      const film = { type: 'paint film', laid: 'wet' } as const
      const possible = faultKinds.filter((fault) => canHave(film, fault))
      const cases = possible.flatMap((fault) => faultStages.map((stage) => ({ fault, stage, film, evidence })))
      const practice = practiceWith()
      const judgeAll = () => {
        for (const one of cases) required(judgeFault(one, practice))
      }
      const each = bestOf(20, judgeAll) / cases.length
      say(`- ${each.toFixed(3)} ms a fault, over ${cases.length} faults and stages`)
    }
  },
}
