// Fifty members of one plan, each with an edit every two seconds and a question every two what others did, for a minute; then
// ever more often, until one answer in a hundred takes longer than a second.
//   node members.mjs BASE MEMBERS   accounts member-1@… with the password "a long password", editors of the demo
import { Client, quantile, rename, report, sleep, ulid } from './client.mjs';

const [base, count = '50', seconds = '60'] = process.argv.slice(2);
const members = await Promise.all(
    Array.from({ length: Number(count) }, async (_, at) => {
        await sleep(at * 300);
        const client = new Client(base, `127.0.1.${at + 1}`);
        await client.signIn(`member-${at + 1}@linden-hollow.example`, 'a long password');
        return { client, tab: ulid(), held: 0, kept: [] };
    }),
);
const [{ id: planId }] = (await members[0].client.json('GET', '/api/plans')).plans.filter((one) => one.name === 'Linden Hollow');
const nodes = (await members[0].client.plan(planId)).nodes.map((node) => node.id);
let round = 0;

async function work(member, at, every, until) {
    await sleep(Math.random() * every);
    const times = [];
    while (performance.now() < until) {
        const began = performance.now();
        const asked = await member.client.ask('GET', `/api/plans/${planId}/changes?since=${member.held}`);
        member.held = asked.status === 200 ? JSON.parse(asked.text).version : member.held;
        // Two members share a node, and write into different fields of it; so each finds others' edits under way.
        const note = `${at}-${round++}`;
        const field = at % 2 === 0 ? 'note' : 'name';
        const answer = await member.client.edit(planId, member.held, [rename(nodes[at % nodes.length], { [field]: note })], { client: member.tab });
        times.push(answer.ms);
        if (answer.changes !== undefined) {
            member.held = answer.changes.version;
            member.kept.push({ version: answer.changes.kept, note });
        }
        await sleep(Math.max(0, every - (performance.now() - began)));
    }
    return times;
}

async function spell(every, length) {
    const until = performance.now() + length * 1000;
    const times = (await Promise.all(members.map((member, at) => work(member, at, every, until)))).flat();
    return { times, rate: times.length / length };
}

const { times, rate } = await spell(2_000, Number(seconds));
// Each edit that was said to be kept is in the history, once, and as what it was said to be.
const kept = members.flatMap((member) => member.kept.map((one) => one.version));
const last = (await members[0].client.plan(planId)).version;
const lost = kept.length - new Set(kept).size + (last === kept.length + 1 ? 0 : Math.abs(last - kept.length - 1));
report(
    `${count} members, one edit every 2 s each (${rate.toFixed(1)}/s)`,
    `median ${quantile(times, 0.5).toFixed(0)}, p99 ${quantile(times, 0.99).toFixed(0)} ms; ${kept.length} edits, ${lost} lost or twice`,
    quantile(times, 0.99) <= 1_000 && lost === 0,
);
let ceiling = rate;
for (const every of [1_400, 1_000, 700, 500, 350]) {
    const faster = await spell(every, 15);
    if (quantile(faster.times, 0.99) > 1_000) {
        break;
    }
    ceiling = faster.rate;
}
report('the most edits a second at which p99 stays below 1 s', `${ceiling.toFixed(0)}`, true);
members.forEach((member) => member.client.close());
