/**
 * How many cases a random test tries: enough to find a fault each time, and as many times more in a long run
 * (`LURVAN_CASES=10 npm run unit`).
 */
export const cases = (usual: number): number => Math.ceil(usual * Number(process.env.LURVAN_CASES ?? 1))
