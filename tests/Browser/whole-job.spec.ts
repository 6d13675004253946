import { readFileSync } from 'node:fs';
import { expect, register, saved, step, test } from './stage';

test('from an empty account to a downloaded header', async ({ page }) => {
    await register(page);
    await expect(page.getByText('Nothing planned yet.')).toBeVisible();
    await page.getByLabel('New plan').fill('My yard');
    await page.getByRole('button', { name: 'Begin' }).click();

    await page.getByRole('button', { name: 'Wi-Fi 6' }).click();
    await page.getByLabel('New place').fill('Shed');
    await page.getByRole('button', { name: 'Add the place' }).click();
    await saved(page, 3);

    await step(page, 'Nodes');
    for (const [name, board, modules] of [
        ['Pocket', '8-bit 5 V board, 20 I/O', ['2.4 GHz packet transceiver', 'button pad, 4 keys']],
        [
            'Lamp board',
            'small Wi-Fi 3.3 V board, 11 I/O',
            ['2.4 GHz packet transceiver', 'relay bank, 2 channels, active low'],
        ],
        ['Fan board', '8-bit 5 V board, 20 I/O', ['2.4 GHz packet transceiver', 'relay bank, 1 channel, active low']],
    ] as const) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
        await page.getByLabel('Board', { exact: true }).selectOption({ label: board });
        for (const module of modules) {
            await page.getByLabel('Add a module').selectOption({ label: module });
            await expect(
                page.getByRole('region', { name: 'Modules' }).getByRole('cell', { name: module, exact: true }),
            ).toBeVisible();
        }
        if (name === 'Pocket') {
            await page.getByLabel('Part').selectOption('handset');
            for (const key of ['Key 1', 'Key 2']) {
                await page.getByRole('button', { name: 'Add a control' }).click();
                await expect(page.getByLabel(`Kind of ${key}`)).toBeVisible();
            }
        } else {
            await page.getByRole('button', { name: 'Add an output' }).click();
            await expect(page.getByLabel('Kind of Output 1')).toBeVisible();
            await page.getByLabel('Name of the output').fill(name === 'Lamp board' ? 'Lamp' : 'Fan');
            await page.getByLabel('Name of the output').press('Enter');
            await expect(page.getByLabel(`Kind of ${name === 'Lamp board' ? 'Lamp' : 'Fan'}`)).toBeVisible();
        }
    }

    await step(page, 'Links');
    await page.getByLabel('New link').fill('Air');
    await page.getByRole('button', { name: 'Add the link' }).click();
    for (const name of ['Pocket', 'Lamp board', 'Fan board']) {
        await page.getByLabel('Put a node on Air').selectOption({ label: name });
        await expect(page.getByLabel(`Role of ${name}`)).toBeVisible();
    }
    await expect(page.getByLabel('Role of Pocket')).toHaveValue('sends');

    await step(page, 'Routes');
    await page.getByRole('gridcell', { name: 'Pocket Key 1, Lamp board Lamp' }).click();
    await page.keyboard.press('t');
    await expect(page.getByRole('gridcell', { name: 'Pocket Key 1, Lamp board Lamp: toggle' })).toBeVisible();
    await page.getByRole('gridcell', { name: 'Pocket Key 2, Fan board Fan' }).click();
    await page.keyboard.press('p');
    await expect(page.getByRole('gridcell', { name: 'Pocket Key 2, Fan board Fan: pulse 1 s' })).toBeVisible();

    await step(page, 'Assign');
    await page.getByRole('button', { name: /^Apply \d+ changes$/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();

    await step(page, 'Findings');
    await expect(page.getByText('Nothing found')).toBeVisible();

    await step(page, 'Build');
    const headers: Record<string, string> = {};
    for (const name of ['Pocket', 'Lamp board']) {
        await page.getByLabel('Node', { exact: true }).selectOption({ label: name });
        await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
        await expect(page.getByRole('region', { name: 'Wiring table' }).getByText('MOSI')).toBeVisible();
        const arriving = page.waitForEvent('download');
        await page.getByRole('link', { name: `Download ${name.toLowerCase().replace(' ', '_')}.h` }).click();
        const download = await arriving;
        expect(download.suggestedFilename()).toBe(`${name.toLowerCase().replace(' ', '_')}.h`);
        headers[name] = readFileSync(await download.path(), 'utf8');
    }
    const value = (header: string | undefined, define: string): string | undefined =>
        new RegExp(`^#define ${define} (.*?)(?: /\\*.*)?$`, 'm').exec(header ?? '')?.[1];
    expect(value(headers['Pocket'], 'AIR_CHANNEL')).toMatch(/^\d+$/);
    expect(value(headers['Pocket'], 'AIR_CHANNEL')).toBe(value(headers['Lamp board'], 'AIR_CHANNEL'));
    expect(value(headers['Pocket'], 'AIR_TO_LAMP_BOARD_ADDRESS')).toBe(
        value(headers['Lamp board'], 'AIR_PIPE1_ADDRESS'),
    );
    expect(value(headers['Pocket'], 'AIR_CODE_POCKET_KEY_1_LAMP_TOGGLE')).toBe(
        value(headers['Lamp board'], 'AIR_CODE_POCKET_KEY_1_LAMP_TOGGLE'),
    );

    await page.reload();
    await expect(page.getByRole('heading', { name: 'Lamp board', exact: true })).toBeVisible();
});

test('plans are copied, deleted, brought back, exported and imported', async ({ page }) => {
    await register(page);
    await open_linden(page);
    await page.goto('/#/');
    await page.getByRole('button', { name: 'Duplicate Linden Hollow' }).click();
    await expect(page.getByRole('link', { name: 'Copy of Linden Hollow', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Delete Copy of Linden Hollow' }).click();
    await expect(page.getByRole('link', { name: 'Copy of Linden Hollow', exact: true })).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: 'Copy of Linden Hollow', exact: true })).toBeVisible();
    const arriving = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export Linden Hollow', exact: true }).click();
    const file = readFileSync(await (await arriving).path(), 'utf8');
    expect(JSON.parse(file).plan.name).toBe('Linden Hollow');
});

async function open_linden(page: Parameters<typeof register>[0]): Promise<void> {
    await page.getByLabel('Import a plan file').setInputFiles('docs/examples/linden-hollow.json');
    await expect(page.getByRole('link', { name: 'Linden Hollow', exact: true })).toBeVisible();
}

test.describe('a bad file', () => {
    test.use({ provoked: /status of 422/ });

    test('is refused with the place of each mistake, and nothing is made', async ({ page }) => {
        await register(page);
        const plan = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8'));
        const at = plan.links.findIndex((link: { medium: string }) => link.medium === 'packet-radio');
        plan.links[at].settings.channel = 400;
        await page.getByLabel('Import a plan file').setInputFiles({
            name: 'bad.json',
            mimeType: 'application/json',
            buffer: Buffer.from(JSON.stringify(plan)),
        });
        await expect(page.getByRole('alert')).toContainText(
            `/links/${at}/settings/channel must be a whole number from 0 to 125`,
        );
        await expect(page.getByText('Nothing planned yet.')).toBeVisible();
    });
});
