import { mayDo, type Role } from '@truelay/contract'
import { useSessionQuery } from '../remote/api.ts'

/** Whether whoever is at this screen may do what at least such a role is needed for; all may where nobody has to sign in. */
export function useMay(least: Role): boolean {
  const { data } = useSessionQuery()
  return data?.person == null || !data.needed || mayDo(data.person.role, least)
}
