import { test } from './app';
import { openBench, phrase } from './app';
test('shot', async ({ page, teacher }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await openBench(page, teacher);
  await page.getByLabel('Reading line').fill('uL--- RLRL 8t: RLL rlr');
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/a1.png' });
  await page.getByLabel('Reading line').fill('RLRLRLRLRLRLRLRL');
  await phrase(page, 'Parts', 'a new part');
  await page.getByLabel('Reading line').fill('UL--- RLRL RLRL fRfR | RLRLRLRLRLRLRLR | R');
  await page.getByLabel('Name of part 1').fill('call');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/a2.png' });
});
