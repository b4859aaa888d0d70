import { Link, useRouteError } from 'react-router'
import { buttonClass } from '../../ui/Button.tsx'
import { Failed } from '../../ui/Failed.tsx'

/** An address that leads nowhere, or a screen that broke. */
export function LostScreen() {
  const error = useRouteError()
  const broke = error instanceof Error
  return (
    <Failed
      sentence={broke ? 'This screen broke down.' : 'There is nothing at this address.'}
      fix={
        broke
          ? 'Nothing that was confirmed is lost. Go back to the bay and open the part again.'
          : 'Go to the bay and choose a vehicle there.'
      }
    >
      <Link to="/" className={buttonClass('go')}>
        To the bay
      </Link>
    </Failed>
  )
}
