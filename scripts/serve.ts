import { spawn, type ChildProcess } from 'node:child_process'

/** Serves the built application on this machine, for scripts; the caller stops it. */
export async function serve(port: number): Promise<{ readonly address: string; readonly stop: () => void }> {
  const server: ChildProcess = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(port),
    },
  })
  const address = `http://127.0.0.1:${port}`
  for (let attempt = 0; attempt < 100; attempt++) {
    const answers = await fetch(`${address}/api/health`).then(
      (response) => response.ok,
      () => false,
    )
    if (answers) return { address, stop: () => void server.kill() }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  server.kill()
  throw new Error('the built application did not start; run npm run build first')
}
