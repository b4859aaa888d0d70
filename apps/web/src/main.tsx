import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/barlow-semi-condensed/500.css'
import '@fontsource/barlow-semi-condensed/600.css'
import './styles.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './app/App.tsx'

const root = document.getElementById('root')
if (root === null) throw new Error('the page has no root')
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
