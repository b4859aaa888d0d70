/** The step that is shown when a rehearsal of so many steps is played to a share; 0 = nothing lies yet. */
export const stepAt = (steps: number, share: number): number => Math.round(Math.min(1, Math.max(0, share)) * steps)
