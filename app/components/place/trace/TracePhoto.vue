<script setup lang="ts">
import { texts } from '~/texts/en'
import { usePhotos } from '~/stores/photos'
import { useTracing } from '~/stores/tracing'

/** Which photograph is traced over; another one, or the picture of one that has none here. */
const emit = defineEmits<{ pick: [photo: string | null] }>()
const tracing = useTracing()
const photos = usePhotos()
const words = texts.trace
const items = computed(() => tracing.list.map(({ id, name }) => ({ value: id, label: name })))

async function take(file: File) {
  const id = await photos.take(file, tracing.part, photos.isMissing ? tracing.photoId : null)
  if (id !== null) emit('pick', id)
}
function remove() {
  if (tracing.photoId === null) return
  photos.remove(tracing.photoId)
  emit('pick', null)
}
</script>

<template>
  <section class="photo" :aria-label="words.photo">
    <UFormField v-if="items.length > 1" :label="words.photo">
      <USelect
        :model-value="tracing.photoId ?? undefined"
        :items="items"
        class="w-full"
        :aria-label="words.photo"
        @update:model-value="emit('pick', String($event))"
      />
    </UFormField>
    <p v-if="photos.isMissing" role="alert" class="fault">{{ words.missing }}</p>
    <p v-if="photos.failure" role="alert" class="fault">{{ photos.failure }}</p>
    <div class="actions">
      <PictureInput
        :label="words.choose"
        :variant="tracing.photo && !photos.isMissing ? 'outline' : 'solid'"
        :size="tracing.photo ? 'sm' : 'lg'"
        :is-busy="photos.isTaking"
        @pick="take"
        >{{
          photos.isMissing ? words.putBack : tracing.photo ? words.chooseAnother : words.choose
        }}</PictureInput
      >
      <RemoveButton
        v-if="tracing.photo"
        :label="words.remove"
        :title="words.removeHint"
        is-worded
        @click="remove"
      />
    </div>
    <p class="soft small">{{ words.kept }}</p>
  </section>
</template>

<style scoped>
.photo {
  display: grid;
  gap: 8px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.small {
  font-size: 0.875rem;
  line-height: 1.35;
}
.fault {
  color: var(--out);
}
</style>
