import type { Mistake } from '../../file/kinds/logKinds'

/** What each family of mistakes is called. */
export const MISTAKE_NAMES: Readonly<Record<Mistake, string>> = {
  misread: 'misread',
  side: 'wrong side, end or sign',
  convention: 'measured another way than the shop',
  sequence: 'in the wrong order',
  'not-fit': 'did not fit',
  drew: 'drew in welding',
  forgotten: 'forgotten',
  'wrong-part': 'wrong part',
  other: 'something else',
}
