import { type ExerciseLevel, makeWhat, type WhatTask } from '@truelay/core/exercises'
import type { Practice } from '@truelay/core/practice'
import { expose } from 'comlink'

/** Carries messages; the work is done by the core. */
const exerciseWorker = {
  what: (seed: number, level: ExerciseLevel, practice: Practice): WhatTask => makeWhat(seed, level, practice),
}

export type ExerciseWorker = typeof exerciseWorker
expose(exerciseWorker)
