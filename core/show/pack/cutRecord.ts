import { fixed, formatBothUnits } from '../../base/units/format'
import type { CutPlan } from '../../jobs/cuts/cutPlan'
import { part, type BuildRecord, type RecordPart } from '../log/recordPart'
import { sectionName } from '../text/sectionText'

/** What open work uses up, with the task that does. */
export interface Uses {
  readonly task: string
  readonly uses: string
}

/** The cut list as a sheet: per bar its saw marks from its first end, in both units, with mass and what is left. */
export function cutRecord(
  title: string,
  about: string,
  { sections, waiting }: CutPlan,
  { inchFraction, uses }: { readonly inchFraction: 16 | 32; readonly uses: readonly Uses[] },
): BuildRecord {
  const both = (mm: number) => formatBothUnits(mm, inchFraction)
  const parts = [
    ...sections.flatMap(({ section, plan, pieces }): RecordPart[] => {
      const name = sectionName(section)
      if (!plan.known)
        return [
          part(name, {
            lines: plan.missing.map(({ what }) => `Waits for ${what}`),
            rows: pieces.map((piece) => [piece.name]),
          }),
        ]
      const { bars, massKg, isProven, cost } = plan.value
      return [
        ...bars.map(({ bar, pieces: placed, restMm }) =>
          part(`${name}: ${bar.name}, ${both(bar.lengthMm)}`, {
            rows: placed.map(({ piece, fromMm, toMm }) => [
              piece.name,
              `from ${both(fromMm)}`,
              `saw at ${both(toMm)}`,
            ]),
            lines: [`Left of it: ${both(restMm)}`],
          }),
        ),
        part(`${name}: all`, {
          lines: [
            `${fixed(massKg, 2)} kg of pieces`,
            ...(cost > 0 ? [`cost ${fixed(cost, 2)}`] : []),
            isProven ? 'no other way costs less' : 'the best that was found',
          ],
        }),
      ]
    }),
    part('Not laid out yet', {
      lines: waiting.map(
        ({ piece, missing }) => `${piece.name}: waits for ${missing.map(({ what }) => what).join('; ')}`,
      ),
    }),
    part('Used up by the work that is open', {
      lines: uses.map(({ task, uses: what }) => `${what} (${task})`),
    }),
  ]
  return { title, about, parts: parts.filter(({ lines, rows }) => lines.length + rows.length > 0) }
}
