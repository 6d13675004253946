// Two browsers on one plan for a minute, each at its own places: nothing is lost, and each sees what the other did.
//   node pair.mjs STAGE [SECONDS]
import { Client, quantile, report, sleep } from './client.mjs';
import { Household, browse, openSite, placeNames, signIn, typePlace } from './household.mjs';

const [stage, seconds = '60'] = process.argv.slice(2);
const household = await Household.start(stage);
const { base } = household;
const client = new Client(base);
await client.signIn('demo@linden-hollow.example', 'linden hollow');
const plan = (await client.json('GET', '/api/plans')).plans.find((one) => one.name === 'Linden Hollow').id;
const { version: first } = await client.plan(plan);
const pair = await Promise.all(
    ['ann', 'bob'].map(async (who) => {
        const { context, page } = await browse(`${stage}/profile-${who}`, base);
        await signIn(page, base, 'demo@linden-hollow.example', 'linden hollow');
        await openSite(page, base, plan);
        return { who, context, page };
    }),
);
const until = performance.now() + Number(seconds) * 1000;
const seen = [];
let unseen = 0;
const work = async ({ who, page }, at, partner) => {
    let edits = 0;
    while (performance.now() < until) {
        // Its own places: 0, 2, 4 for one and 1, 3, 5 for the other.
        const place = at + 2 * (edits % 3);
        const name = `${who} ${edits++}`;
        await typePlace(page, place, name);
        const typed = performance.now();
        const came = await partner
            .waitForFunction((text) => [...document.querySelectorAll('input')].some((field) => field.value === text), name, { timeout: 10_000, polling: 50 })
            .then(() => true, () => false);
        unseen += came ? 0 : 1;
        seen.push(performance.now() - typed);
        await sleep(200 + Math.random() * 400);
    }
    return edits;
};
const edits = await Promise.all([work(pair[0], 0, pair[1].page), work(pair[1], 1, pair[0].page)]);
await sleep(3_000);
const { version, places } = await client.plan(plan);
const [hers, his] = await Promise.all(pair.map(({ page }) => placeNames(page)));
const lost = edits[0] + edits[1] - (version - first);
const alike = JSON.stringify(hers) === JSON.stringify(his) && JSON.stringify([...hers].sort()) === JSON.stringify(places.map((one) => one.name).sort());
report(
    `two browsers on one plan for ${seconds} s`,
    `${edits[0]} and ${edits[1]} edits, ${lost} lost, ${unseen} never seen by the other; seen after ${quantile(seen, 0.5).toFixed(0)} ms, at worst ${Math.max(...seen).toFixed(0)}; both show ${alike ? 'the same' : 'different things'}`,
    lost === 0 && unseen === 0 && alike,
);
await Promise.all(pair.map(({ context }) => context.close()));
client.close();
await household.stop();
