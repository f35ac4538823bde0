// npm run unit: Jest with room for young objects. Random builds are compiled by the thousand, each with columns of its own, and with
// Node's usual 16 MB half of the time went into clearing them away.
import { spawnSync } from 'node:child_process'

const ROOM_MB = 128
const options = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=${ROOM_MB}`.trim()
const { status } = spawnSync(process.execPath, ['node_modules/jest/bin/jest.js', ...process.argv.slice(2)], {
  stdio: 'inherit',
  // Handed on to the workers, as an option of this process would not be.
  env: { ...process.env, NODE_OPTIONS: options },
})
process.exit(status ?? 1)
