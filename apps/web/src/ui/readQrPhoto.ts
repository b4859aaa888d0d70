import jsQR from 'jsqr'

const mostPx = 1400

/** The text of the square code in a photo, or null if none can be read. */
export async function readQrPhoto(file: Blob): Promise<string | null> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (bitmap === null) return null
  const scale = Math.min(1, mostPx / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
  const context = canvas.getContext('2d')
  if (context === null) return null
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height)
  return jsQR(data, width, height)?.data ?? null
}
