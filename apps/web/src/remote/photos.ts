import { paragraph, say, type Sentence } from '@truelay/core/say'
import { type Photo, photo, photoId, wireFailure } from '@truelay/contract'
import { stripJpeg } from '@truelay/formats/jpeg'
import { z } from 'zod'
import { keeper } from './keptWrites/keeper.ts'

const wholePx = 1600
const smallPx = 320
const quality = 0.85
const kept = z.object({ id: photoId, widthPx: z.number(), heightPx: z.number() })

export type PhotoOutcome =
  | { readonly ok: true; readonly photo: Photo }
  | { readonly ok: false; readonly problem: Sentence }

const tryAgain = say`The photo could not be kept. Try again.`

class NotKept extends Error {
  constructor(readonly why: Sentence) {
    super('the photo was not kept')
  }
}

/** Turns a photo the right way, scales it, leaves out where it was taken, and keeps it with a small one beside it. */
export async function keepPhoto(file: Blob): Promise<PhotoOutcome> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (bitmap === null)
    return {
      ok: false,
      problem: say`That file is no photo this tablet can read. Take it again, or choose a JPEG or PNG.`,
    }
  try {
    const [whole, small] = await Promise.all(
      [wholePx, smallPx].map(async (mostPx) => send(await drawn(bitmap, mostPx))),
    )
    if (whole === undefined || small === undefined) throw new NotKept(tryAgain)
    return {
      ok: true,
      photo: photo.parse({ id: whole.id, smallId: small.id, widthPx: whole.widthPx, heightPx: whole.heightPx }),
    }
  } catch (error) {
    return { ok: false, problem: error instanceof NotKept ? error.why : tryAgain }
  } finally {
    bitmap.close()
  }
}

async function drawn(bitmap: ImageBitmap, mostPx: number): Promise<Blob> {
  const scale = Math.min(1, mostPx / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  )
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality })
}

async function send(jpeg: Blob) {
  const answer = await fetch('/api/photos', {
    method: 'POST',
    headers: { 'content-type': 'image/jpeg' },
    body: jpeg,
  }).catch(() => null)
  if (answer === null) return keepHere(jpeg)
  const body: unknown = await answer.json().catch(() => null)
  if (!answer.ok) {
    const failure = wireFailure.safeParse(body)
    throw new NotKept(failure.success ? paragraph(failure.data.sentence, failure.data.fix) : tryAgain)
  }
  return kept.parse(body)
}

/** Keeps a photo on this tablet until the server answers, under the name that it will have there. */
async function keepHere(jpeg: Blob) {
  const stripped = stripJpeg(new Uint8Array(await jpeg.arrayBuffer()))
  const kept = keeper()
  if (!stripped.ok || kept === null)
    throw new NotKept(say`The server does not answer; the photo is not kept. Try again when it does.`)
  const { bytes, widthPx, heightPx } = stripped.value
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes.slice()))
  const id = photoId.parse([...hash].map((byte) => byte.toString(16).padStart(2, '0')).join(''))
  const clean = new Blob([bytes.slice()], { type: 'image/jpeg' })
  await kept.add({ id: crypto.randomUUID(), what: 'photo', method: 'POST', url: 'photos', body: clean })
  if (typeof caches !== 'undefined') await (await caches.open('photos')).put(photoUrl(id), new Response(clean))
  return { id, widthPx, heightPx }
}

export const photoUrl = (id: string) => `/api/photos/${id}`
