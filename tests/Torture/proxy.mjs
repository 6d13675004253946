// Two hundred edits, undos and redos in a browser whose every second answer is lost and every third request never arrives,
// with reloads between: each is in the plan exactly once.   node proxy.mjs STAGE [HOW_MANY]
import http from 'node:http';
import { Client, report } from './client.mjs';
import { Household, browse, freePort, openSite, placeNames, signIn, typePlace } from './household.mjs';

const [stage, many = '200'] = process.argv.slice(2);
const household = await Household.start(stage);
const port = await freePort();
let requests = 0;
let answers = 0;
const dropped = { request: 0, answer: 0 };
const proxy = http
    .createServer((asked, answer) => {
        const counts = /\/(operations|undo|redo)$/.test(asked.url) && asked.method === 'POST';
        if (counts && ++requests % 3 === 0) {
            dropped.request++;
            asked.socket.destroy();
            return;
        }
        // It answers to its own name: both say so, where the browser says anything.
        const headers = { ...asked.headers, host: `127.0.0.1:${household.port}`, ...(asked.headers.origin === undefined ? {} : { origin: household.base }) };
        const onward = http.request({ port: household.port, host: '127.0.0.1', path: asked.url, method: asked.method, headers }, (came) => {
            if (counts && ++answers % 2 === 0) {
                dropped.answer++;
                came.resume();
                came.on('end', () => asked.socket.destroy());
                return;
            }
            answer.writeHead(came.statusCode, came.headers);
            came.pipe(answer);
        });
        onward.on('error', () => asked.socket.destroy());
        asked.pipe(onward);
    })
    .listen(port, '127.0.0.1');

const base = `http://127.0.0.1:${port}`;
const client = new Client(household.base);
await client.signIn('demo@linden-hollow.example', 'linden hollow');
const plan = (await client.json('GET', '/api/plans')).plans.find((one) => one.name === 'Linden Hollow').id;
const { version: first } = await client.plan(plan);
const { context, page } = await browse(`${stage}/profile-proxy`, base);
await signIn(page, base, 'demo@linden-hollow.example', 'linden hollow');
await openSite(page, base, plan);
const names = await placeNames(page);
// No name that was there before: entered again, it would be no edit.
const run = Date.now() % 100_000;
const done = [];
let version = first;
let wrong = 0;
for (let edit = 0; edit < Number(many); edit++) {
    const kind = edit % 5 === 3 ? 'undo' : edit % 5 === 4 ? 'redo' : 'edit';
    if (kind === 'edit') {
        const at = edit % names.length;
        done.push({ at, before: names[at], after: `Plot ${run}-${edit}` });
        names[at] = `Plot ${run}-${edit}`;
        await typePlace(page, at, names[at]);
    } else {
        const last = done.at(-1);
        names[last.at] = kind === 'undo' ? last.before : last.after;
        await page.getByRole('button', { name: kind === 'undo' ? 'Undo' : 'Redo', exact: true }).click();
    }
    version++;
    if (edit % 7 === 6) {
        // In the middle of it, some of the time.
        await page.waitForTimeout(edit % 2 === 0 ? 80 : 0);
        await page.reload();
        await page.getByLabel('Name of the site').waitFor();
    }
    const saved = await page.getByText(`saved · version ${version}`, { exact: true }).waitFor({ timeout: 60_000 }).then(() => true, () => false);
    const there = (await client.plan(plan)).places.map((place) => place.name).sort();
    if (!saved || JSON.stringify(there) !== JSON.stringify([...names].sort())) {
        wrong++;
        console.error(edit, kind, saved, version, there, names);
        version = (await client.plan(plan)).version;
        names.splice(0, names.length, ...(await placeNames(page)));
    }
}
const { edits } = await client.json('GET', `/api/plans/${plan}/history`);
const labels = edits.filter((one) => one.version > first).length;
report(
    `${many} edits, undos and redos with every third request and every second answer lost`,
    `${dropped.request} requests and ${dropped.answer} answers lost; ${version - first} versions, ${labels} rows of history, ${wrong} not exactly once`,
    wrong === 0 && version - first === Number(many) && labels === done.length,
);
await context.close();
proxy.close();
client.close();
await household.stop();
process.exit();
