<script setup lang="ts">
import { log as words } from '~/texts/log'
import { usePhotos } from '~/stores/photos'

/** A photograph of an entry. */
const { photo, name } = defineProps<{ photo: string; name: string }>()
const photos = usePhotos()
const address = ref<string | null>(null)
const isLooked = ref(false)
const letGo = () => address.value && URL.revokeObjectURL(address.value)
watch(
  () => photo,
  async (id) => {
    letGo()
    address.value = await photos.addressOf(id)
    isLooked.value = true
  },
  { immediate: true },
)
onBeforeUnmount(letGo)
</script>

<template>
  <a v-if="address" :href="address" target="_blank" rel="noopener"><img :src="address" :alt="name" /></a>
  <p v-else-if="isLooked" class="soft">{{ words.lost }}</p>
</template>

<style scoped>
img {
  max-height: 120px;
  max-width: 100%;
  border: 1px solid var(--hair);
  border-radius: 4px;
}
</style>
