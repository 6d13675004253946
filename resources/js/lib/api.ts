import createClient from 'openapi-fetch';
import type { components, paths } from './api-types';

export type Schemas = components['schemas'];
export type PlanDocument = Schemas['PlanDocument'];
export type Operation = Schemas['Operation'];
export type Finding = Schemas['Finding'];
export type Proposal = Schemas['Proposal'];
export type Catalogue = Schemas['Catalogue'];

/** Work that is put off because others of its kind are being done was not begun: it is asked for again, so often. */
const TURNS = 8;

/** A request that waits for its turn, where the server says that it must. */
export async function inTurn(request: Request): Promise<Response> {
    for (let turn = 1; ; turn++) {
        const response = await fetch(request.clone());
        if (response.headers.get('X-Turn') === null || turn === TURNS) {
            return response;
        }
        const seconds = Number(response.headers.get('Retry-After') ?? 1);
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
