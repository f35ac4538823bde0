<script setup lang="ts">
import type { HeldEntry } from '~~/core/file/kinds/releaseKinds'
import { releases as words } from '~/texts/ways'
import { useReleases } from '~/stores/releases'

/** What touches a part, and what goes through it. */
defineProps<{ part: HeldEntry }>()
const releases = useReleases()
const asWay = ([forward = 0, left = 0, up = 0]: readonly number[]) => [forward, left, up] as const
</script>

<template>
  <section aria-labelledby="held-contacts">
    <h2 id="held-contacts">{{ words.contacts }}</h2>
    <fieldset v-for="contact in part.contacts" :key="contact.id" class="one">
      <legend class="sr-only">{{ contact.name }}</legend>
      <TextField
        :label="words.contact"
        :value="contact.name"
        required
        @change="releases.changeContact(contact.id, { name: $event })"
      />
      <DirectionFields
        :label="words.pushes"
        :toward="asWay(contact.pushes)"
        @change="releases.changeContact(contact.id, { pushes: [...$event] })"
      />
      <RemoveButton :label="words.removeContact(contact.name)" @click="releases.removeContact(contact.id)" />
    </fieldset>
    <UButton variant="link" icon="i-lucide-plus" @click="releases.addContact()">{{
      words.addContact
    }}</UButton>
  </section>
  <section aria-labelledby="held-pins">
    <h2 id="held-pins">{{ words.pins }}</h2>
    <fieldset v-for="pin in part.pins" :key="pin.id" class="one">
      <legend class="sr-only">{{ pin.name }}</legend>
      <TextField
        :label="words.pin"
        :value="pin.name"
        required
        @change="releases.changePin(pin.id, { name: $event })"
      />
      <DirectionFields
        :label="words.along"
        :toward="asWay(pin.along)"
        @change="releases.changePin(pin.id, { along: [...$event] })"
      />
      <UCheckbox
        :label="words.canBeDrawn"
        :model-value="pin.canBeDrawn ?? false"
        @update:model-value="releases.changePin(pin.id, { canBeDrawn: $event === true ? true : undefined })"
      />
      <UCheckbox
        :label="words.isOneWay"
        :model-value="pin.isOneWay ?? false"
        @update:model-value="releases.changePin(pin.id, { isOneWay: $event === true ? true : undefined })"
      />
      <RemoveButton :label="words.removeContact(pin.name)" @click="releases.removePin(pin.id)" />
    </fieldset>
    <UButton variant="link" icon="i-lucide-plus" @click="releases.addPin()">{{ words.addPin }}</UButton>
  </section>
</template>

<style scoped>
.one {
  display: grid;
  gap: 6px;
  padding: 6px 0 10px;
  border-bottom: 1px solid var(--hair);
  justify-items: stretch;
}
</style>
