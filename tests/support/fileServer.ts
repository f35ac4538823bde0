import { createServer } from 'node:http'
import { readFile, stat } from 'node:fs/promises'
import { extname, join, normalize } from 'node:path'
import type { AddressInfo } from 'node:net'

const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.woff2': 'font/woff2',
  '.webmanifest': 'application/manifest+json',
}

/** A plain file server as any web host has one: no headers but the type, and 404.html for what is no file. */
export async function fileServer(folder: string) {
  const server = createServer(async (request, response) => {
    const asked = normalize(decodeURIComponent((request.url ?? '/').split('?')[0] ?? '/'))
    const path = join(folder, asked === '/' ? 'index.html' : asked)
    const isFile = await stat(path).then(
      (found) => found.isFile(),
      () => false,
    )
    const file = isFile ? path : join(folder, '404.html')
    response.writeHead(isFile ? 200 : 404, { 'content-type': TYPES[extname(file)] ?? 'text/plain' })
    response.end(await readFile(file))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as AddressInfo
  return { address: `http://127.0.0.1:${port}`, close: () => new Promise((done) => server.close(done)) }
}
