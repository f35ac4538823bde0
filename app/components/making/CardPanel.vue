<script setup lang="ts">
import { cards as words, type CardTool } from '~/texts/cards'
import { useCards } from '~/stores/cards'
import { usePhotos } from '~/stores/photos'
import { usePlates } from '~/stores/plates'

/** Holes from an impression on card: its photograph, its scale, its marks. */
const cards = useCards()
const plates = usePlates()
const photos = usePhotos()
const sides = (['plate', 'bosses'] as const).map((value) => ({ value, label: words.sides[value] }))
const isTaped = computed(() => (plates.found?.plate[cards.side]?.tapes ?? []).length > 0)
const keyOf = (tool: CardTool) => (typeof tool === 'object' ? `hole/${tool.hole}` : tool)
const items = computed(() => cards.tools.map((tool) => ({ value: keyOf(tool), label: words.toolName(tool) })))
function choose(key: string) {
  cards.chosen = cards.tools.find((tool) => keyOf(tool) === key) ?? null
}
async function take(file: File) {
  const plate = plates.found?.plate.id
  if (plate === undefined) return
  const before = cards.card?.photo ?? null
  const id = await photos.take(file, plate, photos.isMissing ? before : null)
  if (id === null) return
  if (id === before) await photos.show(id)
  else cards.begin(id)
}
onUnmounted(() => photos.hide())
watch(
  () => cards.card?.photo ?? null,
  (photo) => photos.show(photo),
  { immediate: true },
)
</script>

<template>
  <FoldedPart :title="words.title" :is-open="cards.card !== null">
    <div class="card">
      <p class="soft">{{ words.lead }}</p>
      <ChoiceField :label="words.side" :value="cards.side" :items="sides" @change="cards.side = $event" />
      <p v-if="photos.failure" role="alert" class="out">{{ photos.failure }}</p>
      <PictureInput
        v-if="!cards.card || photos.isMissing"
        :label="words.choose"
        :is-busy="photos.isTaking"
        @pick="take"
        >{{ photos.isMissing ? words.putBack : words.choose }}</PictureInput
      >
      <template v-if="cards.card">
        <p v-if="isTaped" class="out">
          {{ words.tapes }}
          <UButton variant="outline" size="sm" @click="cards.dropTapes()">{{ words.dropTapes }}</UButton>
        </p>
        <div class="row">
          <ChoiceField
            :label="words.marking"
            :value="keyOf(cards.tool)"
            :items="items"
            @change="choose($event)"
          />
          <FigureField
            :label="words.apart"
            kind="length"
            of="plates.plate.card.apartMm"
            :value="cards.card.apartMm"
            @change="cards.change({ apartMm: $event })"
          />
        </div>
        <CardCanvas v-if="photos.shown" :key="photos.shown.id" :picture="photos.shown" />
        <p v-if="cards.open.length === 0" class="soft" role="status">
          {{ words.whole }} {{ words.corners(cards.outline.length) }}
        </p>
        <div class="does">
          <UCheckbox
            :label="words.back"
            :model-value="cards.card.isBack ?? false"
            @update:model-value="cards.change({ isBack: $event === true ? true : undefined })"
          />
          <UButton
            v-if="cards.outline.length > 0"
            variant="link"
            icon="i-lucide-undo-2"
            @click="cards.dropCorner()"
            >{{ words.dropCorner }}</UButton
          >
          <RemoveButton is-worded :label="words.remove" @click="cards.remove()" />
        </div>
      </template>
    </div>
  </FoldedPart>
</template>

<style scoped>
.card {
  display: grid;
  gap: 10px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  align-items: end;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
}
</style>
