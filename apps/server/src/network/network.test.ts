import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer, get } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { X509Certificate } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { fromElsewhere, ownAddresses } from './addresses.ts'
import { authorityIn, certificateFor } from './authority.ts'
import { doorApp } from './door.ts'

const now = new Date()
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-tls-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** What a client that trusts the authority alone gets of a server with a certificate: its answer, or why not. */
async function asked(certificate: { key: string; cert: string }, ca: string): Promise<string> {
  const server = createServer(certificate, (_req, res) => res.end('here'))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  const answer = await new Promise<string>((resolve) => {
    get({ host: '127.0.0.1', port, ca }, (res) => {
      res.resume()
      resolve(`${res.statusCode}`)
    }).on('error', (error) => resolve(error.message))
  })
  server.close()
  return answer
}

describe('the shop’s own authority', () => {
  test('is made once, its key readable by nobody else, and kept over starts', async () => {
    const first = await authorityIn(join(folder, 'tls'), now)
    const again = await authorityIn(join(folder, 'tls'), now)
    expect(again.fingerprint).toBe(first.fingerprint)
    expect(first.fingerprint.replace(/ /g, ':')).toBe(new X509Certificate(first.pem).fingerprint256)
    expect(statSync(join(folder, 'tls', 'authority-key.pem')).mode & 0o077).toBe(0)
    expect(readFileSync(join(folder, 'tls', 'authority.pem'), 'utf8')).toBe(first.pem)
  })
  test('is believed for the server’s own addresses', async () => {
    const authority = await authorityIn(folder, now)
    const certificate = await certificateFor(authority, { names: ['bench.local'], ips: ['127.0.0.1'] }, now)
    expect(await asked(certificate, authority.pem)).toBe('200')
    const other = await authorityIn(join(folder, 'other'), now)
    expect(await asked(certificate, other.pem)).not.toBe('200')
  })
  test.each([
    ['an address of the internet', { names: [], ips: ['127.0.0.1', '203.0.113.9'] }],
    ['a name of the internet', { names: ['shop.example'], ips: ['127.0.0.1'] }],
  ])('is not believed for %s, even where it signs', async (_, addresses) => {
    const authority = await authorityIn(folder, now)
    expect(await asked(await certificateFor(authority, addresses, now), authority.pem)).toMatch(/permitted subtree/)
  })
  test('signs for no longer than browsers take, and for nothing but servers', async () => {
    const { cert } = await certificateFor(await authorityIn(folder, now), ownAddresses(), now)
    const read = new X509Certificate(cert)
    const days = (new Date(read.validTo).getTime() - new Date(read.validFrom).getTime()) / 86_400_000
    expect(days).toBeGreaterThan(300)
    expect(days).toBeLessThan(399)
    expect(read.ca).toBe(false)
  })
  test('the machine’s own addresses are private ones; the loopback is for itself', () => {
    const own = ownAddresses()
    expect(own.ips).toContain('127.0.0.1')
    for (const at of fromElsewhere(own)) expect(at).not.toMatch(/^127\.|^localhost$/)
  })
})

describe('the door for tablets without the certificate', () => {
  test('hands out the certificate and the way in, and nothing else', async () => {
    const { pem, fingerprint } = await authorityIn(folder, now)
    const app = doorApp({ certificate: pem, fingerprint, appAt: () => ['https://192.168.7.2:4643'] })
    const server = app.listen(0, '127.0.0.1')
    await new Promise((resolve) => server.once('listening', resolve))
    const at = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    const page = await (await fetch(`${at}/`)).text()
    expect(page).toContain('https://192.168.7.2:4643')
    expect(page).toContain(fingerprint)
    const file = await fetch(`${at}/true-lay.crt`)
    expect(file.headers.get('content-type')).toContain('x-x509-ca-cert')
    expect(await file.text()).toBe(pem)
    for (const path of ['/api/shop', '/api/session', '/index.html', '/assets/x.js'])
      expect((await fetch(at + path)).status, path).toBe(404)
    server.close()
  })
})
