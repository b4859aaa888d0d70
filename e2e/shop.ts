import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type Page } from '@playwright/test'

/** A demo shop of its own: a server on a free port with an empty data folder. */
export interface DemoShop {
  readonly url: string
  /** Where a tablet reaches it, if it is opened to the network, and where that gets the certificate. */
  readonly networkUrl: string
  readonly doorUrl: string
  /** Stops the server the hard way, as a power cut would. */
  kill(): Promise<void>
  start(): Promise<void>
  /** What time it is from now on, for the server and in the page: the server is stopped the hard way and started again. */
  passTo(moment: Date): Promise<void>
  /** Puts a backup in the place of what is in the data folder, as `./truelay restore FILE` does. */
  restore(file: string): void
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      const port = typeof address === 'object' && address !== null ? address.port : 0
      probe.close(() => resolve(port))
    })
  })

/** The stand-in devices on a free port. */
export interface StandIns {
  readonly url: string
  /** Turns their knobs; what is left out stays. */
  turn(set: object): Promise<void>
}

async function answers(url: string) {
  for (let i = 0; i < 600; i++) {
    const answer = await fetch(url).catch(() => null)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`nothing answers at ${url}`)
}

interface Fixtures {
  /** Whether the plan of the day is reckoned: it takes seconds, so only where it is looked at. */
  readonly plansDay: boolean
  /** By what clock the shop begins; null: the real one. */
  readonly begins: string | null
  /** What the data folder holds when the server starts. */
  readonly holds: 'the demo shop' | 'the demo shop and its past' | 'nothing'
  /** Who reaches the server. */
  readonly reachedFrom: 'this machine' | 'the network'
  readonly shop: DemoShop
  readonly standIns: StandIns
  readonly quiet: string[]
}

export const test = base.extend<Fixtures>({
  holds: ['the demo shop', { option: true }],
  reachedFrom: ['this machine', { option: true }],
  plansDay: [false, { option: true }],
  begins: [null, { option: true }],
  /** Connected to the shop of the test. */
  standIns: async ({ shop }, use) => {
    const port = await freePort()
    const url = `http://127.0.0.1:${port}`
    const devices = spawn(process.execPath, ['apps/standins/dist/main.js'], {
      env: { ...process.env, STANDINS_PORT: String(port) },
      stdio: 'ignore',
    })
    await answers(`${url}/knobs`)
    const put = async (at: string, body: object) => {
      const headers = { 'content-type': 'application/json', 'x-write-id': randomUUID() }
      const answer = await fetch(at, { method: 'PUT', headers, body: JSON.stringify(body) })
      if (!answer.ok) throw new Error(await answer.text())
    }
    await put(`${shop.url}/api/devices`, {
      room: `${url}/room`,
      infrared: `${url}/infrared`,
      forecast: `${url}/forecast`,
      plotter: `${url}/plotter`,
      labelPrinter: `${url}/labelPrinter`,
    })
    await use({ url, turn: (set) => put(`${url}/knobs`, set) })
    await new Promise((resolve) => {
      devices.once('exit', resolve)
      devices.kill()
    })
  },
  shop: async ({ page, holds, reachedFrom, plansDay, begins }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'truelay-e2e-'))
    const shift = `${folder}.clock`
    const setClock = async (moment: Date) => {
      writeFileSync(shift, String(moment.getTime() - Date.now()))
      await page.clock.install({ time: moment })
    }
    if (begins !== null) await setClock(new Date(begins))
    const port = await freePort()
    const url = `http://localhost:${port}`
    const networkPort = reachedFrom === 'the network' ? await freePort() : null
    const doorPort = reachedFrom === 'the network' ? await freePort() : null
    let server: ChildProcess | null = null
    const shop: DemoShop = {
      url,
      networkUrl: `https://localhost:${networkPort}`,
      doorUrl: `http://localhost:${doorPort}`,
      async start() {
        server = spawn(
          process.execPath,
          [
            'apps/server/dist/main.js',
            ...(holds === 'nothing' ? [] : ['--demo']),
            ...(holds === 'the demo shop and its past' ? ['--past'] : []),
            ...(networkPort === null ? [] : ['--network']),
          ],
          {
            env: {
              ...process.env,
              PORT: String(port),
              TRUELAY_DATA: folder,
              TRUELAY_LOG: 'error',
              TRUELAY_PLAN_DAY: plansDay ? 'yes' : 'no',
              ...(begins === null
                ? {}
                : { TRUELAY_CLOCK_SHIFT: shift, NODE_OPTIONS: `--import ${join(import.meta.dirname, 'clock.mjs')}` }),
              ...(networkPort === null
                ? {}
                : {
                    TRUELAY_NETWORK_PORT: String(networkPort),
                    TRUELAY_DOOR_PORT: String(doorPort),
                    TRUELAY_NETWORK_HOST: '127.0.0.1',
                  }),
            },
            stdio: ['ignore', 'ignore', 'inherit'],
          },
        )
        await answers(`${url}/api/health`)
      },
      async passTo(moment) {
        await shop.kill()
        writeFileSync(shift, String(moment.getTime() - Date.now()))
        await page.clock.setSystemTime(moment)
        await shop.start()
      },
      restore(file) {
        execFileSync(process.execPath, ['apps/server/dist/main.js', '--restore', file], {
          env: { ...process.env, TRUELAY_DATA: folder },
          stdio: ['ignore', 'ignore', 'inherit'],
        })
      },
      async kill() {
        const running = server
        if (running === null || running.exitCode !== null || running.signalCode !== null) return
        await new Promise((resolve) => {
          running.once('exit', resolve)
          running.kill('SIGKILL')
        })
      },
    }
    await shop.start()
    await use(shop)
    await shop.kill()
    rmSync(folder, { recursive: true, force: true })
    rmSync(shift, { force: true })
  },
  /** Every warning and error of the page while its shop is there; a test fails on any that is not expected. */
  quiet: [
    async ({ page, shop: _openTillHeard }, use) => {
      const heard: string[] = []
      page.on('console', (message) => {
        if (!['error', 'warning'].includes(message.type())) return
        // The 3D library warns about its own clock; software drawing about speed.
        if (/THREE\.Clock|GPU stall|WebGL-/.test(message.text())) return
        // An open page notices at once that its server ends.
        if (message.location().url.endsWith('/api/news')) return
        // Only the test of times without the server keeps the app on the tablet.
        if (/Service Worker registration blocked/.test(message.text())) return
        heard.push(message.text())
      })
      page.on('pageerror', (error) => heard.push(error.message))
      await use(heard)
      expect(heard).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }

export async function openLaySheet(page: Page, shop: DemoShop, part: string) {
  await page.goto(shop.url)
  const row = page
    .getByRole('listitem')
    .filter({ hasText: part })
    .filter({ has: page.getByRole('link', { name: 'Lay sheet' }) })
  await row.getByRole('link', { name: 'Lay sheet' }).click()
  await expect(page.getByTestId('worst-edge')).toBeVisible()
}

/** A part that nobody has measured, of a new model in a new job; at its lay sheet. */
export async function unmeasuredPart(page: Page, shop: DemoShop) {
  await page.goto(`${shop.url}/jobs/new`)
  await page.getByLabel('Name of the model').fill('Selwick Tern')
  await page.getByRole('radio', { name: 'saloon' }).click()
  await page.getByRole('button', { name: 'Add this model' }).click()
  await page.getByLabel('Customer').fill('Private owner')
  await page.getByLabel('Number plate or fleet number').fill('KL 9')
  await page.getByRole('button', { name: 'Bonnet', exact: true }).click()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await page.getByRole('link', { name: 'Lay sheet' }).click()
}

export async function startFit(page: Page) {
  await page.getByRole('link', { name: 'To the fit' }).click()
  await page.getByRole('button', { name: /Start/ }).click()
  await expect(page.getByTestId('headline')).toBeVisible()
}

/** The foot pedal, by somebody who has read the step. */
export async function pedal(page: Page, key: 'PageDown' | 'Space' = 'PageDown') {
  await page.waitForTimeout(650)
  await page.keyboard.press(key)
}

export const headline = (page: Page) => page.getByTestId('headline')

/** Presses the foot pedal until a step with that headline is on the screen; ends waits that come by. */
export async function goOnTo(page: Page, wanted: RegExp) {
  for (let i = 0; i < 40; i++) {
    const ready = page.getByRole('button', { name: 'It is ready already' })
    await expect(headline(page).or(ready)).toBeVisible()
    if (await ready.isVisible()) {
      await ready.click()
      await expect(ready).toBeHidden()
      continue
    }
    // A figure and its unit are held together by a space that does not break.
    const now = ((await headline(page).textContent()) ?? '').replace(/\s/g, ' ')
    if (wanted.test(now)) return
    if (/Measure the gaps|Check how it sits/.test(now)) await measureAsWanted(page)
    await pedal(page)
    await expect(page.getByText(now, { exact: true }).first()).toBeHidden()
  }
  throw new Error(`no step ${wanted}`)
}

const gapField = (page: Page, letter: string) => page.getByRole('textbox', { name: new RegExp(`^${letter} `) })

export async function typeGaps(page: Page, gaps: Record<string, string>) {
  for (const [letter, text] of Object.entries(gaps)) await gapField(page, letter).fill(text)
}

/** Types what each field says is wanted. */
export async function measureAsWanted(page: Page) {
  for (const field of await page.getByRole('textbox').all())
    await field.fill((await field.getAttribute('placeholder')) ?? '')
  await page.getByRole('button', { name: /How do I move it|Measured again/ }).click()
  await expect(page.getByText(/Leave it\./)).toBeVisible()
}
