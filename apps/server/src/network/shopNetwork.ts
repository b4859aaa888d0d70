import { createServer as createPlain, type Server } from 'node:http'
import { createServer } from 'node:https'
import type { Express } from 'express'
import { differenceInDays } from 'date-fns'
import { ownAddresses, fromElsewhere, type Addresses } from './addresses.ts'
import { type Authority, authorityIn, certificateFor, renewDays } from './authority.ts'
import { doorApp } from './door.ts'

export interface Ports {
  /** Of the app, packed with TLS. */
  readonly app: number
  /** Of the page with the certificate, plain. */
  readonly door: number
  /** The address to listen on; all of the machine's by default. */
  readonly host: string
}

/** Where the shop's network finds the server. */
export class ShopNetwork {
  private now: Addresses = ownAddresses()

  private constructor(
    private readonly authority: Authority,
    private readonly ports: Ports,
  ) {}

  /** With the shop's own authority, which lies in a folder; no backup holds it. */
  static async of(folder: string, ports: Ports): Promise<ShopNetwork> {
    return new ShopNetwork(await authorityIn(folder, new Date()), ports)
  }

  get fingerprint(): string {
    return this.authority.fingerprint
  }
  names = (): readonly string[] => [...this.now.names, ...this.now.ips]
  addresses = (): readonly string[] => fromElsewhere(this.now).map((at) => `https://${at}:${this.ports.app}`)
  certificateAt = (): readonly string[] => fromElsewhere(this.now).map((at) => `http://${at}:${this.ports.door}`)

  /** Opens both ports; each hour the certificate is looked after. */
  async open(app: Express, look: (say: string) => void): Promise<Server[]> {
    let certificate = await certificateFor(this.authority, this.now, new Date())
    const server = createServer({ key: certificate.key, cert: certificate.cert, minVersion: 'TLSv1.2' }, app)
    const door = createPlain(
      doorApp({ certificate: this.authority.pem, fingerprint: this.fingerprint, appAt: this.addresses }),
    )
    const renew = async () => {
      const found = ownAddresses()
      const same = JSON.stringify(found) === JSON.stringify(this.now)
      if (same && differenceInDays(certificate.until, new Date()) > renewDays) return
      this.now = found
      certificate = await certificateFor(this.authority, found, new Date())
      server.setSecureContext({ key: certificate.key, cert: certificate.cert })
      look('certificate made anew')
    }
    setInterval(() => void renew().catch((error: unknown) => look(`certificate: ${String(error)}`)), 3600_000).unref()
    await listening(server, this.ports.app, this.ports.host)
    await listening(door, this.ports.door, this.ports.host)
    return [server as unknown as Server, door]
  }
}

const listening = (server: { listen: Server['listen']; once: Server['once'] }, port: number, host: string) =>
  new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => resolve())
  })
