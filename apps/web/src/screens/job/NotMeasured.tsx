import { name, say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Part } from '@truelay/contract'
import { Link } from 'react-router'
import { buttonClass } from '../../ui/Button.tsx'
import { Failed, NothingYet } from '../../ui/Failed.tsx'

/** A part that cannot be worked out yet, and where to mend that. */
export function NotMeasured({ part }: { readonly part: Part }) {
  const t = useWords()
  if (part.formId !== null)
    return (
      <Failed
        sentence={say`The form, the film or the piece of ${name(part.name)} is missing.`}
        fix={say`Put it back on the shelf; then this sheet works itself out.`}
      />
    )
  return (
    <NothingYet
      sentence={say`Nobody has measured ${name(part.name)} yet.`}
      next={say`Measure it with straightedge, rule and tape, photograph it with targets on it, or bring in a scan; then its lay can be worked out. Its steps are there already, by ordinary figures.`}
    >
      <div className="flex flex-wrap gap-3">
        <Link
          to={`/forms/new?part=${part.id}&job=${part.jobId}`}
          className={buttonClass('go')}
        >{t`Measure it now`}</Link>
        <Link
          to={`/forms/new?photos=1&part=${part.id}&job=${part.jobId}`}
          className={buttonClass('plain')}
        >{t`From photographs`}</Link>
        <Link
          to={`/jobs/${part.jobId}/fit/${part.id}`}
          className={buttonClass('plain')}
        >{t`Fit it by ordinary figures`}</Link>
      </div>
    </NothingYet>
  )
}
