import { parse } from 'csv-parse/sync'
import yauzl from 'yauzl'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

/** What a zip holds, by name. */
async function opened(bytes: Buffer): Promise<Map<string, string>> {
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, file) => (error ? reject(error) : resolve(file)))
  })
  const files = new Map<string, string>()
  await new Promise<void>((resolve, reject) => {
    zip.on('end', resolve)
    zip.on('error', reject)
    zip.on('entry', (entry: yauzl.Entry) => {
      zip.openReadStream(entry, (error, stream) => {
        if (error) return reject(error)
        const parts: Buffer[] = []
        stream.on('data', (part: Buffer) => parts.push(part))
        stream.on('end', () => {
          files.set(entry.fileName, Buffer.concat(parts).toString('utf8'))
          zip.readEntry()
        })
      })
    })
    zip.readEntry()
  })
  return files
}

const save = async () => opened(Buffer.from(await (await fetch(demo.address('/api/export.zip'))).arrayBuffer()))

test('everything that is kept goes out, each table once as JSON and once as CSV', async () => {
  await demo.send('PATCH', '/api/jobs/0412', { customer: 'Ferry "line", quay;\n3' })
  const files = await save()
  for (const [table, rows] of (await demo.everything()) as [string, Record<string, unknown>[]][]) {
    if (table === 'writes') continue
    const json = JSON.parse(files.get(`${table}.json`) ?? '')
    expect(json, table).toHaveLength(rows.length)
    const csv = parse(files.get(`${table}.csv`) ?? '', { columns: true })
    expect(csv, table).toHaveLength(rows.length)
  }
  const job = JSON.parse(files.get('jobs.json') ?? '').find((j: { id: string }) => j.id === '0412')
  expect(job.customer).toBe('Ferry "line", quay;\n3')
  const rows: Record<string, string>[] = parse(files.get('jobs.csv') ?? '', { columns: true })
  expect(rows.find((row) => row.id === '0412')?.customer).toBe('Ferry "line", quay;\n3')
})

test('documents go out as such; what was answered to tablets does not', async () => {
  const files = await save()
  const [film] = JSON.parse(files.get('films.json') ?? '')
  expect(film.document.doc.handling.take).toBeGreaterThan(0)
  expect([...files.keys()].some((name) => /writes|sqlite|drizzle/.test(name))).toBe(false)
})

test('a name that begins like a formula is not worked out by another program', async () => {
  await demo.send('PATCH', '/api/jobs/0412', { customer: '=HYPERLINK("http://x")' })
  const rows: Record<string, string>[] = parse((await save()).get('jobs.csv') ?? '', { columns: true })
  expect(rows.find((row) => row.id === '0412')?.customer).toBe('\'=HYPERLINK("http://x")')
})
