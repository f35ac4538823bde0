import fc from 'fast-check'
import { centreFor, driveLoop } from '../sprockets/chainDrive'
import { parseBuild } from '../file/open/parseBuild'
import { chainBuild, chainFile, type ToldSprocket } from '../testdata/chainBuild'
import { demoFile } from '../testdata/demoFile'
import type { Build } from '../file/build/build'
import { chainGears } from '../vehicle/strength/chainGears'
import { chainPairs } from './chainPairs'
import { evaluateBuild } from '../model/evaluateBuild'
import { liveAxleFigures } from '../model/liveAxle'

const CART = demoFile('burdock-cart')
const BUGGY = demoFile('comfrey-buggy')
const known = <T>(figure: { known: true; value: T } | { known: false; missing: unknown }): T => {
  if (!figure.known) throw new Error(JSON.stringify(figure))
  return figure.value
}
const chainAt = (build: Build, settings = {}, index = 0) => {
  const found = evaluateBuild(build, settings).chains[index]
  if (!found) throw new Error('no chain')
  return found
}
const check = (build: Build, id: string, settings = {}) =>
  evaluateBuild(build, settings).checks.find((one) => one.id === id)
const problems = (file: unknown): string[] => {
  const parsed = parseBuild(file)
  return parsed.ok ? [] : parsed.problems.map(({ path, message }) => `${path}: ${message}`)
}
const TWO: readonly ToldSprocket[] = [
  { x: 0, z: 0, teeth: 15 },
  { x: -620, z: 0, teeth: 45 },
]
/** Readings of a face at some places, as a laser on its right shows them. */
const face = (sprocket: string, figures: Readonly<Record<string, number>>, more = {}) =>
  Object.entries(figures).map(([place, mm]) => ({
    id: `${sprocket}-${place}`,
    kind: 'sprocket-face',
    setup: 'one',
    sprocket,
    place,
    radius: '50',
    stands: 'right',
    values: [String(mm)],
    ...more,
  }))

describe('a chain and the levers', () => {
  const slotted = (more = {}) =>
    chainBuild(15.875, [TWO[0]!, { ...TWO[1]!, body: 'slide' }], {
      bodies: [{ id: 'slide', kind: 'item', name: 'slide' }],
      levers: [{ id: 'slot', kind: 'fore', body: 'slide', range: [-30, 30], step: 0.1 }],
      chain: { links: 110, adjuster: 'slot', ...more },
    })

  it('stands taut where the centre for its links is', () => {
    const { adjuster } = chainAt(slotted())
    const taut = known(adjuster!).taut
    const centre = centreFor({ teeth: [15, 45], pitchMm: 15.875 }, { links: 110 })
    expect(taut).toEqual({ at: expect.closeTo(620 - centre, 6) })
  })

  it('goes from new to worn by half of what the chain grows', () => {
    const { fresh, worn } = known(chainAt(slotted({ wornPercent: 1.5 })).adjuster!)
    const [one, other] = [known(fresh), known(worn)]
    if (!('at' in one) || !('at' in other)) throw new Error('does not fit')
    // The runs lean a little, so that it is not quite half.
    expect(one.at - other.at).toBeCloseTo((110 * 15.875 * 0.015) / 2, 0)
    expect(one.at).toBeGreaterThan(other.at)
  })

  it('says how much way its slots lack, and what would fit', () => {
    const { adjuster, checks } = chainAt(slotted({ links: 118 }))
    expect(known(adjuster!).taut).toEqual({ never: 'too-long', lacksMm: expect.closeTo(44.1, 1) })
    const left = checks.find(({ quantity }) => quantity === 'adjuster-left')
    // Worn by 2 % it is another 37 mm longer, half of it at each run.
    expect([left?.verdict, Math.round(left?.value ?? 0)]).toEqual(['out', -63])
    expect(known(chainAt(slotted({ links: 96 })).adjuster!).taut).toEqual({
      never: 'too-short',
      lacksMm: expect.any(Number),
    })
  })

  it('hangs right with the slack that is asked for, wherever the slots and the teeth are', () => {
    let hung = 0
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 24 }), fc.integer({ min: 28, max: 60 }), (front, rear) => {
        const links =
          2 * Math.ceil(driveLoop({ teeth: [front, rear], pitchMm: 15.875, centreMm: 600 }).linksNeeded / 2)
        const build = chainBuild(
          15.875,
          [
            { ...TWO[0]!, teeth: front },
            { x: -610, z: 0, teeth: rear, body: 'slide' },
          ],
          {
            bodies: [{ id: 'slide', kind: 'item', name: 'slide' }],
            levers: [{ id: 'slot', kind: 'fore', body: 'slide', range: [-60, 60], step: 0.1 }],
            chain: { links, adjuster: 'slot' },
          },
        )
        const { right } = known(chainAt(build).adjuster!)
        if (!('at' in right)) return
        hung++
        const slack = check(build, 'chain/chain/chain-slack', { slot: right.at })
        expect(slack?.value).toBeCloseTo(2.5, 4)
        expect(slack?.verdict).toBe('holds')
      }),
      { seed: 20261129, numRuns: 12 },
    )
    expect(hung).toBeGreaterThan(8)
  })

  it('says where teeth run into each other, though the chain would lie round them', () => {
    const drive = (apartMm: number) =>
      chainBuild(9.525, [
        { x: 0, z: 0, teeth: 30 },
        { x: -apartMm, z: 0, teeth: 31 },
      ])
    // Tips of a tooth: p·(0.6 + cot(180°/N)) across.
    const reach = [30, 31].reduce((sum, n) => sum + (9.525 * (0.6 + 1 / Math.tan(Math.PI / n))) / 2, 0)
    const room = (apartMm: number) => check(drive(apartMm), 'chain/chain/sprocket-room/s2')
    expect(known(chainAt(drive(95)).loop).linksNeeded).toBeGreaterThan(50)
    expect([room(95)?.verdict, room(95)?.value]).toEqual(['out', expect.closeTo(95 - reach, 9)])
    expect([room(99)?.verdict, room(120)?.verdict]).toEqual(['tight', 'holds'])
    expect(room(95)?.basis).toContain('teeth that meet jam')
  })

  it('is as long as its slack says, once that was felt, and keeps that length when it is moved', () => {
    const felt = chainBuild(15.875, [TWO[0]!, { ...TWO[1]!, body: 'slide' }], {
      bodies: [{ id: 'slide', kind: 'item', name: 'slide' }],
      levers: [{ id: 'slot', kind: 'fore', body: 'slide', range: [-30, 30], step: 0.1 }],
      readings: [{ id: 's', kind: 'chain-slack', setup: 'one', chain: 'chain', values: ['20'] }],
    })
    const [here, moved] = [chainAt(felt), chainAt(felt, { slot: 1 })]
    expect(known(here.slack)).toMatchObject({ by: 'reading', playMm: expect.closeTo(20, 9) })
    expect(known(moved.slack).lengthMm).toBeCloseTo(known(here.slack).lengthMm, 9)
    // One millimetre nearer leaves almost two more of chain.
    expect(known(moved.slack).excessMm - known(here.slack).excessMm).toBeCloseTo(1.99, 1)
  })

  it('that is too short is out, not without a figure', () => {
    const short = check(slotted({ links: 108 }), 'chain/chain/chain-slack')
    expect(short?.verdict).toBe('out')
    expect(short?.value).toBeLessThan(0)
    expect(known(chainAt(slotted({ links: 108 })).slack).playMm).toBeNull()
  })

  it('asks for its links where neither they nor the slack are told', () => {
    const bare = chainAt(chainBuild(15.875, TWO))
    expect(bare.slack).toEqual({
      known: false,
      missing: [{ what: 'chain: how many links it has, or its slack', path: 'chains[0].links' }],
    })
    expect(known(bare.linksToOrder)).toBe(110)
  })
})

describe('the line of the sprockets', () => {
  const ROUND = { front: 20, rear: 20, top: 20, bottom: 20 }
  const aligned = (readings: readonly object[], levers: readonly object[] = [], settings = {}) => {
    const build = chainBuild(15.875, TWO, { readings, levers })
    return { found: chainAt(build, settings).aligned[0]!, build }
  }

  it('is known by both angles only once front, rear, top and bottom are read', () => {
    const half = aligned([...face('s1', ROUND), ...face('s2', { front: 21, rear: 22 })])
    expect(half.found.read).toMatchObject({ yaw: true, tilt: false })
    expect(check(half.build, 'chain/chain/chain-angle/s2')).toMatchObject({ verdict: 'unknown', value: null })
    expect(half.found.read.both).toEqual({
      known: false,
      missing: [
        { what: 'sprocket of 45: only one angle is read; read its face at the top and the bottom', path: '' },
      ],
    })
    const whole = aligned([
      ...face('s1', ROUND),
      ...face('s2', { front: 21, rear: 22, top: 21.5, bottom: 21.5 }),
    ])
    expect(whole.found.read.both.known).toBe(true)
    // One millimetre over the hundred between front and rear.
    expect(whole.found.yawDeg).toBeCloseTo(-0.573, 3)
    expect(check(whole.build, 'chain/chain/chain-angle/s2')?.verdict).toBe('out')
  })

  it('is put right by a spacer of the offset, to the hundredth', () => {
    const readings = [
      ...face('s1', ROUND),
      ...face('s2', { front: 22.4, rear: 22.4, top: 22.4, bottom: 22.4 }),
    ]
    const levers = [
      { id: 'spacer', kind: 'spacer', body: 'chassis', sprocket: 's2', range: [-5, 5], step: 0.5 },
    ]
    const { found, build } = aligned(readings, levers)
    expect(found.offsetMm).toBeCloseTo(2.4, 9)
    expect(check(build, 'chain/chain/chain-offset/s2')?.verdict).toBe('out')
    expect(chainAt(build, { spacer: -2.4 }).aligned[0]?.offsetMm).toBeCloseTo(0, 9)
    expect(check(build, 'chain/chain/chain-offset/s2', { spacer: -2.5 })?.verdict).toBe('holds')
  })

  it('turns its sign with the side that the laser stands on, and takes no distance below nought', () => {
    const left = aligned([
      ...face('s1', ROUND, { stands: 'left' }),
      ...face('s2', { ...ROUND, front: 22, rear: 22, top: 22, bottom: 22 }, { stands: 'left' }),
    ])
    expect(left.found.offsetMm).toBeCloseTo(-2, 9)
    const below = chainAt(
      chainBuild(15.875, TWO, { readings: [...face('s1', { front: -1, rear: 2 }), ...face('s2', ROUND)] }),
    )
    expect(below.aligned[0]?.read.both.known).toBe(false)
  })

  it('is asked which side the laser stood on where that was not said', () => {
    const unsaid = face('s1', ROUND).map(({ stands, ...rest }) => (stands ? rest : rest))
    const build = chainBuild(15.875, TWO, { readings: [...unsaid, ...face('s2', ROUND)] })
    expect(chainAt(build).aligned[0]?.read.both.known).toBe(false)
  })

  it('counts from where everything stood when the faces were read', () => {
    const build = chainBuild(15.875, [{ ...TWO[0]!, body: 'slide' }, TWO[1]!], {
      bodies: [{ id: 'slide', kind: 'item', name: 'slide' }],
      levers: [{ id: 'aside', kind: 'sideways', body: 'slide', range: [-10, 10], step: 1 }],
      readings: [
        ...face('s1', ROUND, { trial: 'second' }),
        ...face('s2', { front: 23, rear: 23, top: 23, bottom: 23 }, { trial: 'second' }),
      ],
      rest: {
        trials: [
          { id: 'first', name: 'First' },
          { id: 'second', name: 'Second', packed: { aside: 2 } },
        ],
      },
    })
    // Read 3 mm to the left with the first one packed 2 mm to the left: as measured it stands 5 mm off.
    expect(chainAt(build, { aside: 2 }).aligned[0]?.offsetMm).toBeCloseTo(3, 9)
    expect(chainAt(build, {}).aligned[0]?.offsetMm).toBeCloseTo(5, 9)
  })

  it('goes by points and shafts where no face was read', () => {
    const build = chainBuild(15.875, [
      { ...TWO[0]!, left: 10, lies: [0, 0] },
      { ...TWO[1]!, left: 12, lies: [0.2, -0.1] },
    ])
    const [found] = chainAt(build).aligned
    expect(found?.offsetMm).toBeCloseTo(
      2 * Math.cos((0.224 * Math.PI) / 180) + 620 * Math.sin((0.1 * Math.PI) / 180),
      1,
    )
    expect(found?.angleDeg).toBeCloseTo(Math.hypot(0.2, 0.1), 3)
    expect(found?.read.both.known).toBe(true)
  })

  it('asks nobody how a guide wheel is turned', () => {
    const build = chainBuild(15.875, [
      TWO[0]!,
      TWO[1]!,
      { x: -310, z: -40, teeth: 12, outside: true, idler: true },
    ])
    const ids = evaluateBuild(build, {}).checks.map(({ id }) => id)
    expect(ids).toContain('chain/chain/chain-offset/s3')
    expect(ids).not.toContain('chain/chain/chain-angle/s3')
    expect(ids).not.toContain('chain/chain/chain-wrap/s3')
  })
})

describe('a chain through the travel', () => {
  it('is tightest where the arm comes into line, between the named places', () => {
    const { travel, checks } = chainAt(BUGGY, { 'jack-bolt': 0.5 })
    expect(travel?.tightest.place).toMatch(/^3\d\.\d mm down$/)
    const slack = checks.find(({ quantity }) => quantity === 'chain-slack')
    expect(slack?.at?.name).toMatch(/^3\d\.\d mm down$/)
    expect(slack?.verdict).toBe('out')
  })

  it('is asked for more slack at ride height than at the tightest place, and holds with it', () => {
    const { slack, adjuster, travel } = chainAt(BUGGY)
    const [from, to] = known(slack).wantedMm!
    const of = travel!.tightest.spanMm
    expect(from).toBeGreaterThan(0.02 * of)
    expect(to).toBeGreaterThan(from)
    const { right } = known(adjuster!)
    if (!('at' in right)) throw new Error('does not fit')
    expect(check(BUGGY, 'chain/drive/chain-slack', { 'jack-bolt': right.at })?.verdict).toBe('holds')
    // At the tightest place it then hangs by the middle of what is wanted.
    const { travel: then, slack: now } = chainAt(BUGGY, { 'jack-bolt': right.at })
    const left = known(now).lengthMm - then!.tightest.neededMm
    const play = 2 * Math.sqrt(((of + left) / 2) ** 2 - (of / 2) ** 2)
    expect((100 * play) / of).toBeGreaterThan(2.4)
    expect((100 * play) / of).toBeLessThan(2.7)
  })

  it('does not move where nothing of it goes along with wheels', () => {
    expect(chainAt(CART).travel).toBeNull()
  })
})

describe('what a chain bears', () => {
  it('is what the tyres let through, in the low gears', () => {
    const [first, second] = known(chainGears(CART, CART.chains![0]!))
    expect([first?.limitedBy, second?.limitedBy]).toEqual(['grip', 'engine'])
    // 0.7 · 260 kg · g · 0.225 m over the three turns of the chain.
    expect(first?.torqueNm).toBeCloseTo((0.7 * 260 * 9.80665 * 0.225) / 3, 2)
    // 17 Nm · 7.1 · 0.93.
    expect(second?.torqueNm).toBeCloseTo(112.25, 2)
    expect(second?.pullN).toBeCloseTo(112.25 / 0.03818, -1)
  })

  it('goes on through a second chain on the same shaft', () => {
    const build = demoFile('burdock-cart', (raw) => {
      const [drive] = raw.chains
      raw.points.push(
        { id: 'jack-in', name: 'jackshaft, in', body: 'chassis' },
        { id: 'jack-out', name: 'jackshaft, out', body: 'chassis' },
      )
      raw.axes.push({ id: 'jack', name: 'jackshaft', body: 'chassis', lies: 'across' })
      raw.chains = [
        {
          ...drive,
          id: 'one',
          name: 'first stage',
          adjuster: undefined,
          sprockets: [drive.sprockets[0], { id: 'mid', teeth: 30, point: 'jack-in', axis: 'jack' }],
        },
        {
          ...drive,
          id: 'two',
          adjuster: undefined,
          name: 'second stage',
          sprockets: [{ id: 'mid-2', teeth: 15, point: 'jack-out', axis: 'jack' }, drive.sprockets[1]],
        },
      ]
      raw.readings = raw.readings.filter(({ kind }: any) => kind !== 'chain-slack')
      raw.levers = raw.levers.filter(({ id }: any) => id !== 'jack-bolt')
      delete raw.drivetrain.grip
    })
    const [one, two] = build.chains!
    expect(known(chainGears(build, two!))[0]?.torqueNm).toBeCloseTo(
      2 * known(chainGears(build, one!))[0]!.torqueNm,
      6,
    )
    // Both stages stand between the engine and the road.
    const [low] = known(chainGears(build, two!))
    expect(low?.speedKmh).toBeCloseTo(known(chainGears(build, one!))[0]!.speedKmh!, 6)
  })

  it('says what is missing', () => {
    const bare = demoFile('burdock-cart', (raw) => delete raw.drivetrain.peakTorqueNm)
    expect(chainGears(bare, bare.chains![0]!)).toEqual({
      known: false,
      missing: [{ what: 'torque of the engine not entered', path: 'drivetrain.peakTorqueNm' }],
    })
  })

  it('offers sprockets by how near they come to a speed, each with its own links', () => {
    const pairs = known(chainPairs(CART, chainAt(CART), 40))
    const off = pairs.map(({ topKmh }) => Math.abs(topKmh - 40))
    expect(off).toEqual([...off].sort((a, b) => a - b))
    expect(off[0]).toBeLessThan(0.5)
    for (const { links } of pairs) expect(links % 2).toBe(0)
  })
})

describe('a live axle', () => {
  const body = CART.bodies.find((one) => one.kind === 'live-axle')!
  const figures = (settings = {}) => liveAxleFigures(CART, evaluateBuild(CART, settings), body)

  it('is as long as its hubs and what reaches beyond them', () => {
    const { lengthMm, stations } = figures()
    expect(known(lengthMm)).toBeCloseTo(790 + 36, 6)
    expect(stations.map(({ what, fromEndMm }) => [what, Math.round(fromEndMm ?? NaN)])).toEqual([
      ['hub', 18],
      ['bearing', 158],
      ['sprocket', 274],
      ['brake', 531],
      ['bearing', 668],
      ['hub', 808],
    ])
  })

  it('turns about its right bearing when the left one is moved', () => {
    const { bearings } = figures({ 'block-fore': 3, 'block-up': 1.5 })
    expect(known(bearings)).toMatchObject({
      leftForeMm: expect.closeTo(3, 3),
      leftUpMm: expect.closeTo(1.5, 3),
      apartMm: expect.closeTo(510, 9),
    })
    const [moved, still] = [chainAt(CART, { 'block-fore': 3 }).aligned[0]!, chainAt(CART).aligned[0]!]
    // 3 mm over 510 turn the axle, and its sprocket with it: left end forward, so the front edge goes to the right.
    expect(moved.yawDeg - still.yawDeg).toBeCloseTo(-(Math.atan(3 / 510) * 180) / Math.PI, 3)
  })

  it('bends between its bearings as a beam does', () => {
    const { bending } = figures()
    const pull = known(chainAt(CART).forces).pullN.peak
    const [a, b, long] = [255 - 139.6, 255 + 139.6, 510]
    expect(known(bending).momentNm).toBeCloseTo((pull * a * b) / long / 1000, -1)
    expect(known(bending).reactionsN.reduce((sum, one) => sum + one, 0)).toBeCloseTo(pull, 6)
  })
})

describe('a file of chains is refused', () => {
  const file = (change: (raw: any) => void, sprockets = TWO) => {
    const raw = chainFile(15.875, sprockets, {
      levers: [{ id: 'spacer', kind: 'spacer', body: 'chassis', sprocket: 's2', range: [-5, 5], step: 1 }],
      readings: face('s1', { front: 1 }),
    })
    change(raw)
    return problems(raw)
  }

  it('with the place of what is wrong', () => {
    expect(file(() => undefined)).toEqual([])
    expect(file((raw) => (raw.chains[0].links = 61))).toEqual([
      'chains[0].links: is odd: a chain without a half link has an even number of links',
    ])
    expect(file((raw) => (raw.chains[0].sprockets[1].point = 'nowhere'))).toContain(
      'chains[0].sprockets[1].point: there is no point "nowhere"',
    )
    expect(file((raw) => (raw.chains[0].sprockets[1].id = 's1'))[0]).toContain(
      'is already the id of another sprocket',
    )
    expect(file((raw) => (raw.chains[0].sprockets[1].idler = true))).toEqual([
      'chains[0].sprockets: needs one besides the first that is no idler',
    ])
    expect(file((raw) => (raw.chains[0].sprockets[0].idler = true))[0]).toContain('the first sprocket drives')
    expect(file((raw) => (raw.chains[0].adjuster = 'none'))).toEqual([
      'chains[0].adjuster: there is no lever "none"',
    ])
    expect(file((raw) => (raw.levers[0].sprocket = 'none'))).toEqual([
      'levers[0].sprocket: there is no sprocket "none"',
    ])
    expect(file((raw) => (raw.levers[0].kind = 'up'))).not.toEqual([])
    expect(file((raw) => (raw.readings.at(-1).sprocket = 'none'))).toEqual([
      expect.stringContaining('there is no sprocket "none"'),
    ])
    expect(file((raw) => (raw.chains[0].sprockets[0].teeth = 2.5))[0]).toContain(
      'chains[0].sprockets[0].teeth',
    )
    expect(file((raw) => (raw.chains[0].pitchMm = 0))[0]).toContain('chains[0].pitchMm')
    expect(file((raw) => (raw.chains[0].sprockets = raw.chains[0].sprockets.slice(0, 1)))[0]).toContain(
      'chains[0].sprockets',
    )
  })

  it('for a face on a shaft that runs along the vehicle', () => {
    const along = file((raw) => {
      raw.axes.push({ id: 'long', name: 'long', body: 'chassis' })
      raw.chains[0].sprockets[0].axis = 'long'
    })
    expect(along).toEqual([expect.stringContaining('its face is not read from a line along it')])
  })
})

describe('a steering chain', () => {
  it('lies square to shafts that run along the vehicle, and says its play at the wheel', () => {
    const found = chainAt(CART, {}, 1)
    expect(found.isLengthwise).toBe(true)
    // From (400, 0, 430) to (486.4, −120, 164), square to a shaft that falls by 18°.
    expect(known(found.centreMm)).toBeCloseTo(304.3, 1)
    const play = found.checks.find(({ quantity }) => quantity === 'chain-backlash')
    const radius = 12.7 / (2 * Math.sin(Math.PI / 16))
    expect(play?.value).toBeCloseTo((known(found.slack).excessMm / radius) * (180 / Math.PI), 9)
    const shifts = demoFile('burdock-cart', (raw) => (raw.chains[1].duty = 'shift'))
    const felt = chainAt(shifts, {}, 1).checks.find(({ quantity }) => quantity === 'chain-backlash')
    expect(felt?.value).toBe(play?.value)
  })

  it('has no play to judge where it drives', () => {
    expect(chainAt(CART).checks.map(({ quantity }) => quantity)).not.toContain('chain-backlash')
  })
})
