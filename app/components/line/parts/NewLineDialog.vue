<script setup lang="ts">
import type { LayoutKey } from '~~/core/file/edits/layouts'
import { layoutPictures } from '~~/core/show/parts/layoutPictures'
import { partsOfLine } from '~/texts/parts'

/** Layouts to start a line from, each with its picture. */
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ take: [key: LayoutKey] }>()
const words = partsOfLine.layouts
const pictures = computed(() => (open.value ? layoutPictures() : []))
function take(key: LayoutKey) {
  open.value = false
  emit('take', key)
}
</script>

<template>
  <UModal v-model:open="open" :title="words.title" :description="words.lead" :ui="{ content: 'max-w-4xl' }">
    <template #body>
      <ul class="layouts">
        <li v-for="picture in pictures" :key="picture.key">
          <button type="button" :aria-label="words.take(words.names[picture.key])" @click="take(picture.key)">
            <strong>{{ words.names[picture.key] }}</strong>
            <LayoutPicture :picture="picture" />
          </button>
        </li>
      </ul>
    </template>
  </UModal>
</template>

<style scoped>
.layouts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 10px;
}
button {
  display: grid;
  gap: 4px;
  width: 100%;
  height: 100%;
  align-content: start;
  padding: 10px 12px;
  text-align: left;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  cursor: pointer;
}
button:hover {
  border-color: var(--accent);
}
strong {
  font-weight: 600;
}
</style>
