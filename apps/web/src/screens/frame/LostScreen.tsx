import { say } from '@truelay/core/say'
import { useRouteError } from 'react-router'
import { Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { ToBay } from '../../ui/ToBay.tsx'
import { useWords } from '../../ui/words.ts'

/** An address that leads nowhere, or a screen that broke. */
export function LostScreen() {
  const t = useWords()
  const error = useRouteError()
  const broke = error instanceof Error
  return (
    <>
      <span className="sr-only">
        <Title>{broke ? t`Broken down` : t`Nothing here`}</Title>
      </span>
      <Failed
        sentence={broke ? say`This screen broke down.` : say`There is nothing at this address.`}
        fix={
          broke
            ? say`Nothing that was confirmed is lost. Go back to the bay and open the part again.`
            : say`Go to the bay and choose a vehicle there.`
        }
      >
        <ToBay />
      </Failed>
    </>
  )
}
