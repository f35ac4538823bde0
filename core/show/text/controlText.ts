import type { Build } from '../../file/build/build'
import type { Verdict } from '../../file/build/limit'
import type { Limb } from '../../file/parts/control'
import type { ManoeuvreEvaluation } from '../../model/manoeuvreSubject'

export const LIMB_NAMES: Readonly<Record<Limb, string>> = {
  leftHand: 'left hand',
  rightHand: 'right hand',
  leftFoot: 'left foot',
  rightFoot: 'right foot',
}

/** A manoeuvre as a row: what each limb does. */
export interface ManoeuvreRow {
  readonly id: string
  readonly name: string
  readonly verdict: Verdict
  readonly by: Readonly<Record<Limb, readonly string[]>>
  /** What cannot be done at once, and what would help; empty where all can. */
  readonly clash: string
}

/** Every manoeuvre of a build, in its order. */
export const manoeuvreRows = (
  found: readonly ManoeuvreEvaluation[],
  { controls = [] }: Pick<Build, 'controls'>,
): ManoeuvreRow[] =>
  found.map(({ manoeuvre: { id, name }, share, checks }) => {
    const nameOf = (control: string) => controls.find((one) => one.id === control)?.name ?? control
    const done = [...share.by]
    const jobsOf = (limb: Limb) => done.flatMap(([control, by]) => (by === limb ? [nameOf(control)] : []))
    return {
      ...{ id, name, verdict: checks[0]?.verdict ?? 'unknown' },
      by: {
        ...{ leftHand: jobsOf('leftHand'), rightHand: jobsOf('rightHand') },
        ...{ leftFoot: jobsOf('leftFoot'), rightFoot: jobsOf('rightFoot') },
      },
      clash: share.clash ? clashText(share.clash.jobs.map(nameOf), share.clash.limbs) : '',
    }
  })

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight']

function clashText(jobs: readonly string[], limbs: readonly Limb[]): string {
  const those = listed(jobs)
  const wanted = `${those} ${jobs.length > 2 ? 'all' : 'both'} want ${listed(limbs.map((one) => `the ${LIMB_NAMES[one]}`))}`
  return limbs.length === 1
    ? `${wanted} at once: lead one of them to another hand or foot.`
    : `${wanted}: ${COUNTS[jobs.length] ?? jobs.length} jobs for ${COUNTS[limbs.length] ?? limbs.length}.`
}

const listed = (all: readonly string[]): string =>
  all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`

/** What the plan comes to. */
export function controlSentence(found: readonly ManoeuvreEvaluation[]): string {
  const out = found.filter(({ share }) => share.clash !== null)
  if (found.length === 0) return 'No manoeuvre yet.'
  if (out.length === 0)
    return `Every hand and foot has one job at a time in ${found.length === 1 ? 'this manoeuvre' : `all ${found.length} manoeuvres`}.`
  const names = listed(out.map(({ manoeuvre }) => manoeuvre.name))
  return `${names}: two jobs for one hand or foot at one moment.`
}
