<script lang="ts">
    import ThemeProvider from 'flowbite-svelte/ThemeProvider.svelte';
    import Router, { push, router } from 'svelte-spa-router';
    import { session } from './lib/session.svelte';
    import { flowbiteTheme } from './lib/flowbite-theme';
    import Account from './pages/Account.svelte';
    import Away from './pages/Away.svelte';
    import Calculators from './pages/Calculators.svelte';
    import Plans from './pages/Plans.svelte';
    import Registration from './pages/Registration.svelte';
    import SignIn from './pages/SignIn.svelte';
    import Workspace from './pages/Workspace.svelte';

    const routes = {
        '/': Plans,
        '/sign-in': SignIn,
        '/register': Registration,
        '/account': Account,
        '/calculators/:name?': Calculators,
        '/plans/:id/:step?/:item?': Workspace,
        '*': Plans,
    };
    const open = ['/sign-in', '/register'];

    void session.ask();

    $effect(() => {
        if (session.known && session.user === null && !open.includes(router.location)) {
            void push('/sign-in');
        }
    });
</script>

<ThemeProvider theme={flowbiteTheme}>
    {#if session.known && (session.user !== null || open.includes(router.location))}
        <Router {routes} />
    {:else if session.away}
        <Away />
    {/if}
</ThemeProvider>
