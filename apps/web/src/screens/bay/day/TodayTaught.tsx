import { minutes, say, type Sentence } from '@truelay/core/say'
import { useDayTaughtQuery } from '../../../remote/dayApi.ts'
import { useWords } from '../../../ui/words.ts'

/** Kinds of step as the plan has them. */
const phaseWords: Readonly<Record<string, Sentence>> = {
  prepare: say`cleaning and preparing`,
  mix: say`mixing`,
  place: say`setting down`,
  lay: say`laying`,
  edges: say`edges`,
  heat: say`heat`,
  look: say`looking over`,
}
/** Of fewer steps nothing is said. */
const fewest = 3

/** What the steps of today took against their plans. */
export function TodayTaught() {
  const t = useWords()
  const { data } = useDayTaughtQuery(undefined, { pollingInterval: 60_000 })
  const rows = (data?.phases ?? []).filter(({ steps, phase }) => steps >= fewest && phase in phaseWords)
  if (rows.length === 0) return null
  return (
    <details className="mt-2 text-body">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-petrol underline underline-offset-4">{t`What today took`}</summary>
      <table className="mt-1 text-left">
        <thead>
          <tr className="text-quiet">
            <th className="pr-6 font-normal">{t`Kind of step`}</th>
            <th className="pr-6 font-normal">{t`planned`}</th>
            <th className="font-normal">{t`took`}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ phase, plannedMinutes, workedMinutes }) => (
            <tr key={phase} className="border-t border-hair">
              <td className="pr-6">{t(phaseWords[phase] ?? say`other`)}</td>
              <td className="pr-6">{t(say`${minutes(Math.round(plannedMinutes))}`)}</td>
              <td className={workedMinutes > 1.15 * plannedMinutes ? 'font-bold text-amber-ink' : 'font-bold'}>
                {t(say`${minutes(Math.round(workedMinutes))}`)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}
