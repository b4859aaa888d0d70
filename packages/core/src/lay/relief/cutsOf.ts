import { done, type Result } from '../../result/index.ts'
import type { LayInput } from '../layPart.ts'
import { setStage, stageTriangles } from '../rehearsal/setStage.ts'
import { type ReliefAdvice, reliefCuts } from './reliefCuts.ts'
import { type SplitLine, splitPart } from './splitPart.ts'

/** What cuts would save, and where the part would be split if they are not enough. */
export interface CutsAdvice {
  readonly advice: ReliefAdvice
  readonly splits: readonly SplitLine[]
}

const mostSplits = 3

/** Whether cuts would keep the stretch below a limit, on a coarse form; a split where they would not. Can be refused: what `setStage` finds. */
export function cutsOf(
  { form, film }: Pick<LayInput, 'form' | 'film'>,
  limit: number,
  onProgress?: (share: number) => void,
): Result<CutsAdvice> {
  const stage = setStage(form, film, stageTriangles.coarse)
  if (!stage.ok) return stage
  const advice = reliefCuts(stage.value, limit, onProgress)
  return done({ advice, splits: advice.enough ? [] : splitPart(stage.value).slice(0, mostSplits) })
}
