import { expect, open, register, saved, step, test } from './stage';

test('an output of another board is shown on a page, and what is shown goes unknown', async ({ page }) => {
    await register(page);
    await open(page, 'linden-hollow');
    await step(page, 'Nodes');
    await page.getByRole('link', { name: 'Shed', exact: true }).click();
    const outputs = page.getByRole('region', { name: 'Outputs' });
    await outputs.getByRole('button', { name: 'Add an output' }).click();
    await saved(page, 2);
    const name = outputs.getByRole('textbox').last();
    const added = await name.inputValue();
    await page.getByLabel(`Kind of ${added}`).selectOption({ label: 'display' });
    await saved(page, 3);

    await page.getByRole('link', { name: 'Hen house', exact: true }).click();
    await page.getByLabel('Tell others how an output stands').selectOption({ label: 'Hen fan' });
    await saved(page, 4);
    await page.getByLabel('Hen fan is is shown by').selectOption({ label: `Shed · ${added}` });
    await saved(page, 5);
    await page.getByRole('banner').getByRole('link', { name: 'Assign' }).click();
    await page.getByRole('button', { name: /^Apply \d+ changes?$/ }).click();
    await expect(page.getByText('Nothing to assign')).toBeVisible();

    await step(page, 'Nodes');
    await page.getByRole('link', { name: 'Hen house', exact: true }).click();
    // Every 30 s, three missed and half an interval: 45 s + 105 s.
    await expect(page.getByRole('img', { name: /^Hen fan goes on at 15 s/ })).toHaveAccessibleName(
        /shows off from 0, on from 15 s, nobody knows from 150 s$/,
    );
    await page.getByLabel('Again every, s of Hen fan is').fill('10');
    await page.getByLabel('Again every, s of Hen fan is').press('Tab');
    await expect(page.getByRole('img', { name: /^Hen fan goes on at 5 s/ })).toHaveAccessibleName(
        /on from 5 s, nobody knows from 50 s$/,
    );
});
