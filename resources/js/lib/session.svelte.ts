import { api, withFreshToken, type Schemas } from './api';

type User = Schemas['Session']['user'];

/** How long to wait before asking again, ms. */
const AGAIN_AFTER = 3_000;

class Session {
    user = $state<User>(null);
    /** Whether the server has said who is signed in. */
    known = $state(false);
    /** It does not say so just now: nobody is taken to be signed out for that. */
    away = $state(false);
    /** Whether anybody can make an account here. */
    registration = $state(true);

    async ask(): Promise<void> {
        const { data } = await api.GET('/api/session').catch(() => ({ data: undefined }));
        this.away = data === undefined;
        if (data === undefined) {
            setTimeout(() => void this.ask(), AGAIN_AFTER);
            return;
        }
        this.user = data.user;
        this.registration = data.registration;
        this.known = true;
    }

    /** @returns why not; null when it is done */
    async signIn(email: string, password: string): Promise<string | null> {
        const send = () => api.POST('/api/session', { body: { email, password } });
        const { data, error, response } = await withFreshToken(send);
        if (data === undefined) {
            return error?.message ?? `The server answered ${response.status}.`;
        }
        this.user = data.user;
        return null;
    }

    async signOut(): Promise<void> {
        await api.DELETE('/api/session');
        this.user = null;
    }
}

export const session = new Session();
