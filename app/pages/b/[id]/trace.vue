<script setup lang="ts">
import { texts } from '~/texts/en'
import { usePhotos } from '~/stores/photos'
import { useTracing } from '~/stores/tracing'
import { useWorkbench } from '~/stores/workbench'

/** A part of the bay traced over a photograph that two points scale. */
const route = useRoute()
const router = useRouter()
const workbench = useWorkbench()
const tracing = useTracing()
const photos = usePhotos()
const words = texts.trace
const part = computed(() => String(route.query.part ?? ''))
const TOOLS = (['first', 'second', 'corner'] as const).map((value) => ({ value, label: words.tools[value] }))
const crosses = computed(() => tracing.corners.length > 2 && tracing.crosses)

watch(
  [() => workbench.build?.id, part, () => route.query.photo],
  ([build, body, photo]) => {
    if (build) tracing.open(body, photo ? String(photo) : null)
  },
  { immediate: true },
)
onUnmounted(() => photos.hide())

const pick = (photo: string | null) =>
  router
    .replace({ query: { part: part.value, ...(photo && { photo }) } })
    .then(() => tracing.open(part.value, photo))
</script>

<template>
  <PlaceNav />
  <MeasurePage
    :title="tracing.body ? words.title(tracing.body.name) : words.noPart"
    :lead="tracing.body ? words.lead : ''"
  >
    <NuxtLink :to="`/b/${workbench.build?.id}/place?drawer=bay&at=${part}`" class="back">{{
      words.back
    }}</NuxtLink>
    <div v-if="tracing.body" class="columns">
      <div class="board">
        <template v-if="photos.shown">
          <div class="row">
            <div class="tools" role="group" :aria-label="words.tool">
              <UButton
                v-for="{ value, label } in TOOLS"
                :key="value"
                :variant="tracing.tool === value ? 'solid' : 'outline'"
                :aria-pressed="tracing.tool === value"
                @click="tracing.tool = value"
                >{{ label }}</UButton
              >
            </div>
            <p class="soft count" role="status">{{ words.cornersSet(tracing.corners.length) }}</p>
            <UButton
              v-if="tracing.corners.length"
              size="sm"
              variant="outline"
              icon="i-lucide-undo-2"
              @click="tracing.removeCorner(tracing.corners.length - 1)"
              >{{ words.back1 }}</UButton
            >
          </div>
          <TraceCanvas :key="photos.shown.id" :picture="photos.shown" />
          <p v-if="crosses" class="fault" role="alert">{{ texts.bay.body.crosses }}</p>
          <p class="soft">{{ tracing.tool === 'corner' ? words.cornerHint : words.pointHint }}</p>
          <p v-if="tracing.tool === 'corner' && tracing.corners.length < 3" class="soft">{{ words.few }}</p>
        </template>
        <div v-else class="empty">
          <svg viewBox="0 0 120 80" aria-hidden="true">
            <rect x="4" y="4" width="112" height="72" rx="3" />
            <path d="M24 60V30h14l6-8h26l6 8h22v30Z" />
            <path d="M24 70h74" />
          </svg>
          <p>{{ photos.isTaking ? words.taking : words.none }}</p>
        </div>
      </div>
      <div class="side">
        <TracePhoto @pick="pick" />
        <template v-if="photos.shown">
          <TraceScale />
          <TraceDepth />
        </template>
      </div>
    </div>
  </MeasurePage>
</template>

<style scoped>
.back {
  display: inline-block;
  margin-bottom: 12px;
  text-decoration: underline;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 20px 24px;
  align-items: start;
}
.board,
.side {
  display: grid;
  gap: 12px;
}
.side {
  gap: 22px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
.tools {
  display: flex;
  gap: 6px;
}
.count {
  margin-left: auto;
}
.empty {
  display: grid;
  justify-items: center;
  gap: 12px;
  padding: 60px 20px;
  border: 1.5px dashed var(--part-line);
  border-radius: 4px;
  color: var(--soft);
}
.empty svg {
  width: 160px;
  fill: none;
  stroke: currentColor;
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
.fault {
  color: var(--out);
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
