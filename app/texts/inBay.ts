/** Words of a made part as a part of the bay. */
export const inBay = {
  absent:
    'As a part of the bay it is drawn on the board, named when it stands close to something, and in the way of what is swung in.',
  there: 'It stands in the bay as it does here.',
  old: 'The bay still shows it as it was before.',
  put: 'Put it in the bay',
  renew: 'Bring it up to date',
  takeOut: 'Take it out of the bay',
  stays: (reason: string) => `It stays in the bay: ${reason}.`,
  goes: (gaps: readonly string[]) => `With it goes: ${gaps.join(', ')}.`,
}
