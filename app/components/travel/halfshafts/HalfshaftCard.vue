<script setup lang="ts">
import { jointWay, schoolLengths } from '~~/core/model/halfshafts'
import { halfshaftTexts } from '~/texts/halfshafts'
import { useFormat } from '~/composables/useFormat'
import { useHalfshafts } from '~/stores/halfshafts'

/** One halfshaft: both schools of its length, the way of its inner joint, and the length that is taken. */
const { one, base } = defineProps<{
  one: ReturnType<typeof useHalfshafts>['all'][number]
  base: string
}>()
const halfshafts = useHalfshafts()
const { length } = useFormat()
const words = halfshaftTexts.lengths
const change = (changed: { reachMm?: number | undefined; offsetMm?: number | undefined }) =>
  halfshafts.setPlunge(one.line.id, one.shaft, changed)
const sized = (mm: number, middle: string = words.toMiddle) =>
  Math.abs(mm) < 0.05 ? middle : mm > 0 ? words.outBy(length(mm)) : words.inBy(length(-mm))
const withSpread = (mm: number, name: 'rideMm' | 'middleMm' | 'strokeMm') => {
  const size = one.found && halfshafts.plusMinus(one.found, name)
  return size === null ? length(mm) : `${length(mm)} ±${length(size)}`
}
const both = computed(() => one.found && schoolLengths(one.found))
const schools = computed(() => {
  const { found } = one
  if (!found || !both.value) return []
  return both.value.schools.map(({ school, lengthMm, isClear }) => {
    const way = jointWay(found, lengthMm)
    return {
      key: school,
      ...words.schools[school],
      lengthMm,
      text: withSpread(lengthMm, school === 'middle' ? 'middleMm' : 'rideMm'),
      ride: sized(way.rideMm, words.atMiddle),
      out: sized(way.mostMm),
      inward: sized(way.leastMm),
      verdict: isClear === null ? ('unknown' as const) : isClear ? ('holds' as const) : ('out' as const),
      isTaken: halfshafts.isTaken(one.plunge, lengthMm),
    }
  })
})
const difference = computed(() => {
  if (!both.value) return ''
  const { shorterMm } = both.value
  return Math.abs(shorterMm) < 0.5
    ? words.alike
    : words.apart(length(Math.abs(shorterMm)), shorterMm > 0 ? 'shorter' : 'longer')
})
const windowText = computed(() => {
  if (!one.found?.room.known) return ''
  const { window } = one.found.lengths
  return window ? words.window(length(window[0]), length(window[1])) : words.noWindow
})
const facts = computed(() => {
  const { found } = one
  if (!found) return []
  const { longest, shortest, lengths } = found
  return [
    [words.facts.ride, withSpread(found.rideMm, 'rideMm'), ''],
    [words.facts.longest, length(longest.lengthMm), words.atPlace(longest.place)],
    [words.facts.shortest, length(shortest.lengthMm), words.atPlace(shortest.place)],
    [words.facts.stroke, withSpread(lengths.strokeMm, 'strokeMm'), ''],
  ] as const
})
const waiting = computed(() => (one.missing.length > 0 ? one.missing.join('; ') : words.untold))
</script>

<template>
  <section
    class="card"
    :aria-label="one.line.name"
    :data-halfshaft="one.line.id"
    :data-field="`halfshafts/${one.line.id}`"
  >
    <header>
      <h2><VerdictMark :verdict="one.verdict" /> {{ one.line.name }}</h2>
      <NuxtLink v-if="one.hub" :to="`${base}/travel?axle=${one.hub.id}&line=${one.line.id}`">{{
        words.hub(one.hub.name)
      }}</NuxtLink>
    </header>
    <div class="fields">
      <FigureField
        :label="words.reach"
        :help="words.reachHelp"
        kind="length"
        of="lines.shafts.plunge.reachMm"
        :value="one.plunge.reachMm"
        @change="change({ reachMm: $event })"
      />
      <FigureField
        :label="words.offset"
        :help="words.offsetHelp"
        kind="length"
        of="lines.shafts.plunge.offsetMm"
        :value="one.plunge.offsetMm"
        @change="change({ offsetMm: $event })"
      />
    </div>
    <p v-if="!one.found || one.lengthMm === null" class="soft" role="status">{{ words.waits(waiting) }}</p>
    <template v-else>
      <p class="length" role="status" data-testid="halfshaft-length">
        {{ words.order }} <strong>{{ length(one.lengthMm) }}</strong>
        <span class="soft">{{ one.plunge.middleMm === undefined ? words.notTaken : words.orderIs }}</span>
      </p>
      <PlungeBar :found="one.found" :length-mm="one.lengthMm" :verdict="one.verdict" />
      <div class="schools">
        <section v-for="school in schools" :key="school.key" :data-school="school.key">
          <h3>{{ school.name }}</h3>
          <p class="soft">{{ school.is }}</p>
          <p class="figure">{{ school.text }}</p>
          <p>
            <span class="soft">{{ words.at.ride }}</span> {{ school.ride }}
          </p>
          <p>
            <span class="soft">{{ words.at.travel }}</span> {{ words.fromTo(school.out, school.inward) }}
          </p>
          <p v-if="school.verdict !== 'unknown'" class="said" :class="school.verdict">
            <VerdictMark :verdict="school.verdict" silent />
            {{ school.verdict === 'holds' ? words.clear : words.notClear }}
          </p>
          <p v-if="school.isTaken" class="taken">{{ words.taken }}</p>
          <UButton
            v-else
            size="sm"
            variant="outline"
            @click="halfshafts.take(one.line.id, one.shaft, school.lengthMm)"
            >{{ words.take(length(school.lengthMm)) }}</UButton
          >
        </section>
      </div>
      <p class="soft">{{ difference }}</p>
      <p v-if="windowText">{{ windowText }}</p>
      <dl>
        <template v-for="[name, value, place] in facts" :key="name">
          <dt>{{ name }}</dt>
          <dd>
            {{ value }} <span class="soft">{{ place }}</span>
          </dd>
        </template>
      </dl>
    </template>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 12px;
  padding: 14px 18px 18px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 16px;
}
h2 {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 10px 14px;
}
.length strong {
  font-family: var(--font-figure);
  font-size: 1.375rem;
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
.length .soft {
  display: block;
}
.schools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 12px 18px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
.schools section {
  display: grid;
  align-content: start;
  justify-items: start;
  gap: 2px;
  line-height: 1.35;
  font-variant-numeric: tabular-nums;
}
h3 {
  font-weight: 600;
}
.figure {
  font-family: var(--font-figure);
  font-size: 1.125rem;
  font-weight: 600;
}
.said {
  display: flex;
  gap: 6px;
  align-items: center;
}
.said.holds {
  color: var(--holds);
}
.said.out {
  color: var(--out);
}
.schools button {
  margin-top: 6px;
}
.taken {
  font-weight: 600;
}
header a {
  color: var(--accent);
  text-decoration: underline;
  text-underline-offset: 3px;
}
dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px 16px;
  font-variant-numeric: tabular-nums;
}
dt {
  color: var(--soft);
}
</style>
