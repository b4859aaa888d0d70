import type { Groups } from './groups.ts'

/** What a text says, without the signs by which it is set. */
export function textOf(groups: Groups): string {
  const pieces = [...groups.all.filter(([code]) => code === 3), ...groups.all.filter(([code]) => code === 1)]
  return readable(pieces.map(([, value]) => value).join('')).slice(0, 60)
}

/** Signs outside plain letters are written by their numbers in old files. */
export const readable = (text: string): string =>
  text
    .replace(/\\U\+([0-9A-Fa-f]{4})/g, (_, hex: string) => String.fromCharCode(Number.parseInt(hex, 16)))
    .replace(/%%d/gi, '°')
    .replace(/%%c/gi, '⌀')
    .replace(/%%p/gi, '±')
    .replace(/\\P/g, ' ')
    .replace(/\\[A-Za-z][^;\\{}]*;/g, '')
    .replace(/[{}]/g, '')
    .trim()
