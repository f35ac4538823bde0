<script setup lang="ts">
import { useRafFn, useTimeoutFn } from '@vueuse/core'
import { useNotices } from '~/composables/useNotices'
import { texts } from '~/texts/en'
import { DEMO_IDS, type DemoId } from '~/storage/demos'
import { useLibrary } from '~/stores/library'

const library = useLibrary()
const router = useRouter()
const notices = useNotices()
const isMaking = ref(false)
const hasPhone = ref(false)
const picker = useTemplateRef<HTMLInputElement>('picker')
const words = texts.builds
/** A long list is drawn bit by bit, what is in sight first. */
const DRAWN_AT_ONCE = 30
const drawn = ref(DRAWN_AT_ONCE)
const { pause, resume } = useRafFn(
  () => {
    drawn.value += DRAWN_AT_ONCE
    if (drawn.value >= library.builds.length) pause()
  },
  { immediate: false },
)
watch(
  () => library.builds.length,
  (many) => many > drawn.value && resume(),
  { immediate: true },
)
const hasDemo = (demo: DemoId) => library.builds.some(({ id }) => id === demo)
/** Where each demo is looked at first. */
const FIRST_VIEW = {
  'fen-tender': 'line',
  'sedge-wagon': 'place',
  'teasel-runabout': 'place',
  'sorrel-hauler': 'parts',
  'osier-van': 'parts',
  'tansy-wagon': 'travel',
  'medlar-hatch': 'halfshafts',
  'burdock-cart': 'chains',
  'comfrey-buggy': 'chains',
} as const

/** The examples' drawings are worked out once the page stands: nobody waits for them. */
const AFTER_MS = 1500
const { start: drawExamples } = useTimeoutFn(() => void library.workDemoCovers(), AFTER_MS, {
  immediate: false,
})

onMounted(async () => {
  await library.refresh()
  // A server started for the demo shows it to whoever comes for the first time.
  if (useRuntimeConfig().public.demo && library.builds.length === 0 && library.deleted.length === 0)
    await library.openDemo()
  drawExamples()
})

async function openDemo(demo: DemoId) {
  const id = await library.openDemo(demo)
  if (id) await router.push(`/b/${id}/${FIRST_VIEW[demo]}`)
}
async function resetDemo(demo: DemoId) {
  await library.resetDemo(demo)
  notices.add({ title: words.wasReset, icon: 'i-lucide-rotate-ccw' })
}
async function remove(id: string, name: string) {
  await library.remove(id)
  notices.add({
    title: words.removed(name),
    icon: 'i-lucide-trash-2',
    actions: [{ label: words.undo, onClick: () => void library.restore(id) }],
  })
}
async function takeFiles(event: Event) {
  const input = event.target as HTMLInputElement
  const count = await library.importFiles([...(input.files ?? [])])
  input.value = ''
  if (count > 0) notices.add({ title: words.imported(count), icon: 'i-lucide-check' })
}
</script>

<template>
  <div class="builds">
    <header>
      <p class="name">{{ texts.name }}</p>
      <span class="header-buttons">
        <UButton
          icon="i-lucide-smartphone"
          color="neutral"
          variant="ghost"
          :label="texts.phone.open"
          @click="hasPhone = true"
        />
        <ColourButton />
      </span>
    </header>
    <main>
      <h1>{{ words.title }}</h1>
      <p class="lead">{{ words.lead }}</p>
      <p v-if="library.failure" class="failure" role="alert">
        <VerdictMark verdict="out" silent /> {{ texts.storage.blocked(library.failure) }}
      </p>
      <div class="actions">
        <UButton icon="i-lucide-plus" size="lg" @click="isMaking = true">{{ words.make }}</UButton>
        <UButton
          variant="outline"
          size="lg"
          icon="i-lucide-upload"
          :loading="library.isImporting"
          @click="picker?.click()"
          >{{ words.import }}</UButton
        >
        <UButton
          v-if="library.builds.length"
          variant="outline"
          size="lg"
          icon="i-lucide-archive"
          @click="library.backup()"
        >
          {{ words.backup }}
        </UButton>
        <input
          ref="picker"
          type="file"
          multiple
          accept=".json,.zip"
          class="sr-only"
          :aria-label="words.import"
          @change="takeFiles"
        />
      </div>

      <RefusedFiles v-if="library.refused.length" :files="library.refused" @dismiss="library.refused = []" />

      <ul v-if="library.builds.length" class="list">
        <li v-for="build in library.builds.slice(0, drawn)" :key="build.id">
          <BuildCard
            :build="build"
            @duplicate="library.duplicate(build.id)"
            @export="library.exportBuild(build.id)"
            @remove="remove(build.id, build.name)"
          />
        </li>
      </ul>
      <section v-else-if="library.isLoaded" class="empty">
        <svg viewBox="0 0 240 70" aria-hidden="true">
          <path
            d="M4 22H60L180 50H236"
            fill="none"
            stroke="currentColor"
            stroke-width="2"
            stroke-dasharray="12 4 2 4"
          />
          <circle
            cx="60"
            cy="22"
            r="10"
            fill="var(--paper)"
            stroke="currentColor"
            stroke-width="3"
            stroke-dasharray="4 3"
          />
          <circle
            cx="180"
            cy="50"
            r="10"
            fill="var(--paper)"
            stroke="currentColor"
            stroke-width="3"
            stroke-dasharray="4 3"
          />
        </svg>
        <h2>{{ words.empty }}</h2>
        <p>{{ words.emptyHint }}</p>
      </section>

      <section class="examples">
        <h2>{{ words.examples }}</h2>
        <p class="soft">{{ words.examplesLead }}</p>
        <ul>
          <li v-for="demo in DEMO_IDS" :key="demo">
            <SmallDrawing :picture="library.demoCovers[demo]?.picture ?? null" />
            <p class="example-name">{{ words.demos[demo].name }}</p>
            <p class="soft shows">{{ words.demos[demo].shows }}</p>
            <p class="example-buttons">
              <UButton
                size="sm"
                variant="outline"
                :aria-label="
                  hasDemo(demo) ? `${words.openShort} ${words.demos[demo].name}` : words.demos[demo].open
                "
                @click="openDemo(demo)"
                >{{ words.openShort }}</UButton
              >
              <UButton
                v-if="hasDemo(demo)"
                size="sm"
                variant="ghost"
                icon="i-lucide-rotate-ccw"
                :aria-label="words.demos[demo].reset"
                @click="resetDemo(demo)"
                >{{ words.resetShort }}</UButton
              >
            </p>
          </li>
        </ul>
      </section>

      <FoldedPart
        v-if="library.deleted.length"
        class="deleted"
        :title="`${words.deleted} (${library.deleted.length})`"
      >
        <p v-for="one in library.deleted" :key="one.id">
          {{ one.name }}
          <UButton size="sm" variant="outline" @click="library.restore(one.id)">{{ words.restore }}</UButton>
          <UButton size="sm" variant="ghost" color="error" @click="library.purge(one.id)">{{
            words.purge
          }}</UButton>
        </p>
      </FoldedPart>
    </main>
    <LazyPhoneDialog v-if="hasPhone" v-model:open="hasPhone" />
    <LazyNewBuildDialog v-if="isMaking" v-model:open="isMaking" />
  </div>
</template>

<style scoped>
.builds {
  max-width: 1040px;
  margin: 0 auto;
  padding: 20px 24px 60px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 34px;
}
.header-buttons {
  display: flex;
  gap: 4px;
}
.name {
  font-size: 1.5rem;
  font-weight: 600;
}
h1 {
  font-size: 2rem;
  font-weight: 600;
  line-height: 1.1;
}
.lead {
  max-width: 62ch;
  margin: 8px 0 20px;
  color: var(--soft);
  font-size: 1.0625rem;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 24px;
}
.failure {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-bottom: 16px;
}
.list {
  display: grid;
  gap: 12px;
}
.empty {
  padding: 46px 24px;
  border: 1.5px dashed var(--part-line);
  border-radius: 6px;
  text-align: center;
  color: var(--soft);
}
.empty svg {
  width: 240px;
  margin: 0 auto 16px;
}
.empty h2 {
  font-size: 1.25rem;
  font-weight: 600;
  color: var(--ink);
}
.examples {
  margin-top: 40px;
}
.examples h2 {
  font-size: 1.375rem;
  font-weight: 600;
}
.examples ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 14px;
  margin-top: 14px;
}
.examples li {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 5px;
}
.example-name {
  font-size: 1.0625rem;
  font-weight: 600;
}
.shows {
  flex: 1;
  line-height: 1.3;
}
.example-buttons {
  display: flex;
  gap: 6px;
}
.soft {
  color: var(--soft);
}
.deleted {
  margin-top: 28px;
  color: var(--soft);
}
.deleted p {
  margin-top: 8px;
}
@media (max-width: 640px) {
  .builds {
    padding: 14px 14px 40px;
  }
  header {
    margin-bottom: 20px;
  }
  .actions > * {
    min-height: 48px;
  }
}
</style>
