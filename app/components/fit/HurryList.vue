<script setup lang="ts">
import { hurryText } from '~~/core/show/text/hurryText'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'

/** What it would bring to have something sooner, and what that costs. */
const plan = usePlan()
const tasks = useTasks()
</script>

<template>
  <section v-if="plan.hurries.length > 0" data-testid="hurries">
    <h2>{{ words.hurry.title }}</h2>
    <ul>
      <li v-for="one in plan.hurries" :key="one.task.key">
        <p>{{ hurryText(one, plan.day, tasks.crew?.money) }}</p>
        <UButton size="sm" variant="outline" @click="tasks.hurry(one.task.key, !one.isPaid)">{{
          one.isPaid ? words.hurry.not : words.hurry.do
        }}</UButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding-block: 4px;
}
</style>
