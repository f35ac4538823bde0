// The built application served by its own server, as a child of a script.
import { spawn } from 'node:child_process'
import { connect, createServer } from 'node:net'

/** The first port from `port` on that nothing listens on. */
export function freePort(port, host) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(freePort(port + 1, host)))
    probe.listen(port, host, () => probe.close(() => resolve(port)))
  })
}

/** Whether something listens; it need not answer. */
const listens = (host, port) =>
  new Promise((resolve) => {
    const probe = connect(port, host, () => {
      probe.destroy()
      resolve(true)
    })
    probe.on('error', () => resolve(false))
  })

async function until(host, port) {
  for (let attempt = 0; attempt < 100; attempt++) {
    if (await listens(host, port)) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`the server does not listen on ${host}:${port}`)
}

/** Starts the server; whatever ends this script ends it too. */
export function serve({ host, port, env = {} }) {
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      ...env,
      HOST: host,
      NITRO_HOST: host,
      PORT: String(port),
      NITRO_PORT: String(port),
    },
  })
  let isEnded = false
  const end = () => {
    isEnded = true
    server.kill()
  }
  server.on('exit', (code) => {
    if (!isEnded) process.exit(code ?? 0)
  })
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      server.kill(signal)
      process.exit(0)
    })
  return { listening: until(host, port), end }
}
