import { CABLES } from './cableSubject'
import { CHAINS } from './chainSubject'
import { CLUTCHES } from './clutchSubject'
import { GAPS } from './gapSubject'
import { HALFSHAFTS } from './halfshaftSubject'
import { LINES } from './lineSubject'
import { MANOEUVRES } from './manoeuvreSubject'
import { MEMBERS } from './memberSubject'
import { MOUNTS } from './mountSubject'
import { PLATES } from './plateSubject'
import { SHIFTS } from './shiftSubject'
import type { Subject } from './subject'
import { COPED_TUBES } from './copedTubeSubject'

/** Everything a build is told and judged by, in the order in which its checks are listed. */
export const SUBJECTS: readonly Subject[] = [
  LINES,
  GAPS,
  CHAINS,
  HALFSHAFTS,
  MEMBERS,
  PLATES,
  COPED_TUBES,
  MOUNTS,
  CABLES,
  SHIFTS,
  MANOEUVRES,
  CLUTCHES,
]
