import { Link } from 'react-router'
import { buttonClass } from './Button.tsx'
import { useWords } from './words.ts'

/** The way back, where a screen cannot go on. */
export function ToBay() {
  const t = useWords()
  return <Link to="/" className={buttonClass('go')}>{t`To the bay`}</Link>
}
