// How long the running application takes: an edit's answer (median of 40 on the demo, of 15 on made-up plans of 100 and
// 500 nodes) and the first load of the demo's workspace until it can be used (median of 5).  node benchmarks/edit.mjs http://127.0.0.1:8000
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

/** Times edits of a plan that is thrown away afterwards, each beside the smallest request there is. */
const editing = async (rounds, source) =>
    page.evaluate(
        async ({ rounds, source }) => {
            const token = () => decodeURIComponent(document.cookie.split('; ').find((entry) => entry.startsWith('XSRF-TOKEN=')).slice(11));
            const ask = async (method, path, body) => {
                const response = await fetch(path, { method, headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token() }, body: typeof body === 'string' ? body : body && JSON.stringify(body) });
                return response.json();
            };
            const { id } = source.file === undefined ? await ask('POST', `/api/plans/${source.copyOf}/duplicate`) : await ask('POST', '/api/plans/import', source.file);
            const { document: plan, version } = await ask('GET', `/api/plans/${id}`);
            const list = { edit: [], session: [], bytes: 0 };
            for (let round = 0; round < rounds; round++) {
                let from = performance.now();
                const answer = await ask('POST', `/api/plans/${id}/operations`, { version: version + round, label: 'Benchmark', operations: [{ op: 'change', kind: 'link', id: plan.links[0].id, values: { settings: { channel: 76 + (round % 6) } } }] });
                list.edit.push(performance.now() - from);
                list.bytes = JSON.stringify(answer).length;
                from = performance.now();
                await ask('GET', '/api/session');
                list.session.push(performance.now() - from);
            }
            await ask('DELETE', `/api/plans/${id}`);
            return list;
        },
        { rounds, source },
    );

// A copy, so that the demo stays as it was.
const answers = [['the demo', await editing(40, { copyOf: address.split('/').pop() })]];
for (const nodes of [100, 500]) {
    const file = execFileSync('php', ['benchmarks/write-large-plan.php', String(nodes)], { maxBuffer: 64e6 }).toString();
    answers.push([`${nodes} nodes`, await editing(15, { file })]);
}
await browser.close();

const scripts = readdirSync('public/build/assets').filter((name) => name.endsWith('.js'));
const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(`public/build/assets/${name}`)).length, 0);
for (const [name, times] of answers) {
    const edit = median(times.edit);
    const session = median(times.session);
    process.stdout.write(`edit of ${name} answered in ${edit.toFixed(0)} ms median, ${(edit / session).toFixed(1)}× the smallest request (${session.toFixed(0)} ms), ${(times.bytes / 1000).toFixed(0)} kB\n`);
}
process.stdout.write(`workspace usable in  ${(median(loads) / 1000).toFixed(2)} s median of five\n`);
process.stdout.write(`page script          ${(bytes / 1000).toFixed(0)} kB compressed\n`);
