import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cutPieces } from '~~/core/jobs/cuts/cutPieces'
import { cutPlan } from '~~/core/jobs/cuts/cutPlan'
import { evaluate } from '~~/core/model/evaluateBuild'
import { orderSite } from '~~/core/testdata/orderSites'
import { demoBuild } from '~~/core/testdata/demos'
import type { BuildRecord } from '~~/core/show/log/recordPart'
import { packFiles } from './packFiles'
import { recordPdf } from './recordPdf'

const font = new Uint8Array(readFileSync('node_modules/dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf')).buffer
const folder = mkdtempSync(join(tmpdir(), 'record-'))
afterAll(() => rmSync(folder, { recursive: true }))
const JPEG = new Uint8Array(
  Buffer.from(
    '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=',
    'base64',
  ),
)

interface Read {
  readonly pages: number
  readonly text: string
}
function read(bytes: ArrayBuffer | Uint8Array): Read {
  const path = join(folder, 'record.pdf')
  writeFileSync(path, new Uint8Array(bytes))
  const told = execFileSync('node', ['tests/support/readPdf.mjs', path], { encoding: 'utf8' })
  return (JSON.parse(told.split('\n').at(-1) ?? '') as [Read])[0]
}
const plain = (text: string) => text.replace(/\s+/g, '')

it('a record goes over as many pages as it takes, with its pictures, and says which are not here', () => {
  const lines = Array.from({ length: 120 }, (_, i) => `line ${i} of a long day`)
  const photos = [
    { id: 'here', caption: 'tail on a block' },
    { id: 'gone', caption: 'the other side' },
  ]
  const record: BuildRecord = {
    title: 'Sedge',
    about: 'as of now',
    parts: [{ title: 'First', lines, rows: [['a', 'b']], photos }],
  }
  const paged = recordPdf(record, 'a4', font, {
    pictures: new Map([['here', JPEG]]),
    lost: 'not in this browser',
  })
  expect(read(paged).pages).toBeGreaterThan(2)
  const short = read(
    recordPdf({ ...record, parts: [{ title: 'Only', lines: ['one'], rows: [], photos }] }, 'letter', font, {
      pictures: new Map([['here', JPEG]]),
      lost: 'not in this browser',
    }),
  )
  expect(short.pages).toBe(1)
  expect(plain(short.text)).toContain('theotherside:notinthisbrowser')
  expect(plain(short.text)).toContain('Sedge,1/1')
})

it('a pack holds every sheet, template and list, each under a name of its own', () => {
  const build = demoBuild('sedge-wagon')
  const site = orderSite(build)
  const pieces = cutPieces(build, site.evaluation)
  const cuts = cutPlan(pieces, build.bars ?? [], build.cutting)
  const files = packFiles({
    ...site,
    ...{ asMeasured: evaluate(site.compiled, {}), cuts, uses: [{ task: 'cut the floor', uses: '3 discs' }] },
    ...{ position: 'A', today: '2026-12-01', paper: 'a4', font },
  })
  const names = files.map(({ name }) => name)
  expect(new Set(names).size).toBe(names.length)
  expect(names).toEqual(
    expect.arrayContaining([
      'orders/rear-shaft.pdf',
      'templates/gearbox-bar.svg',
      'cut-list.csv',
      'cut-list.pdf',
      'setting-sheet.pdf',
      'sedge-wagon.lurvan.json',
    ]),
  )
  const of = (name: string) => files.find((one) => one.name === name)!.bytes
  const cutList = plain(read(of('cut-list.pdf')).text)
  for (const { pieces: placed } of cuts.sections.flatMap(({ plan }) => (plan.known ? plan.value.bars : [])))
    for (const { piece, toMm } of placed) {
      expect(cutList).toContain(plain(piece.name))
      expect(cutList).toContain(`sawat${toMm.toFixed(1)}mm`)
    }
  expect(cutList).toContain('3discs(cutthefloor)')
  const table = new TextDecoder().decode(of('cut-list.csv'))
  expect(table.split('\r\n').length).toBeGreaterThan(pieces.length)
  const sheet = plain(read(of('setting-sheet.pdf')).text)
  for (const { name } of build.gaps.slice(0, 3)) expect(sheet).toContain(plain(name))
})
