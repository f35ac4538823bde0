<template>
  <UApp>
    <NuxtPwaManifest />
    <NuxtPage />
    <LazyUpdateNotice />
  </UApp>
</template>
