import type { RequestHandler } from 'express'

const pageHeaders = [
  'content-security-policy',
  'cross-origin-opener-policy',
  'origin-agent-cluster',
  'referrer-policy',
  'x-dns-prefetch-control',
  'x-download-options',
  'x-frame-options',
  'x-permitted-cross-domain-policies',
  'x-xss-protection',
]

/** What says what a page may do is of no use on its scripts, styles and typefaces; only a worker is a page of its own in this. */
export const withoutPageHeaders: RequestHandler = (req, res, next) => {
  if (!req.path.includes('.worker-')) for (const header of pageHeaders) res.removeHeader(header)
  next()
}
