import { useMemo } from 'react'
import { Link, NavLink, useNavigate, useParams, useSearchParams } from 'react-router'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { guideHtml, guideTitle } from './guideText.ts'
import { type GuidePage, guidePages } from './guidePages.ts'

/** The guide for installers, by task, with the way back to where one was. */
export function GuideScreen() {
  const t = useWords()
  const navigate = useNavigate()
  const { page: asked } = useParams()
  const [search] = useSearchParams()
  const page: GuidePage = guidePages.find((one) => one === asked) ?? 'open-the-shop'
  const html = useMemo(() => guideHtml(page).replace(/^<h1>.*<\/h1>/, ''), [page])
  const from = search.get('from')
  // Only an address of this app.
  const back = from !== null && /^\/(?!\/)/.test(from) ? from : null
  return (
    <div className="mx-auto grid max-w-[70rem] gap-x-10 px-7 py-6 lg:grid-cols-[15rem_1fr]">
      <nav aria-label={t`Pages of the guide`} className="no-print mb-5">
        {back === null ? null : (
          <Link
            to={back}
            className="label-strong mb-3 inline-flex min-h-11 items-center text-body text-petrol underline underline-offset-4"
          >{t`Back to where you were`}</Link>
        )}
        <ul className="flex flex-wrap gap-x-4 lg:block">
          {guidePages.map((one) => (
            <li key={one}>
              <NavLink
                to={`/guide/${one}${back === null ? '' : `?from=${encodeURIComponent(back)}`}`}
                className={({ isActive }) =>
                  `label inline-flex min-h-11 items-center text-body ${isActive ? 'text-ink' : 'text-petrol'}`
                }
              >
                {guideTitle(one)}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <article>
        <Title look="far">{guideTitle(page)}</Title>
        {/* biome-ignore lint/a11y/useKeyWithClickEvents: a link that is followed by keys is clicked by the browser */}
        {/* biome-ignore lint/a11y/noStaticElementInteractions: the links within are what is pressed */}
        <div
          className="guide mt-4 max-w-[44rem] text-lead leading-snug"
          // biome-ignore lint/security/noDangerouslySetInnerHtml: the guide is a part of the app
          dangerouslySetInnerHTML={{ __html: html }}
          onClick={(event) => {
            const link = event.target instanceof HTMLElement ? event.target.closest('a') : null
            const path = link?.getAttribute('href')
            if (path === null || path === undefined || !path.startsWith('/')) return
            event.preventDefault()
            void navigate(path)
          }}
        />
      </article>
    </div>
  )
}
