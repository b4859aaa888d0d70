export type ScanKind = 'obj' | 'stl' | 'ply'

/** What kind of scan a file is by its name; null for any other file. */
export const scanKindOf = (fileName: string): ScanKind | null => {
  const ending = fileName.toLowerCase().match(/\.(obj|stl|ply)$/)?.[1]
  return ending === undefined ? null : (ending as ScanKind)
}
