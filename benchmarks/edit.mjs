// How long the running application takes: an edit's answer (median of 40 on the demo, of 15 on made-up plans of 100 and
// 500 nodes) and the first load of the workspace and of its switch table.  node benchmarks/edit.mjs http://127.0.0.1:8000
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { gzipSync } from 'node:zlib';
import { readFileSync, readdirSync } from 'node:fs';

const base = process.argv[2] ?? 'http://127.0.0.1:8000';
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage'],
});
const page = await browser.newPage();
// A request as the page itself makes them: answered with its text, refused with an error.
await page.addInitScript(() => {
    window.ask = async (method, path, body) => {
        const token = decodeURIComponent(document.cookie.split('; ').find((entry) => entry.startsWith('XSRF-TOKEN=')).slice(11));
        const response = await fetch(path, { method, headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token }, body });
        if (!response.ok) {
            throw new Error(`${method} ${path}: ${response.status}`);
        }
        return response.text();
    };
});
await page.goto(`${base}/#/sign-in`);
await page.getByLabel('E-mail address').fill('demo@linden-hollow.example');
await page.getByLabel('Password').fill('linden hollow');
await page.getByRole('button', { name: 'Sign in' }).click();
const address = await page.getByRole('link', { name: 'Linden Hollow', exact: true }).getAttribute('href');

/** How long a page takes until it is drawn: from nothing in the browser, a median of five. */
const opening = async (path, ready) => {
    const times = [];
    for (let round = 0; round < 5; round++) {
        await page.goto('about:blank');
        const from = performance.now();
        await page.goto(`${base}/${path}`);
        await ready.waitFor();
        await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
        times.push(performance.now() - from);
    }
    return median(times);
};
const map = page.getByLabel('Trace a route');
const table = page.getByRole('grid', { name: 'Switch table' });
const loads = [['the demo', await opening(address, map), await opening(`${address}/routes`, table)]];

/** Times edits of a plan, each beside the smallest request there is. */
const editing = (rounds, id) =>
    page.evaluate(
        async ({ rounds, id }) => {
            const { document: plan, version } = JSON.parse(await window.ask('GET', `/api/plans/${id}`));
            const list = { edit: [], session: [], bytes: 0 };
            for (let round = 0; round < rounds; round++) {
                const change = { op: 'change', kind: 'link', id: plan.links[0].id, values: { settings: { channel: 76 + (round % 6) } } };
                const edit = JSON.stringify({ version: version + round, label: 'Benchmark', operations: [change] });
                let from = performance.now();
                list.bytes = (await window.ask('POST', `/api/plans/${id}/operations`, edit)).length;
                list.edit.push(performance.now() - from);
                from = performance.now();
                await window.ask('GET', '/api/session');
                list.session.push(performance.now() - from);
            }
            return list;
        },
        { rounds, id },
    );
const ask = (...request) => page.evaluate((given) => window.ask(...given), request);

// A copy, so that the demo stays as it was.
const copy = JSON.parse(await ask('POST', `/api/plans/${address.split('/').pop()}/duplicate`));
const answers = [['the demo', await editing(40, copy.id)]];
await ask('DELETE', `/api/plans/${copy.id}`);
for (const nodes of [100, 500]) {
    const file = execFileSync('php', ['benchmarks/write-large-plan.php', String(nodes)], { maxBuffer: 64e6 }).toString();
    const { id } = JSON.parse(await ask('POST', '/api/plans/import', file));
    answers.push([`${nodes} nodes`, await editing(15, id)]);
    loads.push([`${nodes} nodes`, await opening(`#/plans/${id}`, map), await opening(`#/plans/${id}/routes`, table)]);
    await ask('DELETE', `/api/plans/${id}`);
}
await browser.close();

const scripts = readdirSync('public/build/assets').filter((name) => name.endsWith('.js'));
const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(`public/build/assets/${name}`)).length, 0);
for (const [name, times] of answers) {
    const edit = median(times.edit);
    const session = median(times.session);
    process.stdout.write(`edit of ${name} answered in ${edit.toFixed(0)} ms median, ${(edit / session).toFixed(1)}× the smallest request (${session.toFixed(0)} ms), ${(times.bytes / 1000).toFixed(0)} kB\n`);
}
for (const [name, first, routes] of loads) {
    process.stdout.write(`workspace of ${name} drawn in ${(first / 1000).toFixed(2)} s, its switch table in ${(routes / 1000).toFixed(2)} s; medians of five\n`);
}
process.stdout.write(`page script          ${(bytes / 1000).toFixed(0)} kB compressed\n`);
