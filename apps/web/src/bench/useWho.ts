import type { PersonId } from '@truelay/contract'
import { useSessionQuery } from '../remote/api.ts'

/** Who works at this screen: whoever is signed in; where nobody has to, the one whose job it is. */
export function useWho<P extends PersonId | string>(otherwise: P): P | PersonId {
  const { data } = useSessionQuery()
  return data?.person?.id ?? otherwise
}
