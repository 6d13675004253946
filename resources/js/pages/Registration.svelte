<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Input from 'flowbite-svelte/Input.svelte';
    import { push } from 'svelte-spa-router';
    import { api, withFreshToken } from '../lib/api';
    import { session } from '../lib/session.svelte';
    import Shell from '../widgets/Shell.svelte';

    const form = $state({ name: '', email: '', password: '' });
    let errors = $state<Record<string, string[]>>({});
    let refused = $state<string | null>(null);
    let busy = $state(false);

    const fields = [
        { key: 'name', label: 'Your name', type: 'text', complete: 'name' },
        { key: 'email', label: 'E-mail address', type: 'email', complete: 'username' },
        { key: 'password', label: 'Password, ten characters or more', type: 'password', complete: 'new-password' },
    ] as const;

    async function register(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        busy = true;
        errors = {};
        refused = null;
        try {
            const send = () => api.POST('/api/registration', { body: form });
            const { data, error } = await withFreshToken(send);
            if (data !== undefined) {
                await enter();
            } else if ('errors' in error) {
                errors = error.errors;
            } else {
                refused = error.message;
            }
        } catch {
            refused = 'The server did not answer. Nothing was lost; try again.';
        }
        busy = false;
    }

    /** Whether the address had an account already is found out by whoever has its password, and by nobody else. */
    async function enter(): Promise<void> {
        if ((await session.signIn(form.email, form.password)) === null) {
            await push('/');
        } else {
            refused =
                'With this address and password nobody can sign in. If you have an account with this address, sign in with its own password.';
        }
    }
</script>

<Shell title="Make an account">
    {#if !session.registration}
        <p class="mb-4 max-w-[28em]">Accounts are made by whoever runs this server. Ask there.</p>
    {/if}
    <form class="max-w-[360px] space-y-4" onsubmit={register} novalidate>
        {#each fields as field (field.key)}
            <div>
                <label for={field.key} class="text-soft block">{field.label}</label>
                <Input
                    id={field.key}
                    type={field.type}
                    autocomplete={field.complete}
                    bind:value={form[field.key]}
                    aria-invalid={errors[field.key] !== undefined}
                    aria-describedby="{field.key}-error"
                />
                <p id="{field.key}-error" class="text-danger">{errors[field.key]?.join(' ') ?? ''}</p>
            </div>
        {/each}
        {#if refused}<p role="alert" class="text-danger">{refused}</p>{/if}
        <div class="flex items-center gap-5 pt-1">
            <Button type="submit" disabled={busy}>Make the account</Button>
            <a class="quiet-link" href="#/sign-in">I have one</a>
        </div>
    </form>
</Shell>
