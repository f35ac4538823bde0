import { defineNitroPlugin } from 'nitropack/runtime'

/** Whoever read what the server prints may be gone; saying so would have to be printed, and so on without end. */
export default defineNitroPlugin(() => {
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined)
})
