import {
  bestMorning,
  type ExerciseLevel,
  type Given,
  makeWhat,
  type MorningTask,
  type WhatTask,
} from '@truelay/core/exercises'
import type { Practice } from '@truelay/core/practice'
import { expose } from 'comlink'

/** Carries messages; the work is done by the core. */
const exerciseWorker = {
  what: (seed: number, level: ExerciseLevel, practice: Practice): WhatTask => makeWhat(seed, level, practice),
  morning: (task: MorningTask): Given[] => bestMorning(task, () => performance.now()),
}

export type ExerciseWorker = typeof exerciseWorker
expose(exerciseWorker)
