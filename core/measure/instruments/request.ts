import { object, string, ValidationError } from 'yup'
import { figure, wordField } from '../../file/parts/fields'
import { refused, type ReadResult } from '../../file/parts/problem'
import { INSTRUMENT_KINDS, SIMULATED_DEFAULTS, type SimulatedSpec } from './simulated'

const schema = object({
  kind: wordField(INSTRUMENT_KINDS).required(),
  truth: figure(-100_000, 100_000),
  noise: figure(0, 100),
  drift: figure(-100, 100),
  zero: figure(-100, 100),
  seed: figure(0, 4_294_967_295).integer(),
  session: string()
    .matches(/^[A-Za-z0-9_-]{8,64}$/, 'must be 8 to 64 letters, digits, - or _')
    .required(),
})

/** A stream that was asked for. */
export interface StreamRequest {
  readonly spec: SimulatedSpec
  /** Names the stream, so that its hold button can be pressed. */
  readonly session: string
}

/** What a stream of a simulated tool is asked to be, from the untyped words of a request. */
export function parseStreamRequest(raw: Record<string, unknown>): ReadResult<StreamRequest> {
  try {
    const asked = schema.validateSync(raw, { abortEarly: false })
    const kind = asked.kind as SimulatedSpec['kind']
    const usual = SIMULATED_DEFAULTS[kind]
    return {
      ok: true,
      value: {
        session: asked.session,
        spec: {
          kind,
          truth: asked.truth ?? usual.truth,
          noise: asked.noise ?? usual.noise,
          driftPerMinute: asked.drift ?? usual.driftPerMinute,
          zeroError: asked.zero ?? usual.zeroError,
          seed: asked.seed ?? 1,
        },
      },
    }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const [first] = error.inner.length > 0 ? error.inner : [error]
    return refused(first?.path ?? '', first?.errors[0] ?? 'is not valid')
  }
}
