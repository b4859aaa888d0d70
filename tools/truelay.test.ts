import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'

const root = fileURLToPath(new URL('..', import.meta.url))

/** What the one command says on a machine that names certificates of its own, where there are none. */
const truelay = (words: readonly string[], input = '') =>
  spawnSync('bash', ['truelay', ...words], {
    cwd: root,
    input,
    encoding: 'utf8',
    env: { ...process.env, NODE_EXTRA_CA_CERTS: '/nowhere/certificates.pem' },
  })

describe('the one command', () => {
  test('starts the computations without the certificates that only what fetches needs', () => {
    const { status, stdout, stderr } = truelay(
      ['cli', 'light', '-'],
      JSON.stringify({ layers: [{ transmission: 0.8 }, { transmission: 0.5 }] }),
    )
    expect(stderr).not.toContain('/nowhere')
    expect({ status, outputRatio: JSON.parse(stdout).outputRatio }).toEqual({ status: 0, outputRatio: 0.4 })
  })
  test('tells bad input of a computation, and nothing beside it', () => {
    const { status, stdout, stderr } = truelay(['cli', 'light', 'no-such-file.json'])
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' })
    expect(stderr).not.toContain('/nowhere')
    expect(stderr).toMatch(/no-such-file\.json: cannot be read; check the name of the file\n$/)
  })
  test('names its commands where one is not known', () => {
    const { status, stderr } = truelay(['lay'])
    expect(status).toBe(2)
    for (const command of ['demo', 'start', 'test', 'bench', 'cli']) expect(stderr).toContain(command)
  })
})
