import { expect, test as plain, type Locator, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** Every test fails on an error in the console or on the page, but for those it says it provokes. */
export const test = plain.extend<{ provoked: RegExp | null; watched: undefined }>({
    provoked: [null, { option: true }],
    watched: [
        async ({ page, provoked }, use) => {
            const errors: string[] = [];
            page.on('console', (message) => {
                if (message.type() === 'error') {
                    errors.push(message.text());
                }
            });
            page.on('pageerror', (error) => errors.push(error.message));
            await use(undefined);
            expect(errors.filter((error) => provoked?.test(error) !== true)).toEqual([]);
        },
        { auto: true },
    ],
});

export { expect };

let made = 0;

/** A new account of this test's own, signed in, at the list of plans. @returns its address */
export async function register(page: Page): Promise<string> {
    const address = `ann-${Date.now()}-${process.pid}-${made++}@linden-hollow.example`;
    await page.goto('/#/register');
    await page.getByLabel('Your name').fill('Ann');
    await page.getByLabel('E-mail address').fill(address);
    await page.getByLabel('Password').fill('a long password');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
    return address;
}

/** One of the example plans, imported into the account and opened. */
export async function open(page: Page, plan: 'linden-hollow' | 'faulty-on-purpose'): Promise<string> {
    await page.getByLabel('Import a plan file').setInputFiles({
        name: `${plan}.json`,
        mimeType: 'application/json',
        buffer: readFileSync(`docs/examples/${plan}.json`),
    });
    const link = page.getByRole('link', {
        name: plan === 'linden-hollow' ? 'Linden Hollow' : 'Faulty on purpose',
        exact: true,
    });
    const address = (await link.getAttribute('href')) ?? '';
    await link.click();
    await expect(page.getByRole('heading', { name: 'Line map' })).toBeVisible();
    return address;
}

/** The way to a step of the plan, at the side of each of its pages. */
export function wayTo(page: Page, title: string): Locator {
    return page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: title });
}

/** Goes to a step and waits until it is there: the page before may have links of the same names, the line map above all. */
export async function step(page: Page, title: string): Promise<void> {
    await wayTo(page, title).click();
    await arrived(page, title);
}

export async function arrived(page: Page, title: string): Promise<void> {
    await expect(wayTo(page, title)).toHaveAttribute('aria-current', 'page');
}

export async function saved(page: Page, version: number): Promise<void> {
    await expect(page.getByText(`saved · version ${version}`)).toBeVisible();
}

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/**
 * Nothing that a person could not read or reach. Only violations are asked for: all that is in order of a page of thousands
 * of elements takes longer to send than to find. What looks is put into a page once. The themes differ in colours alone, so
 * in the dark one it is these that are looked at.
 */
export async function sound(page: Page): Promise<void> {
    if (!(await page.evaluate(() => 'axe' in window))) {
        await page.evaluate(AXE);
    }
    const violations = await page.evaluate(async () => {
        const { axe } = window as unknown as { axe: typeof import('axe-core') };
        const dark = document.documentElement.classList.contains('dark');
        const found = await axe.run(document, {
            resultTypes: ['violations'],
            ...(dark && { runOnly: ['color-contrast'] }),
        });
        return found.violations.map(
            (violation) =>
                `${violation.id}: ${violation.nodes
                    .map((node) => node.html)
                    .slice(0, 3)
                    .join(' | ')}`,
        );
    });
    expect(violations).toEqual([]);
}

/**
 * The same of a page in the light theme and then in the dark one. What turns a page is a class of its root, which the button sets
 * and what it was loaded with: here it is set as it stands, with whatever is picked or open, and colours are looked at once they are there.
 */
export async function soundInBothThemes(page: Page): Promise<void> {
    await sound(page);
    await wear(page, true);
    await sound(page);
    await wear(page, false);
}

async function wear(page: Page, dark: boolean): Promise<void> {
    await page.evaluate(async (on) => {
        document.documentElement.classList.toggle('dark', on);
        await Promise.all(document.getAnimations().map((one) => one.finished));
    }, dark);
}
