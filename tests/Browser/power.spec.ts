import { expect, open, register, saved, step, test } from './stage';

test('a modem node is powered from an empty plan until nothing is found', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Gate');
    await page.getByRole('button', { name: 'Begin' }).click();
    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Post');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
    await page.getByLabel('Add a module').selectOption({ label: '2G modem module' });
    await saved(page, 4);

    // On the 5 V pin, as everybody does at first.
    await page.getByLabel('Supply of Module').selectOption({ label: '5V pin' });
    await page.getByRole('link', { name: 'Pins and power of Post' }).click();
    await expect(page.getByRole('heading', { name: 'Pins & power' })).toBeVisible();
    const supplies = page.getByRole('region', { name: 'Supplies of Post' });
    await expect(supplies.getByText('2000 peak of 450 mA')).toBeVisible();
    const findings = page.getByRole('complementary', { name: 'Findings' });
    await expect(findings.getByRole('heading', { name: 'Module gets 5 V from 5V pin and stands 4.4' })).toBeVisible();

    // One click feeds it rightly, Assign does the rest.
    await findings
        .getByRole('article')
        .filter({ hasText: 'Module gets 5 V from 5V pin and stands 4.4' })
        .getByRole('button', { name: /^Add a plug-in supply/ })
        .click();
    await expect(findings.getByText('stands 4.4')).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'What feeds what' }).getByText('3.9 V')).toBeVisible();
    await step(page, 'Assign');
    await page.getByRole('button', { name: /^Apply \d+ changes$/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();
    await step(page, 'Pins & power');
    await expect(findings.getByText('Nothing found')).toBeVisible();

    await page.getByRole('link', { name: 'Levels' }).click();
    const levels = page.getByRole('region', { name: 'Levels of Post' });
    await expect(levels.getByRole('row', { name: /RXD/ })).toContainText('divider 1 kΩ / 1.2 kΩ');
    await expect(levels.getByRole('row', { name: /TXD/ })).toContainText('made to fit');
    // Another value, by hand: what comes of it is said at once, and a press puts it right.
    const upper = page.getByLabel('Upper, Ω of the divider at Module RXD');
    await expect(upper).toHaveValue('1000');
    await upper.fill('4700');
    await upper.press('Tab');
    await expect(levels.getByRole('row', { name: /RXD/ })).toContainText('too little');
    await expect(levels.getByRole('row', { name: /RXD/ })).toContainText('divider 4.7 kΩ / 1.2 kΩ');
    await findings.getByRole('button', { name: 'Put there: divider 1 kΩ / 1.2 kΩ' }).click();
    await expect(upper).toHaveValue('1000');
    await expect(findings.getByText('Nothing found')).toBeVisible();
    await page.getByRole('link', { name: 'Parts', exact: true }).click();
    const parts = page.getByRole('region', { name: 'Parts of Post' });
    await expect(parts.getByRole('row', { name: /capacitor/ })).toContainText('µF');
    await expect(parts.getByRole('row', { name: /buck regulator/ })).toContainText('set to 3.9 V');
});

test('a pin is moved by keyboard, and what does not fit says why', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Pins & power');
    await page.getByLabel('Node', { exact: true }).selectOption({ label: 'Greenhouse' });
    await page.getByRole('link', { name: 'Pins', exact: true }).click();
    const board = page.getByRole('region', { name: 'Board of Greenhouse' });
    const chip = board.getByRole('button', { name: 'Relays IN1', exact: true });
    await chip.focus();
    await page.keyboard.press('Enter');
    await expect(board.getByRole('status')).toContainText('Relays IN1 fits IO26');
    // Up and down the side, across to the other.
    for (let presses = 0; presses < 4; presses++) {
        await page.keyboard.press('ArrowDown');
    }
    await expect(board.getByRole('status')).toContainText('does not go on IO34: it is no digital output');
    await page.keyboard.press('Enter');
    await expect(chip).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('ArrowUp');
    await expect(board.getByRole('status')).toContainText('fits IO33');
    await page.keyboard.press('Enter');
    await expect(board.getByRole('button', { name: /^IO33, Relays IN1/ })).toBeVisible();
    await expect(page.getByLabel('Pin of Relays IN1')).toHaveValue('IO33');

    // And with the mouse.
    const to = board.getByRole('button', { name: /^IO26/ });
    await chip.dragTo(to);
    await expect(board.getByRole('button', { name: /^IO26, Relays IN1/ })).toBeVisible();
});
