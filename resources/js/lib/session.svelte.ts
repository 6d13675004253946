import { api, type Schemas } from './api';

type User = Schemas['Session']['user'];

class Session {
    user = $state<User>(null);
    /** Whether the server has been asked yet. */
    known = $state(false);

    async ask(): Promise<void> {
        const { data } = await api.GET('/api/session');
        this.user = data?.user ?? null;
        this.known = true;
    }

    async signOut(): Promise<void> {
        await api.DELETE('/api/session');
        this.user = null;
    }
}

export const session = new Session();
