import { chromium } from '@playwright/test'
const [, , base, ...jobs] = process.argv
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-background-networking', '--disable-gpu'] })
for (const job of jobs) {
  const [name, path, w = '1280', h = '800', theme = 'light', full = ''] = job.split('|')
  const c = await b.newContext({ viewport: { width: +w, height: +h }, colorScheme: theme || 'light' })
  const p = await c.newPage()
  p.on('console', (m) => {
    if (m.type() === 'error' || m.type() === 'warning') console.log(name, m.type(), m.text().slice(0, 300))
  })
  p.on('pageerror', (e) => console.log(name, 'pageerror', e.message))
  await p.goto(base + path)
  await p.waitForLoadState('networkidle')
  await p.waitForTimeout(300)
  for (const sel of (process.env.CLICK ?? '').split(';').filter(Boolean)) {
    await p.click(sel)
    await p.waitForTimeout(600)
  }
  await p.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: full === 'full' })
  await c.close()
}
await b.close()
