// npm test: installs what is missing, then lint, types, Jest, build and Playwright. Every step runs, whatever failed
// before it, and the last line counts all of them.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { installChromium } from './chromium.mjs'
import { install } from './fresh.mjs'

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
/** A step that counts as one test. */
const countStep = (isGood) => count(isGood ? 1 : 0, isGood ? 0 : 1)
/** Counts from a runner's result file; a runner that left none counts as one failure. */
const countFile = (file, isGood, read) => {
  if (!existsSync(file)) return count(0, 1)
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')))
  count(passed, isGood ? failed : Math.max(1, failed))
}

/** Runs one step and shows what it says when it has ended, so that steps side by side do not mix their words. */
const step = (title, command, args) =>
  new Promise((done) => {
    const began = Date.now()
    const running = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] })
    const chunks = []
    running.stdout.on('data', (chunk) => chunks.push(chunk))
    running.stderr.on('data', (chunk) => chunks.push(chunk))
    running.on('error', (error) => chunks.push(Buffer.from(String(error))))
    running.on('close', (code) => {
      console.log(`\n== ${title}\n`)
      console.log(Buffer.concat(chunks).toString().trimEnd())
      console.log(`(${title}: ${Math.round((Date.now() - began) / 1000)} s)`)
      done(code === 0)
    })
  })

rmSync(RESULTS, { recursive: true, force: true })
mkdirSync(RESULTS, { recursive: true })

// Two lanes for two cores. Types come before the build, for the build writes Nuxt's types anew.
await Promise.all([
  (async () => {
    countStep(await step('types', 'npm', ['run', '--silent', 'types']))
    countStep(await step('build', process.execPath, ['scripts/build.mjs']))
  })(),
  (async () => {
    countStep(await step('lint', 'npm', ['run', '--silent', 'lint']))
    const isGood = await step('unit tests', 'npx', ['jest', '--json', `--outputFile=${JEST_RESULT}`])
    countFile(JEST_RESULT, isGood, (result) => ({
      passed: result.numPassedTests,
      failed: result.numFailedTests + result.numRuntimeErrorTestSuites,
    }))
  })(),
])

const isGood = await step('end-to-end tests', 'npx', ['playwright', 'test'])
countFile(E2E_RESULT, isGood, ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}))

console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed > 0 ? 1 : 0)
