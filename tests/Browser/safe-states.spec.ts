import { readFileSync } from 'node:fs';
import { expect, open, register, step, test } from './stage';

test('a heater and a door are made safe with two clicks each, and their findings go', async ({ page }) => {
    await register(page);
    const address = await open(page, 'faulty-on-purpose');
    await page.goto(`/${address}/safe`);
    const matrix = page.getByRole('region', { name: 'Matrix of safe states' });
    const unsafe = (output: string) => matrix.getByRole('button', { name: new RegExp(`^${output}, .*not safe$`) });
    await expect(unsafe('Oven heat')).toHaveCount(6);

    // What nobody has said yet: the first click says it, the second does the cheapest that is proven to hold.
    await matrix.getByRole('link', { name: 'Oven door' }).click();
    const door = page.getByRole('region', { name: 'Chain of Oven door' });
    await expect(door.getByText('Nobody has said what it must be.')).toBeVisible();
    await matrix.getByLabel('What Oven door of Oven board must be').selectOption({ label: 'must be off' });
    await expect(unsafe('Oven door')).toHaveCount(3);
    await door
        .getByRole('button', { name: /^Signal side|^NPN transistor/ })
        .first()
        .click();
    await expect(unsafe('Oven door')).toHaveCount(0);
    await expect(door.getByText('Proven safe in every phase.')).toBeVisible();

    // The chain behind a cell.
    await matrix.getByRole('button', { name: 'Oven heat, initial: ON, not safe' }).click();
    const oven = page.getByRole('region', { name: 'Chain of Oven heat' });
    await expect(oven.getByText('it is made an output before its level is written')).toBeVisible();
    await oven
        .getByRole('button', { name: /thermostat/ })
        .first()
        .click();
    await expect(unsafe('Oven heat')).toHaveCount(0);

    await step(page, 'Findings');
    await expect(page.getByRole('heading', { name: 'Findings' })).toBeVisible();
    await expect(
        page.getByRole('heading', { name: /Oven (heat|door) of Oven board (is|may)|what Oven door of Oven board/ }),
    ).toHaveCount(0);
});

test('24 channels are spread over three banks and two circuits', async ({ page }) => {
    await register(page);
    await page.getByLabel('Import a plan file').setInputFiles({
        name: 'fence.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(fence())),
    });
    await page.getByRole('link', { name: 'Fence', exact: true }).click();
    await step(page, 'Safe states');
    await page.getByRole('link', { name: 'Circuits' }).click();
    const circuits = page.getByRole('region', { name: 'Circuits' });
    await expect(circuits.getByText('The fuse of circuit Left blows when all is on')).toBeVisible();
    await step(page, 'Assign');
    await page.getByRole('button', { name: /^Apply \d+ changes$/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();
    await step(page, 'Safe states');
    await page.getByRole('link', { name: 'Circuits' }).click();
    await expect(circuits.getByText('blows when all is on')).toHaveCount(0);
    // 20, 30, … 250 W are 3240 W: 7.04 A on each.
    await expect(circuits.getByText('7.04 A of 10')).toHaveCount(2);
    await step(page, 'Nodes');
    for (const bank of ['Bank 1', 'Bank 2', 'Bank 3']) {
        await expect(page.getByLabel(/^Channel of String/).locator(`option:checked:has-text("${bank}")`)).toHaveCount(
            8,
        );
    }
});

test('what leaks too much leads to its circuit', async ({ page }) => {
    await register(page);
    const address = await open(page, 'linden-hollow');
    await page.goto(`/${address}/safe/loads`);
    const loads = page.getByRole('region', { name: 'Loads' });
    await loads.getByRole('button', { name: 'More of String on the fence' }).click();
    await loads.getByLabel('Leakage of String on the fence').fill('14');
    await loads.getByLabel('Leakage of String on the fence').blur();
    await loads.getByLabel('This season').selectOption({ label: 'always on' });
    await step(page, 'Findings');
    const finding = page.getByRole('article').filter({ hasText: 'Garden branch trips on a damp morning' });
    await expect(finding.getByText('16 mA leak with everything plugged in')).toBeVisible();
    await finding.getByRole('link', { name: /Garden branch trips/ }).click();
    const row = page
        .getByRole('region', { name: 'Circuits' })
        .getByRole('row')
        .filter({ has: page.getByLabel('Name of circuit Garden branch') });
    await expect(row.getByText('16 mA leak of 15')).toBeVisible();
    await row.getByRole('button', { name: 'Unplug String on the fence this season' }).click();
    await expect(row.getByText('trips on a damp morning')).toHaveCount(0);
});

/** A plan of a long fence: 24 strings of lights on one board, all on one of two circuits. */
function fence(): Record<string, unknown> {
    const linden = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as { format: number };
    const id = (kind: string, count: number): string =>
        `01ARZ3NDEKTSV4RR${kind.padEnd(6, '0')}${String(count).padStart(4, '0')}`;
    const node = id('N', 1);
    const strings = Array.from({ length: 24 }, (_, at) => at);
    return {
        format: linden.format,
        plan: { id: id('P', 1), name: 'Fence', region: 'eu', busyWifi: [], note: '' },
        circuits: ['Left', 'Right'].map((name, at) => ({ id: id('C', at), name, fuseA: 10, timeLag: true, order: at })),
        nodes: [{ id: node, name: 'Fence', kind: 'controller', board: '8bit-5v-70io' }],
        supplies: [
            { id: id('S', 1), nodeId: node, class: 'plug-5v-3a', name: 'Plug', feedsAt: '5v' },
            { id: id('S', 2), nodeId: node, class: 'plug-5v-3a', name: 'Coils' },
        ],
        modules: [1, 2, 3].map((bank) => ({
            id: id('M', bank),
            nodeId: node,
            class: 'relay-bank-8-high',
            name: `Bank ${bank}`,
            supplyId: id('S', 2),
            order: bank,
        })),
        outputs: strings.map((at) => ({
            id: id('Q', at),
            nodeId: node,
            name: `String ${at}`,
            kind: 'relay',
            order: at,
        })),
        loads: strings.map((at) => ({
            id: id('R', at),
            name: `Lights ${at}`,
            outputId: id('Q', at),
            circuitId: id('C', 0),
            sort: 'resistive',
            watts: 20 + 10 * at,
            fuseA: 2,
            order: at,
        })),
    };
}
