// npm run demo: installs, builds and serves the application with the demo data on one local address.
import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { build, install } from './fresh.mjs'

const FIRST_PORT = Number(process.env.PORT ?? 4620)

/** The first port from `port` on that nothing listens on. */
function freePort(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(freePort(port + 1)))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(port)))
  })
}

install()
build()
const port = await freePort(FIRST_PORT)
const server = spawn(process.execPath, ['.output/server/index.mjs'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: {
    ...process.env,
    HOST: '127.0.0.1',
    NITRO_HOST: '127.0.0.1',
    PORT: String(port),
    NITRO_PORT: String(port),
    NUXT_PUBLIC_DEMO: 'true',
  },
})
server.on('exit', (code) => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))

const address = `http://127.0.0.1:${port}/`
for (let attempt = 0; attempt < 100; attempt++) {
  const answers = await fetch(`${address}api/health`).then(
    (response) => response.ok,
    () => false,
  )
  if (answers) break
  await new Promise((resolve) => setTimeout(resolve, 100))
}
console.log(`\n  Lurvan with its demo build: ${address}\n  Stop with Ctrl C.\n`)
