import type { Build } from '../build/build'
import type { Id } from '../parts/id'

/** A build without a lever: what positions, trials and made mounts say of it goes with it. */
export function withoutLever(build: Build, id: Id): Build {
  const kept = (amounts: Readonly<Record<Id, number>>) =>
    Object.fromEntries(Object.entries(amounts).filter(([lever]) => lever !== id))
  return {
    ...build,
    levers: build.levers.filter((lever) => lever.id !== id),
    positions: build.positions.map((position) => ({
      ...position,
      settings: kept(position.settings),
      ...(position.made && { made: { ...position.made, settings: kept(position.made.settings) } }),
    })),
    trials: build.trials.map((trial) => (trial.packed ? { ...trial, packed: kept(trial.packed) } : trial)),
    ...(build.chains && {
      chains: build.chains.map(({ adjuster, ...chain }) =>
        adjuster === undefined || adjuster === id ? chain : { ...chain, adjuster },
      ),
    }),
  }
}
