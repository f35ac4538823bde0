<script setup lang="ts">
import type { StackScale, StackScene } from '~~/core/bay/mating/stackScene'
import type { Known } from '~~/core/base/known'
import type { StackAnswer } from '~~/core/bay/mating/matingOf'
import type { Stack } from '~~/core/file/parts/mating'
import { texts } from '~/texts/en'
import { useMating } from '~/stores/mating'

/** One stack of sizes: its parts, drawn to scale, and what is left over against what is wanted. */
const { stack, answer } = defineProps<{
  stack: Stack
  answer: Known<StackAnswer>
  scene: StackScene | null
  scale: StackScale | null
}>()
const mating = useMating()
const words = texts.mating
</script>

<template>
  <article class="stack" :aria-label="stack.name" :data-stack="stack.id" :data-field="`mating/${stack.id}`">
    <header>
      <input
        class="name"
        :value="stack.name"
        :aria-label="words.stackName"
        maxlength="200"
        @change="
          ($event.target as HTMLInputElement).value.trim() !== '' &&
          mating.changeStack(stack.id, { name: ($event.target as HTMLInputElement).value.trim() })
        "
      />
      <RemoveButton :label="`${words.removeStack}: ${stack.name}`" @click="mating.removeStack(stack.id)" />
    </header>
    <StackResult :stack="stack" :answer="answer" :scale="scale" />
    <StackPicture
      v-if="scene && answer.known"
      :stack="stack"
      :scene="scene"
      :left-over="answer.value.nominal"
    />
    <StackParts :stack="stack" :shares="answer.known ? answer.value.shares : []" />
  </article>
</template>

<style scoped>
.stack {
  margin-bottom: 16px;
  padding: 12px 16px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.name {
  flex: 1;
  min-width: 0;
  padding: 2px 4px;
  margin-left: -4px;
  font-size: 1.05rem;
  font-weight: 600;
  background: transparent;
  border-bottom: 1px dashed transparent;
}
.name:hover,
.name:focus {
  border-color: var(--part-line);
}
</style>
