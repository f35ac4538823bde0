<script setup lang="ts">
import {
  chanceText,
  decidesText,
  drivesText,
  movesText,
  provenText,
  usualText,
} from '~~/core/show/text/workText'
import { taskName } from '~~/core/jobs/tasks/taskName'
import { tasks as words } from '~/texts/tasks'
import { tabsOf } from '~/texts/views'
import { useShownPlan } from '~/composables/useShownPlan'
import { usePlanFiles } from '~/stores/planFiles'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** When what is done: all open work on the ruler of time. */
const workbench = useWorkbench()
const tasks = useTasks()
const plan = useShownPlan()
const files = usePlanFiles()
const chosen = ref<string | null>(null)
const task = computed(() => (chosen.value === null ? null : tasks.taskOf(chosen.value)))
/** What most waits for stands first; the rest is in the list below. */
const MOST_BLOCKED = 6
const usual = computed(() => usualText(tasks.open))
</script>

<template>
  <div v-if="workbench.build">
    <ViewNav :label="words.nav.label" :views="tabsOf('sheet')" />
    <div class="plan">
      <div class="main">
        <h1 class="sr-only">{{ words.title }}</h1>
        <p v-if="!tasks.crew" class="begin">
          {{ words.noCrew }}
          <UButton icon="i-lucide-calendar-days" @click="tasks.beginCrew()">{{ words.begin }}</UButton>
        </p>
        <template v-else-if="plan.plan && plan.scene">
          <p class="drives" data-testid="drives">{{ drivesText(plan.plan) }}</p>
          <WorkBoard
            :scene="plan.scene"
            :still="plan.freeScene ?? plan.scene"
            :chosen="chosen"
            @choose="chosen = $event"
          />
          <p v-if="plan.isSearching" class="soft" role="status">
            {{ words.looking }}
            <UButton size="sm" variant="link" @click="plan.stop()">{{ words.stop }}</UButton>
          </p>
        </template>
        <p v-else-if="tasks.open.length === 0">{{ words.all }}</p>
        <p v-else-if="plan.missing.length > 0">{{ words.cannot }} <MissingWords :missing="plan.missing" /></p>
        <p v-else class="soft" role="status">{{ words.working }}</p>
        <p v-if="plan.failure" role="alert">{{ words.failed(plan.failure) }}</p>
        <section v-if="plan.next.blocked.length > 0">
          <h2>{{ words.blocked }}</h2>
          <BlockedTable :rows="plan.next.blocked.slice(0, MOST_BLOCKED)" />
        </section>
        <section>
          <h2>{{ words.list }}</h2>
          <TaskTable @choose="chosen = $event" />
          <p v-if="usual" class="soft">{{ usual }}</p>
        </section>
        <section>
          <h2>{{ words.add }}</h2>
          <NewTask @added="chosen = $event" />
        </section>
        <FoldedPart v-if="tasks.done.length > 0" :title="words.done(tasks.done.length)">
          <ul class="done">
            <li v-for="one in tasks.done" :key="one.key">
              <button type="button" class="link" @click="chosen = one.key">{{ taskName(one) }}</button>
            </li>
          </ul>
        </FoldedPart>
        <p v-if="plan.plan" class="files">
          <UButton variant="outline" icon="i-lucide-table" @click="files.saveCsv()">{{ words.csv }}</UButton>
          <UButton variant="outline" icon="i-lucide-calendar-days" @click="files.saveCalendar()">{{
            words.calendar
          }}</UButton>
        </p>
      </div>
      <aside class="side">
        <TaskCard v-if="task" :key="task.key" :task="task" />
        <template v-if="plan.plan">
          <section>
            <h2>{{ words.decides }}</h2>
            <p>{{ decidesText(plan.chain, tasks.removals) }}</p>
            <p class="soft">{{ provenText(plan.plan) }}</p>
          </section>
          <section v-if="plan.chance">
            <h2>{{ words.chances }}</h2>
            <p data-testid="chances">{{ chanceText(plan.chance, plan.plan.first, tasks.crew?.wanted) }}</p>
          </section>
          <HurryList />
          <section v-if="plan.plan.moves">
            <h2>{{ words.lifts }}</h2>
            <p data-testid="lifts">{{ movesText(plan.plan.moves) }}</p>
          </section>
        </template>
        <MoneyTable />
        <FoldedPart v-if="tasks.crew" :title="words.crew"><CrewFields /></FoldedPart>
        <FoldedPart :title="words.removals"><RemovalFields /></FoldedPart>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 350px;
  align-items: start;
}
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  padding: 14px 24px 48px;
}
.side {
  display: grid;
  gap: 18px;
  padding: 16px 20px 48px;
  border-left: 1px solid var(--hair);
  align-content: start;
  min-height: 100%;
}
.plan :deep(h2) {
  font-size: 1.0625rem;
  font-weight: 600;
}
.drives {
  font-size: 1.1875rem;
  font-weight: 600;
}
.begin {
  display: grid;
  gap: 10px;
  justify-items: start;
  max-width: 60ch;
}
.done {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding: 4px 20px;
}
.link {
  color: var(--accent);
  cursor: pointer;
}
.link:first-letter {
  text-transform: capitalize;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
@media (max-width: 1080px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .main,
  .side {
    padding-inline: 14px;
  }
}
</style>
