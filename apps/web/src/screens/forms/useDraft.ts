import { useCallback, useMemo, useReducer } from 'react'

interface History<T> {
  readonly now: T
  readonly past: readonly T[]
  readonly future: readonly T[]
}
type Step<T> = { readonly kind: 'change' | 'drag'; readonly to: (now: T) => T } | { readonly kind: 'undo' | 'redo' }

const mostSteps = 200

/** A document that is being changed, with every step back to its beginning. A drag counts as one step. */
export function useDraft<T>(first: T) {
  const [history, step] = useReducer(
    (h: History<T> & { readonly held?: T }, action: Step<T>) => {
      switch (action.kind) {
        case 'drag':
          return { ...h, now: action.to(h.now), held: h.held ?? h.now }
        case 'change': {
          const before = h.held ?? h.now
          return { now: action.to(h.now), past: [...h.past, before].slice(-mostSteps), future: [] }
        }
        case 'undo': {
          const last = h.past[h.past.length - 1]
          return last === undefined ? h : { now: last, past: h.past.slice(0, -1), future: [h.now, ...h.future] }
        }
        case 'redo': {
          const [next, ...rest] = h.future
          return next === undefined ? h : { now: next, past: [...h.past, h.now], future: rest }
        }
      }
    },
    { now: first, past: [], future: [] },
  )
  const change = useCallback((to: (now: T) => T) => step({ kind: 'change', to }), [])
  const drag = useCallback((to: (now: T) => T) => step({ kind: 'drag', to }), [])
  const undo = useCallback(() => step({ kind: 'undo' }), [])
  const redo = useCallback(() => step({ kind: 'redo' }), [])
  return useMemo(
    () => ({
      now: history.now,
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
      change,
      drag,
      undo,
      redo,
    }),
    [history, change, drag, undo, redo],
  )
}
