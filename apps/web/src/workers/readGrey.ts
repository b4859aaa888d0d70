import type { ColourPicture, GreyPicture } from '@truelay/core/photogrammetry'

/** Rows that are turned to grey at once, so that a large photograph never stands there in colour as a whole. */
const rows = 256

/** A photograph in greys, turned as its camera was held. Throws where the file is no picture. */
export async function readGrey(file: Blob): Promise<GreyPicture> {
  const picture = await createImageBitmap(file)
  const { width, height } = picture
  const context = canvasOf(width, rows)
  const grey = new Uint8Array(width * height)
  for (let top = 0; top < height; top += rows) {
    const high = Math.min(rows, height - top)
    context.drawImage(picture, 0, top, width, high, 0, 0, width, high)
    const { data } = context.getImageData(0, 0, width, high)
    // Weights of the eye for red, green and blue (ITU-R BT.601).
    for (let i = 0; i < width * high; i++)
      grey[top * width + i] =
        0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0)
  }
  picture.close()
  return { width, height, grey }
}

/** A photograph in colour, turned as its camera was held. Throws where the file is no picture. */
export async function readColour(file: Blob): Promise<ColourPicture> {
  const picture = await createImageBitmap(file)
  const { width, height } = picture
  const context = canvasOf(width, height)
  context.drawImage(picture, 0, 0)
  picture.close()
  return { width, height, rgba: context.getImageData(0, 0, width, height).data }
}

/** A picture as a file. */
export function asFile({ width, height, rgba }: ColourPicture): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d')
  if (context === null) throw new Error('no canvas')
  context.putImageData(new ImageData(Uint8ClampedArray.from(rgba), width, height), 0, 0)
  return canvas.convertToBlob({ type: 'image/png' })
}

function canvasOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
  if (context === null) throw new Error('no canvas')
  return context
}
