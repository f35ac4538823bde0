import { making } from './making'

/** Words of where a plate stands in the vehicle. */
export const plateStands = {
  title: 'Where it stands in the vehicle',
  lead: 'By three of its holes, each at a point on the face that it lies on. Its thickness stands out from there, toward you as you look at its front.',
  on: 'Bolted to',
  unsaid: 'nobody says',
  holes: ['First point at hole', 'Second point at hole', 'Third point at hole'],
  newPoint: (plate: string, hole: string) => `${plate}, face at hole ${hole}`,
  waits: making.waits,
}
