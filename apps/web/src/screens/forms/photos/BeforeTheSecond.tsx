import type { ReactNode } from 'react'
import { useWords } from '../../../ui/words.ts'
import { practicePicture } from './practicePhotos.ts'

/** What it looks like when everything is in place; with what happens next. */
export function BeforeTheSecond({ children }: { readonly children: ReactNode }) {
  const t = useWords()
  return (
    <div className="flex h-full flex-col gap-3">
      <p className="text-lead">{children}</p>
      <figure className="min-h-0 flex-1">
        <img
          src={practicePicture}
          alt={t`A headlamp with targets all over it, the start plate in front of it and a bar on each of two sides`}
          className="max-h-[30rem] w-full object-contain object-left-top"
        />
        <figcaption className="mt-1 text-body text-quiet">{t`Targets on the part, the start plate and two bars beside it: everything lies still until the last photograph is taken.`}</figcaption>
      </figure>
    </div>
  )
}
