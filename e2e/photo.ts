import type { Page } from '@playwright/test'

/** A photo as a camera would give it: some kilobytes of a real picture. */
export const photo = (page: Page, colour: string) =>
  page.evaluate(async (fill) => {
    const canvas = new OffscreenCanvas(900, 600)
    const context = canvas.getContext('2d')
    if (context === null) throw new Error('no canvas')
    context.fillStyle = fill
    context.fillRect(0, 0, 900, 600)
    context.fillStyle = 'white'
    context.fillRect(100, 100, 200, 50)
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
    return [...new Uint8Array(await blob.arrayBuffer())]
  }, colour)
