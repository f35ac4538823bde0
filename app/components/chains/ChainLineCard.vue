<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { sprocketName } from '~~/core/file/parts/chainLine'
import { offsetText, shimText, spacerText, tiltText, unreadText, yawText } from '~~/core/show/told/chainText'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useChains } from '~/stores/chains'

/** How the sprockets stand to each other, what was not read, and what cures it. */
const { build, now } = defineProps<{ build: Build; now: ChainEvaluation }>()
const chains = useChains()
const { units } = useFormat()
const words = chainTexts.line
const turnBack = (deg: number, say: (way: string) => string): string[] => {
  const way = shimText(deg, units.value)
  return way === null ? [] : [say(way)]
}
const rows = computed(() =>
  now.aligned.map((one) => ({
    id: one.sprocket.id,
    name: sprocketName(one.sprocket),
    offset: offsetText(now, one, units.value),
    yaw: yawText(now, one, units.value) ?? words.unread,
    tilt: tiltText(now, one, units.value) ?? words.unread,
    unread: unreadText(one),
    cure: [
      spacerText(now, one, units.value) ?? words.inLine,
      ...turnBack(one.read.yaw ? one.yawDeg : 0, words.turnBack),
      ...turnBack(one.read.tilt ? one.tiltDeg : 0, words.leanBack),
    ].join(' '),
  })),
)
/** A laser along the vehicle shows faces only of sprockets on shafts across it. */
const hasFaces = computed(() => !now.isLengthwise)
const bare = computed(() => {
  if (now.isLengthwise) return []
  const on = new Set(build.levers.flatMap(({ sprocket }) => (sprocket === undefined ? [] : [sprocket])))
  return now.chain.sprockets.filter(({ id, idler }) => !on.has(id) && !idler)
})
const first = computed(() => now.chain.sprockets[0]?.id ?? '')
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.lead }}</p>
    <ul class="rows">
      <li v-for="row in rows" :key="row.id">
        <strong>{{ row.name }}</strong>
        <dl>
          <dt>{{ words.offset }}</dt>
          <dd :data-testid="`offset-${row.id}`">{{ row.offset }}</dd>
          <dt>{{ words.yaw }}</dt>
          <dd :data-testid="`yaw-${row.id}`">{{ row.yaw }}</dd>
          <dt>{{ words.tilt }}</dt>
          <dd :data-testid="`tilt-${row.id}`">{{ row.tilt }}</dd>
        </dl>
        <p v-if="row.unread" class="unread"><VerdictMark verdict="unknown" silent /> {{ row.unread }}</p>
        <p class="soft">{{ row.cure }}</p>
      </li>
    </ul>
    <p v-if="hasFaces" class="soft">{{ words.how }}</p>
    <div class="does">
      <UButton
        v-if="hasFaces"
        size="sm"
        variant="outline"
        icon="i-lucide-ruler"
        :to="`/b/${build.id}/readings?step=sprocket-face-${first}-front`"
        >{{ words.read }}</UButton
      >
      <UButton
        v-for="sprocket in bare"
        :key="sprocket.id"
        size="sm"
        variant="ghost"
        color="neutral"
        icon="i-lucide-plus"
        @click="chains.addSpacer(now.chain.id, sprocket.id)"
        >{{ words.spacer }}: {{ sprocketName(sprocket) }}</UButton
      >
    </div>
  </section>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 12px;
}
li {
  display: grid;
  gap: 4px;
}
li + li {
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.unread {
  display: flex;
  gap: 8px;
  align-items: start;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
