import type { CountedRoll, RollId, RollNote } from '@truelay/contract'
import { filmLength, length, say, type Sentence } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { addRollLine, countedRoll, readRoll, readRollLines } from './queries.ts'

/** Writes down what a person says of a roll, unless it cannot be; answers with what the roll has then. */
export const noteOnRoll = (database: Database, id: RollId, note: RollNote): Promise<CountedRoll> =>
  database.write(async (_db, within) => {
    const roll = await readRoll(within, id)
    const before = await readRollLines(within, id)
    const wrong = before.some((line) => line.id === note.id)
      ? null
      : problemOf(countedRoll(roll, before), note.happened)
    if (wrong !== null)
      throw new Refused({
        code: 'ROLL_NOTE_IMPOSSIBLE',
        sentence: wrong,
        fix: say`Look at the roll; nothing was changed.`,
      })
    await addRollLine(within, { ...note, rollId: id, jobId: null, sheets: [] })
    return countedRoll(roll, await readRollLines(within, id))
  })

/** Why that cannot be so of the roll as it stands; null where it can. */
function problemOf({ roll, account }: CountedRoll, happened: RollNote['happened']): Sentence | null {
  switch (happened.kind) {
    case 'spoilt':
      return happened.toMm > account.leftMm
        ? say`The roll has ${filmLength(account.leftMm)} left: nothing can be spoilt ${filmLength(happened.toMm)} from its end.`
        : null
    case 'measured':
      return happened.leftMm > roll.lengthMm
        ? say`The roll came with ${filmLength(roll.lengthMm)}: it cannot have ${filmLength(happened.leftMm)} left.`
        : null
    case 'offcut kept':
      return happened.widthMm > roll.widthMm
        ? say`The roll is ${length(roll.widthMm, 0)} wide: no offcut of it is ${length(happened.widthMm, 0)}.`
        : null
    case 'offcut gone':
      return account.offcuts.some(({ offcutId }) => offcutId === happened.offcutId)
        ? null
        : say`That offcut is not there any more.`
    case 'gone':
      return account.gone ? say`The roll is gone already.` : null
    case 'back':
      return account.gone ? null : say`The roll is not gone.`
    case 'cut':
      return say`A cut is written down by the job that it is for.`
  }
}
