<script setup lang="ts">
import { texts } from '~/texts/en'
import { usePhoneAddress } from '~/composables/usePhoneAddress'

/** The way on to the phone under the vehicle: the address as a code, or how it comes to have one. */
const open = defineModel<boolean>('open', { required: true })
const { address, isAsking } = usePhoneAddress()
const words = texts.phone
const hasKey = computed(() => address.value?.includes('key=') ?? false)
</script>

<template>
  <UModal v-model:open="open" :title="words.open">
    <template #body>
      <p v-if="isAsking" role="status">{{ words.looking }}…</p>
      <div v-else-if="address" class="way">
        <QrCode :text="address" :label="words.code" />
        <div class="words">
          <p>{{ words.scan }}</p>
          <p class="figure address">{{ address }}</p>
          <p v-if="hasKey">{{ words.warning }}</p>
          <p class="soft">{{ words.builds }}</p>
        </div>
      </div>
      <div v-else class="words">
        <p>{{ words.alone }}</p>
        <p class="figure address">{{ words.command }}</p>
        <p>{{ words.then }}</p>
        <p class="soft">{{ words.builds }}</p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.way {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
}
.words {
  display: grid;
  flex: 1 1 200px;
  gap: 10px;
  align-content: start;
}
.address {
  padding: 6px 10px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  overflow-wrap: anywhere;
  user-select: all;
}
.soft {
  color: var(--soft);
}
</style>
