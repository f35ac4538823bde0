<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import type { LayoutKey } from '~~/core/file/edits/layouts'
import { chainTexts } from '~/texts/chains'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** A view of shafts in a build that has chains alone: says so, and where they are. */
const { build } = defineProps<{ build: Build }>()
const parts = useParts()
const hasLayouts = ref(false)
const words = chainTexts.noLine
const add = (key: LayoutKey) => void parts.addLayout(key)
</script>

<template>
  <section class="none">
    <h1>{{ words.title }}</h1>
    <p class="soft">{{ words.lead }}</p>
    <div class="does">
      <UButton v-if="build.chains?.length" :to="`/b/${build.id}/chains`">{{ words.chains }}</UButton>
      <UButton icon="i-lucide-plus" variant="outline" @click="hasLayouts = true">{{
        partsOfLine.newLine
      }}</UButton>
    </div>
    <NewLineDialog v-model:open="hasLayouts" @take="add" />
  </section>
</template>

<style scoped>
.none {
  display: grid;
  gap: 10px;
  max-width: 62ch;
  padding: 32px 36px;
}
h1 {
  font-size: 1.1875rem;
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
