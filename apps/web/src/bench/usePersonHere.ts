import { type Person, worksHere } from '@truelay/contract'
import { useState } from 'react'
import { useSessionQuery } from '../remote/api.ts'

/** Who works at this screen: chosen here, else whoever is signed in, else the first; with all who could, and the way to choose. */
export function usePersonHere(people: readonly Person[], asked: string | null = null) {
  const { data: session } = useSessionQuery()
  const [chosen, choose] = useState<string | null>(asked)
  const here = people.filter(worksHere)
  const person = here.find((p) => p.id === (chosen ?? session?.person?.id)) ?? here[0]
  return { here, person, choose }
}
