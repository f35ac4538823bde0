import type { BuildRecord } from './recordPart'

/** Letters that would be taken for layout. */
const plain = (text: string): string => text.replace(/[\\`*_{}[\]<>#|~]/g, '\\$&').replace(/\s*\n\s*/g, ' ')

/**
 * A record as open text.
 *
 * @param pictures - file of each picture that is there, by its id
 */
export function recordMarkdown(
  { title, about, parts }: BuildRecord,
  pictures: ReadonlyMap<string, string>,
): string {
  const text = parts.flatMap(({ title: name, lines, rows, photos }) => [
    `## ${plain(name)}`,
    '',
    ...lines.map((line) => `- ${plain(line)}`),
    ...(lines.length > 0 ? [''] : []),
    ...table(rows),
    ...photos.flatMap(({ id, caption }) => {
      const file = pictures.get(id)
      return file === undefined
        ? [`(picture that is not here: ${plain(caption)})`, '']
        : [`![${plain(caption)}](${file})`, '']
    }),
  ])
  return [`# ${plain(title)}`, '', plain(about), '', ...text].join('\n').trimEnd() + '\n'
}

function table(rows: readonly (readonly string[])[]): string[] {
  const wide = Math.max(0, ...rows.map(({ length }) => length))
  if (wide === 0) return []
  const line = (cells: readonly string[]) =>
    `| ${Array.from({ length: wide }, (_, i) => plain(cells[i] ?? '')).join(' | ')} |`
  // The first row of such a table is its head; these have none.
  return [line([]), `|${' --- |'.repeat(wide)}`, ...rows.map(line), '']
}
