// npm run demo: installs, builds and serves the application with the demo data on one local address; with --lan in the own
// network, over HTTPS and for those who have the key.
import { build, install } from './fresh.mjs'
import { freePort, serve } from './server.mjs'

const FIRST_PORT = Number(process.env.PORT ?? 4620)

/** `--lan`, with the address of this machine to be used where it has several. */
function lanWanted(args) {
  const at = args.indexOf('--lan')
  return at < 0 ? null : { address: args[at + 1] }
}

/** How it is served in the own network: what the server is told, and what is printed. */
async function inOwnNetwork(wanted) {
  const { certificate, lanAddress, lanWords } = await import('./lan.mjs')
  const host = lanAddress(wanted)
  if (host === null) {
    console.error(
      wanted === undefined
        ? 'This machine is in no network. Is the Wi-Fi on?'
        : `--lan wants an address of this machine such as 192.168.1.20, not ${wanted}`,
    )
    process.exit(1)
  }
  const { cert, privateKey, key } = await certificate(host)
  const port = await freePort(FIRST_PORT, host)
  const address = `https://${host}:${port}/?key=${key}`
  const env = {
    NITRO_SSL_CERT: cert,
    NITRO_SSL_KEY: privateKey,
    LURVAN_LAN_KEY: key,
    LURVAN_LAN_ADDRESS: address,
  }
  return { host, port, env, words: lanWords(address) }
}

/** How it is served to this machine alone. */
async function onThisMachine() {
  const host = '127.0.0.1'
  const port = await freePort(FIRST_PORT, host)
  const words = `\n  Lurvan with its demo build: http://${host}:${port}/\n  Stop with Ctrl C.\n`
  return { host, port, env: {}, words }
}

install()
build()
const lan = lanWanted(process.argv.slice(2))
const { host, port, env, words } = lan ? await inOwnNetwork(lan.address) : await onThisMachine()
await serve({ host, port, env: { ...env, NUXT_PUBLIC_DEMO: 'true' } }).listening
console.log(words)
