import type { BrowserContext } from '@playwright/test'

/**
 * A drawn stand-in for a photograph of an air filter from the left, 1200 × 800: a mark at (200, 600) and one at (1000, 600); its box
 * stands from x 300 to 900 and from y 280 to 600.
 */
const PICTURE = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="800">
  <defs>
    <linearGradient id="wall" x2="0" y2="1"><stop stop-color="#a9b0b3"/><stop offset="1" stop-color="#7d8589"/></linearGradient>
    <linearGradient id="box" x2="0" y2="1"><stop stop-color="#565c50"/><stop offset="1" stop-color="#33372f"/></linearGradient>
  </defs>
  <rect width="1200" height="800" fill="url(#wall)"/>
  <rect y="640" width="1200" height="160" fill="#5b5f63"/>
  <path d="M120 640L80 800M420 640L390 800M780 640L810 800M1080 640L1130 800" stroke="#4c5054" stroke-width="6"/>
  <ellipse cx="600" cy="650" rx="340" ry="18" fill="#3c3f42" opacity=".6"/>
  <path d="M300 600V280H900V600Z" fill="url(#box)" stroke="#22251f" stroke-width="5"/>
  <path d="M300 360H900" stroke="#22251f" stroke-width="7"/>
  <path d="M470 280V214H720V280" fill="#474c42" stroke="#22251f" stroke-width="5"/>
  <path d="M520 240H670" stroke="#6c7263" stroke-width="12"/>
  <circle cx="380" cy="500" r="58" fill="#23261f" stroke="#5d6357" stroke-width="8"/>
  <g fill="#8b9086"><rect x="345" y="342" width="26" height="44" rx="4"/><rect x="585" y="342" width="26" height="44" rx="4"/><rect x="828" y="342" width="26" height="44" rx="4"/></g>
  <path d="M520 430H840M520 470H840M520 510H840" stroke="#464b41" stroke-width="8"/>
  <rect x="180" y="612" width="840" height="16" fill="#d8b93a"/>
  <path d="${Array.from({ length: 43 }, (_, i) => `M${180 + i * 20} 612v${i % 5 === 0 ? 14 : 8}`).join('')}" stroke="#3a3320" stroke-width="2"/>
  <g fill="#e8d33f" stroke="#2b2a20" stroke-width="3"><circle cx="200" cy="600" r="9"/><circle cx="1000" cy="600" r="9"/></g>
</svg>`

/** The picture as the bytes of a file. */
export async function photograph(context: BrowserContext): Promise<Buffer> {
  const easel = await context.newPage()
  await easel.setViewportSize({ width: 1200, height: 800 })
  await easel.setContent(`<body style="margin:0">${PICTURE}</body>`)
  const png = await easel.screenshot()
  await easel.close()
  return png
}
