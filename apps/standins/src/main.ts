import { createStandIns } from './app.ts'

const port = Number(process.env.STANDINS_PORT ?? 4610)
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  process.stderr.write(`STANDINS_PORT ${process.env.STANDINS_PORT}: must be a whole number from 1 to 65535\n`)
  process.exit(2)
}

createStandIns().listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    process.stderr.write(
      `Stand-in devices: port ${port} cannot be used (${error.message}). Set STANDINS_PORT to a free one.\n`,
    )
    process.exit(1)
  }
  process.stderr.write(`Stand-in devices (room sensor, thermometer, forecast, plotter): http://localhost:${port}\n`)
})

// Started beside a server, they end with it, however it ends.
if (process.argv.includes('--with-parent')) {
  const parent = process.ppid
  setInterval(() => {
    if (process.ppid !== parent) process.exit(0)
  }, 500).unref()
}
