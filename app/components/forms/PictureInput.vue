<script setup lang="ts">
/** A button that asks for a picture: one that is chosen, or taken with the camera. */
const { label, isBusy = false } = defineProps<{
  /** Of what is asked for. */
  label: string
  variant?: 'solid' | 'outline'
  size?: 'sm' | 'md' | 'lg'
  isBusy?: boolean
}>()
const emit = defineEmits<{ pick: [file: File] }>()
defineSlots<{ default?: () => unknown }>()
const picker = useTemplateRef<HTMLInputElement>('picker')
function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  // The same one may be chosen again.
  input.value = ''
  if (file) emit('pick', file)
}
</script>

<template>
  <UButton
    icon="i-lucide-camera"
    :variant="variant ?? 'outline'"
    :size="size ?? 'md'"
    :loading="isBusy"
    @click="picker?.click()"
    ><slot>{{ label }}</slot></UButton
  >
  <input
    ref="picker"
    type="file"
    accept="image/*"
    class="sr-only"
    tabindex="-1"
    :aria-label="label"
    @change="pick"
  />
</template>
