import { type ExerciseRun, hasSkill, mayDo, type Person, type PersonId } from '@truelay/contract'
import { exerciseKinds, exerciseWords, standingOf } from '@truelay/core/exercises'
import { useChangePersonMutation } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { shortDayText } from '../../ui/clockText.ts'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { LevelMarks } from './LevelMarks.tsx'

interface TeamProps {
  readonly here: readonly Person[]
  readonly runs: readonly ExerciseRun[]
  /** Who is at this tablet: a lead confirms. */
  readonly me: Person
}

/** How far everybody is, and what a lead has confirmed of it for the plan of the day. */
export function Team({ here, runs, me }: TeamProps) {
  const t = useWords()
  const [change, { error }] = useChangePersonMutation()
  const confirm = (person: Person, yes: boolean) =>
    void change({
      id: person.id,
      change: {
        confirmed: yes ? [{ skill: 'stretch film', at: new Date().toISOString(), by: me.id }] : [],
      },
    })
  return (
    <section aria-labelledby="team" className="px-6 py-5">
      <Heading id="team">{t`How far everybody is`}</Heading>
      <p className="text-body text-quiet">{t`Practice alone lets nobody at a customer’s vehicle: the lead watches, and decides. Whoever may stretch film gets such parts in the plan of the day.`}</p>
      <WhatFailed error={error} className="mt-2" />
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what is wider than a phone is scrolled by keys as well */}
      <div className="mt-2 overflow-x-auto" tabIndex={0} role="group" aria-label={t`How far everybody is`}>
        <table className="w-full min-w-[68rem] table-fixed text-left text-body">
          <thead>
            <tr className="label border-b border-ink/50 text-note text-quiet">
              <th scope="col" className="w-20 py-1 font-normal">{t`person`}</th>
              {exerciseKinds.map((kind) => (
                <th key={kind} scope="col" className="pr-3 font-normal">
                  {t(exerciseWords[kind].name)}
                </th>
              ))}
              <th scope="col" className="w-56 font-normal">{t`may stretch film`}</th>
            </tr>
          </thead>
          <tbody>
            {here.map((p) => (
              <tr key={p.id} className="border-b border-hair">
                <th scope="row" className="py-2 pr-3 font-semibold">
                  {p.name}
                </th>
                {exerciseKinds.map((kind) => {
                  const standing = standingOf(
                    kind,
                    runs.filter((run) => run.personId === p.id),
                  )
                  return (
                    <td key={kind} className="pr-3">
                      {standing.times === 0 ? (
                        <span className="text-quiet">–</span>
                      ) : (
                        <LevelMarks level={standing.level} best={standing.best} />
                      )}
                    </td>
                  )
                })}
                <td className="py-1">
                  <MayStretch
                    person={p}
                    nameOf={(id) => here.find((one) => one.id === id)?.name}
                    leads={mayDo(me.role, 'lead')}
                    onConfirm={confirm}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}

interface MayStretchProps {
  readonly person: Person
  readonly nameOf: (id: PersonId) => string | undefined
  /** Who is at this tablet leads the shop. */
  readonly leads: boolean
  readonly onConfirm: (person: Person, yes: boolean) => void
}

/** By their role, because a lead has confirmed it, or not yet. */
function MayStretch({ person, nameOf, leads, onConfirm }: MayStretchProps) {
  const t = useWords()
  if (mayDo(person.role, 'installer')) return <span className="text-quiet">{t`by their role`}</span>
  const confirmed = person.confirmed?.find(({ skill }) => skill === 'stretch film')
  const by = confirmed === undefined ? undefined : nameOf(confirmed.by)
  return (
    <ForRole least="lead" quietly>
      <span className="flex items-center gap-3">
        {hasSkill(person, 'stretch film') && confirmed !== undefined ? (
          <>
            <span>
              {by === undefined
                ? t`since ${shortDayText(confirmed.at)}`
                : t`since ${shortDayText(confirmed.at)}, by ${by}`}
            </span>
            {leads ? (
              <Button look="quiet" aria-label={t`Take back: ${person.name}`} onClick={() => onConfirm(person, false)}>
                {t`Take back`}
              </Button>
            ) : null}
          </>
        ) : (
          <>
            <span>{leads ? t`not yet` : t`not yet; a lead confirms it`}</span>
            {leads ? (
              <Button aria-label={t`Confirm: ${person.name} may stretch film`} onClick={() => onConfirm(person, true)}>
                {t`Confirm`}
              </Button>
            ) : null}
          </>
        )}
      </span>
    </ForRole>
  )
}
