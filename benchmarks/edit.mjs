// How long the running application takes, on the demo: an edit's answer (median of 40) and the first load of the
// workspace until it can be used (median of 5).  node benchmarks/edit.mjs http://127.0.0.1:8000
import { chromium } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { readFileSync, readdirSync } from 'node:fs';

const base = process.argv[2] ?? 'http://127.0.0.1:8000';
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage'],
});
const page = await browser.newPage();
await page.goto(`${base}/#/sign-in`);
await page.getByLabel('E-mail address').fill('demo@linden-hollow.example');
await page.getByLabel('Password').fill('linden hollow');
await page.getByRole('button', { name: 'Sign in' }).click();
const address = await page.getByRole('link', { name: 'Linden Hollow', exact: true }).getAttribute('href');

const loads = [];
for (let round = 0; round < 5; round++) {
    await page.goto('about:blank');
    const from = performance.now();
    await page.goto(`${base}/${address}`);
    await page.getByLabel('Trace a route').waitFor();
    loads.push(performance.now() - from);
}

// A copy, so that the demo stays as it was.
const times = await page.evaluate(async (planId) => {
    const token = () => decodeURIComponent(document.cookie.split('; ').find((entry) => entry.startsWith('XSRF-TOKEN=')).slice(11));
    const ask = async (method, path, body) => {
        const response = await fetch(path, { method, headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token() }, body: body && JSON.stringify(body) });
        return response.json();
    };
    const { id } = await ask('POST', `/api/plans/${planId}/duplicate`);
    const { document: plan } = await ask('GET', `/api/plans/${id}`);
    const list = { edit: [], session: [] };
    for (let round = 0; round < 40; round++) {
        let from = performance.now();
        await ask('POST', `/api/plans/${id}/operations`, { version: round + 1, label: 'Benchmark', operations: [{ op: 'change', kind: 'link', id: plan.links[0].id, values: { settings: { channel: 76 + (round % 6) } } }] });
        list.edit.push(performance.now() - from);
        from = performance.now();
        await ask('GET', '/api/session');
        list.session.push(performance.now() - from);
    }
    await ask('DELETE', `/api/plans/${id}`);
    return list;
}, address.split('/').pop());
await browser.close();

const scripts = readdirSync('public/build/assets').filter((name) => name.endsWith('.js'));
const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(`public/build/assets/${name}`)).length, 0);
const edit = median(times.edit);
const session = median(times.session);
process.stdout.write(`edit answered in     ${edit.toFixed(0)} ms median, ${(edit / session).toFixed(1)}× the smallest request (${session.toFixed(0)} ms)\n`);
process.stdout.write(`workspace usable in  ${(median(loads) / 1000).toFixed(2)} s median of five\n`);
process.stdout.write(`page script          ${(bytes / 1000).toFixed(0)} kB compressed\n`);
