<script setup lang="ts">
import type { Beginning } from '~~/core/file/edits/beginBuild'
import { layoutPictures } from '~~/core/show/parts/layoutPictures'
import { PROFILES } from '~~/core/file/limits/profiles'
import type { LengthUnit } from '~~/core/base/units/unitSettings'
import { LENGTH_UNITS } from '~~/core/base/units/unitSettings'
import { chainTexts } from '~/texts/chains'
import { texts } from '~/texts/en'
import { partsOfLine } from '~/texts/parts'
import { useLibrary } from '~/stores/library'

const open = defineModel<boolean>('open', { required: true })
const library = useLibrary()
const router = useRouter()
const words = texts.builds
const name = ref('')
const length = ref<LengthUnit>('mm')
const fraction = ref<16 | 32>(16)
const profile = ref<keyof typeof PROFILES>('road')
const layout = ref<Beginning>('one-piece')
const pictures = layoutPictures()
const names = partsOfLine.layouts.names
const isTried = ref(false)
const nameInput = useTemplateRef<{ inputRef: HTMLInputElement | null }>('nameInput')
const isInch = computed(() => length.value === 'in' || length.value === 'ft')
const profiles = Object.entries(PROFILES).map(([value, one]) => ({ value, label: one.name }))
const fractions = [16, 32].map((value) => ({ value, label: `1/${value}"` }))

/** The dialog would put the focus on its close button. */
function focusName(event: Event) {
  event.preventDefault()
  nameInput.value?.inputRef?.focus()
}

async function start() {
  isTried.value = true
  if (name.value.trim() === '') return
  const units = { length: length.value, inchFraction: fraction.value, angle: 'decimal' as const }
  const wanted = { name: name.value.trim().slice(0, 200), units, profile: profile.value }
  const id = await library.create(wanted, layout.value)
  if (!id) return
  open.value = false
  await router.push(`/b/${id}/readings`)
}
</script>

<template>
  <UModal
    v-model:open="open"
    :title="words.newTitle"
    :description="words.lead"
    :content="{ onOpenAutoFocus: focusName }"
    :ui="{ content: 'max-w-3xl' }"
  >
    <template #body>
      <form class="form" @submit.prevent="start">
        <UFormField
          :label="words.nameLabel"
          :error="isTried && name.trim() === '' ? words.nameMissing : undefined"
        >
          <UInput ref="nameInput" v-model="name" size="lg" class="w-full" maxlength="200" />
        </UFormField>
        <div class="sorts">
          <UFormField :label="words.unitsLabel">
            <USelect v-model="length" size="lg" :items="[...LENGTH_UNITS]" class="w-full" />
          </UFormField>
          <UFormField v-if="isInch" :label="words.fractionLabel">
            <USelect v-model="fraction" size="lg" :items="fractions" class="w-full" />
          </UFormField>
          <UFormField :label="words.profileLabel">
            <USelect v-model="profile" size="lg" :items="profiles" class="w-full" />
          </UFormField>
        </div>
        <fieldset>
          <legend>{{ words.layoutLabel }}</legend>
          <p class="soft">{{ words.layoutHint }}</p>
          <div class="layouts">
            <label v-for="picture in pictures" :key="picture.key" :class="{ chosen: layout === picture.key }">
              <span class="head">
                <input v-model="layout" type="radio" name="layout" :value="picture.key" />
                {{ names[picture.key] }}
              </span>
              <LayoutPicture :picture="picture" />
            </label>
            <label :class="{ chosen: layout === 'chain' }">
              <span class="head">
                <input v-model="layout" type="radio" name="layout" value="chain" />
                {{ chainTexts.beginning }}
              </span>
              <svg viewBox="0 0 240 56" class="chain" aria-hidden="true">
                <path d="M40 16 190 6M40 44 190 52" />
                <circle cx="38" cy="30" r="14" />
                <circle cx="192" cy="29" r="23" />
              </svg>
            </label>
          </div>
        </fieldset>
        <p v-if="library.failure" role="alert">{{ texts.storage.blocked(library.failure) }}</p>
        <div class="doing">
          <UButton type="submit" size="lg">{{ words.create }}</UButton>
          <UButton variant="ghost" color="neutral" size="lg" @click="open = false">{{
            words.cancel
          }}</UButton>
        </div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.chain {
  width: 100%;
  height: 48px;
}
.chain path {
  stroke: var(--ink);
  stroke-width: 4;
  stroke-dasharray: 6 3;
}
.chain circle {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.form {
  display: grid;
  gap: 14px;
}
.doing {
  display: flex;
  gap: 10px;
}
.sorts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 14px;
}
legend {
  font-weight: 600;
}
.layouts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px;
  max-height: 300px;
  margin-top: 8px;
  padding: 3px;
  overflow-y: auto;
}
label {
  display: grid;
  gap: 6px;
  align-content: start;
  padding: 8px 10px;
  border: 1.5px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  cursor: pointer;
}
label.chosen {
  border-color: var(--accent);
  background: var(--wash);
}
label:has(:focus-visible) {
  outline: 2.4px solid var(--accent);
  outline-offset: 1px;
}
.head {
  display: flex;
  gap: 8px;
  align-items: center;
}
input[type='radio'] {
  accent-color: var(--accent);
}
</style>
