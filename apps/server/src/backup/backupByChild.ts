import { execFile } from 'node:child_process'
import { promisify } from 'node:util'

const run = promisify(execFile)

/** Writes a backup in a process of its own, as copying and packing a large shop would hold up every tablet. */
export async function backupByChild(file: string): Promise<void> {
  const [, program = ''] = process.argv
  await run(process.execPath, [...process.execArgv, program, '--backup', file])
}
