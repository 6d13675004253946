import createClient from 'openapi-fetch';
import type { components, paths } from './api-types';

export type Schemas = components['schemas'];
export type PlanDocument = Schemas['PlanDocument'];
export type Operation = Schemas['Operation'];
export type Finding = Schemas['Finding'];
export type Proposal = Schemas['Proposal'];
export type Catalogue = Schemas['Catalogue'];

/** How often what was put off is asked for again. */
const TURNS = 8;

/**
 * A request that waits for its turn. What was put off was not begun: too many heavy works run (X-Turn), or the web server
 * before the application has too many of one address at once, which says no more than 429.
 */
export async function inTurn(request: Request): Promise<Response> {
    for (let turn = 1; ; turn++) {
        const response = await fetch(request.clone());
        const { headers, status } = response;
        const putOff = headers.get('X-Turn') !== null || (status === 429 && headers.get('Retry-After') === null);
        if (!putOff || turn === TURNS) {
            return response;
        }
        const seconds = Number(headers.get('Retry-After') ?? 0.5);
        await new Promise((resume) => setTimeout(resume, seconds * 1000 * (0.5 + Math.random())));
    }
}

export const api = createClient<paths>({
    fetch: inTurn,
    baseUrl: window.location.origin,
    headers: { Accept: 'application/json' },
});

/** The framework's token against forged requests: from its cookie into each request's header. */
export function forgeryToken(): string {
    const cookie = document.cookie.split('; ').find((entry) => entry.startsWith('XSRF-TOKEN='));
    return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

api.use({
    onRequest({ request }) {
        request.headers.set('X-XSRF-TOKEN', forgeryToken());
        return request;
    },
});

/** Of somebody who is not signed in: a page that was open for longer than a guest's session gets another, and asks once more. */
export async function withFreshToken<T extends { response: Response }>(send: () => Promise<T>): Promise<T> {
    const first = await send();
    if (first.response.status !== 419) {
        return first;
    }
    await api.GET('/api/session');
    return send();
}
