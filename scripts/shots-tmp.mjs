// Takes the pictures of docs/screenshots anew, of the demo plans:  ./run --port 8123, then  node scripts/screenshots.mjs http://127.0.0.1:8123 [name …]
import { chromium } from 'playwright-core';

const [address, ...only] = process.argv.slice(2);
const linden = 'Linden Hollow';
const faulty = 'Faulty on purpose';
const traced = async (page) => page.getByLabel(/route/i).first().selectOption({ index: 2 });
/** A bus of three senders, made up: a counter, something that wanders, and a bit that is on in the second recording. */
const recordings = () =>
    [0, 1].map((on) => {
        const lines = [];
        let level = 120;
        for (let ms = 0; ms < 6000; ms += 10) {
            const at = (1_700_000_000 + ms / 1000).toFixed(6);
            const hex = (...bytes) =>
                bytes.map((one) => (one & 0xff).toString(16).toUpperCase().padStart(2, '0')).join('');
            const count = ms / 20;
            level += ((ms * 7919) % 5) - 2;
            if (ms % 20 === 0)
                lines.push(
                    `(${at}) can0 2A1#${hex(0x3c, level, 0x10 | (count & 15), on ? 0x24 : 0x04, 0, 0x3c ^ level ^ (0x10 | (count & 15)) ^ (on ? 0x24 : 0x04))}`,
                );
            if (ms % 100 === 0) lines.push(`(${at}) can0 2A8#${hex(0x41, ms % 1000 < 500 ? 1 : 0, 0, 0)}`);
            if (ms % 500 === 0) lines.push(`(${at}) can0 18FF5021#${hex(level, level >> 8, 0, 0, 0, 0, 0, count)}`);
        }
        return lines.join('\n');
    });
/** name: plan, where ({…} is the id of what has that name), theme, what is done there. */
const views = { 'lv': [faulty, 'power/{node Cellar 24}.levels'], 'lvd': [faulty, 'power/{node Cellar 24}.levels','dark'], 'cel': [faulty, 'power/{node Cellar 24}'],
    'line-map': [linden, 'map', 'light', traced],
    nodes: [linden, 'nodes/{node Bench}'],
    links: [linden, 'links/{link Handsets}'],
    'links-infrared': [linden, 'links/{link Warm air}'],
    'links-cellular': [linden, 'links/{link Mobile}'],
    'links-serial': [linden, 'links/{link Vents}'],
    'links-can': [linden, 'links/{link Store bus}'],
    'links-dmx': [linden, 'links/{link Bench lamps}'],
    cable: [linden, 'power/{node Frame 1}.cables'],
    'find-the-bit': [
        linden,
        'links/{link Store bus}',
        'dark',
        async (page) => {
            const [before, after] = recordings();
            await page.getByRole('button', { name: 'Find the bit in a recording' }).click();
            await page.getByLabel('Recording', { exact: true }).fill(before);
            await page.getByLabel(/A second one/).fill(after);
            await page.getByRole('button', { name: 'Look' }).click();
            await page.getByRole('button', { name: /^Draw/ }).first().click();
            await page.waitForTimeout(1200);
            await page.getByRole('region', { name: 'Find the bit' }).evaluate((one) => {
                one.style.scrollMarginTop = '60px';
                one.scrollIntoView();
            });
        },
    ],
    'switch-table': [linden, 'routes'],
    power: [linden, 'power/{node Gate post}'],
    parts: [linden, 'power/{node Greenhouse}.parts'],
    pins: [linden, 'power/{node Greenhouse}.pins', 'dark'],
    'safe-states': [faulty, 'safe/{output Oven heat}'],
    loads: [linden, 'safe/loads', 'dark'],
    'node-sheet': [linden, 'build/{node Bench}'],
    'assign-review': [faulty, 'assign'],
    findings: [faulty, 'findings'],
};

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/#/sign-in`);
await page.getByLabel(/mail/i).fill('demo@linden-hollow.example');
await page
    .getByLabel(/password/i)
    .first()
    .fill('linden hollow');
await page.getByRole('button', { name: /sign in/i }).click();
await page.getByRole('heading', { name: 'Plans' }).waitFor();
for (const [name, [plan, where, theme = 'light', act]] of Object.entries(views)) {
    if (only.length > 0 && !only.includes(name)) {
        continue;
    }
    await page.emulateMedia({ colorScheme: theme });
    await page.goto(`${address}/#/`);
    await page.reload();
    await page.getByRole('heading', { name: 'Plans' }).waitFor();
    if (plan === null) {
        await page.goto(`${address}/${where}`);
    } else {
        const link = page.getByRole('link', { name: plan, exact: true });
        const id = ((await link.getAttribute('href')) ?? '').split('/').at(-1);
        const file = await page.evaluate(async (one) => (await fetch(`/api/plans/${one}/file`)).json(), id);
        const target = where.replace(
            /\{(\w+) ([^}]+)\}/,
            (_, kind, called) => file[`${kind}s`].find((one) => one.name === called).id,
        );
        await page.goto(`${address}/#/plans/${id}/${target}`);
    }
    await page.waitForTimeout(1500);
    await act?.(page);
    await page.waitForTimeout(600);
    await page.screenshot({ path: `/tmp/shots/${name}.png` });
    console.log(name);
}
await browser.close();
