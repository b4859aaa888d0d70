import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/barlow-semi-condensed/500.css'
import '@fontsource/barlow-semi-condensed/600.css'
import './styles.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './app/App.tsx'
import { newerFound } from './remote/reachSlice.ts'
import { store } from './store/store.ts'

const root = document.getElementById('root')
if (root === null) throw new Error('the page has no root')
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
)

/** Once the first screen stands: the app is kept for times without the server. */
const keptAfterMs = 2500
window.addEventListener('load', () => {
  setTimeout(async () => {
    const { keepApp } = await import('./remote/keepApp.ts')
    await keepApp(() => store.dispatch(newerFound()))
  }, keptAfterMs)
})
