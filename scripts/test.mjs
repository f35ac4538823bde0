// npm test: installs what is missing, then lint, types, Jest, build and Playwright. Every step runs, whatever failed
// before it, and the last line counts all of them.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { installChromium } from './chromium.mjs'
import { build, install } from './fresh.mjs'

const RESULTS = 'test-results'
const JEST_RESULT = `${RESULTS}/jest.json`
const E2E_RESULT = `${RESULTS}/e2e.json`

install()
installChromium()

const total = { passed: 0, failed: 0 }
const count = (passed, failed) => {
  total.passed += passed
  total.failed += failed
}
const step = (title, command, args) => {
  console.log(`\n== ${title}`)
  return spawnSync(command, args, { stdio: 'inherit' }).status === 0
}
/** Counts from a runner's result file; a runner that left none counts as one failure. */
const counted = (file, isGood, read) => {
  if (!existsSync(file)) return count(0, 1)
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')))
  count(passed, isGood ? failed : Math.max(1, failed))
}

rmSync(RESULTS, { recursive: true, force: true })
mkdirSync(RESULTS, { recursive: true })

// Side by side: each leaves a core idle now and then. What they say is kept apart.
const said = await Promise.all(
  ['lint', 'types'].map(
    (name) =>
      new Promise((done) => {
        const running = spawn('npm', ['run', '--silent', name], { stdio: ['ignore', 'pipe', 'pipe'] })
        const chunks = []
        running.stdout.on('data', (chunk) => chunks.push(chunk))
        running.stderr.on('data', (chunk) => chunks.push(chunk))
        running.on('error', (error) => chunks.push(Buffer.from(String(error))))
        running.on('close', (code) =>
          done({ name, isGood: code === 0, text: Buffer.concat(chunks).toString() }),
        )
      }),
  ),
)
for (const { name, isGood, text } of said) {
  console.log(`\n== ${name}`)
  console.log(text)
  count(isGood ? 1 : 0, isGood ? 0 : 1)
}

const unitsGood = step('unit tests', 'npx', ['jest', '--json', `--outputFile=${JEST_RESULT}`])
counted(JEST_RESULT, unitsGood, (result) => ({
  passed: result.numPassedTests,
  failed: result.numFailedTests + result.numRuntimeErrorTestSuites,
}))

console.log('\n== build')
build()
const e2eGood = step('end-to-end tests', 'npx', ['playwright', 'test'])
counted(E2E_RESULT, e2eGood, ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}))

console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed > 0 ? 1 : 0)
