import { Workbox } from 'workbox-window'

let workbox: Workbox | null = null

/**
 * Keeps the app on this tablet, so that it opens while the server is away. A browser that does not trust the server’s certificate keeps nothing.
 * `onNewer` is told of another version, which waits until somebody takes it.
 */
export async function keepApp(onNewer: () => void): Promise<void> {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return
  const made = new Workbox('/sw.js')
  made.addEventListener('waiting', onNewer)
  made.addEventListener('controlling', ({ isUpdate }) => {
    if (isUpdate === true) window.location.reload()
  })
  workbox = made
  const kept = await made.register().then(
    () => true,
    () => false,
  )
  // Without this a browser short of room throws away what only this tablet has.
  if (kept) await navigator.storage?.persist?.()
}

/** Takes the newer version that was found, and opens the page anew. */
export const takeNewer = (): void => workbox?.messageSkipWaiting()
