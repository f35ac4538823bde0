<script setup lang="ts">
import { texts } from '~/texts/en'

/** One term: a dotted underline, and its meaning in a bubble beside it. */
defineProps<{
  word: string
  meaning: string
  /** The term, where the word shown is only a mark. */
  name?: string
}>()
const isOpen = ref(false)
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
/** Bubbles that would leave the screen to the right open to the left. */
const isLeft = ref(false)

function open() {
  const { right = 0 } = box.value?.getBoundingClientRect() ?? {}
  isLeft.value = right > window.innerWidth - 250
  isOpen.value = true
}
</script>

<template>
  <span ref="box" class="word" @mouseenter="open" @mouseleave="isOpen = false"
    ><button
      type="button"
      class="term"
      :aria-label="name ? `${texts.bar.whatIs} ${name}?` : undefined"
      :aria-describedby="isOpen ? id : undefined"
      @focus="open"
      @blur="isOpen = false"
      @click.stop.prevent="open"
      @keydown.esc.stop="isOpen = false"
    >
      {{ word }}</button
    ><span v-if="isOpen" :id="id" role="tooltip" class="bubble" :class="{ left: isLeft }">{{
      meaning
    }}</span></span
  >
</template>

<style scoped>
.word {
  position: relative;
}
.term {
  display: inline;
  font: inherit;
  color: inherit;
  text-align: inherit;
  text-decoration: underline dotted var(--soft);
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
  cursor: help;
}
.bubble {
  position: absolute;
  z-index: 30;
  top: calc(100% + 6px);
  left: 0;
  width: max-content;
  max-width: min(270px, 70vw);
  padding: 8px 12px;
  border: 1px solid var(--accent);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font-family: var(--font-sans, inherit);
  font-size: 0.9375rem;
  font-weight: 400;
  line-height: 1.35;
  text-align: left;
  white-space: normal;
  box-shadow: 0 6px 18px rgb(0 0 0 / 14%);
}
.bubble.left {
  left: auto;
  right: 0;
}
@media print {
  .term {
    text-decoration: none;
  }
}
</style>
