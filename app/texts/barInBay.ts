/** Words of a crossmember as a part of the bay. */
export const barInBay = {
  absent:
    'As a part of the bay it is drawn on the board, named when it stands close to something, and in the way of what is swung in.',
  there: 'It stands in the bay as it hangs here.',
  old: 'The bay still shows it as it hung before.',
  put: 'Put it in the bay',
  renew: 'Bring it up to date',
  takeOut: 'Take it out of the bay',
  stays: (reason: string) => `It stays in the bay: ${reason}.`,
  goes: (gaps: readonly string[]) => `With it goes: ${gaps.join(', ')}.`,
}
