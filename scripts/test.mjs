// npm test: installs what is missing, then lint, types, Jest, build and Playwright. Every step runs, whatever failed
// before it, and the last line counts all of them.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { installChromium, installPdfReader } from './chromium.mjs'
import { install } from './fresh.mjs'

const RESULTS = 'test-results'
const JEST_RESULT = `${RESULTS}/jest.json`
const E2E_RESULT = `${RESULTS}/e2e.json`

install()
installChromium()
installPdfReader()

const total = { passed: 0, failed: 0 }
const count = (passed, failed) => {
  total.passed += passed
  total.failed += failed
}
/** What failed, told once more at the end: the output above is long. */
const faults = []
/** A step that counts as one test. */
const countStep = (title, isGood) => {
  count(isGood ? 1 : 0, isGood ? 0 : 1)
  if (!isGood) faults.push(title)
}
/** Counts from a runner's result file; a runner that left none counts as one failure. */
const countFile = (title, file, isGood, read) => {
  if (!existsSync(file)) return countStep(title, false)
  const { passed, failed, names } = read(JSON.parse(readFileSync(file, 'utf8')))
  count(passed, isGood ? failed : Math.max(1, failed))
  faults.push(...names)
  if (!isGood && names.length === 0) faults.push(title)
}

/** Names of Jest's failures, each with how its message begins. */
const jestFaults = ({ testResults }) =>
  testResults.flatMap(({ name, message, assertionResults }) => {
    const failed = assertionResults.filter(({ status }) => status === 'failed')
    const told = failed.map(({ fullName, failureMessages }) => [fullName, failureMessages[0]])
    if (told.length === 0 && message) told.push(['did not run', message])
    return told.map(([title, why]) => `${name}: ${title}\n${String(why).split('\n').slice(0, 12).join('\n')}`)
  })

/** Names of Playwright's failures. */
const e2eFaults = (suites) =>
  suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...specs.filter(({ ok }) => !ok).map(({ file, line, title }) => `${file}:${line}: ${title}`),
    ...e2eFaults(inner),
  ])

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
    countStep('types', await step('types', 'npm', ['run', '--silent', 'types']))
    countStep('build', await step('build', process.execPath, ['scripts/build.mjs']))
  })(),
  (async () => {
    countStep('lint', await step('lint', 'npm', ['run', '--silent', 'lint']))
    const isGood = await step('unit tests', process.execPath, [
      'scripts/unit.mjs',
      '--json',
      `--outputFile=${JEST_RESULT}`,
    ])
    countFile('unit tests', JEST_RESULT, isGood, (result) => ({
      passed: result.numPassedTests,
      failed: result.numFailedTests + result.numRuntimeErrorTestSuites,
      names: jestFaults(result),
    }))
  })(),
])

const isGood = await step('end-to-end tests', 'npx', ['playwright', 'test'])
countFile('end-to-end tests', E2E_RESULT, isGood, ({ stats, suites }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
  names: e2eFaults(suites),
}))

for (const fault of faults) console.log(`\nFailed: ${fault}`)
console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed > 0 ? 1 : 0)
