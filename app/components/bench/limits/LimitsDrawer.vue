<script setup lang="ts">
import { limitsText, parseLimitsText } from '~~/core/file/limits/profileFile'
import { problemText } from '~~/core/file/parts/problem'
import { PROFILES } from '~~/core/file/limits/profiles'
import { texts } from '~/texts/en'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { useWorkbench } from '~/stores/workbench'

/** All limits of the build, each with what it decides; opened at the one that was asked for. */
defineProps<{ at: string }>()
const emit = defineEmits<{ close: [] }>()
const workbench = useWorkbench()
const words = texts.limits
const profiles = Object.entries(PROFILES).map(([value, one]) => ({ value, label: one.name }))
const chosen = ref<keyof typeof PROFILES>('road')
watch(
  () => workbench.build?.limits.profile,
  (profile) => {
    if (profile && profile !== 'own') chosen.value = profile
  },
  { immediate: true },
)
const copy = () =>
  workbench.change(
    'Copy a limit profile',
    (draft) => void (draft.limits = structuredClone(PROFILES[chosen.value]) as never),
  )
const picker = useTemplateRef<HTMLInputElement>('picker')
const fault = ref('')
function save() {
  const { build } = workbench
  if (build) download(fileName(build.name, '.limits.json'), limitsText(build.limits), 'application/json')
}
async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  if (!file) return
  const read = parseLimitsText(await file.text())
  fault.value = read.ok ? '' : words.refused(file.name, read.problems.map(problemText).join('; '))
  if (read.ok)
    workbench.change(
      'Take limits from a file',
      (draft) => void (draft.limits = structuredClone(read.value) as never),
    )
}
</script>

<template>
  <SideDrawer
    v-if="workbench.build"
    :title="`${words.title}: ${workbench.build.limits.name}`"
    :at="at"
    @close="emit('close')"
  >
    <p class="soft lead">{{ words.lead }}</p>
    <ul>
      <li
        v-for="limit in workbench.build.limits.entries"
        :key="limit.id"
        :data-at="limit.id"
        :class="{ asked: limit.id === at }"
      >
        <LimitFields :limit="limit" />
        <LimitDecides :limit="limit" />
      </li>
    </ul>
    <div class="copy">
      <USelect v-model="chosen" :items="profiles" :aria-label="words.profile" class="w-48" />
      <UButton variant="outline" @click="copy">{{ words.copy }}</UButton>
    </div>
    <div class="copy files">
      <UButton variant="outline" size="sm" icon="i-lucide-download" @click="save">{{ words.export }}</UButton>
      <UButton variant="outline" size="sm" icon="i-lucide-upload" @click="picker?.click()">{{
        words.import
      }}</UButton>
      <input
        ref="picker"
        type="file"
        accept=".json,application/json"
        class="sr-only"
        tabindex="-1"
        :aria-label="words.import"
        @change="take"
      />
      <p v-if="fault" role="alert" class="fault">{{ fault }}</p>
    </div>
  </SideDrawer>
</template>

<style scoped>
.lead {
  margin-bottom: 10px;
}
li {
  padding: 10px 12px 8px;
  margin-bottom: 10px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  scroll-margin-top: 8px;
}
.asked {
  border-color: var(--accent);
}
.copy {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.files {
  margin-top: 10px;
}
.fault {
  color: var(--out);
}
</style>
