/** Code pages of DXF files written before they were UTF-8, as decoders call them. */
const codePages: Readonly<Record<string, string>> = {
  ansi_874: 'windows-874',
  ansi_932: 'shift_jis',
  ansi_936: 'gbk',
  ansi_949: 'euc-kr',
  ansi_950: 'big5',
  ansi_1250: 'windows-1250',
  ansi_1251: 'windows-1251',
  ansi_1252: 'windows-1252',
  ansi_1253: 'windows-1253',
  ansi_1254: 'windows-1254',
  ansi_1255: 'windows-1255',
  ansi_1256: 'windows-1256',
  ansi_1257: 'windows-1257',
  ansi_1258: 'windows-1258',
  dos866: 'ibm866',
}
/** From this version on a DXF is UTF-8. */
const firstUtf8 = 'AC1021'
/** The head of a file says how the rest is written. */
const headBytes = 20_000

/** The text of a drawing from its bytes, in whatever letters it was written. */
export function textOfDrawing(kind: 'svg' | 'dxf', bytes: Uint8Array): string {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  const head = new TextDecoder('windows-1252').decode(bytes.subarray(0, headBytes))
  const said = kind === 'dxf' ? letterOfDxf(head) : head.match(/^\s*<\?xml[^>]*encoding=["']([\w-]+)["']/)?.[1]
  return decoded(bytes, said ?? 'utf-8')
}

function letterOfDxf(head: string): string | null {
  const version = head.match(/\$ACADVER\s+1\s+(AC\d+)/)?.[1]
  const page = head.match(/\$DWGCODEPAGE\s+3\s+(\S+)/)?.[1]
  return version !== undefined && version < firstUtf8 ? (codePages[page?.toLowerCase() ?? ''] ?? 'windows-1252') : null
}

/** In its letters; where they are not known, or are not kept to, in those of most old files. */
function decoded(bytes: Uint8Array, letters: string): string {
  try {
    return new TextDecoder(letters, { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
