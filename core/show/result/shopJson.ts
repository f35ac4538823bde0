import { answered, type Answered, type Named } from './answeredJson'
import { cutoutAnswer, type CutoutAnswer, type LargerCut } from '../../making/cutouts/cutoutAnswer'
import { boltAnswer, type BoltAnswer } from '../../bay/bolts/boltAnswer'
import type { Piece } from '../../file/kinds/pieceKinds'
import { pieceAnswer } from '../../making/pieces/pieceAnswer'
import type { TabStress } from '../../making/pieces/tab'
import { overHumps } from '../../bay/ground/overHumps'
import type { RolledOver } from '../../making/ground/rollOver'
import { releaseOf } from '../../making/ways/heldEntry'
import type { Release } from '../../making/ways/release'
import { closePairs } from '../../bay/closePairs'
import { lowOrder, type LowThing } from '../../bay/ground/lowOrder'
import { rockedGaps, type RockedGap } from '../../bay/rocking'
import { serviceWay, type ServiceAnswer } from '../../bay/serviceWay'
import { thingsOf } from '../../bay/things'
import { axleCutAnswers, sleeveFit, type SleeveFit } from '../../sprockets/axleCutOf'
import type { CutSide } from '../../sprockets/cutAxle'
import { weldedStand, type WeldedStand } from '../../answers/trials/weldedStand'
import type { View } from '../../drawing/shape'
import { patternOf } from '../../vehicle/halfshaft/donorPattern'
import type { Pattern } from '../../vehicle/halfshaft/pattern'
import { mapKnown } from '../../base/known'
import type { Evaluation } from '../../model/evaluateBuild'
import { liveAxleFigures, type LiveAxleFigures } from '../../model/liveAxle'
import { powertrainOf } from '../../file/parts/bodies'
import type { LiveAxleBody } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import {
  legsAnswer,
  mountsAnswer,
  tiltAnswer,
  type MountsAnswer,
  type TiltAnswer,
} from '../../vehicle/weight/unitAnswers'
import { hangAnswer, weightAnswer, type Hang } from '../../vehicle/weight/weightOf'
import type { LoadChange } from '../../vehicle/weight/axleLoads'
import type { TwoLegHang } from '../../vehicle/weight/sling'

/** Two parts that stand close by their outlines, with no gap watched between them. */
interface PairJson {
  readonly bodies: readonly [Id, Id]
  readonly gapMm: number
  readonly view: View
}

type LiveAxleJson = Omit<
  LiveAxleFigures,
  'body' | 'lengthMm' | 'bearings' | 'bending' | 'criticalRpm' | 'mostRpm'
> & {
  readonly id: Id
  readonly name: string
  readonly lengthMm: Answered<number>
}

/** One side of an axle that is made to another width. */
interface CutJson {
  readonly side: 'left' | 'right'
  readonly needMm: Answered<number>
  /** End play that the shaft which came leaves. */
  readonly playMm: Answered<number>
  readonly cut: Answered<CutSide>
}

/** What the bench shows beside lines, gaps and chains, for other programs. */
export interface ShopJson {
  /** Null while nothing was weighed. */
  readonly weight: {
    readonly loads: Answered<LoadChange>
    /** How the unit hangs from one hook, and from two legs. */
    readonly sling: Answered<Hang>
    readonly legs: Answered<TwoLegHang>
    readonly mounts: Answered<MountsAnswer>
    readonly tilt: Answered<TiltAnswer>
  } | null
  readonly patterns: readonly Named<Pattern>[]
  /** The closest first. */
  readonly closePairs: readonly PairJson[]
  readonly services: readonly Named<ServiceAnswer>[]
  /** What strikes the ground first, at ride height. */
  readonly groundOrder: Answered<readonly LowThing[]>
  /** Small made parts: how far a guide lets its drill wander, what the tab over a gusset bears. */
  readonly pieces: readonly PieceJson[]
  /** Over each hump: the least gap of every low point, and what touches first. */
  readonly bolts: readonly Named<BoltAnswer>[]
  /** Openings that something is lowered through: the cut after each touch, and what a larger one saves. */
  readonly cutouts: readonly Named<CutoutJson>[]
  readonly humps: readonly Named<RolledOver>[]
  /** Where the powertrain stands once welded, against how it stood tacked. */
  readonly welds: readonly Named<WeldJson>[]
  /** Whether parts come out of where they sit. */
  readonly releases: readonly Named<Release>[]
  /** What the engine takes from its gaps while it rocks; null where nobody said how far. */
  readonly rock: Answered<readonly RockedGap[]> | null
  readonly axleCuts: readonly {
    readonly id: Id
    readonly name: string
    readonly sides: readonly CutJson[]
    readonly sleeve: SleeveFit | null
  }[]
  readonly liveAxles: readonly LiveAxleJson[]
}

/** Checks that are worse by their ids. */
type WeldJson = Omit<WeldedStand, 'worse'> & { readonly worse: readonly string[] }

type CutoutJson = Omit<CutoutAnswer, 'larger'> & { readonly larger: Answered<LargerCut> }

interface PieceJson {
  readonly id: Id
  readonly name: string
  readonly wanderMm: number | null
  readonly tab: Answered<TabStress> | null
}

function pieceJson(piece: Piece): PieceJson {
  const { wanderMm, tab } = pieceAnswer(piece)
  return { id: piece.id, name: piece.name, wanderMm, tab: tab && answered(tab) }
}

/** Weights, patterns, parts in the bay, ground and axles of a build at the position that was worked out. */
export function shopJson(build: Build, now: Evaluation): ShopJson {
  const moveOf = (id: Id) => {
    const move = now.moves.get(id)
    return move?.known ? move.value : null
  }
  const { things } = thingsOf(build, moveOf)
  const { rockDeg } = powertrainOf(build) ?? {}
  return {
    weight: build.weight
      ? {
          loads: answered(weightAnswer(build.weight, moveOf)),
          sling: answered(hangAnswer(build.weight)),
          legs: answered(legsAnswer(build.weight)),
          mounts: answered(mountsAnswer(build, now.measured, build.weight)),
          tilt: answered(tiltAnswer(build, build.weight)),
        }
      : null,
    patterns: (build.patterns ?? []).map((pattern) => ({
      id: pattern.id,
      name: pattern.name,
      ...answered(patternOf(pattern)),
    })),
    closePairs: closePairs(build, things).map(({ a, b, gapMm, view }) => ({
      bodies: [a.body, b.body],
      gapMm,
      view,
    })),
    services: (build.services ?? []).map((check) => ({
      id: check.id,
      name: build.bodies.find(({ id }) => id === check.body)?.name ?? '',
      ...answered(serviceWay(build, check, things)),
    })),
    groundOrder: answered(lowOrder(build, now, { front: 0, rear: 0 })),
    bolts: (build.bolts ?? []).map((bolt) => ({
      id: bolt.id,
      name: bolt.name,
      ...answered(boltAnswer(build, bolt)),
    })),
    cutouts: (build.cutouts ?? []).map((one) => ({
      id: one.id,
      name: one.name,
      ...answered(mapKnown(cutoutAnswer(one), (found) => ({ ...found, larger: answered(found.larger) }))),
    })),
    pieces: (build.pieces ?? []).map(pieceJson),
    humps: overHumps(build, now).map(({ hump: { id, name }, over }) => ({ id, name, ...answered(over) })),
    welds: (build.welds ?? []).map((weld) => ({
      id: weld.id,
      name: weld.name,
      ...answered(
        mapKnown(weldedStand(build, weld), (stand) => ({ ...stand, worse: stand.worse.map(({ id }) => id) })),
      ),
    })),
    releases: (build.releases ?? []).map((part) => ({
      id: part.id,
      name: part.name,
      ...answered(releaseOf(part)),
    })),
    rock: rockDeg ? answered(rockedGaps(build, now, rockDeg)) : null,
    axleCuts: (build.axleCuts ?? []).map((cut) => ({
      id: cut.id,
      name: cut.name,
      sides: axleCutAnswers(cut).map(({ side, needMm, playMm, cut: pieces }) => ({
        side,
        needMm: answered(needMm),
        playMm: answered(playMm),
        cut: answered(pieces),
      })),
      sleeve: sleeveFit(cut),
    })),
    liveAxles: build.bodies
      .filter((body): body is LiveAxleBody => body.kind === 'live-axle')
      .map((body) => {
        const { stations, missing, lengthMm } = liveAxleFigures(build, now, body)
        return { id: body.id, name: body.name, stations, missing, lengthMm: answered(lengthMm) }
      }),
  }
}
