import 'fake-indexeddb/auto'
import { configure } from '@testing-library/react'
import { vi } from 'vitest'

// A machine that is held up for a while is waited for; a screen that is not there is told in one line, not as the whole page.
configure({ asyncUtilTimeout: 60_000, getElementError: (message) => new Error(message?.split('\n')[0]) })

/** A test reads only the code that it uses, and none after it has ended. */
vi.mock('../app/readAhead.ts', () => ({ readLaySheetAhead: () => {} }))

/** Without a graphics card nothing is drawn in space; what would be drawn there is told by its figures. */
vi.mock('../drawings/PartView3D.tsx', () => ({
  PartView3D: ({ anchors, pulls, full }: { anchors: readonly unknown[]; pulls: readonly unknown[]; full: number }) => (
    <p data-testid="part-in-space">{`${anchors.length} anchors, ${pulls.length} pulls, scale ${full.toFixed(4)}`}</p>
  ),
}))
