import { type FitEvent, fitEvent, type PartId } from '@truelay/contract'
import { clock, counted, name, say, type Sentence } from '@truelay/core/say'
import type { ReactNode } from 'react'
import { afterRestore, outbox, useAppSelector } from '../../store/store.ts'
import type { SetAside } from '../../remote/outboxStore.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { KeptWritesHere } from './KeptWritesHere.tsx'
import { eventWords } from './eventWords.ts'

/** What only this tablet has: what waits for the server, what did not count, what the server has lost. */
export function TabletScreen() {
  const t = useWords()
  const { waiting, refusals, aside, unknownThere, reach } = useAppSelector((state) => state.outbox)
  const writes = useAppSelector((state) => state.keptWrites.waiting)
  const parts = [...new Set(waiting.map((e) => e.partId))]
  const nothing = waiting.length === 0 && aside.length === 0 && unknownThere.length === 0 && writes.length === 0
  return (
    <div className="mx-auto max-w-[62rem] px-7 py-6">
      <div className="flex flex-wrap items-center gap-4">
        <Title>{t`Kept on this tablet`}</Title>
        <span className="flex-1" />
        {nothing ? null : (
          <a
            className={buttonClass('plain')}
            download="kept-on-this-tablet.json"
            href={asFile({ waiting, aside, unknownThere })}
          >{t`Save as a file`}</a>
        )}
      </div>
      {nothing ? <p className="mt-4 text-lead">{t`Nothing: the server has all that happened here.`}</p> : null}
      {unknownThere.length === 0 ? null : (
        <Part title={t`The server was set back to an older state`}>
          <p className="mt-1 text-lead leading-snug">
            {t`${counted(unknownThere.length, 'One thing that this tablet had sent is', '# things that this tablet had sent are')} not known there any more.`}
          </p>
          <p className="mt-3 flex flex-wrap gap-3">
            <Button look="go" onClick={() => void afterRestore.sendAgain()}>{t`Send them again`}</Button>
            <Button look="quiet" onClick={() => void afterRestore.leaveThem()}>{t`Leave it as it is there`}</Button>
          </p>
        </Part>
      )}
      <KeptWritesHere writes={writes} />
      {parts.map((partId) => (
        <WaitingPart
          key={partId}
          partId={partId}
          events={waiting.filter((e) => e.partId === partId)}
          refusal={refusals[partId] ?? null}
          away={reach === 'away'}
        />
      ))}
      {aside.length === 0 ? null : (
        <Part title={t`Did not count`}>
          <ul className="mt-2 divide-y divide-hair border-y border-hair">
            {aside.map((item) => (
              <li key={item.key} className="flex flex-wrap items-center gap-x-5 gap-y-1 py-2.5">
                <p className="min-w-64 flex-1 leading-snug">
                  <strong className="block text-lead first-letter:uppercase">{t(happenedWords(item))}</strong>
                  <span className="block text-body">{t(item.says)}</span>
                </p>
                <Button look="quiet" onClick={() => void outbox.putAway([item.key])}>{t`Not needed any more`}</Button>
              </li>
            ))}
          </ul>
        </Part>
      )}
    </div>
  )
}

interface WaitingPartProps {
  readonly partId: PartId
  readonly events: readonly FitEvent[]
  readonly refusal: Sentence | null
  readonly away: boolean
}

function WaitingPart({ partId, events, refusal, away }: WaitingPartProps) {
  const t = useWords()
  return (
    <Part title={t`Part ${partId}: ${counted(events.length, 'one thing waits', '# things wait')} for the server`}>
      {refusal === null ? (
        <p className="mt-1 text-lead">
          {away ? t`The server does not answer; they go as soon as it does.` : t`They are on their way.`}
        </p>
      ) : (
        <div className="mt-2 flex flex-wrap items-center gap-4">
          <div className="min-w-64 flex-1">
            <Notice look="stop">{t`The server does not take them: ${refusal}`}</Notice>
          </div>
          <Button look="caution" onClick={() => void outbox.giveUp(partId)}>{t`Set them aside`}</Button>
        </div>
      )}
      <ul className="mt-2 text-body text-quiet">
        {events.map((event) => (
          <li key={event.id} className="first-letter:uppercase">
            {t(wordsOf(event))}
          </li>
        ))}
      </ul>
    </Part>
  )
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mt-6 border-t border-hair pt-4">
      <h2 className="label-strong text-lead">{title}</h2>
      {children}
    </section>
  )
}

const wordsOf = (event: FitEvent): Sentence =>
  say`${eventWords[event.kind]}, ${clock(event.at)}, part ${name(event.partId)}`
function happenedWords({ event }: SetAside): Sentence {
  const read = fitEvent.safeParse(event)
  return read.success ? wordsOf(read.data) : say`something that cannot be read`
}

const asFile = (what: object) =>
  `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(what, null, 1))}`
