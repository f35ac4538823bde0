import type { Remote } from 'comlink'
import type { Build } from '~~/core/file/build/build'

/** A worker that is told of a build once, and compiles it once, however often it is asked about it. */
export interface TakesBuild {
  /** Takes the build that later questions are about. */
  open: (build: Build) => Promise<void>
}

/** Tells a worker of a build when it does not know it: another build was opened, or the worker is a new one. */
export function opener<Service extends TakesBuild>(): (
  service: Remote<Service>,
  build: Build,
) => Promise<void> {
  let told: { readonly service: Remote<Service>; readonly build: Build } | null = null
  return async (service, build) => {
    if (told?.service === service && told.build === build) return
    told = { service, build }
    await (service as unknown as TakesBuild).open(build)
  }
}
