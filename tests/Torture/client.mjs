// A browser's side of the interface without a browser: cookies, the header against forged requests, and edits that are sent
// again by the same id until they are answered.
import http from 'node:http';
import https from 'node:https';

export const sleep = (ms) => new Promise((resume) => setTimeout(resume, ms));

const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
export const ulid = () => '0' + Array.from({ length: 25 }, () => ALPHABET[Math.floor(Math.random() * 32)]).join('');

export class Client {
    cookies = new Map();

    /**
     * @param base where the server is, such as https://plans.example:8443; names lead to the loopback
     * @param from the address of the loopback that this one asks from
     */
    constructor(base, from = '127.0.0.2') {
        this.base = new URL(base);
        const secure = this.base.protocol === 'https:';
        this.transport = secure ? https : http;
        this.agent = new this.transport.Agent({ keepAlive: true, maxSockets: 64 });
        this.options = {
            agent: this.agent,
            localAddress: from,
            rejectUnauthorized: false,
            servername: this.base.hostname,
            lookup: (_, options, told) =>
                options.all ? told(null, [{ address: '127.0.0.1', family: 4 }]) : told(null, '127.0.0.1', 4),
        };
    }

    close() {
        this.agent.destroy();
    }

    /** @returns {Promise<{status: number, ms: number, text: string, headers: object}>} status 0 where nothing came */
    ask(method, path, body, { raw = false, headers = {}, timeout = 60_000, slowly = null } = {}) {
        const began = performance.now();
        return new Promise((answer) => {
            const nothing = () => answer({ status: 0, ms: performance.now() - began, text: '', headers: {} });
            const token = decodeURIComponent(this.cookies.get('XSRF-TOKEN') ?? '');
            const text = body === undefined ? undefined : raw ? body : JSON.stringify(body);
            const request = this.transport.request(
                this.base.origin + path,
                {
                    method,
                    ...this.options,
                    timeout,
                    headers: {
                        Accept: 'application/json',
                        'X-XSRF-TOKEN': token,
                        Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                        ...(text === undefined
                            ? {}
                            : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
                        ...headers,
                    },
                },
                (response) => {
                    for (const line of response.headers['set-cookie'] ?? []) {
                        const [, name, value] = /^([^=]+)=([^;]*)/.exec(line) ?? [];
                        this.cookies.set(name, value);
                    }
                    const parts = [];
                    response.on('data', (part) => parts.push(part));
                    response.on('error', nothing);
                    response.on('end', () =>
                        answer({
                            status: response.statusCode,
                            ms: performance.now() - began,
                            text: Buffer.concat(parts).toString(),
                            headers: response.headers,
                        }),
                    );
                },
            );
            request.on('error', nothing);
            request.on('timeout', () => request.destroy());
            if (slowly !== null) {
                void slowly(request, text);
            } else {
                request.end(text);
            }
        });
    }

    async json(method, path, body) {
        const { status, text } = await this.ask(method, path, body);
        if (status < 200 || status > 299) {
            throw new Error(`${method} ${path}: ${status} ${text.slice(0, 300)}`);
        }
        return JSON.parse(text);
    }

    async signIn(email, password) {
        await this.ask('GET', '/api/session');
        return this.json('POST', '/api/session', { email, password });
    }

    /** Sends an edit until it is answered, as the browser's outbox does. @returns the changes, and how long the answer that came took */
    async edit(plan, version, operations, { label = 'Torture', id = ulid(), client, views = {}, patience = 120_000 } = {}) {
        const until = performance.now() + patience;
        for (let tries = 1; performance.now() < until; tries++) {
            const { status, ms, text, headers } = await this.ask(
                'POST',
                `/api/plans/${plan}/operations`,
                { version, label, operations, id, client, held: version, views },
                { timeout: 20_000 },
            );
            if (status === 200) {
                return { changes: JSON.parse(text), ms, tries };
            }
            if ([409, 422, 403, 404].includes(status)) {
                return { refused: status, text, ms, tries };
            }
            await sleep(Math.min(Number(headers['retry-after'] ?? 0.3), 2) * 1000 * (0.5 + Math.random() / 2));
        }
        throw new Error('An edit was not answered.');
    }

    /** A plan with its things as lists of objects. */
    async plan(id) {
        const { things, ...rest } = await this.json('GET', `/api/plans/${id}`);
        for (const [list, { fields, rows }] of Object.entries(things)) {
            rest[list] = rows.map((row) => Object.fromEntries(fields.map((field, at) => [field, row[at]])));
        }
        return rest;
    }
}

export const rename = (id, values) => ({ op: 'change', kind: 'node', id, values });

export function quantile(list, share) {
    const sorted = [...list].sort((a, b) => a - b);
    return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
}

/** A line of docs/measured.md, and whether it holds. */
export function report(what, measured, holds) {
    console.log(`| ${what} | ${measured} | ${holds ? 'holds' : '**does not hold**'} |`);
    process.exitCode ||= holds ? 0 : 1;
}
