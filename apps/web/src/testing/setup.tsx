import 'fake-indexeddb/auto'
import { vi } from 'vitest'

/** Without a graphics card nothing is drawn in space; what would be drawn there is told by its figures. */
vi.mock('../drawings/PartView3D.tsx', () => ({
  PartView3D: ({ anchors, pulls, full }: { anchors: readonly unknown[]; pulls: readonly unknown[]; full: number }) => (
    <p data-testid="part-in-space">{`${anchors.length} anchors, ${pulls.length} pulls, scale ${full.toFixed(4)}`}</p>
  ),
}))
