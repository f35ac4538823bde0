import { defineStore } from 'pinia'
import { toRaw } from 'vue'
import { chosenPosition } from '~~/core/model/evaluateBuild'
import type { Paper } from '../print/papers'
import { download } from '../storage/download'
import { fileName } from '../storage/fileName'
import { pictureEnding } from '../storage/pictureKind'
import { usePhotoRepository } from '../storage/storage'
import { today } from '../storage/today'
import type { ZipFile } from '../storage/zip'
import { log as words } from '../texts/log'
import { useCuts } from './cuts'
import { useEvaluation } from './evaluation'
import { useSureness } from './sureness'
import { useTasks } from './tasks'
import { useWorkbench } from './workbench'

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text)

/** The whole build as files: a printed record, open text, what goes to bench and shops. What writes them is loaded when it is wanted. */
export const useRecordFiles = defineStore('record-files', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const sureness = useSureness()
  const tasks = useTasks()
  const cuts = useCuts()
  const photos = usePhotoRepository()

  async function recordNow() {
    const { build } = workbench
    const { current } = evaluation
    if (!build || !current) return null
    const { buildRecord } = await import('~~/core/show/log/record')
    const site = {
      build: toRaw(build),
      evaluation: current,
      money: tasks.money,
      sentence: evaluation.sentence,
    }
    return { build, record: buildRecord(site, today()), pictures: await picturesOf(build.id) }
  }
  const picturesOf = async (buildId: string): Promise<ReadonlyMap<string, Uint8Array>> =>
    new Map((await photos.ofBuild(buildId)).map(({ id, bytes }) => [id, bytes]))

  async function savePdf(paper: Paper): Promise<void> {
    const now = await recordNow()
    if (!now) return
    const [{ recordPdf }, { loadFont }] = await Promise.all([
      import('../print/recordPdf'),
      import('../print/pdfFont'),
    ])
    const { record, pictures, build } = now
    const bytes = recordPdf(record, paper, await loadFont(), { pictures, lost: words.lost })
    download(fileName(build.name, '-record.pdf'), new Uint8Array(bytes), 'application/pdf')
  }

  async function saveText(): Promise<void> {
    const now = await recordNow()
    if (!now) return
    const [{ recordMarkdown }, { packed }] = await Promise.all([
      import('~~/core/show/log/markdown'),
      import('../storage/zip'),
    ])
    const { record, pictures, build } = now
    const files = pictureFiles(pictures)
    const named = new Map(files.map(({ id, name }) => [id, name]))
    const text: ZipFile = { name: 'record.md', bytes: bytesOf(recordMarkdown(record, named)) }
    download(fileName(build.name, '-record.zip'), await packed([text, ...files]), 'application/zip')
  }

  const pictureFiles = (pictures: ReadonlyMap<string, Uint8Array>) =>
    [...pictures].flatMap(([id, bytes]) => {
      const ending = pictureEnding(bytes)
      return ending === null ? [] : [{ id, name: `photographs/${id}.${ending}`, bytes, isPacked: true }]
    })

  /** Order sheets, templates, cut list, setting sheet, photographs and the build itself. */
  async function savePack(paper: Paper): Promise<void> {
    const { build } = workbench
    const { compiled, current, asMeasured } = evaluation
    if (!build || !compiled || !current || !asMeasured) return
    const [{ packFiles }, { packed }, { loadFont }] = await Promise.all([
      import('../print/packFiles'),
      import('../storage/zip'),
      import('../print/pdfFont'),
    ])
    const files = packFiles({
      ...{ build: toRaw(build), compiled, evaluation: current, sureness: sureness.result, asMeasured },
      ...{
        cuts: cuts.plan,
        uses: cuts.uses,
        position: chosenPosition(build)?.name ?? '',
        today: today(),
        paper,
        font: await loadFont(),
      },
    })
    const all = [...files, ...pictureFiles(await picturesOf(build.id))]
    download(fileName(build.name, '-shop-pack.zip'), await packed(all), 'application/zip')
  }

  async function saveCuts(paper: Paper): Promise<void> {
    const { build } = workbench
    if (!build) return
    const [{ cutPdf }, { loadFont }] = await Promise.all([
      import('../print/packFiles'),
      import('../print/pdfFont'),
    ])
    const font = await loadFont()
    const bytes = cutPdf({
      build: toRaw(build),
      cuts: cuts.plan,
      uses: cuts.uses,
      today: today(),
      paper,
      font,
    })
    download(fileName(build.name, '-cut-list.pdf'), new Uint8Array(bytes), 'application/pdf')
  }

  return { saveCuts, savePdf, saveText, savePack }
})
