<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWhy } from '~/stores/why'

/** Where a figure comes from, as a tree down to what was read. */
const why = useWhy()
const words = texts.why
</script>

<template>
  <USlideover
    :open="why.question !== null"
    :title="words.title"
    :description="why.question ? `${why.question.title}: ${why.question.value}` : ''"
    @update:open="why.close()"
  >
    <template #body>
      <p v-if="!why.answer || why.answer.length === 0" class="soft">{{ words.nothing }}</p>
      <template v-else>
        <section v-if="why.most.length > 0" class="most">
          <h3>{{ words.most }}</h3>
          <ul>
            <li v-for="line in why.most" :key="line.title">
              <span class="figure share">{{ Math.round((line.share ?? 0) * 100) }} %</span> {{ line.title }}
            </li>
          </ul>
        </section>
        <OriginTree :lines="why.answer" @go="why.close()" />
      </template>
    </template>
  </USlideover>
</template>

<style scoped>
.most {
  margin-bottom: 16px;
  padding-bottom: 12px;
  border-bottom: 1px solid var(--hair);
}
.most h3 {
  font-weight: 600;
}
.share {
  display: inline-block;
  min-width: 3.2em;
  font-weight: 600;
}
</style>
