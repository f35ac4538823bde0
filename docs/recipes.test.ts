import { execFileSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import {
  createProgram,
  flattenDiagnosticMessageText,
  getParsedCommandLineOfConfigFile,
  sys,
} from 'typescript'
import { chosenSettings, evaluateBuild } from '../core/model/evaluateBuild'
import { demoBuild } from '../core/testdata/demos'

const REPO = resolve(__dirname, '..')
const NODE = process.execPath
const PARSE_HOST = { ...sys, onUnRecoverableConfigFileDiagnostic: () => undefined }

/** A copy of the product in which recipes are followed, and what was changed there. */
function scratchCopy() {
  const root = mkdtempSync(join(tmpdir(), 'lurvan-scratch-'))
  for (const part of ['core', 'cli', 'app/texts', 'demo', 'package.json'])
    cpSync(join(REPO, part), join(root, part), { recursive: true })
  const paths = { '~~/*': ['./*'], '~/*': ['./app/*'] }
  writeFileSync(join(root, 'tsconfig.json'), JSON.stringify({ compilerOptions: { paths } }))
  symlinkSync(join(REPO, 'node_modules'), join(root, 'node_modules'))
  const changed = new Set<string>()
  return {
    root,
    changed,
    /** Lays a new file down. */
    add: (from: string, to: string) => cpSync(join(REPO, 'tests/scratch', from), join(root, to)),
    /** Changes a file of the product: each text, which stands there once, to another. */
    change: (file: string, ...edits: readonly (readonly [from: string, to: string])[]) => {
      changed.add(file)
      const text = edits.reduce(
        (now, [from, to]) => {
          expect([file, from, now.split(from).length]).toEqual([file, from, 2])
          return now.replace(from, to)
        },
        readFileSync(join(root, file), 'utf8'),
      )
      writeFileSync(join(root, file), text)
    },
    /** What the type checker says of the core; empty when it is content. */
    types: () => run(root, 'node_modules/typescript/bin/tsc', '-p', 'core', ...CHECK_ONLY),
    /** What it says of some files alone, which takes a quarter of that. */
    typesOf: (...files: readonly string[]) => typesOf(root, files),
    /** What a script that asserts says; empty when all holds. */
    script: (file: string, ...args: readonly string[]) => {
      cpSync(join(REPO, 'tests/scratch', file), join(root, file))
      return run(root, '--enable-source-maps', '--import', 'tsx', file, ...args)
    },
    remove: () => rmSync(root, { recursive: true }),
  }
}

const CHECK_ONLY = ['--noEmit', '--composite', 'false', '--emitDeclarationOnly', 'false']

function typesOf(root: string, files: readonly string[]): string {
  const config = getParsedCommandLineOfConfigFile(join(root, 'core/tsconfig.json'), {}, PARSE_HOST)!
  const program = createProgram(config.fileNames, { ...config.options, noEmit: true, composite: false })
  return files
    .flatMap((file) => program.getSemanticDiagnostics(program.getSourceFile(join(root, file))))
    .map(({ messageText }) => flattenDiagnosticMessageText(messageText, '\n'))
    .join('\n')
}

function run(cwd: string, ...args: readonly string[]): string {
  try {
    return execFileSync(NODE, args, { cwd, encoding: 'utf8', stdio: 'pipe' })
  } catch (failure) {
    const { stdout, stderr } = failure as { readonly stdout: string; readonly stderr: string }
    return stdout + stderr
  }
}

/** A made-up joint that turns evenly, its picture, and a limit of its own on the first joint. */
const BALL = "{ isConstant: true, hasCross: false, needsPilot: false, angle: 'joint-angle', isAimed: true }"
const BALL_PICTURE = "{ width: WIDTHS.joint, draw: (x) => [{ kind: 'circle', x, r: 17, look: 'part' }] }"
const FIRST_ANGLE = `    ...overStates(of('first-angle'), states, appliesIn, ({ state, at, figures }) => ({
      head: headOf(line, 'first-angle', { quantity: 'first-angle', subject: { of: 'line' }, state, at, speedRpm: null }),
      needs: known(null),
      value: figures?.angles[0] ?? null,
    })),`

describe('recipes that are followed in a copy', () => {
  const copy = scratchCopy()
  const touched: Record<string, number> = {}
  let [lacking, content] = ['', '']

  beforeAll(() => {
    copy.add('roof/roofKinds.ts', 'core/file/kinds/roofKinds.ts')
    copy.add('roof/roofWords.ts', 'core/show/words/roofWords.ts')
    copy.add('roof/roofSubject.ts', 'core/model/roofSubject.ts')
    copy.change(
      'core/file/kinds/kinds.ts',
      [
        'import { KINDS_OF_VEHICLE',
        "import { KINDS_OF_ROOFS, type RoofTypes } from './roofKinds'\nimport { KINDS_OF_VEHICLE",
      ],
      ['  KINDS_OF_CHAINS,', '  KINDS_OF_CHAINS,\n  KINDS_OF_ROOFS,'],
      ['  ChainTypes &', '  ChainTypes &\n  RoofTypes &'],
    )
    copy.change('core/file/parts/joints.ts', ['  cv: {', `  ball: ${BALL},\n  cv: {`])
    lacking = copy.typesOf('core/show/words/words.ts', 'core/show/parts/partsScene.ts')
    copy.change(
      'core/show/words/words.ts',
      ['import { VEHICLE_WORDS', "import { ROOF_WORDS } from './roofWords'\nimport { VEHICLE_WORDS"],
      ['  CHAIN_WORDS,', '  CHAIN_WORDS,\n  ROOF_WORDS,'],
    )
    copy.change(
      'core/model/subjects.ts',
      ['import type { Subject }', "import { ROOFS } from './roofSubject'\nimport type { Subject }"],
      ['  CHAINS,', '  CHAINS,\n  ROOFS,'],
    )
    copy.change('app/texts/views.ts', [
      "  { key: 'trace'",
      "  { key: 'roofs', stage: 'place', name: 'Roofs', isTab: true },\n  { key: 'trace'",
    ])
    touched.subject = copy.changed.size - 1
    copy.change('core/show/parts/partsScene.ts', [
      "  'flex-disc': { width",
      `  ball: ${BALL_PICTURE},\n  'flex-disc': { width`,
    ])
    copy.change('core/show/text/jointNames.ts', ["  'flex-disc':", "  ball: 'ball joint',\n  'flex-disc':"])
    copy.change('core/file/kinds/lineKinds.ts', [
      "    'set-in':",
      "    'first-angle': quantity('deg', angle, ['first joint', 'Angle of the first joint']),\n    'set-in':",
    ])
    copy.change('core/check/lineChecks.ts', [
      "    ...setInChecks(line, of('set-in')),",
      `    ...setInChecks(line, of('set-in')),\n${FIRST_ANGLE}`,
    ])
    copy.change('core/vehicle/strength/criticalSpeed.ts', [
      'return (30 * Math.PI * factor)',
      'return (60 * Math.PI * factor)',
    ])
    content = copy.types()
  })
  afterAll(copy.remove)

  it('leave nothing out unseen: what is forgotten does not compile', () => {
    for (const word of ['"roof-height"', '"roof-up"', 'ball'])
      expect(lacking).toContain(`'${word}' is missing`)
    expect(content).toBe('')
  })

  it('add a subject with a list in the file, a reading, a quantity, a lever and a view by four files that are touched', () => {
    expect(touched.subject).toBe(4)
    expect(copy.script('roof.ts')).toBe('')
  })

  it('add a joint kind, a limit, and another rule for critical speed', () => {
    const build = demoBuild('fen-tender')
    const { checks } = evaluateBuild(build, chosenSettings(build))
    const share = checks.find(({ quantity }) => quantity === 'critical-speed-ratio')!.value
    expect(copy.script('rest.ts', String(share))).toBe('')
  })
})
