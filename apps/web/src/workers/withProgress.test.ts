import { expect, test } from 'vitest'
import { withProgress } from './withProgress.ts'

test('news that comes after the answer is dropped, also after a failure', async () => {
  const heard: number[] = []
  let late: (share: number) => void = () => {}
  const answer = await withProgress<number, string>(
    (share) => heard.push(share),
    async (onNews) => {
      late = onNews
      onNews(0.5)
      return 'done'
    },
  )
  late(0.9)
  expect(answer).toBe('done')
  await expect(
    withProgress<number, string>(
      (share) => heard.push(share),
      async (onNews) => {
        late = onNews
        throw new RangeError('lost')
      },
    ),
  ).rejects.toThrow('lost')
  late(0.7)
  expect(heard).toEqual([0.5])
})
