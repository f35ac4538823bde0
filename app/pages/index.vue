<template>
  <main><UButton icon="i-lucide-plus">New build</UButton></main>
</template>
