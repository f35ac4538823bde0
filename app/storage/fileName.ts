/** Ending of a build file. */
export const FILE_ENDING = '.lurvan.json'

/** A safe file name for a build, or for something of it. */
export function fileName(name: string, ending = FILE_ENDING): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\w -]/g, '')
    .trim()
    .replace(/ +/g, '-')
    .toLowerCase()
  return `${plain.slice(0, 60) || 'build'}${ending}`
}
