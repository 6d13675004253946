import { execFileSync } from 'node:child_process';
import { expect, register, saved, soundInBothThemes, step, test } from './stage';

test('a plan of a hundred nodes: its switch table is crossed and changed by keyboard, and a route of it is traced', async ({
    page,
}) => {
    await register(page);
    await page.getByLabel('Import a plan file').setInputFiles({
        name: 'large.json',
        mimeType: 'application/json',
        buffer: execFileSync('php', ['benchmarks/write-large-plan.php', '100'], { maxBuffer: 64e6 }),
    });
    await page.getByRole('link', { name: '100 nodes, islands', exact: true }).click();
    await expect(page.getByText('100 nodes on 10 links.')).toBeVisible();

    // Thousands of choices are there as soon as someone comes to choose.
    const trace = page.getByLabel('Trace a route');
    await trace.focus();
    await trace.selectOption({ label: 'Remote 1.0 · Key 1 → Board 1.0 · Lamp 1' });
    await expect(page.getByRole('region', { name: 'Reaction time' })).toContainText('Remote 1.0 · Key 1');

    await step(page, 'Routes');
    const table = page.getByRole('grid', { name: 'Switch table' });
    await expect(table).toHaveAttribute('aria-rowcount', '402');
    expect(await page.getByRole('gridcell').count()).toBeLessThan(4_000);
    const current = page.locator('[role=gridcell][aria-selected=true]');
    await current.focus();
    await page.keyboard.press('Control+End');
    await expect(current).toHaveAccessibleName('Handset 9.4 Key 8, Board 9.4 Lamp 4: none');
    await expect(current).toBeFocused();
    await expect(current).toBeInViewport();
    await page.keyboard.press('1');
    await saved(page, 2);
    await expect(current).toHaveAccessibleName('Handset 9.4 Key 8, Board 9.4 Lamp 4: on');
    await expect(current).toBeFocused();
    await page.keyboard.press('Control+Home');
    await expect(current).toHaveAccessibleName('Handset 0.0 Key 1, Board 0.0 Lamp 1: toggle');
    await expect(current).toBeInViewport();
    await page.keyboard.press('Control+End');
    await expect(current).toHaveAccessibleName('Handset 9.4 Key 8, Board 9.4 Lamp 4: on');

    await soundInBothThemes(page);
});
