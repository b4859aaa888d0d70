import type { Role } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import { Lock } from 'lucide-react'
import type { ReactNode } from 'react'
import { useMay } from '../../bench/useMay.ts'
import { useWords } from '../../ui/words.ts'

interface ForRoleProps {
  readonly least: Exclude<Role, 'new hand'>
  readonly children: ReactNode
  /** The sentence why stands elsewhere on this screen already. */
  readonly quietly?: boolean
}

const says: Readonly<Record<ForRoleProps['least'], Sentence>> = {
  lead: say`To be read here; a lead changes it.`,
  installer: say`To be read here; an installer or a lead changes it.`,
}

/** What only some may change: others read it, with everything that changes it switched off and the reason above. */
export function ForRole({ least, children, quietly = false }: ForRoleProps) {
  const t = useWords()
  const may = useMay(least)
  if (may) return children
  return (
    <>
      {quietly ? null : (
        <p className="flex items-center gap-2 py-2 text-body text-quiet">
          <Lock size={18} aria-hidden="true" />
          {t(says[least])}
        </p>
      )}
      <fieldset disabled className="contents">
        {children}
      </fieldset>
    </>
  )
}
