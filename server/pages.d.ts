/** Made at build time from the files of app/pages (nuxt.config.ts). */
declare module '#lurvan/pages' {
  export const pagePatterns: readonly string[]
}
