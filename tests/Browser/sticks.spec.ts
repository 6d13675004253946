import { readFileSync } from 'node:fs';
import { expect, open, register, step, test } from './stage';

test.use({ provoked: /422/ });

test('frames are let say the whole state, bit by bit', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Links');
    await page.getByRole('link', { name: 'Handsets', exact: true }).click();
    const frame = page.getByRole('region', { name: 'What a frame says' });
    await expect(frame.getByRole('row', { name: /bytes 3–4 argument/ })).toBeVisible();
    await page.getByLabel('Whole state').selectOption('true');
    await expect(
        frame.getByRole('row', { name: /byte 2, bits 1–2 key_1_mist_pulse .* presses, modulo 4 byte 2, bit 0/ }),
    ).toBeVisible();
    await expect(frame.getByText('From Pocket B')).toBeVisible();
    await expect(frame.getByText('6 of 8 bytes')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(frame.getByRole('row', { name: /argument/ })).toBeVisible();
});

test('a stick is calibrated from what it was seen to read, and fitted to one of its targets', async ({ page }) => {
    await register(page);
    const address = await open(page, 'linden-hollow');
    await step(page, 'Nodes');
    await page.getByRole('link', { name: 'Stick box', exact: true }).click();
    await page.getByRole('button', { name: 'More of Drive 1' }).click();
    const curve = page.getByRole('img', { name: 'Curve of Drive 1' });
    await expect(curve).toHaveAccessibleName(/from 0 by 511 to 1023/);

    const samples = page.getByLabel('What it reads, moved to both ends and let go');
    await samples.fill('512 512 512');
    await page.getByRole('button', { name: 'Find ends and middle' }).click();
    await expect(page.getByRole('alert')).toContainText('samples must be from 8');
    await samples.fill('512, 511, 640, 900, 1015, 1015, 700, 400, 60, 12, 12, 300, 505, 511, 512, 512, 511, 512');
    await page.getByRole('button', { name: 'Find ends and middle' }).click();
    await expect(page.getByText('From 12 by 512 to 1015, wavering by 7')).toBeVisible();
    await page.getByRole('button', { name: 'Take these' }).click();
    await expect(curve).toHaveAccessibleName(/from 12 by 512 to 1015/);
    // Softer about the middle: half way up it is at less than half.
    await page.getByLabel('Expo, % of Drive 1').fill('70');
    await page.keyboard.press('Tab');
    await expect(curve).toHaveAccessibleName(/half way up it is at 2\d %/);

    // The switch table shows what is in sight: a route's own address leads to its cell.
    const plan = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8'));
    const control = plan.controls.find((one: { name: string }) => one.name === 'Drive 1');
    const route = plan.routes.find((one: { controlId: string }) => one.controlId === control.id);
    await page.goto(`/${address}/routes/${route.id}`);
    const cell = page.getByRole('region', { name: 'The chosen cell' });
    await cell.getByLabel('Direction').selectOption('true');
    await cell.getByLabel('Up to, %').fill('60');
    await page.keyboard.press('Tab');
    await cell.getByLabel('Mixed with').selectOption({ label: 'Turn 1' });
    await cell.getByLabel('which is').selectOption('true');
    await expect(page.getByText(/^saved · version 7$/)).toBeVisible();
    await page.goto('about:blank');
    await page.goto(`/${address}/routes/${route.id}`);
    await expect(cell.getByLabel('Up to, %')).toHaveValue('60');
    await expect(cell.getByLabel('which is')).toHaveValue('true');
});
