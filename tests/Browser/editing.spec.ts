import { expect, open, register, saved, step, test, wayTo } from './stage';

test('the switch table by keyboard alone', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await wayTo(page, 'Routes').focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('grid', { name: 'Switch table' })).toBeVisible();
    const current = page.locator('[role=gridcell][aria-selected=true]');
    for (let tabs = 0; tabs < 20 && !(await current.evaluate((cell) => cell === document.activeElement)); tabs++) {
        await page.keyboard.press('Tab');
    }
    await expect(current).toBeFocused();
    await expect(current).toHaveAccessibleName('Pocket A Key 1, Pocket A Sent: pulse 200 ms');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowRight');
    await expect(current).toHaveAccessibleName('Pocket A Key 2, Bench Mist: none');
    for (const [key, action] of [
        ['1', 'on'],
        ['0', 'off'],
        ['t', 'toggle'],
        ['m', 'momentary'],
        ['p', 'pulse 1 s'],
    ] as const) {
        await page.keyboard.press(key);
        await expect(current).toHaveAccessibleName(`Pocket A Key 2, Bench Mist: ${action}`);
    }
    await page.keyboard.press('Backspace');
    await expect(current).toHaveAccessibleName('Pocket A Key 2, Bench Mist: none');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Home');
    await expect(current).toHaveAccessibleName('Pocket A Key 1, Pocket A Sent: pulse 200 ms');
    await expect(current).toBeFocused();
});

test('undo and redo, by key and by button, and they survive a reload', async ({ page }) => {
    await register(page);
    const address = await open(page, 'linden-hollow');
    await page.goto(`/${address}/links`);
    await page.getByRole('textbox', { name: 'Channel', exact: true }).fill('81');
    await page.getByRole('textbox', { name: 'Channel', exact: true }).press('Enter');
    await saved(page, 2);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('textbox', { name: 'Channel', exact: true })).toHaveValue('76');
    await page.getByRole('heading', { name: 'Links' }).click();
    await page.keyboard.press('Control+Shift+Z');
    await expect(page.getByRole('textbox', { name: 'Channel', exact: true })).toHaveValue('81');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Channel', exact: true })).toHaveValue('81');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('textbox', { name: 'Channel', exact: true })).toHaveValue('76');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
    await step(page, 'History');
    await expect(page.getByRole('cell', { name: 'taken back' })).toBeVisible();
});

test('a finding is read, put right with one click, and another accepted with a reason', async ({ page }) => {
    await register(page);
    const address = await open(page, 'faulty-on-purpose');
    // Those that are mended on the step beside them come first.
    await page.goto(`/${address}/links`);
    const drawer = page.getByRole('complementary', { name: 'Findings' });
    const card = drawer.getByRole('article').filter({ hasText: 'Two ends disagree on data rate' });
    await expect(card).toContainText('Silence, not an error, is what you would see.');
    await card.getByRole('button', { name: 'Set both to 250 kbit/s' }).click();
    await expect(card).toBeHidden();
    const other = drawer.getByRole('article').filter({ hasText: 'Bare idea has no radio' });
    await other.getByRole('button', { name: /^Accept/ }).click();
    await other.getByLabel('Why you accept this').fill('Not built yet');
    await other.getByRole('button', { name: 'Accept' }).click();
    await expect(other).toBeHidden();
    await page.goto(`/${address}/findings`);
    await expect(page.getByText('Accepted: Not built yet')).toBeVisible();
});

test('slash finds anything, and the keys are shown on ?', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await page.keyboard.press('/');
    await page.keyboard.type('hen lamp');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Hen house');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Find anything in the plan');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();

    // Shut before the browser has said that it was opened, it stays shut.
    await page.evaluate(async () => {
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '?', bubbles: true }));
        let shown = document.querySelector('dialog');
        for (let turn = 0; turn < 50 && shown === null; turn++) {
            await Promise.resolve();
            shown = document.querySelector('dialog');
        }
        shown?.dispatchEvent(new Event('cancel', { cancelable: true }));
        await new Promise((done) => setTimeout(done));
    });
    await expect(page.getByRole('dialog')).toBeHidden();
});

test('a traced route lights up and says how long it takes', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await page.getByLabel('Trace a route').selectOption({ label: 'Pocket A · Key 3 → Hen house · Hen lamp' });
    await expect(page.getByText('press to click 35.4 ms typical, 91.5 ms worst')).toBeVisible();
    const time = page.getByRole('region', { name: 'Reaction time' });
    await expect(time.getByRole('table').first().getByRole('row')).toHaveCount(12);
    // Nothing of it comes back to the pocket: both schools stand side by side.
    const schools = time.getByRole('table', { name: 'Sent and forgotten, or answered' });
    await expect(schools.getByRole('row', { name: /^Answered, as it could be/ })).toContainText('ms');
});

test.describe('refusals', () => {
    test.use({ provoked: /status of (409|422)|ERR_(FAILED|INTERNET_DISCONNECTED)/ });

    test('a value out of range is refused at its field and the old one stays', async ({ page }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/links`);
        await page.getByRole('textbox', { name: 'Channel', exact: true }).fill('126');
        await page.getByRole('textbox', { name: 'Channel', exact: true }).press('Enter');
        await expect(page.getByRole('alert')).toContainText('channel must be a whole number from 0 to 125');
        await page.reload();
        await expect(page.getByRole('textbox', { name: 'Channel', exact: true })).toHaveValue('76');
    });

    test('an edit against an older version shows both sides', async ({ page, context }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/site`);
        await expect(page.getByLabel('Name of the site')).toBeVisible();
        // Looking away: what others do is not heard of.
        await page.route('**/changes?**', (route) => route.abort());
        const other = await context.newPage();
        await other.goto(`/${address}/site`);
        await other.getByRole('button', { name: 'Wi-Fi 13', exact: true }).click();
        await saved(other, 2);
        await page.getByRole('button', { name: 'Wi-Fi 9', exact: true }).click();
        const notice = page.getByRole('dialog', { name: 'The plan has moved on' });
        await expect(notice).toContainText('Wi-Fi in use: 1, 6, 9, 11');
        await expect(notice).toContainText('Wi-Fi in use: 1, 6, 11, 13, by Ann');
        await page.getByRole('button', { name: 'Take what is there' }).click();
        await expect(page.getByRole('button', { name: 'Wi-Fi 13', exact: true })).toHaveAttribute(
            'aria-pressed',
            'true',
        );
    });

    test('what could not be worked out is not called done', async ({ page }) => {
        await register(page);
        const address = await open(page, 'faulty-on-purpose');
        await page.route('**/assignment', (route) => route.abort());
        await page.goto(`/${address}/assign`);
        await expect(page.getByRole('alert')).toContainText('could not be worked out');
        await expect(page.getByText('Nothing to assign')).toHaveCount(0);
        await page.unroute('**/assignment');
        await page.getByRole('button', { name: 'Try again' }).click();
        await expect(page.getByRole('button', { name: /^Apply \d+ changes$/ })).toBeVisible();
    });

    test('an edit lost on the way is kept and sent again', async ({ page, context }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/site`);
        await expect(page.getByLabel('Name of the site')).toBeVisible();
        await context.setOffline(true);
        await page.getByRole('button', { name: 'Wi-Fi 13', exact: true }).click();
        await expect(page.getByText('not saved yet: one change waits')).toBeVisible();
        await expect(page.getByRole('button', { name: 'Wi-Fi 13', exact: true })).toHaveAttribute(
            'aria-pressed',
            'true',
        );
        // A second one waits behind it, and both outlive the page.
        await page.getByLabel('Name of the site').fill('Linden Dell');
        await page.getByLabel('Name of the site').press('Enter');
        await expect(page.getByText('not saved yet: 2 changes wait')).toBeVisible();
        await context.setOffline(false);
        await page.reload();
        await saved(page, 3);
        await expect(page.getByLabel('Name of the site')).toHaveValue('Linden Dell');
        await expect(page.getByRole('button', { name: 'Wi-Fi 13', exact: true })).toHaveAttribute(
            'aria-pressed',
            'true',
        );
    });

    test('an answer that is lost is asked for again, and the edit is there once', async ({ page }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/site`);
        await expect(page.getByLabel('Name of the site')).toBeVisible();
        const places = await page.getByRole('textbox', { name: /^Name of the place/ }).count();
        let lost = 0;
        await page.route('**/operations', async (route) => {
            await route.fetch();
            await (lost++ < 2 ? route.abort() : route.continue());
        });
        await page.getByLabel('New place').fill('Far field');
        await page.getByLabel('New place').press('Enter');
        await saved(page, 2);
        expect(lost).toBe(3);
        await page.unroute('**/operations');
        await page.reload();
        await saved(page, 2);
        expect(await page.getByRole('textbox', { name: /^Name of the place/ }).count()).toBe(places + 1);
    });

    test('what is being typed stays when the answer to something else comes', async ({ page }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/own`);
        await page.getByRole('button', { name: 'Describe a fixture' }).click();
        await saved(page, 2);
        let answer = (): void => undefined;
        await page.route('**/operations', async (route) => {
            await new Promise<void>((go) => (answer = go));
            await route.continue();
        });
        const asked = page.waitForRequest('**/operations');
        await page.getByLabel('Without data').selectOption({ label: 'goes dark' });
        await asked;
        await page.getByLabel('Name of slot 1').fill('Red');
        answer();
        await saved(page, 3);
        await expect(page.getByLabel('Name of slot 1')).toHaveValue('Red');
        await page.unroute('**/operations');
        await page.keyboard.press('Tab');
        await expect(page.getByLabel('What Red is for')).toBeVisible();
    });

    test('what two do to one plan is kept of both, and each sees the other', async ({ page, context }) => {
        await register(page);
        const address = await open(page, 'linden-hollow');
        await page.goto(`/${address}/site`);
        await expect(page.getByLabel('Name of the site')).toBeVisible();
        const other = await context.newPage();
        await other.goto(`/${address}/site`);
        await expect(other.getByLabel('Name of the site')).toBeVisible();
        await Promise.all([
            page.getByRole('button', { name: 'Wi-Fi 13', exact: true }).click(),
            (async () => {
                await other.getByLabel('Name of the site').fill('Linden Dell');
                await other.getByLabel('Name of the site').press('Enter');
            })(),
        ]);
        for (const one of [page, other]) {
            await one.bringToFront();
            await expect(one.getByText('saved · version 3')).toBeVisible();
            await expect(one.getByLabel('Name of the site')).toHaveValue('Linden Dell');
            await expect(one.getByRole('button', { name: 'Wi-Fi 13', exact: true })).toHaveAttribute(
                'aria-pressed',
                'true',
            );
        }
    });
});
