import { expect, open, register, sound, soundInBothThemes, step, test } from './stage';

for (const theme of ['light', 'dark'] as const) {
    test.describe(`${theme} theme`, () => {
        test.use({ colorScheme: theme });

        test('the pages of those who are not signed in, and how one is turned', async ({ page }) => {
            for (const [path, title] of [
                ['/#/sign-in', 'Sign in'],
                ['/#/register', 'Make an account'],
            ] as const) {
                await page.goto(path);
                await expect(page.getByRole('heading', { name: title })).toBeVisible();
                await expect(page.locator('html')).toHaveClass(theme === 'dark' ? /dark/ : /^$/);
                await sound(page);
            }
            // Turned by its button, and turned still when the page is loaded again.
            await register(page);
            const other = theme === 'dark' ? 'Light theme' : 'Dark theme';
            await page.getByRole('button', { name: other }).click();
            await expect(page.locator('html')).toHaveClass(theme === 'dark' ? /^$/ : /dark/);
            await sound(page);
            await page.reload();
            await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
            await expect(page.locator('html')).toHaveClass(theme === 'dark' ? /^$/ : /dark/);
        });
    });
}

test('every panel, a remote with its codes, and every calculator', async ({ page }) => {
    test.slow();
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Links');
    for (const [link, shows] of [
        ['Warm air', 'Ends'],
        ['Fob', 'Ends'],
        ['Mobile', 'What works Gate post'],
        ['House', 'Topics'],
    ] as const) {
        await page.getByRole('link', { name: link, exact: true }).click();
        await expect(page.getByRole('region', { name: shows })).toBeVisible();
        await soundInBothThemes(page);
    }
    await step(page, 'Nodes');
    await page.getByRole('link', { name: 'Hen house' }).click();
    await expect(page.getByRole('img', { name: /nobody knows/ })).toBeVisible();
    await soundInBothThemes(page);
    await page.getByRole('link', { name: 'Heater remote' }).click();
    await expect(page.getByRole('heading', { name: 'Learn from a capture or a keymap' })).toBeVisible();
    await soundInBothThemes(page);
    await page.getByRole('link', { name: 'Toy diggers' }).click();
    await page.getByText('Lay out a set whose codes count up').click();
    await page.getByRole('button', { name: 'Lay it out' }).click();
    await expect(page.getByRole('table', { name: 'The set' })).toBeVisible();
    await page.getByText('28 codes, one by one').click();
    await soundInBothThemes(page);
    await page.getByRole('link', { name: 'Calculators' }).click();
    const calculators = page.getByRole('navigation', { name: 'Calculators' }).getByRole('link');
    await expect(calculators).not.toHaveCount(0);
    for (const calculator of await calculators.all()) {
        await calculator.click();
        await expect(page.getByRole('heading', { level: 1, name: await calculator.innerText() })).toBeVisible();
        await expect(page.getByRole('region', { name: 'Found' }).locator('dd').first()).toBeVisible();
        await soundInBothThemes(page);
    }
});

for (const plan of ['linden-hollow', 'faulty-on-purpose'] as const) {
    test(`every page of ${plan}`, async ({ page }) => {
        test.slow(true, 'hundreds of things to look at');
        await register(page);
        await soundInBothThemes(page);
        if (plan === 'faulty-on-purpose') {
            await page.getByRole('link', { name: 'Ann', exact: true }).click();
            await page.getByRole('button', { name: 'Delete the account…' }).click();
            await expect(page.getByText('this one')).toBeVisible();
            await soundInBothThemes(page);
            await page.getByRole('link', { name: 'Plans' }).click();
        }
        const address = await open(page, plan);
        // Of the faulty plan the pages that faults look different on.
        const pages = [
            ['nodes', 'Nodes'],
            ['links', 'Links'],
            ['assign', 'Assign'],
            ['findings', 'Findings'],
            ['routes', 'Routes'],
            ['safe', 'Safe states'],
            ...(plan === 'linden-hollow'
                ? ([
                      ['map', 'Line map'],
                      ['site', 'Site'],
                      ['build', 'Pocket A'],
                      ['history', 'History'],
                      ['own', 'Own parts'],
                      ['safe/loads', 'Safe states'],
                      ['safe/circuits', 'Safe states'],
                  ] as const)
                : []),
        ] as const;
        for (const [step, title] of pages) {
            await page.goto(`/${address}/${step}`);
            await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
            await soundInBothThemes(page);
        }
        // Own parts: a board of the one plan, a module of the other.
        await page.goto(`/${address}/own`);
        const own = plan === 'linden-hollow' ? 'Relay pair, potted' : 'Board from the cellar';
        await page.getByRole('link', { name: own }).click();
        await expect(page.getByRole('heading', { level: 1, name: own })).toBeVisible();
        await soundInBothThemes(page);
        await page.goto(`/${address}/power`);
        await page
            .getByLabel('Node', { exact: true })
            .selectOption({ label: plan === 'linden-hollow' ? 'Gate post' : 'Cellar 8' });
        for (const [tab, shows] of [
            ['Power', /^Supplies of/],
            ['Levels', /^Levels of/],
            ['Pins', /^Board of/],
            ['Parts', /^Parts of/],
        ] as const) {
            await page.getByRole('link', { name: tab, exact: true }).click();
            await expect(page.getByRole('region', { name: shows })).toBeVisible();
            if (tab === 'Power') {
                await page
                    .getByRole('button', { name: /^(Battery|5V pin)$/ })
                    .first()
                    .click();
                await expect(page.getByLabel('Name of the supply')).toBeVisible();
            } else if (tab === 'Pins') {
                await page
                    .getByRole('region', { name: shows })
                    .getByRole('button', { name: /^(Modem RXD|Low relay IN1)$/ })
                    .click();
                await expect(page.getByRole('status').filter({ hasText: 'fits' })).toBeVisible();
            }
            await soundInBothThemes(page);
        }
        await page
            .getByLabel('Node', { exact: true })
            .selectOption({ label: plan === 'linden-hollow' ? 'Frame 1' : 'Bin desk' });
        await page.getByRole('link', { name: 'Cables', exact: true }).click();
        await expect(page.getByRole('region', { name: /^Cable / }).first()).toBeVisible();
        await soundInBothThemes(page);
    });
}

test('an empty plan offers the first action at every step', async ({ page }) => {
    await register(page);
    await page.getByLabel('New plan').fill('Empty');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Site' })).toBeVisible();
    const address = new URL(page.url()).hash.replace('/site', '');
    for (const [step, words] of [
        ['map', 'Work down the steps'],
        ['nodes', 'Name the first one'],
        ['links', 'Add the first'],
        ['routes', 'add keys and relays'],
        ['power', 'add the first node'],
        ['safe', 'add one at a node'],
        ['build', 'add the first'],
        ['assign', 'Nothing to assign'],
        ['findings', 'Nothing found'],
    ] as const) {
        await page.goto(`/${address}/${step}`);
        await expect(page.getByRole('main').getByText(words)).toBeVisible();
        await sound(page);
    }
});

test('the node sheet can be used on a phone', async ({ page }) => {
    await register(page);
    const address = await open(page, 'linden-hollow');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/${address}/build`);
    await expect(page.getByRole('region', { name: 'Wiring table' }).getByText('MOSI')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Download pocket_a.h' })).toBeVisible();
    const overflow = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
});
