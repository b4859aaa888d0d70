import { type Browser, chromium } from 'playwright-core'

/** How long after the tap a lay sheet says its worst edge, and how long after it the part is drawn. */
export interface Opening {
  readonly figuresMs: number
  readonly drawnMs: number
}

/** A drawing that goes on after its first frame (labels, lines) is done when so long none has followed. */
const quietMs = 400

/** A browser that draws in software, as in the browser tests. */
export const openBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--use-gl=angle',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--disable-gpu-compositing',
    ],
  })

/**
 * Opens a job in a browser that has opened nothing before, looks at it for a while as a hand does, taps "Lay sheet" and waits until
 * nothing more is drawn. Every frame is read back, so that it counts only when its pixels are there.
 */
export async function sheetOpens(browser: Browser, url: string, job: string): Promise<Opening> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  try {
    await context.addInitScript(noteFrames)
    const page = await context.newPage()
    await page.goto(`${url}/jobs/${job}`)
    await page.getByRole('navigation', { name: 'Stages of the job' }).waitFor()
    await page.waitForTimeout(3000)
    const opening = await page.evaluate(tapAndWait, quietMs)
    if (opening === null) throw new Error(`the lay sheet of job ${job} was not drawn`)
    return opening
  } finally {
    await context.close()
  }
}

/** In the page: when the pixels of each frame that was drawn in space were there. */
function noteFrames() {
  localStorage.setItem('truelay has seen round', 'no')
  const frames: number[] = []
  Object.assign(window, { frames })
  let asked = false
  const { prototype } = WebGL2RenderingContext
  for (const call of ['drawElements', 'drawArrays', 'drawElementsInstanced', 'drawArraysInstanced'] as const) {
    const draw = prototype[call] as (...given: unknown[]) => void
    Object.assign(prototype, {
      [call](this: WebGL2RenderingContext, ...given: unknown[]) {
        draw.apply(this, given)
        if (asked) return
        asked = true
        queueMicrotask(() => {
          asked = false
          this.readPixels(0, 0, 1, 1, this.RGBA, this.UNSIGNED_BYTE, new Uint8Array(4))
          frames.push(performance.now())
        })
      },
    })
  }
}

/** In the page: taps, and says when figures and drawing were there; null when they do not come. */
function tapAndWait(quietMs: number): Promise<{ figuresMs: number; drawnMs: number } | null> {
  const { frames } = window as unknown as { frames: number[] }
  const tab = [...document.querySelectorAll<HTMLAnchorElement>('nav a')].find((a) => a.href.includes('/lay-sheets/'))
  frames.length = 0
  const tapped = performance.now()
  let figuresMs = Number.NaN
  const seen = new MutationObserver(() => {
    if (Number.isNaN(figuresMs) && document.querySelector('[data-testid=worst-edge]') !== null)
      figuresMs = performance.now() - tapped
  })
  seen.observe(document.body, { subtree: true, childList: true })
  tab?.click()
  return new Promise((resolve) => {
    const look = setInterval(() => {
      const last = frames.at(-1)
      const now = performance.now()
      const done = last !== undefined && now - last > quietMs && !Number.isNaN(figuresMs)
      if (!done && now - tapped < 60_000) return
      clearInterval(look)
      seen.disconnect()
      resolve(done ? { figuresMs, drawnMs: last - tapped } : null)
    }, 20)
  })
}
