import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where a server works, and how. */
export interface Settings {
  readonly port: number
  /** Where tablets reach it, if it is opened to the network. */
  readonly network: { readonly app: number; readonly door: number; readonly host: string }
  /** All that the shop keeps. */
  readonly folder: string
  /** Where backups are put; best on another disk. */
  readonly backups: string
  readonly migrations: string
  /** Of the demo shop, as open files. */
  readonly demo: string
  /** The built web app. */
  readonly web: string
  readonly logLevel: string
  /** Where stand-in devices answer. */
  readonly standIns: string | null
  /** Whether a plan of the day is reckoned: seconds of the processor after a change. */
  readonly plansDay: boolean
}

/** Reads the settings from the environment; the app's own files lie beside this one. */
export function readSettings(env: NodeJS.ProcessEnv): Settings | { readonly wrong: string } {
  const here = dirname(fileURLToPath(import.meta.url))
  const root = resolve(here, '../../..')
  const ports = {
    PORT: Number(env.PORT ?? 4600),
    TRUELAY_NETWORK_PORT: Number(env.TRUELAY_NETWORK_PORT ?? 4643),
    TRUELAY_DOOR_PORT: Number(env.TRUELAY_DOOR_PORT ?? 4680),
  }
  const wrong = Object.entries(ports).find(([, port]) => !Number.isInteger(port) || port < 1 || port > 65535)
  if (wrong !== undefined) return { wrong: `${wrong[0]} ${env[wrong[0]]}: must be a whole number from 1 to 65535` }
  const folder = resolve(env.TRUELAY_DATA ?? join(root, 'data/shop'))
  return {
    port: ports.PORT,
    network: {
      app: ports.TRUELAY_NETWORK_PORT,
      door: ports.TRUELAY_DOOR_PORT,
      host: env.TRUELAY_NETWORK_HOST ?? '0.0.0.0',
    },
    folder,
    backups: resolve(env.TRUELAY_BACKUPS ?? join(folder, 'backups')),
    migrations: join(here, '../migrations'),
    demo: join(root, 'demo'),
    web: join(root, 'apps/web/dist'),
    logLevel: env.TRUELAY_LOG ?? 'info',
    standIns: env.TRUELAY_STANDINS ?? null,
    plansDay: env.TRUELAY_PLAN_DAY !== 'no',
  }
}
