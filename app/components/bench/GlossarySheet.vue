<script setup lang="ts">
import { GLOSSARY } from '~/texts/glossary'
import { texts } from '~/texts/en'

/** All terms of the trade in one list, with a search. */
const open = defineModel<boolean>('open', { required: true })
const wanted = ref('')
const shown = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  return [...GLOSSARY]
    .sort((a, b) => a.term.localeCompare(b.term))
    .filter(({ term, also, meaning }) =>
      [term, ...(also ?? []), meaning].join(' ').toLowerCase().includes(text),
    )
})
</script>

<template>
  <UModal v-model:open="open" :title="texts.bar.glossary">
    <template #body>
      <UInput
        v-model="wanted"
        icon="i-lucide-search"
        :placeholder="texts.bar.glossaryFind"
        :aria-label="texts.bar.glossaryFind"
        class="w-full"
        autofocus
      />
      <dl class="terms">
        <template v-for="{ term, meaning } in shown" :key="term">
          <dt class="figure">{{ term }}</dt>
          <dd>{{ meaning }}</dd>
        </template>
      </dl>
    </template>
  </UModal>
</template>

<style scoped>
.terms {
  margin-top: 12px;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0 0 10px;
  line-height: 1.35;
}
</style>
