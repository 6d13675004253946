import { expect, register, test } from './stage';

test('four boxes on one line, from nothing to the ladder, and what a dead one does to a ring', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Boxes');
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('link', { name: 'Nodes' }).click();
    for (const name of ['Desk', 'Box 1', 'Box 2', 'Box 3', 'Box 4']) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
        await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
        await page.getByLabel('Add a module').selectOption({ label: 'RS-485 transceiver, 5 V' });
        await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(1);
    }
    await page.getByRole('link', { name: 'Links' }).click();
    await page.getByLabel('New link').fill('Line');
    await page.getByLabel('Medium').selectOption({ label: 'serial line' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    await page.getByLabel('Levels').selectOption({ label: 'RS-485' });
    await page.getByLabel('Who speaks', { exact: true }).selectOption({ label: 'one asks, others answer' });
    await page.getByLabel('Length, m').fill('40');
    await page.keyboard.press('Tab');
    for (const name of ['Desk', 'Box 1', 'Box 2', 'Box 3', 'Box 4']) {
        await page.getByLabel('Put a node on Line').selectOption({ label: name });
        await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    }
    await expect(page.getByText('Say who asks, or let Assign choose.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Nobody asks on Line' })).toBeVisible();
    await page.getByLabel('Asks of Desk').selectOption('on');
    const ladder = page.getByRole('region', { name: 'Who speaks when' }).getByRole('img');
    await expect(ladder).toHaveAccessibleName(/Desk to Box 1 from 0 to 10\.417 ms, Box 1 to Desk .* Desk to Box 4/);

    await page.getByRole('banner').getByRole('link', { name: 'Assign' }).click();
    await page.getByRole('button', { name: /^Apply/ }).click();
    await page.getByRole('link', { name: 'Links' }).click();
    await expect(page.getByLabel('Id of Box 4', { exact: true })).toHaveValue('5');
    await expect(page.getByLabel('120 Ω on of Desk')).toHaveValue('true');
    await expect(page.getByLabel('120 Ω on of Box 2')).toHaveValue('false');
    await expect(page.getByText('with one that is dead')).toBeVisible();

    // Two that are told together hear one message, and say no more than the others whether it came.
    await page.getByRole('button', { name: 'Told together with others: Box 1' }).click();
    await expect(page.getByRole('button', { name: 'Told together with others: Box 1', pressed: true })).toBeVisible();

    // A ring is another thing: one that is dead silences the next.
    await page.getByLabel('Levels').selectOption({ label: 'RS-232' });
    await page.getByLabel('Who speaks', { exact: true }).selectOption({ label: 'ring' });
    await expect(page.getByRole('heading', { name: 'One dead node opens Line' })).toBeVisible();
    await expect(page.getByText('without Box 1, Box 2 hears nothing of Desk')).toBeVisible();
    await expect(ladder).toHaveAccessibleName(/Desk to Box 1 .* Box 4 to Desk/);
});

test('a cable is laid, its cores handed out, and one too few is said', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Cable');
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('link', { name: 'Nodes' }).click();
    for (const name of ['Near', 'Far']) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
        await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
    }
    await page.getByRole('link', { name: 'Links' }).click();
    await page.getByLabel('New link').fill('Line');
    await page.getByLabel('Medium').selectOption({ label: 'serial line' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    for (const name of ['Near', 'Far']) {
        await page.getByLabel('Put a node on Line').selectOption({ label: name });
        await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    }
    await page.getByRole('link', { name: 'Pins & power' }).click();
    await page.getByRole('link', { name: 'Cables' }).click();
    await page.getByLabel('New cable to').selectOption({ label: 'Far' });
    await page.getByRole('button', { name: 'Lay the cable' }).click();
    const sheet = page.getByRole('region', { name: 'Cable Near – Far' });
    await expect(sheet.getByText('! No core is for Line: TX to RX, Line: RX to TX, GND.')).toBeVisible();
    await sheet.getByLabel('Core 2 of Near – Far').selectOption({ label: 'Line: TX to RX' });
    await expect(sheet.getByRole('row', { name: /^2 TX crosses RX/ })).toBeVisible();
    await sheet.getByLabel('Cores of Near – Far', { exact: true }).fill('2');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'Near – Far has 2 cores and wants 3' })).toBeVisible();
    await page.getByRole('button', { name: 'Take one of 3 cores' }).click();
    await expect(sheet.getByText('No core is left.')).toBeVisible();
    await expect(sheet.getByText(/TX and RX cross here, between Near and Far/)).toBeVisible();
});
