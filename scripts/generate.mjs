// npm run generate: the application as plain files in dist/, for any web host.
import { cpSync, rmSync, writeFileSync } from 'node:fs'
import { build, install } from './fresh.mjs'
import { freePort, serve } from './server.mjs'

const OUT = 'dist'
/** Named in a page itself, this directive counts for nothing; hosts that take a headers file get it there. */
const HEADER_ONLY = /;?\s*frame-ancestors [^;]*/
const SAID = [
  'content-security-policy',
  'x-content-type-options',
  'referrer-policy',
  'x-frame-options',
  'cross-origin-opener-policy',
  'cross-origin-resource-policy',
  'permissions-policy',
]
/** Names below this folder change with their contents; of all else a browser asks whether it is still so. */
const CACHING = [
  ['/_nuxt/*', 'public, max-age=31536000, immutable'],
  ['/sw.js', 'no-cache'],
  ['/manifest.webmanifest', 'no-cache'],
  ['/', 'no-cache'],
]

install()
build()

const host = '127.0.0.1'
const port = await freePort(4700, host)
const server = serve({ host, port })
await server.listening
const page = await fetch(`http://${host}:${port}/`)
const [html, policy] = [await page.text(), page.headers.get('content-security-policy')]
if (!page.ok || !policy) throw new Error('the server does not give its page')
server.end()

rmSync(OUT, { recursive: true, force: true })
cpSync('.output/public', OUT, { recursive: true })
const meta = `<meta http-equiv="Content-Security-Policy" content="${policy.replace(HEADER_ONLY, '').replace(/"/g, '&quot;')}">`
const shell = html.replace('<head>', `<head>${meta}`)
// Hosts differ in which of these they give for an address that is no file.
for (const name of ['index.html', '200.html', '404.html']) writeFileSync(`${OUT}/${name}`, shell)
const said = SAID.map((name) => [name, page.headers.get(name)]).filter(([, value]) => value !== null)
const block = (path, headers) => [path, ...headers.map(([name, value]) => `  ${name}: ${value}`)].join('\n')
const blocks = [block('/*', said), ...CACHING.map(([path, value]) => block(path, [['cache-control', value]]))]
writeFileSync(`${OUT}/_headers`, `${blocks.join('\n')}\n`)
console.log(`\n  Lurvan as plain files: ${OUT}/ (docs/hosting.md says how to serve them)\n`)
