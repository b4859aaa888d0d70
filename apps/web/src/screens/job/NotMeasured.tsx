import type { Part } from '@truelay/contract'
import { Link } from 'react-router'
import { buttonClass } from '../../ui/Button.tsx'
import { Failed } from '../../ui/Failed.tsx'

/** A part that cannot be worked out yet, and where to mend that. */
export function NotMeasured({ part }: { readonly part: Part }) {
  if (part.formId !== null)
    return (
      <Failed
        sentence={`The form, the film or the piece of ${part.name} is missing.`}
        fix="Put it back on the shelf; then this sheet works itself out."
      />
    )
  return (
    <Failed
      sentence={`Nobody has measured ${part.name} yet.`}
      fix="Measure it with straightedge, rule and tape, or bring in a scan; then its lay can be worked out."
    >
      <Link to={`/forms/new?part=${part.id}&job=${part.jobId}`} className={buttonClass('go')}>
        Measure it now
      </Link>
    </Failed>
  )
}
