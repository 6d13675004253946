import { expect, register, step, test } from './stage';

/** A made-up bus: a counter, a second sender, and one bit that is on in the second recording. */
function recording(on: boolean): string {
    const lines: string[] = [];
    for (let frame = 0; frame < 200; frame++) {
        const at = `(17000000${String(Math.floor(frame / 50)).padStart(2, '0')}.${String((frame % 50) * 20).padStart(3, '0')}000)`;
        const count = (frame & 15).toString(16).toUpperCase();
        lines.push(`${at} can0 2B4#5${count}${on ? '24' : '04'}AA`);
        if (frame % 5 === 0) {
            lines.push(`${at} can0 1C0#${frame % 10 === 0 ? '01' : '00'}`);
        }
    }
    return lines.join('\n');
}

test('a bit is found in two recordings, becomes a reading, and works a relay', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Van');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Board');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
    await page.getByLabel('Add a module').selectOption({ label: 'CAN controller on SPI, 5 V' });
    await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(1);
    await page.getByLabel('Add a module').selectOption({ label: 'relay bank, 2 channels, active low' });
    await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(2);
    await page.getByRole('button', { name: 'Add an output' }).click();
    await page.getByLabel('Name of the output').fill('Work light');
    await page.keyboard.press('Tab');
    await page.getByLabel('New node').fill('Van');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Van');
    await page.getByLabel('Part').selectOption({ label: 'appliance or toy' });

    await step(page, 'Links');
    await page.getByLabel('New link').fill('Van bus');
    await page.getByLabel('Medium').selectOption({ label: 'CAN bus' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    await page.getByLabel('Of a vehicle or machine').selectOption('on');
    for (const name of ['Van', 'Board']) {
        await page.getByLabel('Put a node on Van bus').selectOption({ label: name });
        await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    }
    await expect(page.getByRole('heading', { name: 'Board can speak on Van bus, which is not ours' })).toBeVisible();
    await page.getByRole('button', { name: 'Board only listens' }).click();
    await expect(page.getByRole('heading', { name: 'Board can speak on Van bus, which is not ours' })).toHaveCount(0);

    await page.getByRole('button', { name: 'Find the bit in a recording' }).click();
    await page.getByLabel('Recording', { exact: true }).fill(recording(false));
    await page.getByLabel(/A second one/).fill(recording(true));
    await page.getByRole('button', { name: 'Look' }).click();
    const first = page.getByRole('table', { name: 'Bits that may be it' }).getByRole('row').nth(1);
    await expect(first).toContainText('2B4 byte 1 bit 5');
    await first.getByRole('button', { name: /^Draw/ }).click();
    await expect(page.getByRole('img', { name: '2B4 byte 1 bit 5 against time' })).toBeVisible();
    await page.getByLabel('Name of what was found').fill('Dipped');
    await page.keyboard.press('Tab');
    await first.getByRole('button', { name: 'Make 2B4 byte 1 bit 5 a reading of Van' }).click();
    await expect(page.getByRole('button', { name: 'Message 2B4', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Message 2B4', exact: true }).click();
    await expect(page.getByText(/Found: Dipped: 0 in all 200 before/)).toBeVisible();

    // Its signal is a reading of the van, and the light follows it.
    await step(page, 'Routes');
    const cell = page.getByRole('gridcell', { name: /Dipped.*Work light/ });
    await cell.focus();
    await page.keyboard.press('f');
    await expect(cell).toContainText(/follow/i);
    await page.getByRole('banner').getByRole('link', { name: 'Assign' }).click();
    await page.getByRole('button', { name: /^Apply/ }).click();
    await step(page, 'Build');
    await expect(page.getByText('VAN_BUS_LISTEN_ONLY 1').first()).toBeVisible();
});

test.describe('descriptions', () => {
    test.use({ provoked: /422/ });

    test('messages are taken from a DBC file, and one that does not fit is said', async ({ page }) => {
        await register(page);
        await page.getByLabel('New plan').fill('Store');
        await page.getByRole('button', { name: 'Begin' }).click();
        await step(page, 'Nodes');
        await page.getByLabel('New node').fill('Store');
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Store');
        await page.getByLabel('Part').selectOption({ label: 'appliance or toy' });
        await step(page, 'Links');
        await page.getByLabel('New link').fill('Bus');
        await page.getByLabel('Medium').selectOption({ label: 'CAN bus' });
        await page.getByRole('button', { name: 'Add the link' }).click();
        await page.getByLabel('Put a node on Bus').selectOption({ label: 'Store' });
        await expect(page.getByRole('link', { name: 'Store', exact: true })).toBeVisible();

        await page.getByRole('button', { name: 'From a DBC file' }).click();
        await page.getByLabel('Description').fill('It rained.');
        await page.getByRole('button', { name: 'Read it' }).click();
        await expect(page.getByRole('alert')).toContainText('no message is in it');
        await page
            .getByLabel('Description')
            .fill(
                'BO_ 673 State: 8 STORE\n SG_ Charge : 0|10@1+ (0.1,0) [0|100] "%" X\n SG_ Far : 60|8@1+ (1,0) [0|0] "" X\n',
            );
        await page.getByRole('button', { name: 'Read it' }).click();
        await page.getByRole('button', { name: 'Take 1 message', exact: true }).click();
        await expect(page.getByRole('heading', { name: /Far begins at bit 60 and is 8 long/ })).toBeVisible();
        await page.getByRole('button', { name: 'State', exact: true }).click();
        await page.getByLabel('First bit of Far').fill('16');
        await page.keyboard.press('Tab');
        await expect(page.getByRole('heading', { name: /Far begins at bit/ })).toHaveCount(0);
        await page.reload();
        await expect(page.getByRole('img', { name: /State: Charge in 10 bits, Far in 8 bits/ })).toBeVisible();
    });
});
