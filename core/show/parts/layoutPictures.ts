import { unknown } from '../../base/known'
import { LAYOUTS, type LayoutKey } from '../../file/edits/layouts'
import { withLayout } from '../../file/edits/withLayout'
import { bareBuild } from '../../file/edits/newBuild'
import { partsScene, type PartPiece } from './partsScene'

/** A layout as its lines are drawn. */
export interface LayoutPicture {
  readonly key: LayoutKey
  readonly lines: readonly {
    readonly name: string
    readonly width: number
    readonly pieces: readonly PartPiece[]
  }[]
}

/** Every layout with its lines drawn as the parts view draws them. */
export function layoutPictures(): LayoutPicture[] {
  const bare = bareBuild({
    id: 'picture',
    name: 'picture',
    units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
    profile: 'road',
    date: '2000-01-01',
  })
  return LAYOUTS.map((layout) => ({
    key: layout.key,
    lines: withLayout(bare, layout).lines.map((line) => {
      const { width, pieces } = partsScene(line, unknown('not read'), 0)
      return { name: line.name, width, pieces }
    }),
  }))
}
