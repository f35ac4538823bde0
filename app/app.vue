<template>
  <UApp>
    <NuxtPwaManifest />
    <InsecureNotice />
    <LazyStoreHeld />
    <NuxtPage />
    <LazyUpdateNotice />
  </UApp>
</template>
