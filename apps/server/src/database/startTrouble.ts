import { name, say, type Sentence } from '@truelay/core/say'

/** Why the server does not start, and what to do about it. */
export class StartTrouble extends Error {
  constructor(
    readonly sentence: Sentence,
    readonly fix: Sentence,
  ) {
    super(sentence.text)
  }
}

/** What a fault of disk or database at the start means; null for one that nobody has foreseen. */
export function startTroubleOf(error: unknown, folder: string): StartTrouble | null {
  if (error instanceof StartTrouble) return error
  const known = troubles.find(({ codes }) => isOfCode(error, codes))
  return known === undefined ? null : new StartTrouble(known.says(folder), known.fix)
}

/** Whether an error, or what caused it, carries a code that begins with one of some. */
function isOfCode(error: unknown, codes: readonly string[]): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    const { code = '' } = cause as { readonly code?: string }
    if (codes.some((c) => code.startsWith(c))) return true
  }
  return false
}

const fullCodes = ['SQLITE_FULL', 'ENOSPC', 'EDQUOT']
const lockedCodes = ['SQLITE_READONLY', 'SQLITE_CANTOPEN', 'SQLITE_PERM', 'EACCES', 'EPERM', 'EROFS']

/** There is no room on the disk for what should be written. */
export const isDiskFull = (error: unknown): boolean => isOfCode(error, fullCodes)
/** Nothing can be written where the shop keeps its data. */
export const isDiskLocked = (error: unknown): boolean => isOfCode(error, lockedCodes)

const troubles: readonly {
  readonly codes: readonly string[]
  readonly says: (folder: string) => Sentence
  readonly fix: Sentence
}[] = [
  {
    codes: ['SQLITE_NOTADB', 'SQLITE_CORRUPT'],
    says: (folder) => say`The shop's database in ${name(folder)} is damaged.`,
    fix: say`Nothing was changed. Put a copy of the folder aside, then bring back a copy from before.`,
  },
  {
    codes: fullCodes,
    says: (folder) => say`There is no room left on the disk of ${name(folder)}.`,
    fix: say`Make room there and start again; what was confirmed is kept.`,
  },
  {
    codes: lockedCodes,
    says: (folder) => say`Nothing can be written in ${name(folder)}.`,
    fix: say`Let this user write there, or name another folder in TRUELAY_DATA.`,
  },
  {
    codes: ['ENOTDIR', 'EEXIST'],
    says: (folder) => say`${name(folder)} is a file and no folder.`,
    fix: say`Name a folder in TRUELAY_DATA.`,
  },
]
