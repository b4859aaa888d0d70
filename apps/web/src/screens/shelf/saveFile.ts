/** Hands a file to the browser to keep. */
export function saveFile(name: string, type: string, data: string | Uint8Array) {
  const part: BlobPart = typeof data === 'string' ? data : new Uint8Array(data)
  const url = URL.createObjectURL(new Blob([part], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
