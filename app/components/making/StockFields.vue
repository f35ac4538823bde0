<script setup lang="ts">
import { MEMBER_KINDS, type MemberWay } from '~~/core/file/kinds/memberKinds'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** Sizes of the stock that a crossmember is made of; one that it has not is no field of it. */
const { way } = defineProps<{ way: MemberWay }>()
const making = useMaking()
const facts = computed(() => MEMBER_KINDS[way.kind])
const HEIGHTS = { flat: words.thickness, box: words.height, tube: words.diameter } as const
const lengths = computed(() => {
  const { of } = facts.value
  return [
    ...(of === 'tube' ? [] : [['widthMm', words.width, true] as const]),
    ['heightMm', HEIGHTS[of], true] as const,
    ...(of === 'flat' ? [] : [['wallMm', words.wall, true] as const]),
    ...(way.kind === 'bent' ? [['insideRadiusMm', words.radius, true] as const] : []),
    ...(way.kind === 'tube'
      ? [['midlineRadiusMm', words.midline, true] as const, ['flatMm', words.flat, false] as const]
      : []),
    ...(way.kind === 'coped' ? [['railOuterMm', words.railOuter, false] as const] : []),
    ...(way.kind === 'old' ? [['plateMm', words.plate, true] as const] : []),
  ]
})
const isDoublable = computed(() => facts.value.of === 'flat' && !facts.value.isCornered)
const doubles = (['loose', 'joined'] as const).map((value) => ({ value, label: words.doubles[value] }))
</script>

<template>
  <FigureField
    v-for="[key, label, isAsked] in lengths"
    :key="key"
    :label="label"
    kind="length"
    :of="`crossmembers.ways.${key}`"
    :value="way[key]"
    :required="isAsked"
    @change="making.changeWay(way.id, { [key]: $event })"
  />
  <ChoiceField
    v-if="isDoublable"
    :label="words.doubled"
    :value="way.doubled"
    :items="doubles"
    :unsaid="words.single"
    @change="making.changeWay(way.id, { doubled: $event })"
  />
  <FigureField
    v-if="way.kind === 'bent'"
    :label="words.k"
    of="crossmembers.ways.kFactor"
    :value="way.kFactor"
    required
    @change="making.changeWay(way.id, { kFactor: $event })"
  />
  <FigureField
    v-if="way.kind === 'bent'"
    :label="words.springback"
    unit="°"
    of="crossmembers.ways.springbackDeg"
    :value="way.springbackDeg"
    @change="making.changeWay(way.id, { springbackDeg: $event })"
  />
  <FigureField
    :label="words.yields"
    unit="N/mm²"
    of="crossmembers.ways.yieldMPa"
    :value="way.yieldMPa"
    required
    @change="making.changeWay(way.id, { yieldMPa: $event })"
  />
</template>
