import { JOINTS } from '~~/core/file/parts/joints'
import type { PartKey } from '~~/core/show/parts/partsScene'
import type { Build } from '~~/core/file/build/build'
import type { Line } from '~~/core/file/parts/lineSpec'
import { texts } from '~/texts/en'
import { partsOfLine } from '~/texts/parts'

const words = partsOfLine.names

/** What a part of a line is called: "joint 2", "slip yoke", "gearbox output". */
export function partName(build: Build, line: Line, key: PartKey): string {
  const axisName = (id: string) => build.axes.find((axis) => axis.id === id)?.name
  switch (key.part) {
    case 'driving':
      return axisName(line.driving) ?? words.driving
    case 'driven':
      return axisName(line.driven) ?? words.driven
    case 'driving-end':
      return partsOfLine.endNames[line.shafts[0]?.drivingEnd?.kind ?? 'yoke']
    case 'driven-end':
      return partsOfLine.endNames[line.shafts.at(-1)?.drivenEnd?.kind ?? 'yoke']
    case 'joint':
      return words.joint(key.index)
    case 'shaft':
      return words.shaft(key.index, line.shafts.length)
    default:
      return words[key.part]
  }
}

/** What stands under its name: the kind of a joint, how a shaft's yokes stand. */
export function partRemark(line: Line, key: PartKey, angle: (deg: number) => string): string {
  if (key.part === 'joint') {
    const joint = line.joints[key.index]
    if (!joint) return ''
    const pilot = joint.centringPilot ? partsOfLine.pilot : partsOfLine.noPilot
    return JOINTS[joint.kind].needsPilot
      ? `${texts.jointKinds[joint.kind]}, ${pilot}`
      : texts.jointKinds[joint.kind]
  }
  if (key.part !== 'shaft') return ''
  const { phaseDeg = 0, splineTeeth } = line.shafts[key.index] ?? {}
  return [
    phaseDeg === 0 ? partsOfLine.inPhase : partsOfLine.phase(angle(phaseDeg)),
    ...(splineTeeth ? [partsOfLine.teeth(splineTeeth)] : []),
  ].join(', ')
}
