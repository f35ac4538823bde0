<script setup lang="ts">
import { shareText, type OriginLine } from '~~/core/show/told/originText'
import { texts } from '~/texts/en'
import { useReadingLink } from '~/composables/useReadingLink'

/** Lines of the tree that tells where a figure comes from; readings can be gone to. */
defineProps<{ lines: readonly OriginLine[] }>()
const emit = defineEmits<{ go: [] }>()
const words = texts.why
const linkTo = useReadingLink()
</script>

<template>
  <ul class="origin">
    <li v-for="line in lines" :key="line.key" data-testid="origin">
      <span class="title">{{ line.title }}</span>
      <span v-if="shareText(line.share)" class="share figure">{{ shareText(line.share) }}</span>
      <span v-if="line.isProvisional" class="provisional">{{ words.provisional }}</span>
      <span v-if="line.detail" class="detail">
        <TermText :text="line.detail" />
        <NuxtLink v-if="line.readingId" :to="linkTo(line.readingId)" @click="emit('go')">{{
          words.go
        }}</NuxtLink>
        <span v-if="line.pages.length" class="soft">{{ words.pages(line.pages) }}</span>
      </span>
      <OriginTree v-if="line.parts.length" :lines="line.parts" @go="emit('go')" />
    </li>
  </ul>
</template>

<style scoped>
.origin {
  display: grid;
  gap: 8px;
}
.origin .origin {
  margin: 8px 0 0 4px;
  padding-left: 12px;
  border-left: 2px solid var(--hair);
}
.title {
  font-weight: 600;
}
.share {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 3px;
  font-size: 0.875rem;
  white-space: nowrap;
}
.provisional {
  margin-left: 8px;
  color: var(--tight);
  font-weight: 600;
}
.detail {
  display: block;
  color: var(--soft);
  font-size: 0.9375rem;
  line-height: 1.3;
}
.detail a {
  margin-left: 6px;
  color: var(--accent);
  text-decoration: underline;
  text-underline-offset: 3px;
  white-space: nowrap;
}
</style>
