// npm run icons: the icon as PNG files, for phones that install no other; made from public/icon.svg.
import { chromium } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { CHROMIUM_ARGS } from '../playwright.config'

/** Size in pixels; a maskable one is cut to any shape, so its picture keeps to the middle. */
const ICONS = [
  { file: 'icon-192.png', size: 192, inset: 0 },
  { file: 'icon-512.png', size: 512, inset: 0 },
  { file: 'icon-maskable-512.png', size: 512, inset: 0.12 },
  { file: 'apple-touch-icon.png', size: 180, inset: 0 },
] as const
/** Fills the edges of icons that are cut by the phone. */
const GROUND = '#2f3fa3'

const svg = readFileSync('public/icon.svg', 'utf8')
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: CHROMIUM_ARGS,
})
const page = await browser.newPage()
for (const { file, size, inset } of ICONS) {
  const isCut = file !== 'icon-192.png' && file !== 'icon-512.png'
  const inner = size * (1 - 2 * inset)
  await page.setViewportSize({ width: size, height: size })
  await page.setContent(
    `<style>html,body{margin:0;background:${isCut ? GROUND : 'transparent'}}svg{display:block;position:absolute;left:${size * inset}px;top:${size * inset}px;width:${inner}px;height:${inner}px}</style>${svg}`,
  )
  await page.screenshot({ path: `public/${file}`, omitBackground: !isCut })
}
await browser.close()
