import { expect, open, register, test } from './stage';

test.use({ provoked: /status of (401|419|422|503)/ });

test('a password is changed, a session ended elsewhere, and the account taken along and deleted', async ({
    page,
    browser,
}) => {
    const address = await register(page);
    await open(page, 'linden-hollow');
    await page.goto('/');
    await page.getByRole('link', { name: 'Ann', exact: true }).click();

    const elsewhere = await (await browser.newContext()).newPage();
    await elsewhere.goto('/#/sign-in');
    await elsewhere.getByLabel('E-mail address').fill(address);
    await elsewhere.getByLabel('Password').fill('a long password');
    await elsewhere.getByRole('button', { name: 'Sign in' }).click();
    await expect(elsewhere.getByRole('link', { name: 'Linden Hollow', exact: true })).toBeVisible();

    await page.reload();
    await expect(page.getByRole('button', { name: /^Sign out of the browser/ })).toHaveCount(1);
    await page.getByLabel('Password now').fill('a wrong password');
    await page.getByLabel('New password').fill('a few words of mine');
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByText('This is not your password.')).toBeVisible();
    await page.getByLabel('Password now').fill('a long password');
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByRole('status')).toContainText('The password is changed.');
    await expect(page.getByRole('button', { name: /^Sign out of the browser/ })).toHaveCount(0);
    await elsewhere.reload();
    await expect(elsewhere.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await elsewhere.context().close();

    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save all of it' }).click();
    expect((await download).suggestedFilename()).toBe('rundfunk-account.zip');

    await page.getByRole('button', { name: 'Delete the account…' }).click();
    await page.getByLabel('Your password').fill('a few words of mine');
    await page.getByRole('button', { name: 'Delete the account and my plans' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.getByLabel('E-mail address').fill(address);
    await page.getByLabel('Password').fill('a few words of mine');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('No account has this address and password.');
});

test('an address that has an account is not told to whoever registers with it', async ({ page }) => {
    const address = await register(page);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.goto('/#/register');
    await page.getByLabel('Your name').fill('Eve');
    await page.getByLabel('E-mail address').fill(address);
    await page.getByLabel('Password').fill('another long one');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByRole('alert')).toContainText('nobody can sign in');
});

test.describe('a page that was open for longer than its session', () => {
    test('signs in all the same', async ({ page, context }) => {
        const address = await register(page);
        await page.getByRole('button', { name: 'Sign out' }).click();
        await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
        await context.clearCookies();
        await page.getByLabel('E-mail address').fill(address);
        await page.getByLabel('Password').fill('a long password');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
    });
});

test('a server that does not answer signs nobody out', async ({ page }) => {
    await register(page);
    await page.route('**/api/session', (route) =>
        route.fulfill({ status: 503, headers: { 'Retry-After': '5' }, json: { message: 'Away.' } }),
    );
    await page.reload();
    await expect(page.getByRole('heading', { name: 'The server does not answer just now' })).toBeVisible();
    await page.unroute('**/api/session');
    await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
});
