// Kills the database, the web server, ./run and the browser in the middle of edits, hard, and asks each time what became of
// them.   node kills.mjs STAGE [HOW_MANY]
import { spawnSync } from 'node:child_process';
import { Client, rename, report, sleep, ulid } from './client.mjs';
import { Household, browse, openSite, placeNames, signIn, typePlace } from './household.mjs';

const [stage, many = '200'] = process.argv.slice(2);
const household = await Household.start(stage);
const { base } = household;
const client = new Client(base);
await client.signIn('demo@linden-hollow.example', 'linden hollow');
const plans = (await client.json('GET', '/api/plans')).plans;
const own = plans.find((one) => one.name === 'Faulty on purpose').id;
const shown = plans.find((one) => one.name === 'Linden Hollow').id;

// Over the interface: each edit changes two things, and is sent until it is answered.
const first = await client.plan(own);
const [one, other] = first.nodes.map((node) => node.id);
let held = first.version;
let current = first.nodes[0].note;
let half = 0;
const kept = [];
let typing = true;
const typist = (async () => {
    const tab = ulid();
    while (typing) {
        const token = ulid();
        const answer = await client.edit(own, held, [rename(one, { note: token }), rename(other, { note: token })], { client: tab, label: token });
        if (answer.changes === undefined) {
            throw new Error(`Refused: ${answer.text}`);
        }
        held = answer.changes.version;
        current = token;
        kept.push(answer.changes.kept);
        await sleep(5);
    }
})();
const kills = { database: 0, server: 0, run: 0, browser: 0 };
const byInterface = Number(process.env.BY_INTERFACE ?? Math.round(Number(many) * 0.75));
for (let kill = 0; kill < byInterface; kill++) {
    await sleep(100 + Math.random() * 400);
    const what = kill % 25 === 24 ? 'run' : kill % 2 === 0 ? 'database' : 'server';
    household.kill(what);
    kills[what]++;
    if (what === 'run') {
        await sleep(300);
        await household.run();
    }
    await household.healthy();
    const looker = new Client(base);
    looker.cookies = client.cookies;
    const seen = await looker.plan(own).catch(() => null);
    looker.close();
    const notes = seen?.nodes.filter((node) => [one, other].includes(node.id)).map((node) => node.note);
    half += notes !== undefined && notes[0] !== notes[1] ? 1 : 0;
}
typing = false;
await typist;
const last = await client.plan(own);
const lost = kept.length - new Set(kept).size + Math.abs(last.version - first.version - kept.length) + (last.nodes.find((node) => node.id === one).note === current ? 0 : 1);

// In the browser: what was entered is there when all of it is back, and nothing was called saved that was not.
const profile = `${stage}/profile`;
let { context, page } = await browse(profile, base);
await signIn(page, base, 'demo@linden-hollow.example', 'linden hollow');
await openSite(page, base, shown);
let gone = 0;
const run = Date.now() % 100_000;
let wrongly = 0;
let version = (await client.plan(shown)).version;
const names = await placeNames(page);
for (let kill = 0; kill < Number(many) - byInterface; kill++) {
    const at = kill % names.length;
    names[at] = `Place ${run}-${kill}`;
    const away = kill % 3 === 1;
    if (away) {
        household.kill('server');
        kills.server++;
    }
    await typePlace(page, at, names[at]);
    version++;
    // What a person sees is in the browser's own store some milliseconds after the key.
    await sleep(60 + Math.random() * 300);
    const said = await page.getByText(`saved · version ${version}`, { exact: true }).isVisible();
    spawnSync('pkill', ['-9', '-f', `user-data-dir=${profile}`]);
    kills.browser++;
    await household.healthy();
    wrongly += said && (await client.plan(shown)).version < version ? 1 : 0;
    await context.close().catch(() => null);
    ({ context, page } = await browse(profile, base));
    await openSite(page, base, shown);
    const whole = await page.getByText(`saved · version ${version}`, { exact: true }).waitFor({ timeout: 60_000 }).then(() => true, () => false);
    const now = (await client.plan(shown)).places.map((place) => place.name);
    if (!whole || !now.includes(names[at])) {
        gone++;
        console.error(`after kill ${kill}: ${names[at]} is ${now.includes(names[at]) ? 'there, but not called saved' : 'gone'}; the page says "${await page.getByRole('status').first().textContent()}" of version ${version}, with${away ? 'out' : ''} the server`);
        version = (await client.plan(shown)).version;
    }
}
await context.close();
report(
    `${Object.values(kills).reduce((sum, one) => sum + one, 0)} kills in mid-edit (${Object.entries(kills).map(([what, count]) => `${count} of ${what}`).join(', ')})`,
    `${kept.length} edits over the interface, ${lost} lost or twice, ${half} half; ${kills.browser} in the browser, ${gone} lost, ${wrongly} told wrongly`,
    lost + half + gone + wrongly === 0,
);
client.close();
await household.stop();
