// Hostile requests, made from the description of the interface: every address, every place in every body, wrong in kind, size,
// letters and number; bodies cut short, and none; things of other plans.   node hostile.mjs BASE [HOW_MANY]
import { readFileSync } from 'node:fs';
import { Client, quantile, report, sleep } from './client.mjs';

const [base, many = '20000', seed = '1'] = process.argv.slice(2);
const description = JSON.parse(readFileSync(new URL('../../docs/openapi.json', import.meta.url), 'utf8'));
let state = Number(seed);
const random = () => {
    // Mulberry32: the same requests for the same seed.
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};
const pick = (list) => list[Math.floor(random() * list.length)];

/** JSON as text, so that it may hold what no value can. */
const HOSTILE = [
    'null', 'true', '-1', '0', '1e999', '-0', '1.5', '99999999999999999999999', '9007199254740993', '1e-400', '""', '" "', '"\\u0000"', '"\\ud800"', '"\\ufeff"',
    '"\\u202e"', '"a\\r\\nSet-Cookie: x=y"', '"../../../etc/passwd"', '"\' or 1=1 -- "', '"=cmd()"', '"<script>alert(1)</script>"', '"*/ #error \\\\"', '"__proto__"',
    '"constructor"', '"%00"', '"{{7*7}}"', '"01ARZ3NDEKTSV4RRFFQ69G5FAV"', '[]', '{}', '[[]]', '[null]', '{"":""}', '{"0":0}', '{"__proto__":{}}', `"${'a'.repeat(70_000)}"`,
    `${'['.repeat(600)}${']'.repeat(600)}`, `[${'0,'.repeat(5_000)}0]`, `{${Array.from({ length: 2_000 }, (_, at) => `"k${at}":1`).join(',')}}`, '"٣"', '"ｆｕｌｌ"', '"\\u0007"', 'false',
];
const PATHS = ['x', '', '%00', '..%2f..%2fetc%2fpasswd', '%ff%fe', '01ARZ3NDEKTSV4RRFFQ69G5FAV', "'or'1", 'a'.repeat(3_000), '%F0%9F%92%A9', '0', '-1', '*', '%0d%0aX: y', '{plan}'];
const QUERIES = ['', '?', '?of=', '?of[]=1', '?of[a][b]=c', '?since=-1', '?since=1e9', '?since[]=2', '?since=abc', `?of=${'x,'.repeat(60)}`, '?views=[', '?views={"a":1}', '?views={"line-map":[[1]]}', '?views[]=1', '?route[]=x', `?${'a=b&'.repeat(1_500)}`, '?%00=%00', '?of=%ff%fe'];

const client = new Client(base, '127.0.4.1');
const signIn = () => client.signIn('hostile@linden-hollow.example', 'a long password');
await signIn();
const imported = await client.json('POST', '/api/plans/import', JSON.parse(readFileSync(new URL('../../docs/examples/linden-hollow.json', import.meta.url), 'utf8')));
let plan = await client.plan(imported.id);
const LISTS = ['places', 'nodes', 'modules', 'pinUses', 'links', 'endpoints', 'addresses', 'controls', 'outputs', 'routes', 'hops', 'keyCodes', 'acceptances'];
const kindOf = (list) => ({ pinUses: 'pinUse', addresses: 'address' })[list] ?? list.replace(/s$/, '');

/** A body that is right, or nearly: what hostile values are then put into. */
function bodyOf(operationId) {
    const list = pick(LISTS.filter((one) => (plan[one] ?? []).length > 0));
    const thing = pick(plan[list]);
    const { id, ...values } = thing;
    const some = Object.fromEntries(Object.entries(values).filter(() => random() < 0.4));
    const bodies = {
        edit: () => ({
            version: plan.version, label: 'x', views: random() < 0.5 ? {} : { 'line-map': ['640'] }, exact: false, id: '01ARZ3NDEKTSV4RRFFQ69G5FAV', client: '01ARZ3NDEKTSV4RRFFQ69G5FAV', held: plan.version,
            operations: [
                pick([
                    { op: 'change', kind: kindOf(list), id, values: Object.keys(some).length > 0 ? some : { order: 1 } },
                    { op: 'add', kind: kindOf(list), id: '01ARZ3NDEKTSV4RRFFQ69G5FAW', values },
                    { op: 'remove', kind: kindOf(list), id, values: {} },
                    { op: 'change', kind: 'plan', id: plan.plan.id, values: { name: 'x', region: 'eu', busyWifi: [1], note: '' } },
                ]),
            ],
        }),
        undo: () => ({ views: {}, id: '01ARZ3NDEKTSV4RRFFQ69G5FAV', held: plan.version, of: 1 }),
        redo: () => ({ views: {}, held: plan.version, of: null }),
        learn: () => ({ medium: pick(['infrared', 'keyed-radio', 'ip']), text: pick(['+9000 -4500 +560 -560', 'A: 0x04', '[[protocols]]\nname = "x"\nprotocol = "nec"\n[protocols.scancodes]\n0x1 = "KEY_A"', '0xFF30CF', '', '9000,4500,560'].concat(HOSTILE)) }),
        layOutSet: () => ({ medium: 'infrared', values: { functions: 2, codes: 2 } }),
        calculate: () => ({ inputs: Object.fromEntries((pick(calculators).inputs ?? []).map((input) => [input.key ?? input.name, pick(['1', '433.92', 'x', '1e99', '-5', ''])])) }),
        importPlan: () => JSON.parse(JSON.stringify({ format: 1, plan: plan.plan, ...Object.fromEntries(LISTS.map((one) => [one, (plan[one] ?? []).slice(0, 4)])) })),
        createPlan: () => ({ name: 'x', region: 'eu' }),
        signIn: () => ({ email: 'nobody@linden-hollow.example', password: 'x' }),
        register: () => ({ name: 'x', email: 'not an address', password: 'x' }),
        changePassword: () => ({ current: 'wrong', password: 'x' }),
        deleteAccount: () => ({ current: 'wrong' }),
    };
    return bodies[operationId]?.() ?? {};
}
const { calculators } = await client.json('GET', '/api/calculators');

/** Every place of a value: where something hostile may stand. */
function places(value, at = []) {
    const inner = value !== null && typeof value === 'object' ? Object.entries(value).flatMap(([key, one]) => places(one, [...at, key])) : [];
    return [at, ...inner];
}

/** The value as JSON, with something hostile at a place. */
function spoiled(value, [key, ...rest], hostile) {
    if (key === undefined) {
        return hostile;
    }
    const parts = Object.entries(value).map(([name, one]) => {
        const text = name === key ? spoiled(one, rest, hostile) : JSON.stringify(one);
        return Array.isArray(value) ? text : `${JSON.stringify(name)}:${text}`;
    });
    return Array.isArray(value) ? `[${parts.join(',')}]` : `{${parts.join(',')}}`;
}

const operations = Object.entries(description.paths).flatMap(([path, methods]) => Object.entries(methods).map(([method, one]) => ({ path, method: method.toUpperCase(), id: one.operationId, body: one.requestBody !== undefined })));
/** Those that would end what is being done here. */
const ENDING = ['signOut', 'endSessions', 'deletePlan'];

function next(at) {
    // Each address in turn, those with bodies five times as often; but a password takes a third of a second to check.
    const often = (one) => one.body && !['changePassword', 'deleteAccount', 'signIn', 'register'].includes(one.id);
    const weighted = operations.flatMap((one) => Array(often(one) ? 5 : 1).fill(one)).filter((one) => !ENDING.includes(one.id));
    const operation = weighted[at % weighted.length];
    if (operation.id === 'accountFile' && random() < 0.95) {
        // An archive of two hundred plans takes a second or two, and is always the same.
        return next(at + 1);
    }
    const node = pick(plan.nodes);
    const known = { plan: imported.id, node: node.id, artefact: 'ir-keymap', view: pick(['line-map', 'route-way', 'output-masters', 'all-off', 'end-topics', 'link-panel']), name: pick(calculators).name ?? 'x', session: 'x' };
    const path = operation.path.replace(/\{(\w+)\}/g, (_, name) => (random() < 0.12 ? pick(PATHS) : known[name]));
    const query = random() < 0.2 ? pick(QUERIES) : operation.id === 'view' ? `?of=${pick([...plan.nodes, ...plan.links, ...plan.routes]).id}` : operation.id === 'changes' ? '?since=1' : '';
    let body;
    if (operation.body) {
        const right = bodyOf(operation.id);
        body = spoiled(right, pick(places(right)), pick(HOSTILE));
        const kind = random();
        body = kind < 0.05 ? body.slice(0, Math.floor(random() * body.length)) : kind < 0.07 ? '' : kind < 0.09 ? '\xff\xfe' : body;
    }
    const headers = random() < 0.04 ? { 'Content-Type': pick(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', 'application/json; charset=utf-16']) } : {};
    const method = random() < 0.02 ? pick(['PUT', 'PATCH', 'OPTIONS', 'DELETE', 'POST']) : operation.method;
    return ENDING.some((id) => operations.find((one) => one.id === id && one.path === operation.path && one.method === method)) ? next(at + 1) : { method, path: path + query, body, headers, id: operation.id };
}

const statuses = {};
const times = [];
/** ms that each address took together. */
const spent = {};
const bad = [];
let at = 0;
async function worker() {
    while (at < Number(many)) {
        const asked = next(at++);
        const ask = () => client.ask(asked.method, asked.path, asked.body, { raw: true, headers: asked.headers, timeout: 30_000 });
        let { status, ms, headers } = await ask();
        for (let turn = 0; turn < 20 && headers['x-turn'] !== undefined; turn++) {
            await sleep(30);
            ({ status, ms, headers } = await ask());
        }
        statuses[status] = (statuses[status] ?? 0) + 1;
        times.push(ms);
        spent[asked.id] = (spent[asked.id] ?? 0) + ms;
        if (status >= 500 && status !== 503) {
            bad.push({ status, ...asked });
        } else if (status === 0 || ms > 2_000) {
            bad.push({ status, ms, ...asked });
        }
        if (at % 500 === 0) {
            const session = JSON.parse((await client.ask('GET', '/api/session')).text || '{}');
            if (session.user === null) {
                await signIn();
            }
            plan = await client.plan(imported.id).catch(() => plan);
        }
    }
}
await Promise.all(Array.from({ length: 4 }, worker));
for (const one of bad.slice(0, 20)) {
    console.error(JSON.stringify(one).slice(0, 600));
}
const dearest = Object.entries(spent).sort(([, one], [, other]) => other - one).slice(0, 5);
console.error(`most of the time: ${dearest.map(([id, ms]) => `${id} ${(ms / 1000).toFixed(0)} s`).join(', ')}`);
report(
    `${at} hostile requests over ${operations.length - ENDING.length} addresses`,
    `${bad.length} of them 500, unanswered or over 2 s; median ${quantile(times, 0.5).toFixed(0)}, worst ${Math.max(...times).toFixed(0)} ms; ${JSON.stringify(statuses)}`,
    bad.length === 0,
);
client.close();
