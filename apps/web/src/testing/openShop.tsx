import { type JobBundle, jobBundle, type Part, type Person, type Session } from '@truelay/contract'
import type { UnitChoice } from '@truelay/core/units'
import { cleanup, render, screen, waitFor } from '@testing-library/react'
import { userEvent } from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { expect, vi } from 'vitest'
import { DemoServer, noon } from '../../../server/src/testing/demoServer.ts'
import { ShopSettings } from '../app/ShopSettings.tsx'
import { routes } from '../app/router.tsx'
import { api } from '../remote/api.ts'
import { store } from '../store/store.ts'
import { ThreadWorker } from './threadWorker.ts'

/** Somebody in front of the app. */
export interface Visit {
  readonly user: ReturnType<typeof userEvent.setup>
  /** Where the app is now. */
  readonly address: () => string
  /** Goes to another address of the app, as a link or Back would. */
  readonly goes: (path: string) => void
  /** Waits until the app is at an address. */
  readonly isAt: (path: string | RegExp) => Promise<void>
  /** Waits until the page says it. */
  readonly sees: (text: string | RegExp) => Promise<void>
  readonly seesNo: (text: string | RegExp) => Promise<void>
  /** Presses a button, a link or a choice. */
  readonly presses: (name: string | RegExp) => Promise<void>
  /** Types into a field in place of what stands there, and leaves it. */
  readonly types: (label: string | RegExp, text: string) => Promise<void>
  readonly chooses: (label: string | RegExp, option: string) => Promise<void>
  /** Presses the foot pedal, having read the step. */
  readonly pedal: () => Promise<void>
}

/** What an element says, as it is read: whatever keeps a figure at its unit is a space. */
export const says = (element: Element) => asRead(element.textContent ?? '')
const asRead = (text: string) => text.replace(/\s+/g, ' ')

/** What the page says. */
export const page = () => says(document.body)

/** A name of something, as it is read. */
const called = (name: string | RegExp) => (written: string) =>
  typeof name === 'string' ? asRead(written) === name : name.test(asRead(written))

const pressable = ['button', 'link', 'radio', 'checkbox'] as const

function visitor(user: Visit['user'], address: Visit['address'], goes: Visit['goes']): Visit {
  const holds = (text: string | RegExp) => (typeof text === 'string' ? page().includes(text) : text.test(page()))
  return {
    user,
    address,
    goes,
    isAt: (path) => waitFor(() => expect(address()).toMatch(path)),
    sees: (text) =>
      waitFor(() => expect(holds(text), `the page should say ${text}; it says: ${page().slice(0, 600)}`).toBe(true)),
    seesNo: (text) => waitFor(() => expect(holds(text), `the page should not say ${text}`).toBe(false)),
    async presses(name) {
      const found = await waitFor(() => {
        const all = pressable.flatMap((role) => screen.queryAllByRole(role, { name: called(name) }))
        const first = all[0]
        if (first === undefined) throw new Error(`there is nothing to press that is called ${name}`)
        return first
      })
      await user.click(found)
    },
    async types(label, text) {
      const field = (await screen.findAllByLabelText(label)).find(
        (f) => f instanceof HTMLInputElement || f instanceof HTMLTextAreaElement,
      )
      if (field === undefined) throw new Error(`there is no field called ${label}`)
      await user.clear(field)
      if (text !== '') await user.type(field, text)
      await user.tab()
    },
    async chooses(label, option) {
      const field = (await screen.findAllByLabelText(label))[0]
      if (!(field instanceof HTMLElement)) throw new Error(`there is no list called ${label}`)
      await user.selectOptions(field, option)
    },
    async pedal() {
      await new Promise((resolve) => setTimeout(resolve, 650))
      await user.keyboard('{PageDown}')
    },
  }
}

/** The demo shop behind its real server, and the app on it: what needs no browser. */
export interface OpenShop {
  readonly server: DemoServer
  /** What the app has asked the server, oldest first: `GET /api/bay`. */
  readonly asked: string[]
  /** Opens the app at an address, as somebody who has just come in; on the same tablet what it has kept is there. */
  readonly visit: (path: string, tablet?: 'new' | 'the same') => Visit
  /** Everything that the app forgets when its page is closed. */
  readonly forget: () => void
  readonly bundle: (jobId: string) => Promise<{ readonly bundle: JobBundle; readonly part: Part }>
  readonly chooseUnits: (units: UnitChoice) => Promise<void>
  /** Whoever is signed in from now on, as the server would tell it; null = nobody has to. */
  readonly signsIn: (person: Person | null) => void
  /** The server stops answering, or answers again. */
  readonly away: (away: boolean) => void
  readonly close: () => Promise<void>
}

export async function openShop(): Promise<OpenShop> {
  const server = await new DemoServer().start()
  happyDOM().setURL(server.address('/'))
  vi.useFakeTimers({ toFake: ['Date'], now: noon })
  Object.assign(globalThis, { Worker: ThreadWorker })
  const asked: string[] = []
  let isAway = false
  let signedIn: Person | null = null
  const reach = globalThis.fetch
  globalThis.fetch = async (input, init) => {
    // The app asks by address of the page; the tests themselves ask the server at its whole address.
    if (typeof input === 'string' && input.startsWith('http')) return reach(input, init)
    const request = new Request(input, init)
    asked.push(`${request.method} ${new URL(request.url).pathname}`)
    if (signedIn !== null && new URL(request.url).pathname === '/api/session')
      return Response.json({ needed: true, desk: false, paired: true, person: signedIn } satisfies Session)
    if (isAway) throw new TypeError('the server does not answer')
    return reach(request)
  }
  const forget = () => {
    cleanup()
    store.dispatch(api.util.resetApiState())
  }
  return {
    server,
    asked,
    forget,
    visit(path, tablet = 'new') {
      forget()
      if (tablet === 'new') localStorage.clear()
      const router = createMemoryRouter(routes, { initialEntries: [path] })
      render(<RouterProvider router={router} />, { wrapper: InShop })
      return visitor(
        userEvent.setup(),
        () => router.state.location.pathname + router.state.location.search,
        (to) => void router.navigate(to),
      )
    },
    async bundle(jobId) {
      const bundle = jobBundle.parse((await server.get(`/api/jobs/${jobId}`)).body)
      const [part] = bundle.parts
      if (part === undefined) throw new Error('the job has no part')
      return { bundle, part }
    },
    async chooseUnits(units) {
      await server.send('PATCH', '/api/shop', { units })
    },
    signsIn(person) {
      signedIn = person
    },
    away(away) {
      isAway = away
    },
    async close() {
      forget()
      globalThis.fetch = reach
      vi.useRealTimers()
      await server.end()
    },
  }
}

/** What stands around every screen: the store, the shop's units and words. */
export const InShop = ({ children }: { readonly children: ReactNode }) => (
  <Provider store={store}>
    <ShopSettings>{children}</ShopSettings>
  </Provider>
)

const happyDOM = () => (window as typeof window & { happyDOM: { setURL: (url: string) => void } }).happyDOM
