import 'fake-indexeddb/auto'
import type { UnitChoice } from '@truelay/core/units'
import { cleanup, configure, render } from '@testing-library/react'
import { userEvent } from '@testing-library/user-event'
import { Provider } from 'react-redux'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { vi } from 'vitest'
import { DemoServer, noon } from '../../../server/src/testing/demoServer.ts'
import { ShopSettings } from '../app/ShopSettings.tsx'
import { routes } from '../app/router.tsx'
import { api } from '../remote/api.ts'
import { store } from '../store/store.ts'
import { ThreadWorker } from './threadWorker.ts'

// A screen that is not there is told in one line, not as the whole page.
configure({ asyncUtilTimeout: 10_000, getElementError: (message) => new Error(message?.split('\n')[0]) })

/** The demo shop behind its real server, and the app on it, without a browser: what needs no drawing in space and no worker. */
export interface OpenShop {
  readonly server: DemoServer
  /** Opens the app at an address, as somebody who has just come in. */
  readonly visit: (path: string) => {
    readonly user: ReturnType<typeof userEvent.setup>
    readonly address: () => string
  }
  readonly chooseUnits: (units: UnitChoice) => Promise<void>
  readonly close: () => Promise<void>
}

export async function openShop(): Promise<OpenShop> {
  const server = await new DemoServer().start()
  happyDOM().setURL(server.address('/'))
  vi.useFakeTimers({ toFake: ['Date'], now: noon, shouldAdvanceTime: true })
  Object.assign(globalThis, { Worker: ThreadWorker })
  return {
    server,
    visit(path) {
      cleanup()
      store.dispatch(api.util.resetApiState())
      const router = createMemoryRouter(routes, { initialEntries: [path] })
      render(
        <Provider store={store}>
          <ShopSettings>
            <RouterProvider router={router} />
          </ShopSettings>
        </Provider>,
      )
      return { user: userEvent.setup(), address: () => router.state.location.pathname + router.state.location.search }
    },
    async chooseUnits(units) {
      await server.send('PATCH', '/api/shop', { units })
    },
    async close() {
      cleanup()
      store.dispatch(api.util.resetApiState())
      await server.end()
      vi.useRealTimers()
    },
  }
}

const happyDOM = () => (window as typeof window & { happyDOM: { setURL: (url: string) => void } }).happyDOM
