import type { Locator, Page } from '@playwright/test';
import { expect, register, saved, step, test } from './stage';

test.use({ provoked: /422/ });

test('a board that the catalogue does not have is described and used', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Kit');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Own parts');
    await page.getByLabel('Copy a board').selectOption({ label: '8-bit 5 V board, 20 I/O' });
    await expect(page.getByRole('heading', { name: 'My 8-bit 5 V board, 20 I/O' })).toBeVisible();

    // It has no D4, and a name of its own.
    await page.getByLabel('Name of the board').fill('Kit board');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'Kit board' })).toBeVisible();
    const pins = page.getByRole('region', { name: 'Pins', exact: true });
    await expect(pins.getByLabel('Name of pin 5')).toHaveValue('D4');
    await pins.getByRole('button', { name: 'Remove D4', exact: true }).click();
    await expect(pins.getByLabel('Name of pin 5')).toHaveValue('D5');
    await saved(page, 4);

    // What is no figure is refused where it was typed.
    await page.getByLabel('What it takes: Awake of Kit board').fill('a lot');
    await page.keyboard.press('Tab');
    await expect(page.getByText('not taken')).toBeVisible();
    await page.getByRole('button', { name: 'back to 30' }).click();
    await page.getByRole('button', { name: 'Close' }).click();

    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Door');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await page.getByLabel('Board', { exact: true }).selectOption({ label: 'Kit board' });
    await page.getByLabel('Add a module').selectOption({ label: 'push button' });
    await page.getByRole('button', { name: 'Add a control' }).click();
    await step(page, 'Assign');
    // D4 would have been the lowest plain pin.
    await expect(page.getByRole('row', { name: /Pin of Door · Keys K1/ })).toContainText('D7');
    await page.getByRole('button', { name: /^Apply/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();

    await step(page, 'Own parts');
    const boards = page.getByRole('region', { name: 'Own boards' });
    await expect(boards.getByRole('row', { name: /Kit board/ })).toContainText('Door');
    await expect(boards.getByRole('button', { name: 'Remove Kit board' })).toHaveCount(0);
});

/** A plan with a pad of its own, opened. @returns the keys of its report */
async function ownPad(page: Page): Promise<Locator> {
    await register(page);
    await page.getByLabel('New plan').fill('Pads');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Own parts');
    await page
        .getByLabel('Copy a module')
        .selectOption({ label: 'wireless pad with its receiver, 16 keys, two sticks' });
    await expect(page.getByRole('heading', { name: /^My wireless pad/ })).toBeVisible();
    return page.getByRole('region', { name: 'Keys of the report' });
}

test('a pad that says something else is described by its report, and tried by hand', async ({ page }) => {
    const keys = await ownPad(page);
    const tried = page.getByRole('region', { name: 'Try a report' });

    await keys.getByLabel('Name of key 5').fill('Hoist');
    await page.keyboard.press('Tab');
    await tried.getByLabel('What came').fill('FF 73 5A EF FF 80 80 80 10');
    await expect(tried.getByLabel('What it means')).toHaveText('Hoist: pressed · Left Y: 16 of 255');
    await tried.getByLabel('What came').fill('FF FF FF FF FF FF FF FF FF');
    await expect(tried.getByLabel('What it means')).toContainText('as if nothing were attached');

    // A byte is typed in hexadecimal; what is none is refused where it was typed.
    const proofs = page.getByRole('region', { name: 'What proves a report' });
    await proofs.getByLabel('What byte 1 may be').fill('73 79');
    await page.keyboard.press('Tab');
    await tried.getByLabel('What came').fill('FF 79 5A FF FF 80 80 80 80');
    await expect(tried.getByLabel('What it means')).toHaveText('It counts, and nothing is worked.');
    await keys.getByLabel('Bit of Hoist').fill('9');
    await page.keyboard.press('Tab');
    await expect(page.getByText('not taken')).toBeVisible();
    await page.getByRole('button', { name: 'back to 4' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await keys.getByRole('button', { name: 'Remove Select' }).click();
    await keys.getByRole('button', { name: 'Remove Left stick' }).click();
    await expect(keys.getByRole('row')).toHaveCount(15);
    // A name that is typed, and a button that is pressed at once: two changes of one description, and both hold.
    await keys.getByLabel('Name of key 14').fill('Dig');
    await keys.getByRole('button', { name: 'Add a key' }).click();
    await expect(keys.getByLabel('Name of key 15')).toHaveValue('Key 15');
    await expect(keys.getByLabel('Name of key 14')).toHaveValue('Dig');
    await expect(keys.getByLabel('Name of key 1', { exact: true })).toHaveValue('Right stick');
});

test('a row that moves up under a pressed button is not taken away in the place of another', async ({ page }) => {
    const keys = await ownPad(page);
    await expect(keys.getByRole('row')).toHaveCount(17);

    // The answer to the first removal comes while the button of the next row is held down.
    let answer = (): void => undefined;
    await page.route('**/operations', async (route) => {
        await new Promise<void>((go) => (answer = go));
        await route.continue();
    });
    const asked = page.waitForRequest('**/operations');
    await keys.getByRole('button', { name: 'Remove Select' }).click();
    await asked;
    await keys.getByRole('button', { name: 'Remove Left stick' }).hover();
    await page.mouse.down();
    answer();
    await expect(keys.getByRole('row')).toHaveCount(16);
    await page.unroute('**/operations');
    await page.mouse.up();
    // What is typed into a row stays that row's, though one before it goes meanwhile.
    await expect(keys.getByLabel('Name of key 2', { exact: true })).toHaveValue('Right stick');
    await keys.getByLabel('Name of key 2', { exact: true }).fill('Throttle');
    await keys.getByRole('button', { name: 'Remove Left stick' }).click();
    await expect(keys.getByRole('row')).toHaveCount(15);
    await expect(keys.getByLabel('Name of key 1', { exact: true })).toHaveValue('Throttle');
    await page.reload();
    await expect(keys.getByLabel('Name of key 1', { exact: true })).toHaveValue('Throttle');
});
