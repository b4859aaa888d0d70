import type { Backup } from '@truelay/contract'
import { clock, counted, figure, name, say, type Sentence } from '@truelay/core/say'
import { format } from 'date-fns'
import { useBackupsQuery, useMakeBackupMutation } from '../../remote/backupApi.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

const shown = 5
/** A shop that works every day and has no copy of so many days should know. */
const oldDays = 3
const dayMs = 24 * 3600 * 1000

/** Copies of all that the shop keeps: when the last was made, one more at a press, each as a file to take away. */
export function BackupList() {
  const t = useWords()
  const { data } = useBackupsQuery()
  const [make, { isLoading, error }] = useMakeBackupMutation()
  const now = useNow(60_000)
  if (data === undefined) return null
  const [last] = data.backups
  const isOld = last === undefined || now.getTime() - new Date(last.at).getTime() > oldDays * dayMs
  return (
    <ForRole least="lead" quietly>
      <section aria-labelledby="backups-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="backups-title" className="label-strong text-lead">{t`Backups`}</h2>
        <div className="mt-1 flex flex-wrap items-center gap-4">
          <p className={`min-w-64 flex-1 text-body ${isOld ? 'text-amber-ink' : ''}`}>
            {last === undefined ? t`There is none yet.` : t`The last one is of ${whenWords(last)}.`}{' '}
            {t`Jobs, fits, forms, films and photos go into one file, which is opened again and checked; one a night by itself, the last 14 are kept.`}
          </p>
          <Button look="plain" disabled={isLoading} onClick={() => void make()}>
            {isLoading ? t`Copying and checking` : t`Back up now`}
          </Button>
        </div>
        <WhatFailed error={error} className="mt-3" />
        <ul className="mt-2">
          {data.backups.slice(0, shown).map((backup) => (
            <li key={backup.name} className="flex flex-wrap items-center gap-x-4 border-b border-hair py-1.5 text-body">
              <span className="min-w-56 flex-1 first-letter:uppercase">
                {t(whenWords(backup))}, {t(sizeWords(backup.bytes))}
                {backup.byHand ? t`, by hand` : ''}
              </span>
              <a className={buttonClass('quiet')} href={`/api/backups/${backup.name}`} download>{t`Save the file`}</a>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-body">
          <a
            href="/api/export.zip"
            download
            className="inline-flex min-h-11 items-center text-petrol underline underline-offset-4"
          >{t`Save all data for other programs, as JSON and CSV`}</a>
        </p>
        <p className="mt-2 text-body text-quiet">
          {t`They lie in ${name(data.folder)} on the server${data.backups.length > shown ? t`, ${counted(data.backups.length, 'one', '# in all')}` : ''}. Keep one on another disk. How to bring one back stands in the guide to keeping the server.`}
        </p>
      </section>
    </ForRole>
  )
}

const whenWords = ({ at }: Backup): Sentence => say`${name(format(at, 'EEEE d MMMM yyyy'))}, ${clock(at)}`
const sizeWords = (bytes: number): Sentence => say`${figure(Math.max(0.1, bytes / 1e6), bytes < 1e7 ? 1 : 0)} MB`
