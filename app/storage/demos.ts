/** The demo builds by their ids; each is loaded when it is opened. */
export const DEMOS = {
  'fen-tender': () => import('~~/demo/fen-tender.lurvan.json'),
  'sedge-wagon': () => import('~~/demo/sedge-wagon.lurvan.json'),
  'teasel-runabout': () => import('~~/demo/teasel-runabout.lurvan.json'),
  'sorrel-hauler': () => import('~~/demo/sorrel-hauler.lurvan.json'),
  'osier-van': () => import('~~/demo/osier-van.lurvan.json'),
  'tansy-wagon': () => import('~~/demo/tansy-wagon.lurvan.json'),
  'medlar-hatch': () => import('~~/demo/medlar-hatch.lurvan.json'),
  'burdock-cart': () => import('~~/demo/burdock-cart.lurvan.json'),
  'comfrey-buggy': () => import('~~/demo/comfrey-buggy.lurvan.json'),
} as const
export type DemoId = keyof typeof DEMOS
export const DEMO_IDS = Object.keys(DEMOS) as readonly DemoId[]
