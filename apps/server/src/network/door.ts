import { say } from '@truelay/core/say'
import { english } from '@truelay/words'
import express, { type Express } from 'express'
import helmet from 'helmet'

interface DoorParts {
  /** The authority's certificate, PEM. */
  readonly certificate: string
  readonly fingerprint: string
  /** Where the app itself answers. */
  readonly appAt: () => readonly string[]
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
const paragraph = (text: string) => `<p>${escaped(text)}</p>`

/** What a tablet gets before it knows the server: the certificate, how to install it, and where to go on. Nothing of the shop. */
export function doorApp({ certificate, fingerprint, appAt }: DoorParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: { directives: { 'upgrade-insecure-requests': null } },
    }),
  )
  app.get('/true-lay.crt', (_req, res) => {
    res.type('application/x-x509-ca-cert').attachment('true-lay.crt').send(certificate)
  })
  app.get('/', (_req, res) => {
    const links = appAt()
      .map((address) => `<li><a href="${escaped(address)}">${escaped(address)}</a></li>`)
      .join('')
    const steps = [
      say`Load the certificate, and compare what the tablet says of it with what the desk shows.`,
      say`Android: Settings, Security, Encryption and credentials, Install a certificate, CA certificate.`,
      say`iPad: open the loaded profile in Settings and install it; then General, About, Certificate trust settings: switch it on.`,
      say`Windows: open the file, Install certificate, This computer, Trusted root certification authorities.`,
    ]
    res.type('html').send(
      `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>True Lay</title><style>body{font:1.125rem/1.5 system-ui,sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;color:#1c2b2f;background:#f4f1ea}
h1{font-size:1.6rem}a{color:#0b5563}a.load{display:inline-block;padding:.7rem 1.2rem;background:#0b5563;color:#fff;border-radius:.5rem;text-decoration:none}code{word-break:break-word}</style>
<main><h1>${escaped(english(say`A tablet for the shop`))}</h1>
${paragraph(english(say`The certificate tells this tablet that it talks to the shop’s own server. It is good for private networks only. Without it the app runs too, after a warning, but not while the server is away.`))}
<p><a class="load" href="/true-lay.crt">${escaped(english(say`Load the certificate`))}</a></p>
<p><code>${escaped(fingerprint)}</code></p>
<ol>${steps.map((step) => `<li>${escaped(english(step))}</li>`).join('')}</ol>
${paragraph(english(say`Then open the app, with the code from the desk:`))}<ul>${links}</ul></main></html>`,
    )
  })
  app.use((_req, res) => {
    res.status(404).type('text').send(english(say`There is nothing here.`))
  })
  return app
}
