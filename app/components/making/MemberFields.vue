<script setup lang="ts">
import {
  MEMBER_KINDS,
  MOST_MEMBER_SPACERS,
  type Crossmember,
  type MemberWay,
} from '~~/core/file/kinds/memberKinds'
import { fixed } from '~~/core/base/units/format'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** Sizes of a crossmember, and of the stock that it is made of. */
const { member, way } = defineProps<{ member: Crossmember; way: MemberWay }>()
const making = useMaking()
const sides = (['under', 'over'] as const).map((value) => ({ value, label: words.sides[value] }))
const LENGTHS = [
  ['endMm', words.end],
  ['padMm', words.pad],
  ['bushMm', words.bush],
] as const
</script>

<template>
  <section aria-labelledby="member-sizes" class="fields-of">
    <h2 id="member-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <StockFields :way="way" />
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
    </div>
    <SpacersField
      v-if="MEMBER_KINDS[way.kind].hasSpacers"
      :value="member.spacersMm"
      :most="MOST_MEMBER_SPACERS"
      @change="making.changeMember({ spacersMm: $event })"
    />
    <HowFar :part="member" @change="making.changeMember" />
    <StripFields v-if="way.kind === 'bent'" :way="way" />
    <MemberParts :member="member" :way="way" />
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
