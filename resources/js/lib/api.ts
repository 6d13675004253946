import createClient from 'openapi-fetch';
import type { components, paths } from './api-types';

export type Schemas = components['schemas'];
export type PlanDocument = Schemas['PlanDocument'];
export type Operation = Schemas['Operation'];
export type Finding = Schemas['Finding'];
export type Proposal = Schemas['Proposal'];
export type Catalogue = Schemas['Catalogue'];

export const api = createClient<paths>({ baseUrl: window.location.origin, headers: { Accept: 'application/json' } });

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
