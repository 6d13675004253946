<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Input from 'flowbite-svelte/Input.svelte';
    import { push } from 'svelte-spa-router';
    import { session } from '../lib/session.svelte';
    import Shell from '../widgets/Shell.svelte';

    let email = $state('');
    let password = $state('');
    let refused = $state<string | null>(null);
    let busy = $state(false);

    async function signIn(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        busy = true;
        refused = null;
        try {
            refused = await session.signIn(email, password);
            if (refused === null) {
                await push('/');
            }
        } catch {
            refused = 'The server did not answer. Nothing was lost; try again.';
        }
        busy = false;
    }
</script>

<Shell title="Sign in">
    <form class="max-w-[360px] space-y-4" onsubmit={signIn}>
        <div>
            <label for="email" class="text-soft block">E-mail address</label>
            <Input id="email" type="email" autocomplete="username" bind:value={email} required />
        </div>
        <div>
            <label for="password" class="text-soft block">Password</label>
            <Input id="password" type="password" autocomplete="current-password" bind:value={password} required />
        </div>
        {#if refused}<p role="alert" class="text-danger">{refused}</p>{/if}
        <div class="flex items-center gap-5 pt-1">
            <Button type="submit" disabled={busy}>Sign in</Button>
            {#if session.registration}<a class="quiet-link" href="#/register">Make an account</a>{/if}
        </div>
    </form>
</Shell>
