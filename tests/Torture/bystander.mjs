// Somebody reads and edits a small plan while a hostile account does its worst from another address.
//   node bystander.mjs BASE LARGE_PLAN_FILE
import { readFileSync } from 'node:fs';
import { Client, quantile, rename, report, sleep, ulid } from './client.mjs';

const [base, large] = process.argv.slice(2);
const victim = new Client(base, '127.0.2.1');
await victim.signIn('member-1@linden-hollow.example', 'a long password');
const [{ id }] = (await victim.json('GET', '/api/plans')).plans.filter((one) => one.name === 'Linden Hollow');
const plan = await victim.plan(id);
const hostile = new Client(base, '127.0.3.1');
await hostile.signIn('hostile@linden-hollow.example', 'a long password');
const file = readFileSync(large, 'utf8');
let imported = await hostile.ask('POST', '/api/plans/import', file, { raw: true });
const own = JSON.parse(imported.text).id;
const { version, nodes } = await hostile.plan(own);
const remote = nodes[0].id;

async function measure(length) {
    const times = { look: [], edit: [] };
    let held = (await victim.plan(id)).version;
    const failed = [];
    for (const until = performance.now() + length; performance.now() < until; await sleep(150)) {
        const looked = await victim.ask('GET', `/api/plans/${id}`);
        times.look.push(looked.ms);
        const began = performance.now();
        const edited = await victim.edit(id, held, [rename(plan.nodes[0].id, { note: ulid() })]);
        times.edit.push(performance.now() - began);
        held = edited.changes?.version ?? (await victim.plan(id)).version;
        if (looked.status !== 200 || edited.changes === undefined) {
            failed.push(looked.status);
        }
    }
    return { ...times, failed };
}

let stopped = false;
const forever = async (work, pause = 0) => {
    while (!stopped) {
        await work().catch(() => null);
        await sleep(pause);
    }
};
const capture = '+1 -99999\n'.repeat(199_000);
const drop = async (request, text) => {
    // A letter every half second, and never the end of it.
    for (let at = 0; !stopped && at < text.length; at++) {
        request.write(text[at]);
        await sleep(500);
    }
    request.destroy();
};
const worst = {
    nothing: [],
    'imports, captures and assignments of everything': [
        ...Array.from({ length: 4 }, () => () => hostile.ask('POST', '/api/plans/import', file, { raw: true })),
        ...Array.from({ length: 4 }, () => () => hostile.ask('POST', `/api/plans/${own}/nodes/${remote}/learn`, { medium: 'infrared', text: capture })),
        ...Array.from({ length: 4 }, () => () => hostile.ask('GET', `/api/plans/${own}/assignment`)),
    ],
    'edits of its largest plan': Array.from({ length: 12 }, (_, at) => () => hostile.edit(own, version, [rename(nodes[at].id, { name: ulid() })], { patience: 5_000 })),
    'everything a page can ask of its largest plan': [
        ...Array.from({ length: 8 }, () => () => hostile.ask('GET', `/api/plans/${own}`)),
        ...Array.from({ length: 8 }, () => () => hostile.ask('GET', `/api/plans/${own}/views/all-off?of=`)),
    ],
    'two hundred slow uploads': Array.from({ length: 200 }, () => () => hostile.ask('POST', '/api/plans/import', file.slice(0, 5_000), { raw: true, slowly: drop, headers: { 'Content-Length': 5_000 } })),
    'guesses at passwords': Array.from({ length: 12 }, () => () => hostile.ask('POST', '/api/session', { email: 'member-1@linden-hollow.example', password: ulid() })),
};
const only = process.argv[4];
for (const [what, works] of Object.entries(worst).filter(([what]) => only === undefined || what.startsWith(only))) {
    stopped = false;
    const running = works.map((work) => forever(work, what.startsWith('two') ? 1_000 : 0));
    await sleep(500);
    const { look, edit, failed } = await measure(12_000);
    stopped = true;
    await Promise.race([Promise.all(running), sleep(8_000)]);
    const all = [...look, ...edit];
    report(
        `a bystander while there is ${what}`,
        `look ${quantile(look, 0.5).toFixed(0)}, edit ${quantile(edit, 0.5).toFixed(0)}, p99 ${quantile(all, 0.99).toFixed(0)}, worst ${Math.max(...all).toFixed(0)} ms of ${all.length}; ${failed.length} refused`,
        quantile(all, 0.99) <= 300 && failed.length === 0,
    );
    // The minute's budget begins anew.
    await sleep(works.length === 0 ? 0 : 20_000);
}
process.exit();
