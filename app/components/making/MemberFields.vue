<script setup lang="ts">
import { MAKING_STATES, MEMBER_KINDS, type Crossmember, type MemberWay } from '~~/core/file/kinds/memberKinds'
import { fixed } from '~~/core/base/units/format'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** Sizes of a crossmember, and of the stock that it is made of. */
const { member, way } = defineProps<{ member: Crossmember; way: MemberWay }>()
const making = useMaking()
const facts = computed(() => MEMBER_KINDS[way.kind])
const sides = (['under', 'over'] as const).map((value) => ({ value, label: words.sides[value] }))
const states = MAKING_STATES.map((value) => ({ value, label: words.states[value] }))
const LENGTHS = [
  ['endMm', words.end],
  ['padMm', words.pad],
  ['bushMm', words.bush],
] as const
/** Of the stock; a size that a way has not is no field of it. */
const stock = computed(() => [
  ['widthMm', words.width] as const,
  ['heightMm', facts.value.isBox ? words.height : words.thickness] as const,
  ...(facts.value.isBox ? [['wallMm', words.wall] as const] : []),
  ...(way.kind === 'bent' ? [['insideRadiusMm', words.radius] as const] : []),
])
</script>

<template>
  <section aria-labelledby="member-sizes" class="fields-of">
    <h2 id="member-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <FigureField
        v-for="[key, label] in stock"
        :key="key"
        :label="label"
        kind="length"
        :of="`crossmembers.ways.${key}`"
        :value="way[key]"
        required
        @change="making.changeWay(way.id, { [key]: $event })"
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
      <FigureField
        v-for="[key, label] in LENGTHS"
        :key="key"
        :label="label"
        kind="length"
        :of="`crossmembers.${key}`"
        :value="member[key]"
        required
        @change="making.changeMember({ [key]: $event })"
      />
      <FigureField
        :label="words.boltHead"
        kind="length"
        of="crossmembers.boltHeadMm"
        :value="member.boltHeadMm"
        @change="making.changeMember({ boltHeadMm: $event })"
      />
      <ChoiceField
        :label="words.side"
        :value="member.side"
        :items="sides"
        @change="making.changeMember({ side: $event })"
      />
      <ChoiceField
        :label="words.state"
        :value="member.state"
        :items="states"
        :unsaid="words.unsaid"
        @change="making.changeMember({ state: $event })"
      />
    </div>
    <StripFields v-if="way.kind === 'bent'" :way="way" />
    <FigureField
      :label="words.load"
      :help="words.loadHint"
      unit="N"
      of="crossmembers.loadN"
      :value="member.loadN"
      @change="making.changeMember({ loadN: $event })"
    />
    <UButton
      v-if="making.load !== null && Math.round(making.load) !== member.loadN"
      variant="link"
      size="sm"
      @click="making.changeMember({ loadN: Math.round(making.load) })"
      >{{ words.takeLoad(`${fixed(making.load, 0)} N`) }}</UButton
    >
  </section>
</template>
