<script setup lang="ts">
import { setUnasked } from '~/stores/unasked'

setUnasked(useRuntimeConfig().public.unasked)
</script>

<template>
  <UApp :toaster="null">
    <NuxtPwaManifest />
    <InsecureNotice />
    <LazyStoreHeld />
    <NuxtPage />
    <LazyUpdateNotice />
    <NoticeList />
  </UApp>
</template>
