import type { Question } from '../../file/kinds/questionKinds'
import type { Asked } from '../../jobs/questions/questionNow'

/** Each question, and why it is asked now. */
const WORDS: Readonly<Record<Question, readonly [ask: (thing: string) => string, why: string]>> = {
  brackets: [
    () => 'Which old brackets lie inside the outline of what goes in?',
    'They are cut off before the engine hangs over them.',
  ],
  fixed: [() => 'What cannot be moved?', 'It is fixed first, and all else is set to it.'],
  final: [
    () => 'Are these the final engine, gearbox, springs and sump?',
    'What is made to a stand-in is made twice.',
  ],
  centres: [
    (thing) => `What centres ${thing} once it is cut?`,
    'A pilot or dowel that is cut away leaves nothing to measure from.',
  ],
  behind: [
    (thing) => `What is behind the sheet where ${thing} is cut?`,
    'Lines, looms and tanks burn before they are seen.',
  ],
  again: [(thing) => `Will ${thing} come out again?`, 'What cannot be taken out is welded for good.'],
  tested: [(thing) => `Has ${thing} been tested?`, 'It can still go back now.'],
  with: [() => 'Who is with you today?', 'Hot work and lifting want a second person.'],
}

export const questionText = ({ question, thing }: Pick<Asked, 'question' | 'thing'>): string =>
  WORDS[question][0](thing ?? '')
export const questionWhy = ({ question }: Pick<Asked, 'question'>): string => WORDS[question][1]
