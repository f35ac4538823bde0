<script setup lang="ts">
import { MOTION_WAYS, type MotionWay } from '~~/core/file/edits/motionEdits'
import type { AxleBody } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import { leversMoving } from '~~/core/file/build/lever'
import { travelTexts } from '~/texts/travel'
import { useTravel } from '~/stores/travel'

/** How one axle moves: told by a table, an arc or links, and which of it can be changed. */
const { build, axle } = defineProps<{ build: Build; axle: AxleBody }>()
const travel = useTravel()
const words = travelTexts.motion
const kinds = MOTION_WAYS.map((value) => ({ value, label: words.ways[value] }))
const shown = computed((): MotionWay | undefined =>
  axle.motion?.kind === 'links' ? axle.motion.like : axle.motion?.kind,
)
const levers = computed(() => build.levers.filter(({ body }) => body === axle.id))
const kindsOfLever = computed(() =>
  leversMoving('axle').filter((kind) => kind !== 'shackle' || axle.motion?.kind === 'arc'),
)
const isLever = (holding: string) => levers.value.some((lever) => lever.holding === holding)
</script>

<template>
  <section class="panel" :data-field="`travel/${axle.id}`" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <ChoiceField
      :label="words.way"
      :value="shown"
      :items="kinds"
      :placeholder="axle.motion ? words.own : words.choose"
      @change="$event && travel.setMotion(axle.id, $event)"
    />
    <HeightTable v-if="axle.motion?.kind === 'table'" :axle="axle" :motion="axle.motion" />
    <template v-else-if="axle.motion">
      <p class="soft">
        {{ words.points }} <NuxtLink :to="`/b/${build.id}/readings`">{{ words.read }}</NuxtLink>
      </p>
      <div v-if="axle.motion.kind === 'arc'" class="pair">
        <FigureField
          :label="words.share"
          :help="words.shareHelp"
          of="bodies.axle.motion.arc.radiusShare"
          :value="axle.motion.radiusShare"
          @change="travel.setArc(axle.id, { radiusShare: $event })"
        />
        <FigureField
          :label="words.noseRate"
          unit="°/mm"
          of="bodies.axle.motion.arc.noseUpDegPerMm"
          :value="axle.motion.noseUpDegPerMm"
          @change="travel.setArc(axle.id, { noseUpDegPerMm: $event })"
        />
        <FigureField
          :label="words.spring"
          :help="words.springHelp"
          kind="length"
          of="bodies.axle.motion.arc.springMm"
          :value="axle.motion.springMm"
          @change="travel.setArc(axle.id, { springMm: $event })"
        />
      </div>
      <ul v-else class="links" :aria-label="words.holdings">
        <li v-for="holding in axle.motion.holdings" :key="holding.id">
          <span>{{ holding.name ?? holding.kind }}</span>
          <span v-if="isLever(holding.id)" class="soft">{{ words.adjustable }}</span>
          <UButton
            v-else-if="holding.kind === 'link'"
            size="xs"
            variant="outline"
            @click="travel.addLinkLever(axle.id, holding.id)"
            >{{ words.makeAdjustable(holding.name ?? holding.kind) }}</UButton
          >
        </li>
      </ul>
    </template>
    <FigureField
      :label="words.track"
      :help="words.trackHelp"
      kind="length"
      :least="1"
      of="bodies.axle.sizes.trackMm"
      :value="axle.sizes?.trackMm"
      @change="travel.setTrack(axle.id, $event)"
    />
    <WheeledLevers :build="build" :body="axle.id" :title="words.levers" :kinds="kindsOfLever" />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
h2 {
  font-weight: 600;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 10px;
}
.links li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 10px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
