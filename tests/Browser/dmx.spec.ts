import { deflateRawSync } from 'node:zlib';
import { expect, register, sound, soundInBothThemes, step, test } from './stage';

test('six lamps are patched, their switches are read, and a chase of two beats is a strip', async ({ page }) => {
    test.slow();
    await register(page);
    await page.getByLabel('New plan').fill('Stage');
    await page.getByRole('button', { name: 'Begin' }).click();

    // A lamp from its manual: three slots, of which the shutter must be open.
    await step(page, 'Own parts');
    await page.getByRole('button', { name: 'Describe a fixture' }).click();
    await page.getByLabel('Name of the fixture').fill('Small lamp');
    await page.keyboard.press('Tab');
    await page.getByLabel('Address by').selectOption({ label: 'switches: 1 is the first on' });
    await page.getByLabel('Without data').selectOption({ label: 'goes dark' });
    await page.getByLabel('Name of slot 1').fill('Red');
    await page.keyboard.press('Tab');
    await page.getByLabel('What Red is for').selectOption({ label: 'colour' });
    for (const [number, name] of [
        [2, 'Blue'],
        [3, 'Shutter'],
    ] as const) {
        await page.getByRole('button', { name: 'Add a slot' }).click();
        await page.getByLabel(`Name of slot ${number}`).fill(name);
        await page.keyboard.press('Tab');
        await expect(page.getByLabel(`What ${name} is for`)).toBeVisible();
    }
    await page.getByLabel('What Blue is for').selectOption({ label: 'colour' });
    await page.getByLabel('What Shutter is for').selectOption({ label: 'shutter, strobe' });
    await page.getByLabel('Shutter opens from').fill('8');
    await page.keyboard.press('Tab');
    await expect(page.getByLabel('Shutter opens from')).toHaveValue('8');
    await sound(page);

    await step(page, 'Nodes');
    await page.getByLabel('New node').fill('Desk');
    await page.getByRole('button', { name: 'Add the node' }).click();
    await page.getByLabel('Board', { exact: true }).selectOption({ label: '8-bit 5 V board, 70 I/O' });
    await page.getByLabel('Add a module').selectOption({ label: 'DMX line driver, 5 V' });
    await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(1);
    await page.getByLabel('Add a module').selectOption({ label: 'button pad, 2 keys' });
    await expect(page.getByRole('textbox', { name: /Name of the module/ })).toHaveCount(2);
    for (const beat of [1, 2]) {
        await page.getByRole('button', { name: 'Add a control' }).click();
        await page
            .getByLabel('Name of the control')
            .nth(beat - 1)
            .fill(`Beat ${beat}`);
        await page.keyboard.press('Tab');
        await expect(page.getByLabel('Name of the control').nth(beat - 1)).toHaveValue(`Beat ${beat}`);
    }
    for (let lamp = 1; lamp <= 6; lamp++) {
        await page.getByLabel('New node').fill(`Lamp ${lamp}`);
        await page.getByRole('button', { name: 'Add the node' }).click();
        await expect(page.getByLabel('Name', { exact: true })).toHaveValue(`Lamp ${lamp}`);
        await page.getByLabel('Part', { exact: true }).selectOption({ label: 'appliance or toy' });
    }
    await step(page, 'Links');
    await page.getByLabel('New link').fill('Lamps');
    await page.getByLabel('Medium').selectOption({ label: 'DMX universe' });
    await page.getByRole('button', { name: 'Add the link' }).click();
    for (const name of ['Desk', ...[1, 2, 3, 4, 5, 6].map((lamp) => `Lamp ${lamp}`)]) {
        await page.getByLabel('Put a node on Lamps').selectOption({ label: name });
        await expect(page.getByRole('region', { name: 'Ends' }).getByRole('link', { name, exact: true })).toBeVisible();
    }
    await expect(page.getByRole('heading', { name: 'Nobody has said what Lamp 1 takes on Lamps' })).toBeVisible();
    for (let lamp = 1; lamp <= 6; lamp++) {
        await page
            .getByRole('region', { name: 'Slots' })
            .getByRole('link', { name: `Lamp ${lamp}`, exact: true })
            .click();
        await page.getByLabel('Fixture').selectOption({ label: 'Small lamp' });
        await expect(page.getByRole('link', { name: 'its modes and slots' })).toBeVisible();
        await step(page, 'Links');
        await page.getByRole('button', { name: `Use all slots of Lamp ${lamp}` }).click();
        await expect(page.getByRole('button', { name: `Use all slots of Lamp ${lamp}` })).toHaveCount(0);
    }
    await page.getByRole('banner').getByRole('link', { name: 'Assign' }).click();
    await page.getByRole('button', { name: /^Apply/ }).click();
    await step(page, 'Links');

    // 3 slots each, one behind the other: the sixth starts at 16, and 16 is the fifth switch.
    await expect(page.getByRole('img', { name: /Slot ruler: .*Lamp 6 from 16 to 18\./ })).toBeVisible();
    await expect(page.getByRole('img', { name: 'Switches of Lamp 6: 5 on' })).toBeVisible();
    await expect(page.getByRole('img', { name: 'Switches of Lamp 3: 1, 2 and 3 on' })).toBeVisible();

    // The first beat puts the first lamp red and all else to rest, the second the second; both fade.
    const tells = page.getByRole('region', { name: 'What tells what' });
    for (const beat of [1, 2]) {
        await tells.getByLabel('Let a control tell slots').selectOption({ label: `Desk: Beat ${beat}` });
        await tells.getByRole('button', { name: `Beat ${beat}, Red of Lamp ${beat}: left as it is` }).click();
        await tells.getByLabel('Value').fill('255');
        await page.keyboard.press('Enter');
        await tells.getByLabel('Fade, seconds').fill('0.4');
        await page.keyboard.press('Enter');
        await expect(tells.getByRole('button', { name: `Beat ${beat}, Red of Lamp ${beat}: 255` })).toContainText(
            'in 0.4 s',
        );
        await tells.getByRole('button', { name: `Beat ${beat}: all else at rest` }).click();
        await expect(tells.getByRole('button', { name: `Beat ${beat}, Red of Lamp ${3 - beat}: rest` })).toBeVisible();
    }
    await expect(
        page.getByRole('heading', { name: /Lamp 1 is told its colours, and its Shutter stays down/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Let Shutter rest at 8' }).first().click();
    await expect(page.getByRole('heading', { name: /and its Shutter stays down/ })).toHaveCount(0);

    const rehearsal = page.getByRole('region', { name: 'Rehearse it' });
    for (const beat of [1, 2]) {
        await rehearsal.getByLabel('Work', { exact: true }).selectOption({ label: `Beat ${beat}` });
        await rehearsal.getByRole('button', { name: 'Work it' }).click();
    }
    const strip = rehearsal.getByRole('img', { name: /Slots against time/ });
    await expect(strip).toHaveAttribute('aria-label', /Lamp 1: Red changes \d+ times, at most 255, at last 0;/);
    await expect(strip).toHaveAttribute('aria-label', /Lamp 2: Red changes \d+ times, at most 255, at last 255/);
    await soundInBothThemes(page);
});

/** A zip archive of one file, as small as one can be. */
function archive(name: string, content: string): Buffer {
    const data = Buffer.from(content);
    const packed = deflateRawSync(data);
    const table = Array.from({ length: 256 }, (_, at) => {
        let one = at;
        for (let bit = 0; bit < 8; bit++) {
            one = one & 1 ? (one >>> 1) ^ 0xedb88320 : one >>> 1;
        }
        return one >>> 0;
    });
    let sum = 0xffffffff;
    for (const byte of data) {
        sum = (table[(sum ^ byte) & 255] ?? 0) ^ (sum >>> 8);
    }
    const head = Buffer.alloc(26);
    head.writeUInt16LE(20, 0);
    head.writeUInt16LE(8, 4);
    head.writeUInt32LE((sum ^ 0xffffffff) >>> 0, 10);
    head.writeUInt32LE(packed.length, 14);
    head.writeUInt32LE(data.length, 18);
    head.writeUInt16LE(name.length, 22);
    const local = Buffer.concat([Buffer.from('PK\x03\x04', 'latin1'), head, Buffer.from(name), packed]);
    const central = Buffer.concat([
        Buffer.from('PK\x01\x02\x14\x00', 'latin1'),
        head,
        Buffer.alloc(14),
        Buffer.from(name),
    ]);
    const end = Buffer.alloc(22);
    end.write('PK\x05\x06', 'latin1');
    end.writeUInt16LE(1, 8);
    end.writeUInt16LE(1, 10);
    end.writeUInt32LE(central.length, 12);
    end.writeUInt32LE(local.length, 16);
    return Buffer.concat([local, central, end]);
}

test.describe('files of fixtures', () => {
    test.use({ provoked: /422/ });

    test('a fixture is taken from its file, and one that is no such file is refused', async ({ page }) => {
        await register(page);
        await page.getByLabel('New plan').fill('Stage');
        await page.getByRole('button', { name: 'Begin' }).click();
        await step(page, 'Links');
        await page.getByLabel('New link').fill('Lamps');
        await page.getByLabel('Medium').selectOption({ label: 'DMX universe' });
        await page.getByRole('button', { name: 'Add the link' }).click();
        await page.getByRole('button', { name: "Read a fixture's file" }).click();
        const file = page.getByLabel('Archive, .gdtf');
        await file.setInputFiles({ name: 'x.gdtf', mimeType: 'application/zip', buffer: Buffer.from('no archive') });
        await expect(page.getByRole('alert')).toContainText('It is no zip archive');
        await file.setInputFiles({
            name: 'x.gdtf',
            mimeType: 'application/zip',
            buffer: archive('description.xml', '<!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/passwd">]><GDTF/>'),
        });
        await expect(page.getByRole('alert')).toContainText('entities of its own');
        await file.setInputFiles({
            name: 'wash.gdtf',
            mimeType: 'application/zip',
            buffer: archive(
                'description.xml',
                '<GDTF><FixtureType Name="Made-up wash"><DMXModes><DMXMode Name="Two"><DMXChannels><DMXChannel Offset="1,2"><LogicalChannel Attribute="Dimmer"/></DMXChannel></DMXChannels></DMXMode></DMXModes></FixtureType></GDTF>',
            ),
        });
        await expect(page.getByText('Two (2 slots)')).toBeVisible();
        await page.getByRole('button', { name: 'Take it into the plan' }).click();
        await step(page, 'Own parts');
        await page.getByRole('link', { name: 'Made-up wash' }).click();
        await expect(page.getByLabel('Low byte of Dimmer')).toHaveValue('2');
    });
});
