// How long the running application takes, on made-up plans in three shapes: the answer to each edit, with the switch table
// open and with that link's panel open, and the first load of the workspace.
//   node benchmarks/edit.mjs http://127.0.0.1:8000 [50,100,200,500] [islands,house,hub]
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { gzipSync } from 'node:zlib';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';

const base = process.argv[2] ?? 'http://127.0.0.1:8000';
const sizes = (process.argv[3] ?? '50,100,200,500').split(',').map(Number);
const shapes = (process.argv[4] ?? 'islands,house,hub').split(',');
const ROUNDS = 9;
const WARM = 4;
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-dev-shm-usage',
    ],
});
const page = await browser.newPage();
// A request as the page itself makes them: answered with its text, refused with an error.
await page.addInitScript(() => {
    window.ask = async (method, path, body) => {
        const token = decodeURIComponent(
            document.cookie
                .split('; ')
                .find((entry) => entry.startsWith('XSRF-TOKEN='))
                .slice(11),
        );
        const response = await fetch(path, {
            method,
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
            body,
        });
        if (!response.ok) {
            throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
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

/** Times one edit, taken back after each round: a median, beside the smallest request there is and the answer's length. */
const editing = (id, operations, views) =>
    page.evaluate(
        async ({ rounds, warm, id, operations, views }) => {
            const list = { edit: [], session: [], bytes: 0 };
            let { version } = JSON.parse(await window.ask('GET', `/api/plans/${id}`));
            // Each of the server's workers compiles what it has not done yet, the first time that it does it.
            for (let round = -warm; round < rounds; round++) {
                if (round === 0) {
                    list.edit = [];
                    list.session = [];
                }
                const edit = JSON.stringify({ version, label: 'Benchmark', operations, views });
                let from = performance.now();
                const answer = await window.ask('POST', `/api/plans/${id}/operations`, edit);
                list.edit.push(performance.now() - from);
                list.bytes = answer.length;
                from = performance.now();
                await window.ask('GET', '/api/session');
                list.session.push(performance.now() - from);
                version = JSON.parse(
                    await window.ask('POST', `/api/plans/${id}/undo`, JSON.stringify({ views: {} })),
                ).version;
            }
            return list;
        },
        { rounds: ROUNDS, warm: WARM, id, operations, views },
    );
const ask = (...request) => page.evaluate((given) => window.ask(...given), request);
const file = `${tmpdir()}/rundfunk-benchmark.json`;
const rows = new Map();
const note = (name, size, figure) => rows.set(name, { ...rows.get(name), [size]: figure });
for (const shape of shapes) {
    for (const size of sizes) {
        const plan = execFileSync('php', ['benchmarks/write-large-plan.php', String(size), shape], { maxBuffer: 64e6 });
        writeFileSync(file, plan);
        const edits = JSON.parse(
            execFileSync('php', ['benchmarks/write-edits.php', file], { maxBuffer: 64e6 }).toString(),
        );
        const { id } = JSON.parse(await ask('POST', '/api/plans/import', plan.toString()));
        for (const [screen, views] of Object.entries(edits.screens)) {
            for (const [name, operations] of Object.entries(
                screen === 'Routes open' ? { ...edits.leaf, ...edits.broad } : edits.leaf,
            )) {
                // The plan has an id of its own here, if it was imported before.
                const here = operations.map((one) => (one.kind === 'plan' ? { ...one, id } : one));
                const times = await editing(id, here, views);
                note(`${shape}, ${screen}: ${name}`, size, {
                    ms: median(times.edit),
                    session: median(times.session),
                    kB: times.bytes / 1000,
                });
            }
        }
        note(`${shape}: first load`, size, { ms: await opening(`#/plans/${id}`, map) });
        note(`${shape}: its switch table`, size, { ms: await opening(`#/plans/${id}/routes`, table) });
        const first = await ask('GET', `/api/plans/${id}`);
        note(`${shape}: first look`, size, {
            kB: (first.length + (await ask('GET', `/api/plans/${id}/views/line-map`)).length) / 1000,
        });
        await ask('DELETE', `/api/plans/${id}`);
    }
}
await browser.close();

const scripts = readdirSync('public/build/assets').filter((name) => name.endsWith('.js'));
const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(`public/build/assets/${name}`)).length, 0);
const [least, most] = [sizes[0], sizes.at(-1)];
process.stdout.write(
    `${''.padEnd(44)}${sizes.map((size) => String(size).padStart(9)).join('')}   exponent   answer at ${most}\n`,
);
for (const [name, row] of rows) {
    const figures = sizes.map((size) =>
        row[size].ms === undefined ? `${row[size].kB.toFixed(0)} kB` : `${row[size].ms.toFixed(0)} ms`,
    );
    const of = (size) => row[size].ms ?? row[size].kB;
    const exponent = Math.log(of(most) / of(least)) / Math.log(most / least);
    const times =
        row[most].session === undefined
            ? ''
            : `${row[most].kB.toFixed(0)} kB, ${(row[most].ms / row[most].session).toFixed(1)}× the smallest request`;
    process.stdout.write(
        `${name.padEnd(44)}${figures.map((one) => one.padStart(9)).join('')}   ${Number.isFinite(exponent) ? exponent.toFixed(2).padStart(8) : ''}   ${times}\n`,
    );
}
process.stdout.write(`page script          ${(bytes / 1000).toFixed(0)} kB compressed\n`);
