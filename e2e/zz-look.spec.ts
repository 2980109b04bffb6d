import { enter, test } from './app';
test.use({ ground: 'demo', viewport: { width: 1280, height: 800 } });
test('look', async ({ page }) => {
  for (const [who, n] of [['Bruno', 1], ['Lotte', 2], ['Walter', 3]] as const) {
    await enter(page, who);
    await page.goto('/today');
    await page.screenshot({ path: `/tmp/t${n}.png` });
  }
  await page.goto('/today?minutes=10&on=kit');
  await page.screenshot({ path: '/tmp/t4.png' });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.screenshot({ path: '/tmp/t5.png', fullPage: true });
});
