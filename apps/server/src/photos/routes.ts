import { photoId } from '@truelay/contract'
import { stripJpeg } from '@truelay/formats/jpeg'
import { count, say } from '@truelay/core/say'
import express, { Router } from 'express'
import { NotFound, Refused } from '../reply/reply.ts'
import type { PhotoStore } from './photoStore.ts'

const mostPx = 4000

/** Photos come as JPEG; whatever else the camera wrote into them, such as where it was, is left out. */
export function photoRoutes(photos: PhotoStore): Router {
  const routes = Router()
  routes.post('/', express.raw({ type: 'image/jpeg', limit: '6mb' }), async (req, res) => {
    const stripped = stripJpeg(req.body instanceof Uint8Array ? req.body : new Uint8Array())
    if (!stripped.ok) throw new Refused(stripped.failure)
    const { widthPx, heightPx, bytes } = stripped.value
    if (Math.max(widthPx, heightPx) > mostPx)
      throw new Refused({
        code: 'PHOTO_TOO_LARGE',
        sentence: say`The photo is ${count(widthPx)} x ${count(heightPx)} pixels; at most ${count(mostPx)} each way are kept.`,
        fix: say`Take it through the app, which scales it.`,
      })
    const id = await photos.keep(bytes)
    if (id === null)
      throw new Refused({
        code: 'PHOTOS_FULL',
        sentence: say`There is no more room for photos on this server.`,
        fix: say`Tell whoever keeps it; what was entered is kept without the photo.`,
      })
    res.status(201).json({ id, widthPx, heightPx })
  })
  routes.get('/:photoId', (req, res) => {
    const id = photoId.safeParse(req.params.photoId)
    const file = id.success ? photos.fileOf(id.data) : null
    if (file === null) throw new NotFound(say`There is no such photo.`, say`Take it again.`)
    res.type('image/jpeg')
    res.setHeader('X-Content-Type-Options', 'nosniff')
    res.sendFile(file, { immutable: true, maxAge: '1y' })
  })
  return routes
}
