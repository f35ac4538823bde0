<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import { log as words } from '~/texts/log'
import { orders } from '~/texts/orders'
import { tasks as fitting } from '~/texts/tasks'
import { tabsOf } from '~/texts/views'
import { useSaving } from '~/composables/useSaving'
import { useLog } from '~/stores/log'
import { usePhotos } from '~/stores/photos'
import { useRecordFiles } from '~/stores/recordFiles'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** What happened on the build, and all of it to take away. */
const workbench = useWorkbench()
const store = useLog()
const photos = usePhotos()
const tasks = useTasks()
const files = useRecordFiles()
const nav = { label: fitting.nav.label, views: tabsOf('sheet') }
const what = ref('')
function add() {
  const name = what.value.trim()
  if (name === '') return
  store.add(name)
  what.value = ''
}
async function photograph(file: File) {
  await store.photograph(file, { name: what.value.trim() })
  what.value = ''
}
/** So many lines at first: a log of years is not drawn at once. */
const SHOWN = 60
const shown = ref(SHOWN)
watch(
  () => store.search,
  () => (shown.value = SHOWN),
)
const save = useSaving()
</script>

<template>
  <MadePage v-if="workbench.build" :title="words.title" :lead="words.lead" :nav="nav">
    <form class="new" data-testid="new-log" @submit.prevent="add()">
      <UFormField :label="words.what" class="what">
        <UInput v-model="what" class="w-full" :maxlength="200" autocomplete="off" />
      </UFormField>
      <UButton type="submit" icon="i-lucide-pencil" :disabled="what.trim() === ''">{{ words.add }}</UButton>
      <PictureInput :label="words.photo" :is-busy="photos.isTaking" @pick="photograph($event)" />
    </form>
    <p v-if="photos.failure" class="out" role="alert">{{ photos.failure }}</p>
    <UFormField v-if="store.all.length > 8" :label="words.search">
      <UInput v-model="store.search" class="w-full" type="search" icon="i-lucide-search" autocomplete="off" />
    </UFormField>
    <p v-if="store.all.length === 0">{{ words.none }}</p>
    <p v-else-if="store.found.length === 0">{{ words.nothingFound }}</p>
    <ol data-testid="log">
      <LogRow v-for="line in store.found.slice(0, shown)" :key="line.key" :line="line" />
    </ol>
    <UButton v-if="store.found.length > shown" variant="outline" class="start" @click="shown += SHOWN">{{
      words.more(store.found.length - shown)
    }}</UButton>
    <template #side>
      <section v-if="store.defects.length > 0" data-testid="defects">
        <h2>{{ words.defects }}</h2>
        <p class="soft">{{ words.defectsLead }}</p>
        <ul>
          <li v-for="defect in store.defects" :key="defect.id">
            <VerdictMark verdict="out" silent /> {{ defect.name }}
          </li>
        </ul>
      </section>
      <section v-if="store.mistakes.length > 0" data-testid="mistakes">
        <h2>{{ words.mistakes }}</h2>
        <dl>
          <template v-for="one in store.mistakes" :key="one.mistake">
            <dt>{{ words.mistakeNames[one.mistake] }}</dt>
            <dd>
              {{ one.count }} × · {{ words.hours(fixed(one.hours, 1)) }} ·
              {{ words.cost(fixed(one.cost, 0), tasks.crew?.money ?? '') }}
            </dd>
          </template>
        </dl>
      </section>
      <section class="files">
        <h2>{{ words.record }}</h2>
        <p class="soft">{{ words.recordLead }}</p>
        <UButton
          v-for="paper in ['a4', 'letter'] as const"
          :key="paper"
          icon="i-lucide-printer"
          variant="outline"
          @click="save(() => files.savePdf(paper))"
          >{{ words.pdf(orders.papers[paper]) }}</UButton
        >
        <UButton icon="i-lucide-download" variant="outline" @click="save(() => files.saveText())">{{
          words.text
        }}</UButton>
        <p class="soft">{{ words.packLead }}</p>
        <UButton icon="i-lucide-download" variant="outline" @click="save(() => files.savePack('a4'))">{{
          words.pack
        }}</UButton>
      </section>
      <MoneyTable />
    </template>
  </MadePage>
</template>

<style scoped>
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.what {
  flex: 1 1 260px;
}
.start {
  justify-self: start;
}
.files {
  display: grid;
  gap: 8px;
  justify-items: start;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
}
dd {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
</style>
