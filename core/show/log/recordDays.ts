import { fixed } from '../../base/units/format'
import { logLines } from '../../jobs/log/logLines'
import { part, type RecordPart, type RecordSite } from './recordPart'

/** A part for each day, oldest first. */
export function days({ build }: RecordSite): RecordPart[] {
  const lines = logLines(build).toReversed()
  const all = [...new Set(lines.map(({ day }) => day))]
  return all.map((day) => {
    const own = lines.filter((line) => line.day === day)
    return part(day === '' ? 'Without a day' : day, {
      lines: own.map(({ what, detail, entry }) =>
        [
          detail ? `${what} (${detail})` : what,
          entry?.hours === undefined ? '' : `${fixed(entry.hours, 1)} h`,
          entry?.cost === undefined ? '' : `cost ${fixed(entry.cost, 0)}`,
          entry?.isReversible === undefined
            ? ''
            : entry.isReversible
              ? 'can be put back'
              : 'cannot be put back',
          entry?.defect === undefined ? '' : entry.defect === 'open' ? 'not right yet' : 'mended since',
        ]
          .filter(Boolean)
          .join('; '),
      ),
      photos: own.flatMap(({ photos, what }) => photos.map((id) => ({ id, caption: what }))),
    })
  })
}
