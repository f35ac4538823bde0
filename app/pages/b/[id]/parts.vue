<script setup lang="ts">
import { partWord } from '~~/core/show/parts/partsScene'
import type { LayoutKey } from '~~/core/file/edits/layouts'
import { lineStaysBecause } from '~~/core/file/edits/partEdits'
import { partsOfLine } from '~/texts/parts'
import { partName } from '~/composables/usePartName'
import { useEvaluation } from '~/stores/evaluation'
import { useParts } from '~/stores/parts'
import { useWorkbench } from '~/stores/workbench'

/** The line part by part. What is picked stands in the address, so that a lost page opens there again. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const parts = useParts()
const route = useRoute()
const router = useRouter()
const words = partsOfLine
const hasLayouts = ref(false)
const lines = computed(() => evaluation.current?.lines ?? [])
const current = computed(() => lines.value.find(({ line }) => line.id === route.query.line) ?? lines.value[0])
const go = (query: Record<string, string | undefined>) =>
  void router.replace({ query: { ...route.query, ...query } })
const selected = computed({
  get: () =>
    typeof route.query.part === 'string' ? route.query.part : partWord({ part: 'shaft', index: 0 }),
  set: (part) => {
    if (part !== route.query.part) go({ part: part === '' ? undefined : part })
  },
})
const shaft = computed(() => /^(?:shaft|slip|plunge)\/(\d+)$/.exec(selected.value)?.[1])
function add(key: LayoutKey) {
  const id = parts.addLayout(key)
  if (id) go({ line: id, part: undefined })
}
function rename(id: string, name: string) {
  if (name.trim() !== '') parts.changeLine(id, { name: name.trim().slice(0, 200) })
}
function removeLine(id: string) {
  if (parts.removeLine(id)) go({ line: undefined, part: undefined })
}
</script>

<template>
  <LineNav />
  <div v-if="workbench.build && current" class="page-parts">
    <header>
      <div>
        <h1>{{ words.title }}</h1>
        <p class="soft lead">{{ words.lead }}</p>
      </div>
      <div class="does">
        <UInput
          :model-value="current.line.name"
          size="sm"
          maxlength="200"
          :aria-label="words.lineName"
          @change="rename(current.line.id, ($event.target as HTMLInputElement).value)"
        />
        <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="hasLayouts = true">{{
          words.newLine
        }}</UButton>
        <RemoveButton
          v-if="lineStaysBecause(workbench.build) === null"
          :label="words.removeLine(current.line.name)"
          is-worded
          @click="removeLine(current.line.id)"
        />
      </div>
    </header>
    <LinePicker
      class="lines"
      :lines="lines.map(({ line }) => line)"
      :chosen="current.line.id"
      @choose="go({ line: $event, part: undefined })"
    />
    <PartsDrawing v-model="selected" class="drawing" :build="workbench.build" :evaluation="current" />
    <div class="under">
      <PartSheet v-model="selected" :build="workbench.build" :evaluation="current" />
      <div class="aside">
        <ClockPanel :build="workbench.build" :evaluation="current" />
        <TubeTable
          v-if="shaft !== undefined"
          class="tubes"
          :build="workbench.build"
          :evaluation="current"
          :shaft="Number(shaft)"
          :name="partName(workbench.build, current.line, { part: 'shaft', index: Number(shaft) })"
        />
      </div>
    </div>
  </div>
  <NoLine v-else-if="workbench.build && evaluation.current" :build="workbench.build" />
  <NewLineDialog v-model:open="hasLayouts" @take="add" />
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 24px;
  padding: 16px 24px 8px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.does {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.lines {
  padding: 0 24px 8px;
}
.drawing {
  padding: 0 12px;
}
.under {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  border-top: 1px solid var(--hair);
}
.aside {
  border-left: 1px solid var(--hair);
}
.tubes {
  padding: 14px 20px 20px;
}
@media (max-width: 1020px) {
  .under {
    grid-template-columns: minmax(0, 1fr);
  }
  .aside {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
/* On a phone one part a screen: the line is stepped through. */
@media (max-width: 640px) {
  .drawing,
  .lead {
    display: none;
  }
  header {
    padding: 10px 14px;
  }
  .lines {
    padding: 0 14px 8px;
  }
}
</style>
