<script setup lang="ts">
import { outlinePicture } from '~~/core/drawing/outlinePicture'
import { OUTLINE_VIEWS, type Outline } from '~~/core/file/parts/outline'
import { MAX_CORNERS } from '~~/core/file/parts/outline'
import { cornersText, parseCorners } from '~~/core/show/text/cornerText'
import { useFormat } from '~/composables/useFormat'
import { texts } from '~/texts/en'

/** One outline: its view, its corners as text, and how it looks. */
const {
  outline,
  isNew = false,
  traced = '',
} = defineProps<{
  outline: Outline
  isNew?: boolean
  /** Address of the photograph that it was traced over. */
  traced?: string
}>()
const emit = defineEmits<{ change: [outline: Outline]; remove: [] }>()
const { units } = useFormat()
const words = texts.bay.body
const views = OUTLINE_VIEWS.map((value) => ({ value, label: words.viewNames[value] }))
/** What is looked at while corners are missing: view, name and whether it closes are kept with them. */
const draft = shallowRef<Outline>(outline)
const text = ref(cornersText(outline.corners, units.value))
const fault = ref<string | undefined>()
watch(
  () => outline,
  (now) => {
    draft.value = now
    text.value = cornersText(now.corners, units.value)
    fault.value = undefined
  },
)
const picture = computed(() => outlinePicture(draft.value))

function take(changed: Partial<Outline>) {
  draft.value = { ...draft.value, ...changed }
  const { corners, open, name, view, photo } = draft.value
  if (corners.length < (open ? 2 : 3)) {
    if (!isNew || corners.length > 0) fault.value = words.few
    return
  }
  fault.value = undefined
  emit('change', { view, corners, ...(open && { open }), ...(name && { name }), ...(photo && { photo }) })
}
function read() {
  const parsed = parseCorners(text.value, units.value, MAX_CORNERS)
  if (parsed.ok) take({ corners: parsed.corners })
  else fault.value = words.badLine(parsed.line, parsed.message)
}
</script>

<template>
  <div class="entered">
    <div class="row">
      <ChoiceField :label="words.view" :value="draft.view" :items="views" @change="take({ view: $event })" />
      <TextField :label="words.partName" :value="draft.name" @change="take({ name: $event || undefined })" />
    </div>
    <div class="row">
      <UFormField :label="words.corners" :error="fault">
        <UTextarea
          v-model="text"
          class="w-full figure"
          :rows="6"
          :maxlength="6000"
          autocomplete="off"
          spellcheck="false"
          @change="read"
        />
      </UFormField>
      <div>
        <svg v-if="picture" :viewBox="picture.viewBox" class="picture" aria-hidden="true">
          <path :d="picture.path" :class="{ closed: !draft.open }" vector-effect="non-scaling-stroke" />
        </svg>
        <p v-if="picture?.crosses" class="fault" role="alert">{{ words.crosses }}</p>
      </div>
    </div>
    <UCheckbox
      :model-value="draft.open === true"
      :label="words.open"
      @update:model-value="take({ open: $event === true ? true : undefined })"
    />
    <UButton v-if="traced" class="remove" icon="i-lucide-camera" size="sm" variant="outline" :to="traced">{{
      texts.trace.again
    }}</UButton>
    <RemoveButton :label="words.removeOutline" class="remove" is-worded @click="emit('remove')" />
  </div>
</template>

<style scoped>
.entered {
  display: grid;
  gap: 8px;
  padding: 10px 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.picture {
  width: 100%;
  height: 150px;
}
path {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.8;
  stroke-linejoin: round;
}
.closed {
  fill: var(--wash);
}
.fault {
  color: var(--out);
}
.remove {
  justify-self: start;
}
</style>
