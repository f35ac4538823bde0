import type { KINDS_OF_MOUNTS, MountTypes } from '../../file/kinds/mountKinds'
import { mountOf, type ToldChange } from './leverTold'
import type { SubjectWords } from './subjectWords'

/** Where a mount stands is made, not packed: its bracket, or its holes. */
const set = ({ build, lever, size, way }: ToldChange): string =>
  `Make the place of ${mountOf(build, lever.mount)} ${size} further ${way}`

/** Of mounts only their places are read, as points are. */
export const MOUNT_WORDS: SubjectWords<MountTypes, keyof typeof KINDS_OF_MOUNTS.levers> = {
  steps: {},
  echoes: {},
  levers: {
    'mount-fore': { name: 'fore and aft', ways: ['forward', 'rearward'], told: set },
    'mount-aside': { name: 'sideways', ways: ['left', 'right'], told: set },
    'mount-up': { name: 'up and down', ways: ['up', 'down'], told: set },
  },
}
