import type { Build } from '~~/core/file/build/build'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { CutPlan } from '~~/core/jobs/cuts/cutPlan'
import { cutTable } from '~~/core/jobs/export/cutTable'
import { templateSvg } from '~~/core/making/templates/templateSvg'
import { csvText } from '~~/core/measure/csv/csvText'
import { buildText } from '~~/core/file/open/parseBuild'
import type { OrderSite } from '~~/core/show/orders/orderBody'
import { orderSheet } from '~~/core/show/orders/orderSheet'
import { cutRecord, type Uses } from '~~/core/show/pack/cutRecord'
import { packTemplates } from '~~/core/show/pack/packTemplates'
import { settingRecord } from '~~/core/show/pack/settingRecord'
import { settingSheet } from '~~/core/show/told/settingSheet'
import { FILE_ENDING, fileName } from '../storage/fileName'
import type { ZipFile } from '../storage/zip'
import { cuts as cutWords } from '../texts/cuts'
import { making as words } from '../texts/making'
import { texts } from '../texts/en'
import { orderPdf } from './orderPdf'
import type { Paper } from './papers'
import { recordPdf } from './recordPdf'
import { templateDxf } from './templateDxf'
import { templatePdf } from './templatePdf'

/** What the cut list is printed from. */
export interface CutSite {
  readonly build: Build
  readonly cuts: CutPlan
  readonly uses: readonly Uses[]
  readonly today: string
  readonly paper: Paper
  readonly font: ArrayBuffer
}
/** What a pack is made from. */
export interface PackSite extends OrderSite, CutSite {
  readonly asMeasured: Evaluation
  readonly position: string
}

const text = (name: string, content: string): ZipFile => ({ name, bytes: new TextEncoder().encode(content) })
const pdf = (name: string, content: ArrayBuffer): ZipFile => ({
  name,
  bytes: new Uint8Array(content),
  isPacked: true,
})

/** The cut list on paper. */
export const cutPdf = ({ build, cuts, uses, paper, font, today }: CutSite): ArrayBuffer =>
  recordPdf(
    cutRecord(`${cutWords.title}: ${build.name}`, today, cuts, {
      inchFraction: build.units.inchFraction,
      uses,
    }),
    paper,
    font,
    { pictures: new Map(), lost: '' },
  )

/** The files of a pack for bench and shops: sheets that wait for something are left out. */
export function packFiles(site: PackSite): ZipFile[] {
  const { build, evaluation, paper, font, today } = site
  const taken = new Set<string>()
  const named = (folder: string, name: string, ending: string): string => {
    for (let count = 1; ; count++) {
      const file = `${folder}/${fileName(count === 1 ? name : `${name} ${count}`, ending)}`
      if (taken.has(file)) continue
      taken.add(file)
      return file
    }
  }
  const sheets = (build.orders ?? []).map((order) => ({ order, sheet: orderSheet(site, order) }))
  const templates = packTemplates(build, evaluation, words.belongs(site.position, today))
  const setting = settingSheet(build, evaluation, site.asMeasured, site.sureness)
  const about = [build.vehicle ?? '', site.position, today].filter(Boolean).join(', ')
  return [
    ...sheets.flatMap(({ order, sheet }) =>
      sheet.missing.length > 0
        ? []
        : [pdf(named('orders', order.name, '.pdf'), orderPdf(sheet, paper, font, today))],
    ),
    ...templates.flatMap((template) => [
      pdf(named('templates', template.name, '.pdf'), templatePdf(template, paper, font)),
      text(named('templates', template.name, '.svg'), templateSvg(template)),
      text(named('templates', template.name, '.dxf'), templateDxf(template)),
    ]),
    ...(site.cuts.sections.length > 0
      ? [text('cut-list.csv', csvText(cutTable(site.cuts))), pdf('cut-list.pdf', cutPdf(site))]
      : []),
    pdf(
      'setting-sheet.pdf',
      recordPdf(settingRecord(`${texts.sheet.title}: ${build.name}`, about, setting), paper, font, {
        pictures: new Map(),
        lost: '',
      }),
    ),
    text(fileName(build.name, FILE_ENDING), buildText(build)),
  ]
}
