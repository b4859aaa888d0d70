import bars from '../../../../../../demo/photographs/bars.json'

const pictures = import.meta.glob<string>('../../../../../../demo/photographs/*.jpg', {
  query: '?url',
  import: 'default',
  eager: true,
})

/** One of them, to show how targets, plate and bars lie. */
export const practicePicture = Object.entries(pictures).find(([path]) => path.endsWith('-03.jpg'))?.[1]

/** Lengths of the bars that are in them, mm. */
export const practiceBarsMm: readonly [number, number] = [bars.barsMm[0] ?? 0, bars.barsMm[1] ?? 0]

/** Twelve drawn photographs of a headlamp, to see how it goes; null where one cannot be had. */
export async function practicePhotos(): Promise<readonly File[] | null> {
  const files = await Promise.all(
    Object.entries(pictures)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(async ([path, url]) => {
        const answer = await fetch(url).catch(() => null)
        return answer?.ok === true ? new File([await answer.blob()], path.slice(path.lastIndexOf('/') + 1)) : null
      }),
  )
  return files.every((file) => file !== null) ? files : null
}
