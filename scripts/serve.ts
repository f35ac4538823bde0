import { serve as start } from './server.mjs'

const HOST = '127.0.0.1'

/** Serves the built application on this machine, for scripts; the caller stops it. */
export async function serve(port: number): Promise<{ readonly address: string; readonly stop: () => void }> {
  const server = start({ host: HOST, port })
  await server.listening
  return { address: `http://${HOST}:${port}`, stop: server.end }
}
