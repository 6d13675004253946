import { expect, register, step, test } from './stage';

test('a sequence is built step by step and read as a strip', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Layout');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Train');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 20 I/O' });
    for (const [at, name] of ['Whistle', 'Lamp', 'Round'].entries()) {
        await page.getByRole('button', { name: 'Add an output' }).click();
        await page.getByLabel('Name of the output').nth(at).fill(name);
        await page.keyboard.press('Tab');
        await expect(page.getByLabel(`Channel of ${name}`, { exact: true })).toBeVisible();
    }
    await page.getByLabel('Kind of Round').selectOption('sequence');
    const steps = page.getByRole('region', { name: 'Steps of Round' });
    await expect(page.getByText('Round has no steps')).toBeVisible();

    await steps.getByRole('button', { name: 'Add a step' }).click();
    await steps.getByLabel('Step 1 also works').selectOption({ label: 'Train · Lamp' });
    await steps.getByRole('button', { name: 'Add a step' }).click();
    await steps.getByLabel('After, ms of Step 2').fill('2000');
    await page.keyboard.press('Tab');
    await steps.getByLabel('Step 2 also works').selectOption({ label: 'Train · Whistle' });
    await steps.getByLabel('What Step 2 does to Whistle').selectOption('pulse');
    await steps.getByLabel('Length of the pulse of Whistle, seconds').fill('0,5');
    await page.keyboard.press('Tab');
    await steps.getByRole('button', { name: 'Add a step' }).click();
    await steps.getByLabel('Step 3 also works').selectOption({ label: 'Train · Lamp' });
    await steps.getByLabel('What Step 3 does to Lamp').selectOption('off');

    const strip = steps.getByRole('img');
    await expect(strip).toHaveAccessibleName('Round, to scale: Lamp on from 0 to 3 s; Whistle on from 2 s to 2.5 s');
    // A step that comes sooner is told so at once.
    await steps.getByRole('button', { name: 'Move Step 3 up' }).click();
    await expect(strip).toHaveAccessibleName('Round, to scale: Lamp on from 0 to 1 s; Whistle on from 3 s to 3.5 s');
    await steps.getByRole('button', { name: 'Remove Step 2', exact: true }).click();
    await expect(strip).toHaveAccessibleName('Round, to scale: Lamp on from 0 to 1 s');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(strip).toHaveAccessibleName(/Whistle on from 3 s/);
});
