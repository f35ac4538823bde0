import { readFileSync } from 'node:fs'
import { compile } from '~~/core/model/compile'
import { chosenSettings, evaluate } from '~~/core/model/evaluateBuild'
import { orderables } from '~~/core/jobs/orders/orderable'
import { orderSheet } from '~~/core/show/orders/orderSheet'
import { demoBuild } from '~~/core/testdata/demos'
import { orderPdf } from './orderPdf'
import { writeFileSync } from 'node:fs'

const font = readFileSync('node_modules/dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf')
const fontBuffer = font.buffer.slice(font.byteOffset, font.byteOffset + font.byteLength) as ArrayBuffer
it('x', () => {
  for (const name of ['sedge-wagon', 'medlar-hatch', 'comfrey-buggy', 'tansy-wagon']) {
    const build = demoBuild(name as any)
    const compiled = compile(build)
    const evaluation = evaluate(compiled, chosenSettings(build))
    orderables(build).forEach((o, i) => {
      const sheet = orderSheet({ build, compiled, evaluation, sureness: null }, { id: 'o', ...o })
      writeFileSync(
        `/tmp/pr/${name}-${i}.pdf`,
        new Uint8Array(orderPdf(sheet, 'a4', fontBuffer, '1 December 2026')),
      )
    })
  }
})
