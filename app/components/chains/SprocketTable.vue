<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { sprocketName, type ChainSprocket } from '~~/core/file/parts/chainLine'
import { fixed } from '~~/core/base/units/format'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useChains } from '~/stores/chains'

/** The sprockets of a chain in the order it visits them: teeth, what each does, and how it is wrapped. */
const { now } = defineProps<{ now: ChainEvaluation }>()
const chains = useChains()
const { angle, length } = useFormat()
const words = chainTexts.sprockets
const rows = computed(() =>
  now.chain.sprockets.map((sprocket, index) => {
    const contact = now.loop.known ? now.loop.value.contacts[index] : undefined
    const stand = now.sprockets.known ? now.sprockets.value[index] : undefined
    return {
      sprocket,
      index,
      name: sprocketName(sprocket),
      facts: [
        ...(contact
          ? [
              [words.wrap, angle(contact.wrapDeg, 0)],
              [words.mesh, fixed(contact.teethInMesh, 1)],
              ...(index > 0
                ? [[words.turns, words.turnsIs(fixed(contact.speedRatio, 2), contact.rotation < 0)]]
                : []),
            ]
          : []),
        ...(stand ? [[words.size, length(stand.outerMm)]] : []),
      ] as [string, string][],
      isOverhung: now.chain.duty !== 'drive' && sprocket.support === 'overhung',
    }
  }),
)
const supports = Object.entries(words.supports).map(([value, label]) => ({ value, label }))
const change = (sprocket: ChainSprocket, changed: Parameters<typeof chains.changeSprocket>[1]) =>
  chains.changeSprocket(sprocket.id, changed)
const last = computed(() => now.chain.sprockets.length - 1)
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.order }}</p>
    <ol>
      <li
        v-for="row in rows"
        :key="row.sprocket.id"
        :data-sprocket="row.sprocket.id"
        :data-field="`chains/${row.sprocket.id}`"
      >
        <div class="fields">
          <TextField
            :label="words.name"
            :value="row.sprocket.name"
            @change="change(row.sprocket, { name: $event || undefined })"
          />
          <FigureField
            :label="words.teeth"
            required
            of="chains.sprockets.teeth"
            :value="row.sprocket.teeth"
            @change="$event !== undefined && change(row.sprocket, { teeth: Math.round($event) })"
          />
          <FigureField
            :label="words.face"
            kind="length"
            of="chains.sprockets.faceToTeethMm"
            :value="row.sprocket.faceToTeethMm"
            @change="change(row.sprocket, { faceToTeethMm: $event })"
          />
          <ChoiceField
            :label="words.support"
            :value="row.sprocket.support"
            :items="supports"
            :unsaid="words.unsaid"
            @change="change(row.sprocket, { support: $event })"
          />
        </div>
        <div class="ticks">
          <template v-if="row.index > 0">
            <UCheckbox
              :model-value="row.sprocket.idler === true"
              :label="words.guide"
              @update:model-value="change(row.sprocket, { idler: $event === true ? true : undefined })"
            />
            <UCheckbox
              :model-value="row.sprocket.outside === true"
              :label="words.outside"
              @update:model-value="change(row.sprocket, { outside: $event === true ? true : undefined })"
            />
          </template>
          <span v-for="[name, value] in row.facts" :key="name" class="fact"
            ><span class="soft">{{ name }}</span> {{ value }}</span
          >
          <span v-if="row.index > 0 && last > 1" class="moves">
            <UButton
              v-if="row.index > 1"
              size="sm"
              variant="ghost"
              color="neutral"
              icon="i-lucide-chevron-up"
              :aria-label="words.earlier(row.name)"
              @click="chains.moveSprocket(now.chain.id, row.sprocket.id, -1)"
            />
            <UButton
              v-if="row.index < last"
              size="sm"
              variant="ghost"
              color="neutral"
              icon="i-lucide-chevron-down"
              :aria-label="words.later(row.name)"
              @click="chains.moveSprocket(now.chain.id, row.sprocket.id, 1)"
            />
            <RemoveButton
              :label="words.remove(row.name)"
              @click="chains.removeSprocket(now.chain.id, row.sprocket.id)"
            />
          </span>
        </div>
        <p v-if="row.isOverhung" class="caution">{{ words.overhung(row.name) }}</p>
      </li>
    </ol>
    <div class="ticks">
      <UButton
        size="sm"
        variant="outline"
        icon="i-lucide-plus"
        @click="chains.addGuide(now.chain.id, true)"
        >{{ words.addOutside }}</UButton
      >
      <UButton
        size="sm"
        variant="outline"
        icon="i-lucide-plus"
        @click="chains.addGuide(now.chain.id, false)"
        >{{ words.addInside }}</UButton
      >
      <UButton
        v-if="last > 1"
        size="sm"
        variant="ghost"
        color="neutral"
        icon="i-lucide-rotate-ccw"
        @click="chains.turnOrder(now.chain.id)"
        >{{ words.turn }}</UButton
      >
    </div>
  </section>
</template>

<style scoped>
ol {
  display: grid;
  gap: 14px;
}
li {
  display: grid;
  gap: 8px;
}
li + li {
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
.fields {
  display: grid;
  grid-template-columns: minmax(140px, 2fr) minmax(80px, 1fr) minmax(110px, 1.4fr) minmax(130px, 1.4fr);
  gap: 8px 12px;
  align-items: end;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
}
.fact {
  font-variant-numeric: tabular-nums;
}
.moves {
  margin-left: auto;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
@media (max-width: 640px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
