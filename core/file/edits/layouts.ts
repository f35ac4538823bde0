import type { Flow, JointKind, School } from '../parts/lineSpec'

/** Where a line begins and ends. */
export type LineEnd = 'gearbox' | 'transfer-case' | 'front-axle' | 'rear-axle' | 'left-hub' | 'right-hub'

/** Hardware at an end of a line. */
export type EndKind = 'yoke' | 'flange' | 'slip-yoke'

/** One line of a layout: what it is called, where it runs, and its joints along the power flow. */
export interface LinePlan {
  readonly name: string
  readonly from: LineEnd
  readonly to: LineEnd
  readonly flow: Flow
  readonly school: School
  /** The ones between first and last stand behind centre bearings. */
  readonly joints: readonly JointKind[]
  readonly ends?: readonly [EndKind, EndKind]
  /** Where it grows longer and shorter, if not at a slip yoke: a spline in its last shaft, or a joint that plunges. */
  readonly slip?: 'spline' | 'plunge'
}

/** A usual arrangement of shafts to start from. */
export interface Layout {
  readonly key: LayoutKey
  readonly lines: readonly LinePlan[]
  /** The differential is bolted to the chassis. */
  readonly isFixed?: true
}

export const LAYOUT_KEYS = [
  'one-piece',
  'slip-spline',
  'two-piece',
  'three-piece',
  'disc-front',
  'double-cardan',
  'double-cardan-rear',
  'cv-shaft',
  'fixed-differential',
  'front-shaft',
  'four-wheel',
  'divorced',
  'transaxle',
] as const
export type LayoutKey = (typeof LAYOUT_KEYS)[number]

const REAR = { from: 'gearbox', to: 'rear-axle', flow: 'rearward' } as const

const rear = (joints: readonly JointKind[], rest: Partial<LinePlan> = {}): LinePlan => ({
  name: 'rear shaft',
  ...REAR,
  school: 'parallel',
  joints,
  ...rest,
})
const front = (rest: Partial<LinePlan> = {}): LinePlan => ({
  name: 'front shaft',
  from: 'transfer-case',
  to: 'front-axle',
  flow: 'forward',
  school: 'parallel',
  joints: ['cross', 'cross'],
  slip: 'spline',
  ...rest,
})
const half = (side: 'left' | 'right'): LinePlan => ({
  name: `${side} halfshaft`,
  from: 'gearbox',
  to: side === 'left' ? 'left-hub' : 'right-hub',
  flow: side,
  school: 'straight',
  joints: ['cv', 'cv'],
  slip: 'plunge',
})

/** Arrangements of shafts that are met again and again; every part of them can be changed. */
export const LAYOUTS: readonly Layout[] = [
  { key: 'one-piece', lines: [rear(['cross', 'cross'], { ends: ['slip-yoke', 'flange'] })] },
  { key: 'slip-spline', lines: [rear(['cross', 'cross'], { ends: ['flange', 'flange'], slip: 'spline' })] },
  {
    key: 'two-piece',
    lines: [
      rear(['cross', 'cross', 'cross'], { school: 'two-piece', ends: ['flange', 'flange'], slip: 'spline' }),
    ],
  },
  {
    key: 'three-piece',
    lines: [
      rear(['cross', 'cross', 'cross', 'cross'], {
        school: 'two-piece',
        ends: ['flange', 'flange'],
        slip: 'spline',
      }),
    ],
  },
  {
    key: 'disc-front',
    lines: [
      rear(['flex-disc', 'cross', 'cross'], {
        school: 'two-piece',
        ends: ['flange', 'flange'],
        slip: 'spline',
      }),
    ],
  },
  {
    key: 'double-cardan',
    lines: [
      rear(['double-cardan', 'cross'], { school: 'pointed', ends: ['flange', 'yoke'], slip: 'spline' }),
    ],
  },
  {
    key: 'double-cardan-rear',
    lines: [rear(['cross', 'double-cardan'], { ends: ['flange', 'flange'], slip: 'spline' })],
  },
  {
    key: 'cv-shaft',
    lines: [rear(['cv', 'cv'], { school: 'straight', ends: ['flange', 'flange'], slip: 'plunge' })],
  },
  {
    key: 'fixed-differential',
    isFixed: true,
    lines: [rear(['cross', 'cross'], { ends: ['flange', 'flange'], slip: 'spline' })],
  },
  { key: 'front-shaft', lines: [front()] },
  {
    key: 'four-wheel',
    lines: [
      rear(['cross', 'cross'], { from: 'transfer-case', ends: ['slip-yoke', 'flange'] }),
      front({ joints: ['double-cardan', 'cross'], school: 'pointed', ends: ['flange', 'yoke'] }),
    ],
  },
  {
    key: 'divorced',
    lines: [
      {
        name: 'jackshaft',
        from: 'gearbox',
        to: 'transfer-case',
        flow: 'rearward',
        school: 'parallel',
        joints: ['cross', 'cross'],
        ends: ['slip-yoke', 'flange'],
      },
      rear(['cross', 'cross'], { from: 'transfer-case', ends: ['flange', 'flange'], slip: 'spline' }),
      front({ ends: ['flange', 'flange'] }),
    ],
  },
  { key: 'transaxle', lines: [half('left'), half('right')] },
]
