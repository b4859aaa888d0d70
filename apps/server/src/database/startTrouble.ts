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
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    const { code = '' } = cause as { readonly code?: string }
    const known = troubles.find(({ codes }) => codes.some((c) => code.startsWith(c)))
    if (known !== undefined) return new StartTrouble(known.says(folder), known.fix)
  }
  return null
}

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
    codes: ['SQLITE_FULL', 'ENOSPC'],
    says: (folder) => say`There is no room left on the disk of ${name(folder)}.`,
    fix: say`Make room there and start again; what was confirmed is kept.`,
  },
  {
    codes: ['SQLITE_READONLY', 'SQLITE_CANTOPEN', 'SQLITE_PERM', 'EACCES', 'EPERM', 'EROFS'],
    says: (folder) => say`Nothing can be written in ${name(folder)}.`,
    fix: say`Let this user write there, or name another folder in TRUELAY_DATA.`,
  },
  {
    codes: ['ENOTDIR', 'EEXIST'],
    says: (folder) => say`${name(folder)} is a file and no folder.`,
    fix: say`Name a folder in TRUELAY_DATA.`,
  },
]
