import type { Build } from '../../file/build/build'
import { readingContext } from '../../measure/geometry/readingContext'
import { setupRegistration, unreadDatums } from '../../measure/setups/registrationColumns'

/** How a setup was brought to the chassis, as the command line and the server give it. */
export interface RegistrationJson {
  readonly setup: string
  readonly known: boolean
  readonly rmsMm: number | null
  /** Id of the datum point without which the others fit clearly better. */
  readonly suspect: string | null
  readonly misses: readonly { readonly point: string; readonly missMm: number }[]
  /** All that is wrong with it, in words. */
  readonly faults: readonly string[]
}

/** The registrations of all setups that were measured from a line of their own. */
export function registrationsJson(build: Build): RegistrationJson[] {
  const context = readingContext(build)
  return build.setups.flatMap((setup): RegistrationJson[] => {
    const result = setupRegistration(context, setup)
    if (result === null) return []
    const unread = unreadDatums(context, setup).map((what) => `${setup.name}: ${what}`)
    if (!result.known) {
      const faults = result.missing.map(({ what }) => what)
      return [{ setup: setup.id, known: false, rmsMm: null, suspect: null, misses: [], faults }]
    }
    const { rms, residuals, suspect } = result.value
    const name = build.points.find((point) => point.id === suspect)?.name
    const suspicion = name
      ? [`${setup.name}: ${name} does not fit the other datum points; look at it again`]
      : []
    return [
      {
        setup: setup.id,
        known: true,
        rmsMm: rms,
        suspect,
        misses: residuals.map(({ id, length }) => ({ point: id, missMm: length })),
        faults: [...suspicion, ...unread],
      },
    ]
  })
}
