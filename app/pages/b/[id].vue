<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useNotices } from '~/composables/useNotices'
import { texts } from '~/texts/en'
import { stageOf } from '~/texts/views'
import { useBenchKeys } from '~/composables/useBenchKeys'
import { useStages } from '~/composables/useStages'
import { useDrawer } from '~/composables/useDrawer'
import { useFieldFocus } from '~/composables/useFieldFocus'
import { useCures } from '~/stores/cures'
import { useWorkbench } from '~/stores/workbench'
import { useLibrary } from '~/stores/library'
import { useWhy } from '~/stores/why'

const route = useRoute()
const router = useRouter()
const workbench = useWorkbench()
const cures = useCures()
const why = useWhy()
const notices = useNotices()
const id = computed(() => String(route.params.id))
const current = computed(() => {
  const view = String(route.path.split('/')[3] ?? '')
  return stageOf(view) ?? view
})
const drawer = useDrawer()
const hasPalette = ref(false)
const hasShortcuts = ref(false)
const hasGlossary = ref(false)
const hasPhone = ref(false)

watch(id, (next) => void workbench.open(next), { immediate: true })
onUnmounted(() => workbench.close())

/** Leaving waits until everything is stored; what cannot be is asked about, never dropped. */
const stay = ref<((leave: boolean) => void) | null>(null)
async function guard(): Promise<boolean> {
  if (await workbench.mayLeave()) return true
  return new Promise((resolve) => {
    stay.value = (leave) => {
      stay.value = null
      resolve(leave)
    }
  })
}
onBeforeRouteLeave(guard)
onBeforeRouteUpdate((to) => (to.params.id === route.params.id ? true : guard()))

const { stages } = useStages(id)
useFieldFocus()

watch(
  () => workbench.notice,
  (notice) => {
    if (!notice) return
    notices.add({ title: notice, icon: 'i-lucide-copy' })
    workbench.notice = null
  },
)

useBenchKeys({
  undo: () => void workbench.undo(),
  redo: () => void workbench.redo(),
  palette: () => (hasPalette.value = true),
  shortcuts: () => (hasShortcuts.value = true),
  cure: (index) => {
    const offer = cures.offered[index]
    if (offer) cures.apply(offer)
  },
  stage: (step) => {
    const here = stages.value.findIndex((stage) => stage.key === current.value)
    const stage = stages.value[here + step]
    if (stage) void router.push(stage.to)
  },
})

useHead({ title: () => (workbench.build ? `${workbench.build.name} · Lurvan` : 'Lurvan') })

// Leaving with something that could not be stored would lose it.
useEventListener('beforeunload', (event) => {
  if (workbench.hasUnsaved) event.preventDefault()
})
</script>

<template>
  <div
    v-if="workbench.state === 'open' && workbench.build"
    class="bench"
    :class="[`at-${current}`, { 'has-drawer': drawer.kind.value }]"
  >
    <StateBar @palette="hasPalette = true" @shortcuts="hasShortcuts = true" />
    <StorageBanner />
    <EvaluationFault />
    <div class="below">
      <StageRail :stages="stages" :current="current" @all="hasPalette = true" />
      <main class="page">
        <NuxtErrorBoundary>
          <NuxtPage />
          <template #error="{ error, clearError }">
            <BrokenPage :error="error" @again="clearError" />
          </template>
        </NuxtErrorBoundary>
      </main>
    </div>
    <LazyPartsDrawer v-if="drawer.kind.value === 'parts'" :at="drawer.at.value" @close="drawer.close" />
    <LazyGapsDrawer v-if="drawer.kind.value === 'gaps'" :at="drawer.at.value" @close="drawer.close" />
    <LazyBayDrawer v-if="drawer.kind.value === 'bay'" :at="drawer.at.value" @close="drawer.close" />
    <LazyLimitsDrawer v-if="drawer.kind.value === 'limits'" :at="drawer.at.value" @close="drawer.close" />
    <LazyCommandPalette
      v-if="hasPalette"
      v-model:open="hasPalette"
      :stages="stages"
      @shortcuts="hasShortcuts = true"
      @glossary="hasGlossary = true"
      @phone="hasPhone = true"
    />
    <LazyPhoneDialog v-if="hasPhone" v-model:open="hasPhone" />
    <LazyGlossarySheet v-if="hasGlossary" v-model:open="hasGlossary" />
    <LazyWhyDialog v-if="why.question" />
    <LazyShortcutSheet v-if="hasShortcuts" v-model:open="hasShortcuts" />
    <LazyUnsavedDialog
      v-if="stay"
      :count="workbench.pending.length"
      :reason="workbench.failure ?? ''"
      @stay="stay?.(false)"
      @leave="stay?.(true)"
    />
  </div>
  <main v-else class="closed">
    <p v-if="workbench.state === 'loading' || workbench.state === 'closed'" role="status">
      {{ texts.page.loading }}…
    </p>
    <template v-else>
      <p v-if="workbench.failure" role="alert">{{ texts.storage.blocked(workbench.failure) }}</p>
      <template v-else-if="workbench.state === 'unreadable'">
        <p role="alert">{{ texts.page.unreadable }}</p>
        <ul class="problems">
          <li v-for="problem in workbench.problemTexts" :key="problem">{{ problem }}</li>
        </ul>
        <UButton icon="i-lucide-download" @click="useLibrary().exportBuild(id)">{{
          texts.builds.export
        }}</UButton>
      </template>
      <p v-else>{{ texts.page.missing }}</p>
      <UButton to="/" variant="outline" icon="i-lucide-arrow-left">{{ texts.page.back }}</UButton>
    </template>
  </main>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  min-height: 100dvh;
}
.below {
  flex: 1;
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr);
}
.page {
  border-left: 1px solid var(--hair);
  min-width: 0;
}
/* What a drawer changes stays in sight beside it. */
@media (min-width: 861px) {
  .has-drawer .page {
    margin-right: 460px;
  }
}
.closed {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 16px;
  max-width: 46rem;
  margin: 12vh auto 0;
  padding: 0 20px;
  font-size: 1.125rem;
}
.problems {
  font-family: ui-monospace, monospace;
  font-size: 0.9375rem;
}
@media (max-width: 860px) {
  .below {
    display: block;
    padding-bottom: 76px;
  }
  .page {
    border-left: 0;
  }
  /* One question at a time: under the vehicle the cures can wait. */
  .at-readings :deep(.state) {
    display: none;
  }
}
@media print {
  .below {
    display: block;
    padding: 0;
  }
  .page {
    border: 0;
  }
}
</style>
