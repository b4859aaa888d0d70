import { randomUUID } from 'node:crypto'
import { request } from 'node:https'
import { writeIdHeader } from '@truelay/contract'
import type { DemoServer } from './demoServer.ts'

/** A browser somewhere: it keeps its cookies, and comes from the shop's network or sits at the desk. */
export class NetworkScreen {
  private readonly cookies = new Map<string, string>()

  constructor(
    private readonly demo: DemoServer,
    private readonly at: 'the network' | 'the desk' = 'the network',
  ) {}

  get kept(): readonly string[] {
    return [...this.cookies.keys()]
  }

  async ask(
    method: string,
    path: string,
    body?: unknown,
    // biome-ignore lint/suspicious/noExplicitAny: tests look into answers of every kind
  ): Promise<{ status: number; body: any; setCookies: readonly string[] }> {
    const headers = {
      'content-type': 'application/json',
      [writeIdHeader]: randomUUID(),
      cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
    }
    const sent = body === undefined ? undefined : JSON.stringify(body)
    const answer =
      this.at === 'the desk'
        ? await this.overWire(method, path, headers, sent)
        : await this.overAir(method, path, headers, sent)
    for (const cookie of answer.setCookies) {
      const [, name = '', value = ''] = /^([^=]+)=([^;]*)/.exec(cookie) ?? []
      if (value === '') this.cookies.delete(name)
      else this.cookies.set(name, value)
    }
    return { ...answer, body: answer.text === '' ? null : parsed(answer.text) }
  }

  /** Opens a stream over the network once it is let in; `ended` is done when the server ends it. */
  listens(path: string): Promise<{ readonly ended: Promise<void> }> {
    const { network } = this.demo
    if (network === null) throw new Error('the server is not on the network')
    const cookie = [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ')
    return new Promise((resolve, reject) => {
      const asked = request(
        { host: '127.0.0.1', port: network.port, ca: network.certificate, path, headers: { cookie } },
        (res) => {
          res.resume()
          resolve({ ended: new Promise((end) => res.on('end', end)) })
        },
      )
      asked.on('error', reject)
      asked.end()
    })
  }

  private async overWire(method: string, path: string, headers: Record<string, string>, body: string | undefined) {
    const res = await fetch(this.demo.address(path), { method, headers, ...(body === undefined ? {} : { body }) })
    return { status: res.status, text: await res.text(), setCookies: res.headers.getSetCookie() }
  }

  private overAir(method: string, path: string, headers: Record<string, string>, body: string | undefined) {
    const { network } = this.demo
    if (network === null) throw new Error('the server is not on the network')
    return new Promise<{ status: number; text: string; setCookies: readonly string[] }>((resolve, reject) => {
      const asked = request(
        { host: '127.0.0.1', port: network.port, ca: network.certificate, method, path, headers },
        (res) => {
          let text = ''
          res.on('data', (chunk) => {
            text += chunk
            // What streams has let this screen in.
            if (res.headers['content-type']?.startsWith('text/event-stream')) res.destroy()
          })
          res.on('close', () =>
            resolve({ status: res.statusCode ?? 0, text, setCookies: res.headers['set-cookie'] ?? [] }),
          )
        },
      )
      asked.on('error', reject)
      asked.end(body)
    })
  }
}

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    return text
  }
}
