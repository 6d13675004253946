// ./run as somebody would run it, in a copy of the project that goes with it.
import { execSync, spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import net from 'node:net';
import { chromium } from '@playwright/test';
import { Client, sleep } from './client.mjs';

const root = new URL('../..', import.meta.url).pathname;

export async function freePort() {
    const server = net.createServer().listen(0, '127.0.0.1');
    await new Promise((ready) => server.once('listening', ready));
    const { port } = server.address();
    await new Promise((closed) => server.close(closed));
    return port;
}

export class Household {
    static async start(stage) {
        const folder = `${stage}/household`;
        if (!existsSync(folder)) {
            const apart = ['var', 'vendor', 'node_modules', '.git'].map((name) => `--exclude=./${name}`).join(' ');
            execSync(`mkdir ${folder} && tar -C ${root} ${apart} -cf - . | tar -C ${folder} -xf - && ln -s ${root}/vendor ${root}/node_modules ${folder}/`);
        }
        const household = new Household(folder, await freePort());
        await household.run();
        return household;
    }

    constructor(folder, port) {
        this.folder = folder;
        this.port = port;
        this.base = `http://127.0.0.1:${port}`;
    }

    async run() {
        this.process = spawn('./run', ['--port', String(this.port)], { cwd: this.folder, stdio: 'ignore', detached: true });
        process.once('exit', () => this.process.kill('SIGTERM'));
        await this.healthy(120_000);
    }

    async healthy(patience = 60_000) {
        const client = new Client(this.base);
        for (const until = performance.now() + patience; performance.now() < until; await sleep(100)) {
            if ((await client.ask('GET', '/api/session', undefined, { timeout: 5_000 })).status === 200) {
                client.close();
                return;
            }
        }
        throw new Error('It did not come back.');
    }

    /** Nobody gets to say anything any more. */
    kill(what) {
        const read = (file) => readFileSync(`${this.folder}/${file}`, 'utf8').trim();
        const end = { database: () => process.kill(Number(read('var/db-run/pid')), 'SIGKILL'), server: () => process.kill(-Number(read('var/log/server.group')), 'SIGKILL'), run: () => this.process.kill('SIGKILL') }[what];
        try {
            end();
        } catch {
            // It is dead already: what was killed just before has not been started again.
        }
    }

    async stop() {
        const gone = new Promise((ended) => this.process.once('exit', ended));
        this.process.kill('SIGTERM');
        await gone;
    }
}

/** A browser whose profile outlives it. */
export async function browse(profile, base) {
    const context = await chromium.launchPersistentContext(profile, {
        executablePath: '/usr/bin/chromium-headless-shell',
        baseURL: base,
        args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', '--hide-crash-restore-bubble'],
    });
    return { context, page: context.pages()[0] ?? (await context.newPage()) };
}

export async function signIn(page, base, email, password) {
    await page.goto(`${base}/#/sign-in`);
    await page.getByLabel('E-mail address').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('heading', { name: 'Plans' }).waitFor();
}

/** The name of a place, typed into its field and entered. */
export async function typePlace(page, at, name) {
    const field = page.getByRole('textbox', { name: /^Name of the place/ }).nth(at);
    await field.fill(name);
    await field.press('Enter');
}

/** A browser that was killed may have forgotten who was signed in: it writes that down every half minute. */
export async function openSite(page, base, plan, email = 'demo@linden-hollow.example', password = 'linden hollow') {
    await page.goto(`${base}/#/plans/${plan}/site`);
    const site = page.getByLabel('Name of the site');
    await site.or(page.getByRole('button', { name: 'Sign in' })).waitFor({ timeout: 60_000 });
    if (!(await site.isVisible())) {
        await signIn(page, base, email, password);
        await page.goto(`${base}/#/plans/${plan}/site`);
        await site.waitFor({ timeout: 60_000 });
    }
}

export const placeNames = (page) => page.getByRole('textbox', { name: /^Name of the place/ }).evaluateAll((fields) => fields.map((field) => field.value));
