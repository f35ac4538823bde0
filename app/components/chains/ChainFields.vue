<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { USUAL_WORN_PERCENT, type ChainLine } from '~~/core/file/parts/chainLine'
import { linksText } from '~~/core/show/told/chainText'
import { leverName } from '~~/core/show/told/leverText'
import { chainTexts } from '~/texts/chains'
import { useChains } from '~/stores/chains'

/** What the chain itself is: pitch, links, wear, strength, and what tightens it. */
const { build, now } = defineProps<{ build: Build; now: ChainEvaluation }>()
const chains = useChains()
const words = chainTexts.chain
const chain = computed(() => now.chain)
const change = (changed: {
  readonly [K in keyof Omit<ChainLine, 'id' | 'sprockets'>]?: ChainLine[K] | undefined
}) => chains.change(chain.value.id, changed)
const links = computed(() => (now.linksToOrder.known ? now.linksToOrder.value : null))
const linksHelp = computed(() => (links.value === null ? '' : words.linksHelp(linksText(links.value))))
const isOdd = computed(() => (chain.value.links ?? 0) % 2 === 1)
/** An odd number of links says by itself that one of them is a half link. */
const setLinks = (count: number | undefined) =>
  change({ links: count, ...(count !== undefined && count % 2 === 1 && { halfLink: true }) })
const adjusters = computed(() =>
  build.levers.flatMap((lever) =>
    lever.kind === 'spacer' ? [] : [{ value: lever.id, label: leverName(build, lever) }],
  ),
)
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <div class="fields">
      <TextField :label="words.name" :value="chain.name" required @change="change({ name: $event })" />
      <FigureField
        :label="words.pitch"
        unit="mm"
        required
        of="chains.pitchMm"
        :value="chain.pitchMm"
        @change="$event !== undefined && change({ pitchMm: $event })"
      />
      <div>
        <FigureField
          :label="words.links"
          :help="linksHelp"
          of="chains.links"
          :value="chain.links"
          @change="setLinks($event === undefined ? undefined : Math.round($event))"
        />
        <UButton
          v-if="links !== null && links !== chain.links"
          size="sm"
          variant="link"
          @click="setLinks(links)"
          >{{ words.take(linksText(links)) }}</UButton
        >
      </div>
      <FigureField
        :label="words.wear"
        unit="%"
        of="chains.wearPercent"
        :value="chain.wearPercent"
        @change="change({ wearPercent: $event })"
      />
      <FigureField
        :label="words.worn"
        unit="%"
        of="chains.wornPercent"
        :value="chain.wornPercent ?? USUAL_WORN_PERCENT"
        @change="change({ wornPercent: $event })"
      />
      <template v-if="chain.duty === 'drive'">
        <FigureField
          :label="words.tensile"
          unit="N"
          of="chains.tensileN"
          :value="chain.tensileN"
          @change="change({ tensileN: $event })"
        />
        <FigureField
          :label="words.mass"
          unit="kg"
          of="chains.massKgPerM"
          :value="chain.massKgPerM"
          @change="change({ massKgPerM: $event })"
        />
      </template>
      <FigureField
        v-else
        :label="chainTexts.byHand[chain.duty].field"
        of="chains.wheelTurns"
        :value="chain.wheelTurns"
        @change="change({ wheelTurns: $event })"
      />
      <ChoiceField
        :label="words.adjuster"
        :value="chain.adjuster"
        :items="adjusters"
        :unsaid="words.noAdjuster"
        @change="change({ adjuster: $event })"
      />
    </div>
    <div class="ticks">
      <UCheckbox
        :model-value="chain.halfLink === true"
        :label="words.half"
        :disabled="isOdd"
        @update:model-value="change({ halfLink: $event === true ? true : undefined })"
      />
      <UCheckbox
        v-if="chain.duty === 'drive'"
        :model-value="chain.turnsBackward === true"
        :label="words.backward"
        @update:model-value="change({ turnsBackward: $event === true ? true : undefined })"
      />
    </div>
    <p v-if="isOdd" class="soft">{{ words.odd }}</p>
    <LinkChoices :now="now" />
    <div>
      <RemoveButton :label="chainTexts.remove(chain.name)" is-worded @click="chains.remove(chain.id)" />
    </div>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px 14px;
  align-items: start;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
</style>
