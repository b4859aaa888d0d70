import { Readable } from 'node:stream'
import { stringify } from 'csv-stringify/sync'
import { sql } from 'drizzle-orm'
import yazl from 'yazl'
import type { Database } from '../database/openDatabase.ts'

/** So many rows are in hand at once. */
const rowsAtOnce = 500

/** What was answered to whom is of no use elsewhere. */
const left = (table: string) => table === 'writes' || table.startsWith('sqlite_') || table.startsWith('__')

type Row = Readonly<Record<string, string | number | null>>

/**
 * All that the shop keeps, to be read by other programs: each table once as JSON, its documents as such, and once as CSV. Rows are read as the
 * zip goes out, so that a large shop needs no more memory than a small one.
 */
export async function exportAll({ read }: Pick<Database, 'read'>): Promise<NodeJS.ReadableStream> {
  const zip = new yazl.ZipFile()
  const tables = await read.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' order by name`,
  )
  for (const { name } of tables.filter(({ name }) => !left(name))) {
    zip.addReadStreamLazy(`${name}.json`, (give) => give(null, Readable.from(asJson(rowsOf(read, name)))))
    zip.addReadStreamLazy(`${name}.csv`, (give) => give(null, Readable.from(asCsv(rowsOf(read, name)))))
  }
  zip.end()
  return zip.outputStream
}

async function* rowsOf(read: Database['read'], table: string): AsyncGenerator<Row[]> {
  let after = -1
  for (;;) {
    const page = await read.all<Row>(
      sql`select rowid as "rowid_", * from ${sql.identifier(table)} where rowid > ${after} order by rowid limit ${rowsAtOnce}`,
    )
    const last = page[page.length - 1]
    if (last === undefined) return
    after = Number(last.rowid_)
    yield page.map(({ rowid_, ...row }) => row)
  }
}

async function* asJson(pages: AsyncIterable<Row[]>): AsyncGenerator<string> {
  let before = '[\n'
  for await (const page of pages) {
    yield before + page.map((row) => JSON.stringify(opened(row))).join(',\n')
    before = ',\n'
  }
  yield before === '[\n' ? '[]\n' : '\n]\n'
}

async function* asCsv(pages: AsyncIterable<Row[]>): AsyncGenerator<string> {
  let header = true
  for await (const page of pages) {
    // What begins like a formula is none: tables of other programs would work it out.
    yield stringify(page, { header, escape_formulas: true })
    header = false
  }
}

/** A row with its documents as documents. */
const opened = (row: Row): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    Object.entries(row).map(([column, value]) => [column, typeof value === 'string' ? document(value) : value]),
  )

function document(text: string): unknown {
  if (!/^[[{]/.test(text)) return text
  try {
    return JSON.parse(text)
  } catch {
    return text
  }
}
