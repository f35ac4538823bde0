<script setup lang="ts">
import { tasks } from '~/texts/tasks'
import { useQuestions } from '~/stores/questions'

/** One question at its moment. */
const questions = useQuestions()
const words = tasks.asked
const said = ref('')
function keep(text: string) {
  questions.answer(text)
  said.value = ''
}
</script>

<template>
  <form
    v-if="questions.asked"
    class="asked"
    data-testid="asked"
    @submit.prevent="said.trim() && keep(said.trim())"
  >
    <div>
      <p class="ask">{{ questions.text }}</p>
      <p class="soft">{{ questions.why }}</p>
    </div>
    <UFormField :label="words.answer" class="answer">
      <UInput v-model="said" class="w-full" :maxlength="5000" autocomplete="off" />
    </UFormField>
    <div class="does">
      <UButton type="submit" :disabled="said.trim() === ''">{{ words.keep }}</UButton>
      <UButton variant="outline" @click="keep('')">{{ words.pass }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 6px 16px;
  align-items: end;
  padding: 10px 14px;
  border-left: 3px solid var(--accent);
  background: var(--card);
}
.ask {
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 860px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
