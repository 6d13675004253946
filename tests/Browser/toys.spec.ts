import { expect, open, register, step, test } from './stage';

/** Marks and spaces of a toy that no protocol knows: 16 bits, the first sent first, told apart by their spaces. */
function press(bits: string): string {
    const lengths = [4400, 4400, ...[...bits].flatMap((bit) => [600, bit === '1' ? 1700 : 600]), 600, 80_000];
    return lengths.map((length, at) => `${at % 2 === 0 ? 'pulse' : 'space'} ${length}`).join('\n');
}

test('a set of toys is laid out, a gap in its grid is found and filled, and a key sets a speed', async ({ page }) => {
    test.slow();
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Toy trains');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Toy trains');
    await page.getByLabel('Part', { exact: true }).selectOption('fixture');
    await expect(page.getByLabel('Board', { exact: true })).toHaveCount(0);
    await step(page, 'Links');
    await page.getByRole('link', { name: 'Sand pit' }).click();
    await page.getByLabel('Put a node on Sand pit').selectOption({ label: 'Toy trains' });
    await page.getByRole('region', { name: 'Ends' }).getByRole('link', { name: 'Toy trains' }).click();

    await page.getByText('Lay out a set whose codes count up').click();
    for (const [label, value] of [
        ['Functions', 'Run, Horn'],
        ['Channels', '2'],
        ['From', '-2'],
        ['to', '2'],
        ['Address', '64'],
    ] as const) {
        await page.getByRole('textbox', { name: label, exact: true }).fill(value);
        await page.getByRole('textbox', { name: label, exact: true }).press('Tab');
    }
    await page.getByRole('button', { name: 'Lay it out' }).click();
    await page.getByRole('button', { name: 'Add 20 codes' }).click();

    const grid = page.getByRole('grid', { name: 'Codes of Toy trains' });
    await expect(grid.getByRole('row', { name: /Horn 2/ })).toBeVisible();
    await grid.getByRole('gridcell', { name: 'Run 1 -2: 00' }).click();
    await page.keyboard.press('End');
    await expect(grid.getByRole('gridcell', { name: 'Run 1 2: 04' })).toBeFocused();
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('button', { name: 'Take the code off' }).click();
    await expect(grid.getByRole('gridcell', { name: 'Run 1 1: no code' })).toBeVisible();
    await expect(page.getByText('One cell still needs a code.')).toBeVisible();
    await page.getByLabel('Code that makes it do that').selectOption({ label: 'Run 1 1' });
    await expect(grid.getByRole('gridcell', { name: 'Run 1 1: 03' })).toBeVisible();

    await page.getByRole('link', { name: 'Stick box' }).click();
    await page.getByRole('button', { name: 'Add a control' }).click();
    await expect(page.getByLabel('Kind of Key 5')).toHaveValue('button');
    await step(page, 'Routes');
    await page.getByRole('gridcell', { name: 'Stick box Key 5, Toy trains Run 1' }).click();
    await page.keyboard.press('s');
    await expect(page.getByText('A set has no value yet').first()).toBeVisible();
    await page.getByLabel('Value', { exact: true }).fill('-2');
    await page.getByLabel('Value', { exact: true }).press('Enter');
    await expect(page.getByRole('gridcell', { name: 'Stick box Key 5, Toy trains Run 1: set -2' })).toBeVisible();
    await expect(page.getByText('A set has no value yet')).toHaveCount(0);
});

test('bits of no known order are read from either end, when they are learned and afterwards', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Nodes');
    await page.getByRole('link', { name: 'Heater remote' }).click();
    await page.getByLabel('Capture', { exact: true }).fill(press('1100000000000101'));
    await page.getByRole('button', { name: 'Read it' }).click();
    const presses = page.getByRole('table', { name: 'Presses' });
    await expect(presses.getByText('16 bits 0xC005 MSB first')).toBeVisible();
    await page.getByLabel('lowest (LSB first)').check();
    await expect(presses.getByText('16 bits 0xA003 LSB first')).toBeVisible();
    await page.getByRole('button', { name: 'Keep one code' }).click();
    const codes = page.getByRole('region', { name: 'Codes' });
    await expect(codes.getByText('16 bits 0xA003 LSB first')).toBeVisible();
    await codes.getByRole('button', { name: /^turn/ }).click();
    await expect(codes.getByText('16 bits 0xC005 MSB first')).toBeVisible();
});
