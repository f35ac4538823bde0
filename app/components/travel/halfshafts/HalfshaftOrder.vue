<script setup lang="ts">
import { chosenPosition } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { formatAngle, formatBothUnits } from '~~/core/base/units/format'
import { halfshaftTexts } from '~/texts/halfshafts'
import { useHalfshafts } from '~/stores/halfshafts'
import { useFormat } from '~/composables/useFormat'

/** The page that orders the halfshafts of a vehicle, side by side. */
const { build, shafts } = defineProps<{
  build: Build
  shafts: ReturnType<typeof useHalfshafts>['all']
}>()
const store = useHalfshafts()
const { length } = useFormat()
const words = halfshaftTexts.order
const both = (mm: number) => formatBothUnits(mm, build.units.inchFraction)
const position = computed(() => chosenPosition(build)?.name ?? '')
const tools = computed(() => build.tools.map(({ name }) => name).join(', '))
const today = new Date().toLocaleDateString([], { dateStyle: 'long' })
const told = computed(() =>
  shafts.flatMap((one) =>
    one.found && one.lengthMm !== null ? [{ ...one, found: one.found, lengthMm: one.lengthMm }] : [],
  ),
)
type Told = (typeof told.value)[number]
const spread = ({ found }: Told, name: 'rideMm' | 'middleMm'): string => {
  const size = store.plusMinus(found, name)
  return size === null ? '' : ` ±${length(size)}`
}
const steepest = ({ found }: Told, joint: 'first' | 'last') => {
  const one = joint === 'first' ? found.steepest[0] : found.steepest.at(-1)
  return one ? `${formatAngle(one.deg, build.units, 1)}, ${one.place}` : ''
}
const rows = computed(
  () =>
    [
      [
        words.plunge,
        (one: Told) => (one.plunge.reachMm === undefined ? '?' : `±${both(one.plunge.reachMm)}`),
      ],
      [
        words.window,
        ({ found: { lengths, room } }: Told) =>
          room.known && lengths.window ? lengths.window.map(length).join(' … ') : '?',
      ],
      [words.ride, (one: Told) => `${both(one.found.rideMm)}${spread(one, 'rideMm')}`],
      [words.longest, ({ found: { longest } }: Told) => `${both(longest.lengthMm)}, ${longest.place}`],
      [words.shortest, ({ found: { shortest } }: Told) => `${both(shortest.lengthMm)}, ${shortest.place}`],
      [words.inner, (one: Told) => steepest(one, 'first')],
      [words.outer, (one: Told) => steepest(one, 'last')],
    ] as const,
)
</script>

<template>
  <article class="order" data-testid="halfshaft-order">
    <h1>{{ words.title }}</h1>
    <p>{{ words.for(build.name, position) }}, {{ today }}</p>
    <p>{{ words.convention }}</p>
    <div class="pair">
      <section v-for="one in told" :key="`${one.line.id}/${one.shaft}`">
        <h2>{{ one.line.name }}</h2>
        <svg viewBox="0 0 320 96" role="img" :aria-label="both(one.lengthMm)">
          <circle cx="34" cy="34" r="22" class="joint" />
          <circle cx="286" cy="34" r="17" class="joint" />
          <rect x="56" y="28" width="213" height="12" class="bar" />
          <path d="M34 34V84M286 34V84" class="hair" />
          <path d="M34 78H286" class="dimension" />
          <path d="M34 78l9-4v8zM286 78l-9-4v8z" class="arrow" />
          <text x="160" y="70">{{ both(one.lengthMm) }}</text>
        </svg>
        <p class="length">
          {{ words.length }}: {{ both(one.lengthMm)
          }}{{ one.plunge.middleMm === undefined ? spread(one, 'middleMm') : '' }}
        </p>
        <p v-if="one.plunge.middleMm === undefined" class="undecided">{{ words.undecided }}</p>
        <p v-else-if="one.verdict === 'out'" class="undecided">{{ words.outside }}</p>
        <dl>
          <template v-for="[name, valueOf] in rows" :key="name">
            <dt>{{ name }}</dt>
            <dd>{{ valueOf(one) }}</dd>
          </template>
        </dl>
      </section>
    </div>
    <p>{{ words.round }}</p>
    <p>{{ words.measured(tools) }}</p>
    <p class="caution">{{ words.caution }}</p>
  </article>
</template>

<style scoped>
.order {
  display: grid;
  gap: 10px;
}
h1 {
  font-size: 1.375rem;
  font-weight: 600;
}
h2,
.length {
  font-weight: 600;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 20px;
}
svg {
  width: 100%;
}
.joint,
.bar {
  fill: white;
  stroke: black;
  stroke-width: 2;
}
.hair {
  stroke: #999;
}
.dimension {
  stroke: black;
  stroke-width: 1.4;
}
.arrow {
  fill: black;
}
text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
  text-anchor: middle;
}
dt {
  color: #333;
}
dd {
  margin-bottom: 4px;
  font-variant-numeric: tabular-nums;
}
.undecided {
  font-weight: 600;
  border: 2px solid black;
  padding: 4px 8px;
}
</style>
