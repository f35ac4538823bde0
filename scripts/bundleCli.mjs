// The command line as one file, so that it starts at once: made after an install and with each build.
import { build } from 'esbuild'

export const bundleCli = () =>
  build({
    entryPoints: ['cli/main.ts'],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    minify: true,
    // Some packages' default entry is made for browsers' loaders and cannot be bundled.
    mainFields: ['module', 'main'],
    outfile: 'cli/dist/main.mjs',
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
    logLevel: 'warning',
  })
