import type { Locator, Page } from '@playwright/test';
import { arrived, expect, open, register, step, test, wayTo } from './stage';

/** A press as a receiver's tool prints it: NEC, 562.5 µs, least significant bit first, the command followed by its complement. */
function press(address: number, command: number): string {
    const bits = [address, ~address, command, ~command].flatMap((octet) =>
        Array.from({ length: 8 }, (_, at) => (octet >> at) & 1),
    );
    const lengths = [9000, 4500, ...bits.flatMap((bit) => [562, bit ? 1687 : 562]), 562, 60_000];
    return lengths.map((length, at) => `${at % 2 === 0 ? 'pulse' : 'space'} ${length}`).join('\n');
}

const capture = [press(0x2d, 0x21), press(0x2d, 0x22), press(0x2d, 0x21)].join('\n');

/** Tab by tab, as somebody without a mouse gets there. */
async function reach(page: Page, wanted: Locator): Promise<void> {
    await expect(wanted).toBeVisible();
    // Looked for once: to look by role at every tab takes longer than all else that these tests do.
    const element = await wanted.elementHandle();
    for (let tab = 0; tab < 250; tab++) {
        if (await element?.evaluate((it) => it === document.activeElement)) {
            return;
        }
        await page.keyboard.press('Tab');
    }
    throw new Error(`Tab never reaches ${wanted.toString()}`);
}

async function follow(page: Page, link: Locator): Promise<void> {
    await reach(page, link);
    await page.keyboard.press('Enter');
}

async function followStep(page: Page, title: string): Promise<void> {
    await follow(page, wayTo(page, title));
    await arrived(page, title);
}

/** Chooses by typing the beginning of the option's name: what that passes is only looked at, Enter takes it. */
async function pick(page: Page, select: Locator, name: string): Promise<void> {
    await reach(page, select);
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
}

async function write(page: Page, field: Locator, text: string): Promise<void> {
    await reach(page, field);
    await page.keyboard.press('Control+a');
    await page.keyboard.insertText(text);
    await page.keyboard.press('Tab');
}

test('a remote is learned from a capture file and two of its keys are routed', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Den remote');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Den remote');
    await page.getByLabel('Part', { exact: true }).selectOption('remote');
    await expect(page.getByLabel('Board', { exact: true })).toHaveCount(0);
    await step(page, 'Links');
    await page.getByRole('link', { name: 'Warm air' }).click();
    await page.getByLabel('Put a node on Warm air').selectOption({ label: 'Den remote' });
    await page.getByRole('region', { name: 'Ends' }).getByRole('link', { name: 'Den remote' }).click();

    await page
        .getByLabel('Or a file')
        .setInputFiles({ name: 'den.ir', mimeType: 'text/plain', buffer: Buffer.from(capture) });
    await page.getByRole('button', { name: 'Read it' }).click();
    const presses = page.getByRole('table', { name: 'Presses' });
    await expect(presses.getByText('NEC 0x2D 0x21')).toHaveCount(2);
    await expect(presses.getByText('same as press 1')).toBeVisible();
    await page.getByLabel('Name of press 1').fill('Up');
    await page.getByLabel('Name of press 2').fill('Down');
    await page.getByRole('button', { name: 'Keep 2 codes' }).click();
    await expect(
        page.getByRole('region', { name: 'Controls' }).getByRole('button', { name: 'Remove Up', exact: true }),
    ).toBeVisible();
    await expect(
        page.getByRole('region', { name: 'Controls' }).getByRole('button', { name: 'Remove Down', exact: true }),
    ).toBeVisible();

    await step(page, 'Routes');
    for (const [key, action, shown] of [
        ['Up', '1', 'on'],
        ['Down', '0', 'off'],
    ] as const) {
        await page.getByRole('gridcell', { name: `Den remote ${key}, Greenhouse Work lamp` }).click();
        await page.keyboard.press(action);
        await expect(
            page.getByRole('gridcell', { name: `Den remote ${key}, Greenhouse Work lamp: ${shown}` }),
        ).toBeVisible();
    }
    await expect(page.getByText('7 masters of Work lamp')).toBeVisible();
    await step(page, 'Assign');
    await page.getByRole('button', { name: /^Apply \d+ changes?$/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();
    await step(page, 'Findings');
    await expect(page.getByText('Den remote')).toHaveCount(0);
    await expect(page.getByText('Shed sends with more than 10 dBm').first()).toBeVisible();
});

test('the same by keyboard alone', async ({ page }) => {
    test.slow();
    await register(page);
    await open(page, 'linden-hollow');
    await followStep(page, 'Nodes');
    await write(page, page.getByLabel('New node'), 'Den remote');
    await follow(page, page.getByRole('button', { name: 'Add the node' }));
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Den remote');
    await pick(page, page.getByLabel('Part', { exact: true }), 'remote');
    await expect(page.getByLabel('Board', { exact: true })).toHaveCount(0);
    await followStep(page, 'Links');
    await follow(page, page.getByRole('link', { name: 'Warm air' }));
    await pick(page, page.getByLabel('Put a node on Warm air'), 'Den');
    await follow(page, page.getByRole('region', { name: 'Ends' }).getByRole('link', { name: 'Den remote' }));
    await write(page, page.getByLabel('Capture', { exact: true }), capture);
    await follow(page, page.getByRole('button', { name: 'Read it' }));
    await write(page, page.getByLabel('Name of press 1'), 'Up');
    await write(page, page.getByLabel('Name of press 2'), 'Down');
    await follow(page, page.getByRole('button', { name: 'Keep 2 codes' }));
    await expect(
        page.getByRole('region', { name: 'Controls' }).getByRole('button', { name: 'Remove Down', exact: true }),
    ).toBeVisible();
    await followStep(page, 'Routes');
    await reach(page, page.getByRole('grid').locator('[tabindex="0"]'));
    await go(page, 'Den remote Up, Greenhouse Work lamp');
    await page.keyboard.press('1');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('0');
    await expect(page.getByRole('gridcell', { name: 'Den remote Up, Greenhouse Work lamp: on' })).toBeVisible();
    await expect(page.getByRole('gridcell', { name: 'Den remote Down, Greenhouse Work lamp: off' })).toBeFocused();
});

/** Across and down the switch table to a cell, by arrows. */
async function go(page: Page, cell: string): Promise<void> {
    const [row = 0, column = 0] = (
        await page.getByRole('gridcell', { name: cell }).evaluate((element) => element.getAttribute('data-cell') ?? '')
    )
        .split('-')
        .map(Number);
    await page.keyboard.press('Home');
    for (let step = 0; step < column; step++) {
        await page.keyboard.press('ArrowRight');
    }
    for (let step = 0; step < row; step++) {
        await page.keyboard.press('ArrowDown');
    }
    await expect(page.getByRole('gridcell', { name: cell })).toBeFocused();
}

test('a caller is let in and a text is routed, by keyboard alone', async ({ page }) => {
    test.slow();
    await register(page);
    await open(page, 'linden-hollow');
    await followStep(page, 'Nodes');
    await write(page, page.getByLabel('New node'), 'Wren phone');
    await follow(page, page.getByRole('button', { name: 'Add the node' }));
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Wren phone');
    await pick(page, page.getByLabel('Part', { exact: true }), 'phone');
    await expect(page.getByLabel('Board', { exact: true })).toHaveCount(0);
    await follow(page, page.getByRole('button', { name: 'Add a control' }));
    const name = page.getByRole('region', { name: 'Controls' }).getByRole('textbox').first();
    await write(page, name, 'Lamp please');
    await pick(page, page.getByLabel('Kind of Lamp please'), 'text');
    await followStep(page, 'Links');
    await follow(page, page.getByRole('link', { name: 'Mobile' }));
    await pick(page, page.getByLabel('Put a node on Mobile'), 'Wren');
    // A number of the range that is kept for fiction.
    await write(page, page.getByLabel('Number of Wren phone'), '07700 900654');
    await expect(page.getByText('+447700900654')).toBeVisible();
    await pick(
        page,
        page
            .getByLabel(/of Wren phone$/)
            .and(page.locator('select'))
            .last(),
        'on',
    );
    await followStep(page, 'Routes');
    await reach(page, page.getByRole('grid').locator('[tabindex="0"]'));
    await go(page, 'Wren phone Lamp please, Gate post Post lamp');
    await page.keyboard.press('1');
    await follow(page, page.getByRole('banner').getByRole('link', { name: 'Assign' }));
    await follow(page, page.getByRole('button', { name: /^Apply \d+ changes?$/ }));
    await expect(page.getByText('Nothing to assign')).toBeVisible();
    await followStep(page, 'Links');
    await follow(page, page.getByRole('link', { name: 'Mobile' }));
    const works = page.getByRole('region', { name: 'What works Gate post' });
    await expect(works).toContainText('Wren phone');
    await expect(works.getByRole('row', { name: /Wren phone.*Post lamp/ })).toBeVisible();
});

test.describe('calculators', () => {
    test.use({ provoked: /422/ });

    test('a command worked out is kept as a code of an appliance', async ({ page }) => {
        await register(page);
        await open(page, 'linden-hollow');
        await page.getByRole('link', { name: 'Calculators' }).click();
        await page.getByRole('link', { name: 'Infrared: encode' }).click();
        await page.getByLabel('Protocol').selectOption('rc5');
        await page.getByLabel('Where').selectOption({ label: 'Air heater' });
        await page.getByLabel('Called').fill('Swing');
        await page.getByLabel('Called').press('Tab');
        await page.getByRole('button', { name: 'Keep it there' }).click();
        await page.getByRole('link', { name: 'See its codes' }).click();
        await expect(page.getByRole('heading', { level: 1, name: 'Nodes' })).toBeVisible();
        await expect(page.getByRole('region', { name: 'Codes' }).getByText('RC-5 0x04 0x08')).toBeVisible();
        await expect(page.getByLabel('What Swing makes it do')).toHaveValue('');
    });

    test('a frame worked out is put on a link', async ({ page }) => {
        await register(page);
        await open(page, 'linden-hollow');
        await page.getByRole('link', { name: 'Calculators' }).click();
        await page.getByRole('link', { name: 'On-off keying: frame time' }).click();
        await page.getByRole('textbox', { name: 'Repeats' }).fill('6');
        await page.getByRole('textbox', { name: 'Repeats' }).press('Enter');
        // 6 · (24 · 4 + 32) · 350 µs = 268.8 ms
        await expect(page.getByText('268.8', { exact: false }).first()).toBeVisible();
        await page.getByLabel('Where').selectOption({ label: 'Fob' });
        await page.getByRole('button', { name: 'Use there' }).click();
        await page.getByRole('link', { name: 'See the link' }).click();
        await expect(page.getByRole('heading', { level: 1, name: 'Links' })).toBeVisible();
        await expect(page.getByRole('textbox', { name: 'Repeats' })).toHaveValue('6');
    });

    test('a calculator is tried, shared by its address, and its figures are put into a plan', async ({ page }) => {
        await register(page);
        await open(page, 'linden-hollow');
        await page.getByRole('link', { name: 'Calculators' }).click();
        await page.getByRole('link', { name: 'Quarter-wave antenna' }).click();
        await page.getByRole('textbox', { name: 'Frequency, MHz' }).fill('868.35');
        await page.getByRole('textbox', { name: 'Frequency, MHz' }).press('Enter');
        // 0.95 · 299 792 458 / (4 · 868 350 000) = 81.995 mm
        await expect(page.getByText('81.995', { exact: false }).first()).toBeVisible();
        const address = page.url();
        await page.getByLabel('Where').selectOption({ label: 'Hen house on Fob' });
        await page.getByRole('button', { name: 'Use there' }).click();
        await page.getByRole('link', { name: 'See the link' }).click();
        await expect(page.getByLabel(/^Wire.* of Hen house$/)).toHaveValue('82');
        await page.goto(address);
        await expect(page.getByText('81.995', { exact: false }).first()).toBeVisible();
        await page.getByRole('textbox', { name: 'Frequency, MHz' }).fill('high');
        await page.getByRole('textbox', { name: 'Frequency, MHz' }).press('Enter');
        await expect(page.getByRole('alert')).toContainText('must be a number');
    });
});
