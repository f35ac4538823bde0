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
