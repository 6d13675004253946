import { expect, register, step, test } from './stage';

test('four boxes on one line, from nothing to the ladder, and what a dead one does to a ring', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Boxes');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Nodes');
    for (const name of ['Desk', 'Box 1', 'Box 2', 'Box 3', 'Box 4']) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
        await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
        await page.getByLabel('Add a module').selectOption({ label: 'RS-485 transceiver, 5 V' });
        await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(1);
    }
    await step(page, 'Links');
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
    await step(page, 'Links');
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
    await step(page, 'Nodes');
    for (const name of ['Near', 'Far']) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
        await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
    }
    await step(page, 'Links');
    await page.getByLabel('New link').fill('Line');
    await page.getByLabel('Medium').selectOption({ label: 'serial line' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    for (const name of ['Near', 'Far']) {
        await page.getByLabel('Put a node on Line').selectOption({ label: name });
        await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    }
    await step(page, 'Pins & power');
    await page.getByRole('link', { name: 'Cables' }).click();
    await page.getByLabel('New cable to').selectOption({ label: 'Far' });
    await page.getByRole('button', { name: 'Lay the cable' }).click();
    const sheet = page.getByRole('region', { name: 'Cable Near – Far' });
    await expect(sheet.getByText('! No core is for Line: TX to RX, Line: RX to TX, GND.')).toBeVisible();
    await sheet.getByLabel('Core 2 of Near – Far').selectOption({ label: 'Line: TX to RX' });
    await expect(sheet.getByRole('row', { name: /^2 .*TX crosses RX/ })).toBeVisible();
    await sheet.getByLabel('Plug pin of core 2 at Near, Near – Far').fill('3');
    await page.keyboard.press('Tab');
    await expect(sheet.getByLabel('Plug pin of core 2 at Near, Near – Far')).toHaveValue('3');
    await sheet.getByLabel('Cores of Near – Far', { exact: true }).fill('2');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'Near – Far has 2 cores and wants 3' })).toBeVisible();
    await page.getByRole('button', { name: 'Take one of 3 cores' }).click();
    await expect(sheet.getByText('No core is left.')).toBeVisible();
    await expect(sheet.getByText(/TX and RX cross here, between Near and Far/)).toBeVisible();
});

test('a device from a shop is written down, tried by hand, and told from a key', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Shop');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Own parts');
    await page
        .getByLabel('Write down a device')
        .selectOption({ label: 'Words and figures, ended by a carriage return' });
    await page.getByLabel('Name of the device').fill('Amplifier');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'Amplifier', level: 1 })).toBeVisible();
    const entries = page.getByRole('region', { name: 'Functions and readings' });
    await expect(entries.getByRole('row', { name: /PWR ON<CR>/ })).toContainText('OK<CR>');
    await page.getByLabel('Word of Power').fill('POWER');
    await page.keyboard.press('Tab');
    await expect(entries.getByRole('row', { name: /POWER ON<CR>/ })).toBeVisible();

    // By hand: what to send, and what came back.
    const trial = page.getByRole('region', { name: 'Try it by hand' });
    await trial.getByLabel('Send', { exact: true }).selectOption('Volume');
    await trial.getByLabel('with the figure').fill('12');
    await expect(trial.getByLabel('What to send')).toContainText('VOL 12<CR>');
    await trial.getByLabel('What came back').fill('TEMP 21.5');
    await expect(trial.getByLabel('What it means')).toHaveText('it answers Warmth: 21.5 °C');

    // What cannot be is said where it is written.
    await page.getByLabel('Ends with').fill('');
    await page.keyboard.press('Tab');
    await expect(page.getByText('! nothing says where a line of it ends')).toBeVisible();
    await page.getByLabel('Ends with').fill('\\r');
    await page.keyboard.press('Tab');
    await expect(page.getByText('! nothing says where a line of it ends')).toHaveCount(0);

    await step(page, 'Nodes');
    for (const name of ['Desk', 'Hall']) {
        await page.getByLabel('New node').fill(name);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
    }
    await page.getByLabel('Part').selectOption({ label: 'appliance or toy' });
    await step(page, 'Links');
    await page.getByLabel('New link').fill('Line');
    await page.getByLabel('Medium').selectOption({ label: 'serial line' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    for (const name of ['Desk', 'Hall']) {
        await page.getByLabel('Put a node on Line').selectOption({ label: name });
        await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    }
    await expect(page.getByRole('heading', { name: 'Nobody knows what Hall on Line speaks' })).toBeVisible();
    await page.getByRole('link', { name: 'Hall', exact: true }).click();
    await page.getByLabel('Speaks', { exact: true }).selectOption({ label: 'Amplifier' });
    await page.getByRole('button', { name: 'Add an output' }).click();
    await page.getByLabel('Name of the output').fill('Music');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'Music of Hall is none of its functions yet' })).toBeVisible();
    await page.getByLabel('Function of Music').selectOption('Power');
    await expect(page.getByRole('heading', { name: 'Music of Hall is none of its functions yet' })).toHaveCount(0);
    await expect(page.getByLabel('Function of Music')).toHaveValue('Power');
});
