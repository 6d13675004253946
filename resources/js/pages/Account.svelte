<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Input from 'flowbite-svelte/Input.svelte';
    import { push } from 'svelte-spa-router';
    import { api, inTurn, type Schemas } from '../lib/api';
    import { rest } from '../lib/focus';
    import { moment } from '../lib/moment';
    import { session } from '../lib/session.svelte';
    import ThemeButton from '../widgets/ThemeButton.svelte';

    let sessions = $state<Schemas['Account']['sessions'] | null>(null);
    let errors = $state<Record<string, string[]>>({});
    let said = $state<string | null>(null);
    let refused = $state<string | null>(null);
    const given = $state({ current: '', password: '', farewell: '' });
    let leaving = $state(false);

    void load();

    async function load(): Promise<void> {
        sessions = (await api.GET('/api/account')).data?.sessions ?? null;
    }

    function tell(error: Schemas['FieldErrors'] | Schemas['Refusal'], instead: Record<string, string> = {}): void {
        if ('errors' in error) {
            errors = Object.fromEntries(Object.entries(error.errors).map(([key, all]) => [instead[key] ?? key, all]));
        } else {
            refused = error.message;
        }
    }

    function begin(): void {
        errors = {};
        said = null;
        refused = null;
    }

    async function changePassword(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        begin();
        const { current, password } = given;
        const { data, error } = await api.PUT('/api/account/password', { body: { current, password } });
        if (data === undefined) {
            tell(error);
            return;
        }
        sessions = data.sessions;
        given.current = given.password = '';
        said = 'The password is changed. Wherever else you were signed in, you are no longer.';
    }

    async function end(event: MouseEvent, key: string): Promise<void> {
        begin();
        const button = event.currentTarget as HTMLElement;
        const { data } = await api.DELETE('/api/account/sessions/{session}', { params: { path: { session: key } } });
        sessions = data?.sessions ?? sessions;
        rest(button);
    }

    async function endOthers(): Promise<void> {
        begin();
        const { data } = await api.DELETE('/api/account/sessions');
        sessions = data?.sessions ?? sessions;
        said = 'You are signed in here alone.';
    }

    async function takeAlong(): Promise<void> {
        begin();
        const response = await inTurn(new Request(new URL('/api/account/file', window.location.origin))).catch(
            () => null,
        );
        if (response?.ok !== true) {
            refused = 'The archive cannot be had just now. Try again in a moment.';
            return;
        }
        const link = document.createElement('a');
        link.href = URL.createObjectURL(await response.blob());
        link.download = 'rundfunk-account.zip';
        link.click();
        URL.revokeObjectURL(link.href);
    }

    async function leave(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        begin();
        const { data, error } = await api.DELETE('/api/account', { body: { current: given.farewell } });
        if (data === undefined) {
            tell(error, { current: 'farewell' });
            return;
        }
        session.user = null;
        await push('/sign-in');
    }

    /** What a browser says of itself names half a dozen others: what is of use in it is whether it is held in a hand. */
    function kindOf(browser: string): string {
        return /Mobi/.test(browser) ? 'on a handheld' : 'on a computer';
    }
</script>

{#snippet secret(
    key: 'current' | 'password' | 'farewell',
    label: string,
    complete: 'current-password' | 'new-password',
)}
    <div>
        <label for={key} class="text-soft block">{label}</label>
        <Input
            id={key}
            type="password"
            size="sm"
            class="w-[260px]"
            autocomplete={complete}
            bind:value={given[key]}
            aria-invalid={errors[key] !== undefined}
            aria-describedby="{key}-error"
        />
        <p id="{key}-error" class="text-danger max-w-[260px] text-[14px]">{errors[key]?.join(' ') ?? ''}</p>
    </div>
{/snippet}

<svelte:head><title>Account · Rundfunk</title></svelte:head>
<header class="bg-sheet border-rule flex h-[46px] items-center gap-4 border-b px-4">
    <a class="text-[19px] font-semibold" href="#/">Rund<span class="text-accent">funk</span></a>
    <span class="grow"></span>
    <a class="quiet-link" href="#/">Plans</a>
    <a class="quiet-link" href="#/calculators">Calculators</a>
    <ThemeButton />
</header>
<main class="mx-auto max-w-[980px] p-6">
    <h1>{session.user?.name}</h1>
    <p class="text-soft mt-1">{session.user?.email}</p>
    {#if said}<p role="status" class="sheet mt-3 px-3 py-2">{said}</p>{/if}
    {#if refused}<p role="alert" class="text-danger mt-3">{refused}</p>{/if}

    <section aria-labelledby="where" class="mt-6">
        <div class="flex items-end gap-4">
            <h2 id="where" class="grow">Where you are signed in</h2>
            {#if sessions !== null && sessions.length > 1}
                <Button color="alternative" onclick={endOthers}>Sign out everywhere else</Button>
            {/if}
        </div>
        <div class="sheet mt-2">
            <table class="ledger">
                <thead
                    ><tr
                        ><th>Browser</th><th>From</th><th>Last seen</th><th><span class="sr-only">Actions</span></th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each sessions ?? [] as one (one.key)}
                        <tr>
                            <td title={one.browser}>{kindOf(one.browser)}</td>
                            <td class="mono">{one.from}</td>
                            <td class="text-soft whitespace-nowrap">{moment(one.seenAt)}</td>
                            <td class="text-right whitespace-nowrap">
                                {#if one.current}
                                    <span class="text-soft">this one</span>
                                {:else}
                                    <Button
                                        color="alternative"
                                        onclick={(event: MouseEvent) => end(event, one.key)}
                                        aria-label="Sign out of the browser {kindOf(one.browser)}, {one.from}"
                                        >Sign out</Button
                                    >
                                {/if}
                            </td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </div>
    </section>

    <section aria-labelledby="password-title" class="mt-8">
        <h2 id="password-title">Password</h2>
        <p class="text-soft mt-1 max-w-[44em]">
            Ten characters or more; a few words that nobody else would put together are easy to keep in mind. Forgotten,
            it is reset by whoever runs this server.
        </p>
        <form class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-2" onsubmit={changePassword} novalidate>
            {@render secret('current', 'Password now', 'current-password')}
            {@render secret('password', 'New password', 'new-password')}
            <Button type="submit" class="mt-[20px]">Change it</Button>
        </form>
    </section>

    <section aria-labelledby="leaving" class="mt-8">
        <h2 id="leaving">Take it along, or leave</h2>
        <p class="mt-1 max-w-[44em]">
            <button type="button" class="quiet-link" onclick={takeAlong}>Save all of it</button>
            <span class="text-soft"
                >as a ZIP archive: who you are, and a file for each plan, which can be imported again.</span
            >
        </p>
        {#if leaving}
            <form class="sheet mt-3 p-4" onsubmit={leave} novalidate>
                <p class="max-w-[44em]">
                    This deletes the account and every plan of yours for good: nobody can bring them back. Plans that
                    others share with you stay theirs.
                </p>
                <div class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-2">
                    {@render secret('farewell', 'Your password', 'current-password')}
                    <Button type="submit" class="mt-[20px]">Delete the account and my plans</Button>
                    <Button color="alternative" class="mt-[20px]" onclick={() => (leaving = false)}>Stay</Button>
                </div>
            </form>
        {:else}
            <p class="mt-3">
                <Button color="alternative" onclick={() => (leaving = true)}>Delete the account…</Button>
            </p>
        {/if}
    </section>
</main>
