import { useState } from 'react'
import { Link } from 'react-router'
import { failureOf } from '../../remote/failureOf.ts'
import { useChangesQuery } from '../../remote/signInApi.ts'
import { Button } from '../../ui/Button.tsx'
import { clockText, shortDayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'

/** Who changed what, and when: the latest first. What is done in fits stands in their records. */
export function ChangesScreen() {
  const t = useWords()
  const [before, setBefore] = useState<readonly (number | null)[]>([null])
  const { data, error } = useChangesQuery(before[before.length - 1] ?? null, { refetchOnMountOrArgChange: true })
  if (data === undefined)
    return error === undefined ? <Busy text={t`Looking up the changes`} /> : <Failed {...failureOf(error)} />
  const last = data.changes[data.changes.length - 1]
  return (
    <div className="mx-auto max-w-[60rem] px-7 py-6">
      <p className="label text-body">
        <Link to="/shop" className="inline-flex min-h-11 items-center text-petrol">{t`Shop`}</Link>
      </p>
      <Title>{t`Who changed what`}</Title>
      <p className="mt-1 text-body text-quiet">{t`What is done in a fit, found on a walk-round or mixed stands there with its name and time.`}</p>
      {data.changes.length === 0 ? <p className="mt-4 text-body">{t`Nothing yet.`}</p> : null}
      <table className="mt-4 w-full text-left text-body">
        <thead className="sr-only">
          <tr>
            <th>{t`When`}</th>
            <th>{t`Who`}</th>
            <th>{t`What`}</th>
          </tr>
        </thead>
        <tbody>
          {data.changes.map((change) => (
            <tr key={change.id} className="border-b border-hair align-top">
              <td className="py-2.5 pr-3 text-quiet sm:pr-6 sm:whitespace-nowrap">
                {shortDayText(change.at)}, {clockText(change.at)}
              </td>
              <td className="py-2.5 pr-3 font-bold sm:w-44">
                {change.by ?? t`at the desk`}
                {change.from === null ? null : <span className="block font-normal text-quiet">{change.from}</span>}
              </td>
              <td className="wrap-anywhere py-2.5 first-letter:uppercase">{t(change.what)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-4 flex gap-3">
        {before.length > 1 ? <Button onClick={() => setBefore(before.slice(0, -1))}>{t`Later ones`}</Button> : null}
        {data.older && last !== undefined ? (
          <Button onClick={() => setBefore([...before, last.id])}>{t`Earlier ones`}</Button>
        ) : null}
      </p>
    </div>
  )
}
