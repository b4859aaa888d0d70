import type { FaultStage, JudgedFilm } from './evidence.ts'
import type { FaultKind } from './faults.ts'

/** What is seen most where the work stands, in that order. */
const seenAt: Readonly<Record<FaultStage, readonly FaultKind[]>> = {
  wet: ['grabbed too early', 'dirt or hair', 'stuck to itself', 'off its mark', 'fingerprint', 'crease', 'torn piece'],
  tacked: [
    'fingers',
    'gap uneven',
    'air bubble',
    'water bubble',
    'dirt or hair',
    'crease',
    'glue line',
    'off its mark',
  ],
  bonded: ['lifting edge', 'fingers', 'bridging', 'air bubble', 'water bubble', 'silvering', 'dirt or hair'],
  heated: ['lifting edge', 'overheated wrinkle', 'bridging', 'burnt film', 'air bubble', 'pattern warped', 'haze'],
  cut: [
    'lifting after the cut',
    'jagged cut',
    'uncut bridge',
    'colour seam showing',
    'knife mark',
    'lifting edge',
    'haze',
  ],
}

const shown = 6
const ofWater: readonly FaultKind[] = ['water bubble', 'haze']
const ofLenses: readonly FaultKind[] = ['lens crazed']
const ofTrim: readonly FaultKind[] = ['chrome showing']

/** Faults that such a film cannot have. */
const impossible = ({ type, laid }: JudgedFilm): ReadonlySet<FaultKind> =>
  new Set([
    ...(laid === 'dry' ? ofWater : []),
    ...(type === 'lens tint' ? [] : ofLenses),
    ...(type === 'trim vinyl' ? [] : ofTrim),
  ])

/** The faults to be offered first, where the work stands. */
export function likelyFaults(stage: FaultStage, film: JudgedFilm): FaultKind[] {
  const never = impossible(film)
  return seenAt[stage].filter((fault) => !never.has(fault)).slice(0, shown)
}

/** Whether such a film can have such a fault. */
export const canHave = (film: JudgedFilm, fault: FaultKind): boolean => !impossible(film).has(fault)
